import { acrossPx } from '../../board/strips.ts';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { INKS, selectedLine, lookOf, readLines } from './lines.ts';
import { useStage } from './stage-choice.tsx';

/** The measurement at hand across the plan view: both hook points circled, and the joints that it spans. */
export function TrueUpOver(props: PictureProps) {
  const { result, view, plan, side, selected, showBefore } = props;
  const stage = useStage(props);
  const line = selectedLine(readLines(props, stage), selected);
  const px = (x: number) => toPx(view, x);
  return (
    <g>
      {!showBefore &&
        [...result.joints].map(({ letter, builtX }) => (
          <g key={letter} stroke="var(--color-pencil)" strokeWidth={1} strokeDasharray="3 3">
            <path
              d={`M${px(builtX)} ${side.across.zero - 8}V${side.foot + 6}M${px(builtX)} ${plan.across.zero - 8}V${plan.across.zero + 8}`}
            />
          </g>
        ))}
      {line?.ends && (
        <g stroke={INKS[lookOf(line)]} fill="none" clipPath="url(#clip-plan)">
          <path
            d={line.ends.map(({ x, y }, at) => `${at ? 'L' : 'M'}${px(x)} ${acrossPx(plan.across, y)}`).join('')}
            strokeWidth={2}
            strokeDasharray={line.judged ? undefined : '6 3'}
          />
          {line.ends.map(({ x, y }, at) => (
            <circle key={at} cx={px(x)} cy={acrossPx(plan.across, y)} r={7} strokeWidth={2} />
          ))}
        </g>
      )}
    </g>
  );
}
