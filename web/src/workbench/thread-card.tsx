import { type Figure, type FigureId, figureOf, type Job, type JobResult, type Support } from '@splay/core';
import { Crosshair, X } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { Length } from '../ui/length.tsx';
import type { WorkbenchActions } from './actions.ts';
import { FigureText } from './ledger.tsx';

const SOURCES: Readonly<Record<Support['comesFrom'], readonly [words: string, ink: string]>> = {
  measured: ['measured', 'text-passed'],
  read: ['read', 'text-passed'],
  paper: ['from a paper', 'text-layout'],
  decided: ['decided in the plan', 'text-layout'],
  assumed: ['assumed', 'text-oxide'],
};

interface ThreadCardProps {
  /** The figure whose thread is pulled. */
  readonly figure: FigureId;
  readonly job: Job;
  readonly whole: JobResult;
  readonly actions: Pick<WorkbenchActions, 'onLook' | 'onSelect' | 'onThread' | 'onBench'>;
}

/** Which of the readings that a figure rests on no others check; none while that is not known. */
function useWeak({ restsOn }: Figure, job: Job, whole: JobResult): ReadonlySet<string> {
  const [weak, setWeak] = useState<ReadonlySet<string>>(NONE);
  const reads = restsOn.some(({ comesFrom }) => comesFrom === 'read');
  useEffect(() => {
    if (!reads) return undefined;
    let there = true;
    void import('./weak-readings.ts').then(({ weakReadings }) => {
      if (there) setWeak(weakReadings(job, whole));
    });
    return () => {
      there = false;
    };
  }, [reads, job, whole]);
  return reads ? weak : NONE;
}

const NONE: ReadonlySet<string> = new Set();

/** The thread of a figure: everything that it rests on, what of that is only assumed, and a way to each. */
export function ThreadCard({ figure: id, job, whole, actions }: ThreadCardProps) {
  const figure = useMemo(() => figureOf(id, job, whole), [id, job, whole]);
  const { name, after, before, restsOn, bench } = figure;
  const datum = whole.plan.datum.built;
  const weak = useWeak(figure, job, whole);
  const isWeak = ({ ref, comesFrom }: Support) => comesFrom === 'read' && ref !== null && weak.has(ref.id);
  const unchecked = restsOn.filter(isWeak).length;
  const assumed = restsOn.filter(({ comesFrom }) => comesFrom === 'assumed').length;
  return (
    <section aria-label={`What ${name} rests on`}>
      <div className="flex items-start justify-between gap-2">
        <h2 className="heading text-xl">{name}</h2>
        <button type="button" className="button px-2" aria-label="Close" onClick={() => actions.onThread(null)}>
          <X size={16} aria-hidden="true" />
        </button>
      </div>
      <p className="heading text-3xl">
        <FigureText value={after} job={job} />
      </p>
      {before !== null && (
        <p className="text-pencil">
          on the donor <FigureText value={before} job={job} />
        </p>
      )}
      <p className="mt-2 text-sm text-pencil">
        {restsOn.length === 0
          ? 'It is counted, and rests on no one place of the frame.'
          : assumed > 0
            ? `${assumed} of what it rests on ${assumed === 1 ? 'is' : 'are'} only assumed.`
            : 'Nothing that it rests on is assumed.'}
        {unchecked > 0 &&
          ` ${unchecked} of the readings ${unchecked === 1 ? 'is' : 'are'} weak: no others would show that ${unchecked === 1 ? 'it is' : 'one is'} misread. Read ${unchecked === 1 ? 'it' : 'them'} twice.`}
      </p>
      <ul className="mt-2">
        {restsOn.map((support) => {
          const [words, ink] = SOURCES[support.comesFrom];
          return (
            <li
              key={support.ref ? `${support.ref.kind}/${support.ref.id}` : support.name}
              className="border-b border-rule/60"
            >
              <button
                type="button"
                className="flex min-h-10 w-full items-center gap-2 py-1 text-left disabled:cursor-default"
                disabled={support.builtX === null}
                onClick={() => {
                  if (support.builtX !== null) actions.onLook(support.builtX, support.ref?.id ?? null);
                  if (support.ref) actions.onSelect(support.ref.id);
                }}
              >
                <span className="min-w-0 flex-1">
                  {support.name}
                  <span className={`block text-sm ${isWeak(support) ? 'text-ochre' : ink}`}>
                    {isWeak(support) ? 'read, weak: no other checks it' : words}
                  </span>
                </span>
                {support.builtX !== null && (
                  <>
                    <Length mm={support.builtX - datum} format={job.display} className="text-pencil" />
                    <Crosshair size={15} aria-hidden="true" className="shrink-0 text-pencil" />
                  </>
                )}
              </button>
            </li>
          );
        })}
      </ul>
      <button type="button" className="button mt-3" onClick={() => actions.onBench(bench)}>
        Go to its bench
      </button>
    </section>
  );
}
