import { bracketAlong, ruleValue } from '@splay/core';
import { profilePath } from '../../board/body-over.tsx';
import { acrossPx } from '../../board/strips.ts';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { inOrder, selectedMount, stateOf } from './selection.ts';

/** Under the steel: the sides of the bodies, quietly. */
export function MountsUnder({ result, showBefore, view, side }: PictureProps) {
  if (showBefore) return null;
  return (
    <g clipPath="url(#clip-side)" stroke="var(--color-ochre)" fill="none">
      {result.seats.map(({ body, pose }) => {
        const drawn = { pose, view, across: side.across };
        return (
          <g key={body.id}>
            {body.outline.length > 2 && <path d={`${profilePath(body.outline, drawn)}Z`} strokeWidth={1.2} />}
            {body.underside.length > 1 && <path d={profilePath(body.underside, drawn)} strokeWidth={2.4} />}
          </g>
        );
      })}
    </g>
  );
}

/** Over it: every bracket where it stands on the rails, the one at hand stronger. */
export function MountsOver(props: PictureProps) {
  const { result, job, view, side, plan, showBefore, onSelect, onLook } = props;
  const hand = selectedMount(result, props);
  if (showBefore) return null;
  const most = ruleValue(job.rules, 'mount/ratio');
  const px = (x: number) => toPx(view, x);
  const pz = (z: number) => acrossPx(side.across, z);
  return (
    <>
      {inOrder(result.mountings).map((outcome) => {
        const { seat, tag, rail, top, height, decided, mounting } = outcome;
        if (!rail || height === null) return null;
        const here = outcome === hand;
        const bad = stateOf(outcome, most) === 'bad';
        const ink = bad ? 'var(--color-oxide)' : 'var(--color-layout)';
        const half = Math.max(4, (bracketAlong(outcome) / 2) * view.scale);
        const x = px(seat.at.x);
        const arm = mounting.bracket.form === 'arm' || mounting.bracket.form === 'angle';
        const foot = arm ? rail.top - outcome.contact.height : top - height;
        const [y1, y2] = [acrossPx(plan.across, seat.at.y), acrossPx(plan.across, Math.sign(seat.at.y) * rail.outer)];
        return (
          <g
            key={seat.mount.id}
            className="pointer-events-auto cursor-pointer"
            data-pick={seat.mount.id}
            data-name={`${tag}, ${outcome.name}`}
            onClick={() => {
              onSelect(seat.mount.id);
              onLook(seat.at.x);
            }}
            fill={here ? 'var(--color-layout-wash)' : 'var(--color-sheet)'}
            stroke={ink}
            strokeWidth={here ? 2.4 : 1.4}
            strokeDasharray={decided ? undefined : '4 3'}
          >
            <rect
              className="touch-target"
              x={x - 24}
              y={y1 - 24}
              width={48}
              height={48}
              fill="transparent"
              stroke="none"
            />
            <title>{`${tag}, ${seat.mount.name}: ${outcome.name}`}</title>
            {outcome.side === 'left' && (
              <g clipPath="url(#clip-side)">
                <rect
                  x={x - half}
                  y={pz(Math.max(top, foot))}
                  width={2 * half}
                  height={Math.max(3, Math.abs(pz(foot) - pz(top)))}
                />
                <path d={`M${x} ${pz(top)}V${pz(seat.at.z)}`} stroke="var(--color-ochre)" strokeDasharray="none" />
              </g>
            )}
            <g clipPath="url(#clip-plan)">
              {arm && <path d={`M${x} ${y2}V${y1}`} strokeWidth={Math.max(3, half)} strokeOpacity={0.35} fill="none" />}
              <rect x={x - half} y={y1 - 6} width={2 * half} height={12} />
            </g>
          </g>
        );
      })}
    </>
  );
}
