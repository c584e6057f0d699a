import { ratioText, type SpliceOutcome } from '@splay/core';

interface JointListProps {
  readonly splices: readonly SpliceOutcome[];
  readonly asked: number;
  readonly at: SpliceOutcome;
  readonly onPick: (joint: string) => void;
}

/** The joints front to rear, each with what it carries of the bare rail. */
export function JointList({ splices, asked, at, onPick }: JointListProps) {
  return (
    <ul className="flex flex-wrap gap-1.5" aria-label="Joints">
      {splices.map((outcome) => {
        const { joint, decided, worst } = outcome;
        const ratio = worst.strength?.ratio ?? null;
        const good = decided !== null && ratio !== null && ratio >= asked - 1e-6;
        const here = outcome === at;
        return (
          <li key={joint.id}>
            <button
              type="button"
              aria-pressed={here}
              className={`flex min-h-11 items-center gap-2 border px-2 text-left ${here ? 'border-2 border-layout bg-layout-wash' : 'border-graphite bg-sheet'}`}
              onClick={() => onPick(joint.id)}
            >
              <span
                className={`heading px-1.5 text-lg ${decided ? 'bg-layout text-sheet' : 'border border-dashed border-layout text-layout'}`}
              >
                {joint.letter}
              </span>
              <span className="leading-tight">
                <b className={`heading block text-lg ${good ? 'text-passed' : 'text-oxide'}`}>
                  {ratio === null ? 'cannot' : ratioText(ratio)}
                </b>
                <span className="block text-xs text-pencil">{decided ? 'of the rail' : 'not decided'}</span>
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
