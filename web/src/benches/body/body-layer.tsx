import { onFrame } from '@splay/core';
import { bodiesOn, BodyName, BodyOver } from '../../board/body-over.tsx';
import { acrossPx } from '../../board/strips.ts';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';

/** Under the steel of the donor: the bodies where they would sit on it. */
export function BodyUnder({ result, view, side }: PictureProps) {
  return (
    <g clipPath="url(#clip-side)">
      {bodiesOn(result, 'donor').map((one) => (
        <BodyOver key={one.body.id} {...one} view={view} across={side.across} />
      ))}
    </g>
  );
}

/** Over it: their names, and every mount in the plan. */
export function BodyMarks({ result, view, side, plan, selected }: PictureProps) {
  return (
    <>
      <g clipPath="url(#clip-side)">
        {bodiesOn(result, 'donor').map((one) => (
          <BodyName key={one.body.id} {...one} view={view} across={side.across} />
        ))}
      </g>
      <g clipPath="url(#clip-plan)" fill="var(--color-sheet)" strokeWidth={1.6}>
        {result.seats.flatMap(({ body, onDonor }) =>
          body.mounts.map((mount) => {
            const at = onFrame(onDonor, mount);
            return (
              <rect
                key={mount.id}
                x={toPx(view, at.x) - 4}
                y={acrossPx(plan.across, at.y) - 4}
                width={8}
                height={8}
                stroke={mount.id === selected ? 'var(--color-layout)' : 'var(--color-ochre)'}
              />
            );
          }),
        )}
      </g>
    </>
  );
}
