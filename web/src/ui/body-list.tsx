import type { Body } from '@splay/core';

interface BodyListProps {
  /** Each with a few words under its name. */
  readonly bodies: readonly { readonly body: Body; readonly note: string }[];
  readonly at: Body | undefined;
  readonly onPick: (id: string) => void;
}

/** The bodies of a job, the one at hand marked. */
export function BodyList({ bodies, at, onPick }: BodyListProps) {
  return (
    <ul className="flex flex-wrap gap-1.5" aria-label="Bodies">
      {bodies.map(({ body, note }) => {
        const here = body.id === at?.id;
        return (
          <li key={body.id}>
            <button
              type="button"
              aria-pressed={here}
              className={`min-h-11 border px-3 text-left ${here ? 'border-2 border-ochre bg-ochre-wash' : 'border-graphite bg-sheet'}`}
              onClick={() => onPick(body.id)}
            >
              <b className="heading block text-lg leading-tight">{body.name}</b>
              <span className="block text-xs text-pencil">{note}</span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
