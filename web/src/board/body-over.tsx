import { type Body, type BodyPose, onFrame, type PlanResult, type ProfilePoint } from '@splay/core';
import type { Across, View } from '../client/picture-props.ts';
import { memoized } from '../ui/memoized.ts';
import { linePath } from './line-path.ts';
import { acrossPx } from './strips.ts';
import { toPx } from './view.ts';

/** How much of a body is drawn over its floor where only its place is told, mm: enough to see where it ends and sits. */
const BODY_SHOWN = 420;

interface BodyOverProps {
  readonly body: Body;
  readonly pose: BodyPose;
  readonly view: View;
  readonly across: Across;
}

/** The bodies that there is something to draw of, each where it sits on the frame that is shown. */
export const bodiesOn = ({ seats }: PlanResult, on: 'donor' | 'built') =>
  seats.flatMap(({ body, pose, onDonor }) =>
    body.outline.length > 1 ? [{ body, pose: on === 'donor' ? onDonor : pose }] : [],
  );

const floorOf = ({ outline }: Body): number => Math.min(...outline.map(({ z }) => z));

/** A profile of a body on the board, as an SVG path. */
export function profilePath(
  points: readonly ProfilePoint[],
  { pose, view, across }: Pick<BodyOverProps, 'pose' | 'view' | 'across'>,
): string {
  return linePath(
    points.map((point) => {
      const { x, z } = onFrame(pose, point);
      return [toPx(view, x), acrossPx(across, z)];
    }),
  );
}

/** The underside of a body's floor with the feet of its walls, and where it wants to sit. */
export const BodyOver = memoized(function BodyOver({ body, pose, view, across }: BodyOverProps) {
  const clip = `clip-${body.id}`;
  const top = acrossPx(across, pose.z + floorOf(body) + BODY_SHOWN);
  return (
    <g stroke="var(--color-ochre)" fill="none" strokeWidth={1.6}>
      <clipPath id={clip}>
        <rect x={-1e4} y={top} width={3e4} height={BODY_SHOWN * 2} />
      </clipPath>
      <path
        clipPath={`url(#${clip})`}
        d={`${profilePath(body.outline, { pose, view, across })}Z`}
        strokeDasharray="8 4"
      />
      {body.mounts
        .filter((mount) => mount.y < 0)
        .map((mount) => {
          const at = onFrame(pose, mount);
          const [x, y] = [toPx(view, at.x), acrossPx(across, at.z)];
          return <path key={mount.id} d={`M${x - 5} ${y}h10M${x} ${y}v-7`} />;
        })}
    </g>
  );
});

/** Where the name of the view ends, px: the body's stands beside it. */
const BESIDE_NAME = 124;

/** Its name, to be laid over everything that could cross it. */
export const BodyName = memoized(function BodyName({ body, pose, view, across }: BodyOverProps) {
  const front = Math.min(...body.outline.map(({ x }) => x));
  const at = onFrame(pose, { x: front, z: floorOf(body) });
  return (
    <text
      x={Math.max(BESIDE_NAME, toPx(view, at.x) + 40)}
      y={acrossPx(across, at.z) - 16}
      fontSize={13}
      fill="var(--color-ochre)"
      stroke="var(--color-paper)"
      strokeWidth={4}
      paintOrder="stroke"
      className="font-label"
      fontWeight={600}
    >
      {body.name}, floor
    </text>
  );
});
