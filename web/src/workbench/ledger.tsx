import {
  angleText,
  type FigureId,
  figureOf,
  type FigureValue,
  type HoldPoint,
  type Job,
  type JobResult,
  nextHoldPoint,
} from '@splay/core';
import { memo, type ReactNode } from 'react';
import { Length } from '../ui/length.tsx';
import { Quantity } from '../ui/quantity.tsx';

interface LedgerProps {
  readonly job: Job;
  readonly whole: JobResult;
  readonly holdPoints: readonly HoldPoint[];
  /** The figures of the bench at hand. */
  readonly figures: readonly FigureId[];
  readonly showBefore: boolean;
  readonly thread: FigureId | null;
  readonly onThread: (figure: FigureId) => void;
  readonly onHoldPoint: (holdPoint: HoldPoint['id']) => void;
}

/** A figure as it is written; a dash while it cannot be told. */
export function FigureText({ value, job }: { readonly value: FigureValue; readonly job: Job }): ReactNode {
  if (value === null) return '–';
  if ('mm' in value) return <Length mm={value.mm} format={job.display} signed={value.signed ?? false} />;
  if ('radians' in value) return angleText(value.radians);
  if ('kg' in value) return <Quantity of="mass" value={value.kg} unit={job.display.unit} />;
  return value.words;
}

const same = (a: FigureValue, b: FigureValue): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The figures of the bench at hand, before and after; each, pressed, shows what it rests on. And the next hold point. */
export const Ledger = memo(function Ledger({
  job,
  whole,
  holdPoints,
  figures,
  showBefore,
  thread,
  onThread,
  onHoldPoint,
}: LedgerProps) {
  const next = nextHoldPoint(holdPoints);
  const stopped = whole.conflicts.filter(({ severity }) => severity === 'stop').length;
  return (
    <footer className="shrink-0">
      <ul
        aria-label="The figures that matter"
        className="pane flex h-[4.6rem] shrink-0 [scrollbar-width:none] overflow-x-auto bg-night text-on-night short:h-[3.2rem]"
      >
        {figures.map((id) => {
          const { name, before, after, note } = figureOf(id, job, whole);
          const swapped = showBefore && before !== null;
          const other = swapped ? after : before;
          return (
            <Figure key={id} name={name} pressed={thread === id} onClick={() => onThread(id)}>
              <FigureText value={swapped ? before : after} job={job} />
              <>
                {other !== null && !same(before, after) && (
                  <>
                    {swapped ? 'will be' : 'was'} <FigureText value={other} job={job} />
                    {note && ' · '}
                  </>
                )}
                {note}
              </>
            </Figure>
          );
        })}
        <Figure
          name="Next hold point"
          tone={next ? 'bg-oxide-deep' : 'bg-passed-deep'}
          onClick={() => next && onHoldPoint(next.holdPoint.id)}
        >
          {next ? next.holdPoint.name : 'All passed'}
          {next
            ? stopped > 0 && next.holdPoint.id === 'before-cutting'
              ? `${stopped} ${stopped === 1 ? 'thing stops' : 'things stop'} this plan`
              : next.check?.name
            : 'read again after welding'}
        </Figure>
      </ul>
    </footer>
  );
});

interface FigureProps {
  readonly name: string;
  readonly tone?: string;
  readonly pressed?: boolean;
  readonly onClick: () => void;
  readonly children: readonly [value: ReactNode, note: ReactNode];
}

function Figure({ name, tone = '', pressed, onClick, children: [value, note] }: FigureProps) {
  return (
    <li className={`min-w-32 flex-1 border-r border-on-night/20 last:flex-[1.5] last:border-r-0 ${tone}`}>
      <button
        type="button"
        aria-pressed={pressed}
        className={`on-dark flex h-full w-full flex-col justify-center px-3 text-left ${pressed ? 'bg-on-night/15' : 'hover:bg-on-night/10'}`}
        onClick={onClick}
      >
        <span className="label block truncate leading-[1.15] !text-on-night/85">{name}</span>
        <span
          data-figure={name}
          className="heading block truncate text-[1.4rem] leading-[1.15] short:text-[1.2rem] [&_.nuance]:!text-on-night"
        >
          {value}
        </span>
        <span className="block min-h-4 truncate text-[0.82rem] leading-[1.2] text-on-night/90 short:hidden [&_.nuance]:!text-on-night">
          {note}
        </span>
      </button>
    </li>
  );
}
