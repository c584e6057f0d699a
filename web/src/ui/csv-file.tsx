import { InputError } from '@splay/core';
import { type ChangeEvent, useState } from 'react';

interface CsvFileProps {
  /** What the table holds, in words: `stations`. */
  readonly name: string;
  /** Where it is saved from, if it can be. */
  readonly href?: string;
  /** What is pressed to load one, and the files that it takes. */
  readonly load?: string;
  readonly accept?: string;
  readonly disabled: boolean;
  /** Takes the text of a file and says what it did. @throws InputError when the file is not right */
  readonly onText: (text: string, file: string) => string | Promise<string>;
}

/** A table out as CSV, and in again; a file that is not right changes nothing and every reason is said. */
export function CsvFile({
  name,
  href,
  load: say = 'Load from CSV',
  accept = '.csv,text/csv,text/plain',
  disabled,
  onText,
}: CsvFileProps) {
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [done, setDone] = useState('');
  const load = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    setDone('');
    try {
      setDone(await onText(await file.text(), file.name));
      setProblems([]);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setProblems(error.problems.map(({ path, message }) => `${path}: ${message}`));
    }
  };
  return (
    <div className="mt-3 text-sm">
      <p className="flex items-center gap-3">
        {href !== undefined && (
          <a className="underline" href={href} download>
            Save as CSV
          </a>
        )}
        <label className={`underline ${disabled ? 'text-pencil' : 'cursor-pointer'}`}>
          {say}
          <input
            type="file"
            accept={accept}
            className="sr-only"
            disabled={disabled}
            aria-label={href === undefined ? say : `Load ${name} from a CSV file`}
            onChange={(event) => void load(event)}
          />
        </label>
        <span className="text-pencil" role="status">
          {done}
        </span>
      </p>
      {problems.length > 0 && (
        <div role="alert" className="mt-1 border-l-4 border-oxide bg-oxide-wash px-3 py-1.5">
          <p className="font-semibold">Nothing was changed:</p>
          <ul>
            {problems.slice(0, 8).map((problem) => (
              <li key={problem}>{problem}</li>
            ))}
            {problems.length > 8 && <li>and {problems.length - 8} more</li>}
          </ul>
        </div>
      )}
    </div>
  );
}
