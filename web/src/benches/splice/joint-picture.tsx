import { isOnWeb, type RailSplice, type RailSteel } from '@splay/core';

interface JointPictureProps {
  readonly splice: RailSplice;
  readonly steel: RailSteel;
}

/** Of the picture, px: the rail stands in the middle, with room over and under it for plates on the flanges. */
const [WIDE, HIGH, RAIL] = [104, 46, 30];

/** The joint as it is seen from the side, small: how the ends are cut, and what is laid over or in them. */
export function JointPicture({ splice, steel: { section } }: JointPictureProps) {
  const { form, plates, sleeve } = splice;
  const reach = Math.max(
    section.depth * 0.9,
    ...plates.flatMap(({ ahead, behind }) => [ahead, behind]),
    ...(sleeve ? [sleeve.ahead, sleeve.behind] : []),
  );
  const scale = WIDE / (2.2 * reach);
  const [top, foot, middle] = [(HIGH - RAIL) / 2, (HIGH + RAIL) / 2, WIDE / 2];
  const at = (mm: number) => middle + mm * scale;
  const up = (mm: number) => foot - (mm / section.depth) * RAIL;
  const cut =
    form.form === 'angled'
      ? `M${at(-form.run / 2)} ${foot}L${at(form.run / 2)} ${top}`
      : form.form === 'step'
        ? stepPath(
            at(((form.upper === 'ahead' ? -1 : 1) * form.length) / 2),
            at(((form.upper === 'ahead' ? 1 : -1) * form.length) / 2),
            up(form.height),
            [top, foot],
          )
        : `M${middle} ${foot}V${top}`;
  return (
    <svg width={WIDE} height={HIGH} role="img" aria-label="The joint from the side" className="block">
      <rect x={0.5} y={top} width={WIDE - 1} height={RAIL} fill="var(--color-steel)" stroke="var(--color-graphite)" />
      {plates.map(({ id, face, ahead, behind, depth, off }) => {
        const box =
          isOnWeb(face) || face === 'inner-side'
            ? { y: up(section.depth / 2 + off + depth / 2), height: (depth / section.depth) * RAIL }
            : { y: face === 'top-flange' ? top - 5 : foot + 1, height: 4 };
        return (
          <rect
            key={id}
            x={at(-ahead)}
            width={(ahead + behind) * scale}
            {...box}
            fill="url(#hatch-new)"
            stroke="var(--color-layout)"
          />
        );
      })}
      {sleeve && (
        <rect
          x={at(-sleeve.ahead)}
          width={(sleeve.ahead + sleeve.behind) * scale}
          y={up((section.depth + Math.min(sleeve.height, section.depth)) / 2)}
          height={(Math.min(sleeve.height, section.depth) / section.depth) * RAIL}
          fill="none"
          stroke="var(--color-layout)"
          strokeDasharray={sleeve.kind === 'outer' ? undefined : '4 3'}
          strokeWidth={1.4}
        />
      )}
      <path d={cut} fill="none" stroke="var(--color-oxide)" strokeWidth={form.form === 'bolted' ? 1 : 2.4} />
    </svg>
  );
}

/** Down the upper vertical, along the horizontal, down the lower one. */
const stepPath = (upper: number, lower: number, z: number, [top, foot]: readonly [number, number]): string =>
  `M${upper} ${top}V${z}H${lower}V${foot}`;
