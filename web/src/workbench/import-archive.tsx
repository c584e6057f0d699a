import { useState } from 'react';
import { api } from '../client/api.ts';
import type { ArchiveOutcome, ArchiveProgress } from '../client/import-archive.ts';
import { useAwake } from '../client/use-awake.ts';
import { FileButton } from '../ui/file-button.tsx';

const counted = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;

/** Takes an archive of a shop's work in, shows how far it has come, and says what became of it. */
export function ImportArchive() {
  const awake = useAwake();
  const [progress, setProgress] = useState<ArchiveProgress | null>(null);
  const [outcome, setOutcome] = useState<ArchiveOutcome | null>(null);
  const [problem, setProblem] = useState('');
  const [stop, setStop] = useState<AbortController | null>(null);
  const take = async (file: File) => {
    const stopping = new AbortController();
    setStop(stopping);
    setOutcome(null);
    setProblem('');
    try {
      const { importArchive, NoArchive } = await import('../client/import-archive.ts');
      try {
        const archive = new Uint8Array(await file.arrayBuffer());
        setOutcome(await importArchive(archive, api, setProgress, stopping.signal));
      } catch (error) {
        if (!(error instanceof NoArchive)) throw error;
        setProblem(error.message);
      }
    } catch {
      setProblem('The file could not be read to its end. What was sent before is stored; take the same file again.');
    }
    setProgress(null);
    setStop(null);
  };
  return (
    <>
      <FileButton
        label="Archive"
        accept=".zip,application/zip"
        disabled={!awake || stop !== null}
        onFile={(file) => void take(file)}
      >
        Import an archive
      </FileButton>
      {stop && (
        <div className="mt-3 flex max-w-2xl flex-wrap items-center gap-3">
          <progress
            className="h-3 flex-1"
            aria-label="How far the import has come"
            max={progress?.all ?? 1}
            value={progress?.done ?? 0}
          />
          <button type="button" className="button" disabled={stop.signal.aborted} onClick={() => stop.abort()}>
            Stop
          </button>
          <p className="w-full truncate text-sm text-pencil">
            {progress ? `${progress.done + 1} of ${progress.all}: ${progress.file}` : 'Opening the archive …'}
          </p>
        </div>
      )}
      {problem && (
        <p role="alert" className="mt-2 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          {problem}
        </p>
      )}
      {outcome && <Outcome {...outcome} />}
    </>
  );
}

function Outcome({ jobs, pictures, items, ruleSets, refused, stopped }: ArchiveOutcome) {
  const stored = [
    counted(jobs, 'job'),
    counted(pictures, 'photo'),
    counted(items, 'library item'),
    counted(ruleSets, 'rule set'),
  ].join(', ');
  return (
    <div
      role="status"
      className={`mt-2 max-w-2xl border-l-4 px-3 py-1.5 ${refused.length > 0 || stopped ? 'border-ochre' : 'border-passed'}`}
    >
      <p>
        {stopped && 'Stopped before the end: take the same file again to go on. '}
        Taken in: {stored}. What was here already was left as it is.
      </p>
      {refused.length > 0 && (
        <>
          <p className="mt-2">{counted(refused.length, 'file was', 'files were')} not taken in:</p>
          <ul className="mt-1 space-y-1 text-sm">
            {refused.slice(0, 30).map(({ file, why }) => (
              <li key={file}>
                <b>{file}</b>: {why}
              </li>
            ))}
          </ul>
          {refused.length > 30 && <p className="mt-1 text-pencil">… and {refused.length - 30} more.</p>}
        </>
      )}
    </div>
  );
}
