import type { Figure, Job, Support } from '@splay/core';
import { Crosshair, X } from 'lucide-react';
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
  readonly figure: Figure;
  readonly job: Job;
  /** Station of the datum hole on the built frame, mm. */
  readonly datum: number;
  readonly actions: Pick<WorkbenchActions, 'onLook' | 'onSelect' | 'onThread' | 'onBench'>;
}

/** The thread of a figure: everything that it rests on, what of that is only assumed, and a way to each. */
export function ThreadCard({ figure, job, datum, actions }: ThreadCardProps) {
  const { name, before, after, restsOn, bench } = figure;
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
                  <span className={`block text-sm ${ink}`}>{words}</span>
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
