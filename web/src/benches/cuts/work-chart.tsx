import { hoursText, LANES, type Lane } from '@splay/core';
import { Stacks } from '../../ui/chart.tsx';
import type { Candidate } from './comparison-lines.tsx';

/** Parts of the work, and the ink of each. */
const PARTS: readonly (readonly [name: string, ink: string, holds: (code: string, lane: Lane) => boolean])[] = [
  ['Joints', '--color-layout', (code) => code === 'joints' || code === 'trim'],
  ['Ends brought together', '--color-oxide', (code) => code.startsWith('ends-')],
  [LANES.members, '--color-graphite', (_, lane) => lane === 'members'],
  [LANES.tank, '--color-rule', (_, lane) => lane === 'tank'],
  ['Strip-down and mounts', '--color-ochre', () => true],
];

/** Hours of work of each plan, by what they go into; the figures stand in the table under it. */
export function WorkChart({
  candidates,
  width,
}: {
  readonly candidates: readonly Candidate[];
  readonly width: number;
}) {
  const partOf = (code: string, lane: Lane) => PARTS.findIndex(([, , holds]) => holds(code, lane));
  const sums = candidates.map(({ work }) =>
    PARTS.map((_, at) =>
      work.costs
        .filter(({ counts, code, lane }) => counts === 'work' && partOf(code, lane) === at)
        .reduce((sum, { hours }) => sum + hours, 0),
    ),
  );
  return (
    <figure className="mb-3">
      <figcaption className="label">Hours of work, by what they go into</figcaption>
      <Stacks
        width={width}
        height={34 + candidates.length * 30}
        label={candidates.map(({ plan, work }) => `${plan.name}: ${hoursText(work.hours)}`).join('; ')}
        names={candidates.map(({ plan: { name } }) => (name.length > 34 ? `${name.slice(0, 33)}…` : name))}
        parts={PARTS.map(([name, ink], at) => ({ name, ink, values: sums.map((each) => each[at] ?? 0) }))}
      />
      <ul className="flex flex-wrap gap-x-4 text-sm">
        {PARTS.map(([name, ink]) => (
          <li key={name} className="flex items-center gap-1.5">
            <span className="inline-block h-3 w-3" style={{ background: `var(${ink})` }} aria-hidden="true" />
            {name}
          </li>
        ))}
      </ul>
    </figure>
  );
}
