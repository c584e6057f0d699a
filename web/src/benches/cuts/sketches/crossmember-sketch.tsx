import type { Crossmember } from '@splay/core';
import { finer } from '../../../ui/finer.ts';
import { Length } from '../../../ui/length.tsx';
import { cut, fresh, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A crossmember between its rails, seen from behind: how deep, how far down, and how far it hangs under them. */
export function CrossmemberSketch({ operation, job, result, depth }: SketchOf<'crossmember'>) {
  const { change } = operation;
  const id = typeof change.crossmember === 'string' ? change.crossmember : change.crossmember.id;
  const was = job.donor.crossmembers.find((member) => member.id === id);
  const outcome = result.crossmembers.find(({ crossmember }) => crossmember.id === id);
  const now = change.what === 'remove' ? null : (outcome?.crossmember ?? was);
  const shown = now ?? was;
  if (!shown) return null;
  const exact = finer(job.display);
  const length = (mm: number) => <Length mm={mm} format={exact} unit />;
  const under = shown.below + shown.depth - depth;
  const deepest = Math.max(depth, shown.below + shown.depth, was ? was.below + was.depth : 0);
  const scale = 62 / Math.max(deepest, 1);
  const top = 16;
  const bar = (member: Crossmember) => ({
    x: 40,
    y: top + member.below * scale,
    width: W - 80,
    height: Math.max(2, member.depth * scale),
  });
  const changed = was && now && (was.below !== now.below || was.depth !== now.depth);
  return (
    <SketchFigure
      name="Crossmember between the rails, seen from behind"
      figures={[
        ['deep', length(shown.depth)],
        ['its top below the rail top', length(shown.below)],
        [under > 0 ? 'hangs under the rail by' : 'clear of the rail’s bottom edge by', length(Math.abs(under))],
        ...(outcome && outcome.wider !== 0
          ? ([
              [outcome.wider > 0 ? 'must become wider by' : 'must become narrower by', length(Math.abs(outcome.wider))],
            ] as const)
          : []),
      ]}
    >
      {[18, W - 40].map((x) => (
        <rect key={x} x={x} y={top} width={22} height={depth * scale} {...steel} />
      ))}
      {changed && <rect {...bar(was)} fill="none" stroke="var(--color-pencil)" strokeDasharray="4 3" />}
      <rect {...bar(shown)} {...(change.what === 'remove' ? cut : change.what === 'add' ? fresh : steel)} />
    </SketchFigure>
  );
}
