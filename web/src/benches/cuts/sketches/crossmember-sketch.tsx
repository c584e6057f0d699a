import { cut, fresh, lengthsOf, SketchFigure, type SketchOf, steel, W } from './sketch-figure.tsx';

/** A crossmember between its rails, seen from behind: how deep, how far down, and how far it hangs under them. */
export function CrossmemberSketch({ operation, figures, job }: SketchOf<'crossmember'>) {
  const { change } = operation;
  const id = typeof change.crossmember === 'string' ? change.crossmember : change.crossmember.id;
  const was = job.donor.crossmembers.find((member) => member.id === id);
  const { one } = lengthsOf(job);
  const { railDepth, below, depth, under, wider, cutLength } = figures;
  const deepest = Math.max(railDepth, below + depth, was ? was.below + was.depth : 0);
  const scale = 62 / Math.max(deepest, 1);
  const top = 16;
  const bar = (member: { readonly below: number; readonly depth: number }) => ({
    x: 40,
    y: top + member.below * scale,
    width: W - 80,
    height: Math.max(2, member.depth * scale),
  });
  const changed = was && change.what !== 'remove' && (was.below !== below || was.depth !== depth);
  return (
    <SketchFigure
      name="Crossmember between the rails, seen from behind"
      figures={[
        ...(change.what === 'add' && cutLength !== null ? ([['cut to, web to web', one(cutLength)]] as const) : []),
        ['deep', one(depth)],
        ['its top below the rail top', one(below)],
        [under > 0 ? 'hangs under the rail by' : 'clear of the rail’s bottom edge by', one(Math.abs(under))],
        ...(wider !== 0
          ? ([[wider > 0 ? 'must become wider by' : 'must become narrower by', one(Math.abs(wider))]] as const)
          : []),
      ]}
    >
      {[18, W - 40].map((x) => (
        <rect key={x} x={x} y={top} width={22} height={railDepth * scale} {...steel} />
      ))}
      {changed && <rect {...bar(was)} fill="none" stroke="var(--color-pencil)" strokeDasharray="4 3" />}
      <rect {...bar(figures)} {...(change.what === 'remove' ? cut : change.what === 'add' ? fresh : steel)} />
    </SketchFigure>
  );
}
