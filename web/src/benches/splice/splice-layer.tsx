import { layLabels, ratioText, ruleValue, type SpliceOutcome } from '@splay/core';
import { TagLetter } from '../../board/tag-letter.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { pickJoint, useSelection } from './selection.ts';

/** The joints on both strips: how far each is covered by its weld and its parts, its letter and what it carries. */
export function SpliceOver(props: PictureProps) {
  const { store, job, result, view, side, plan, tape } = props;
  const hand = useSelection(props);
  const asked = ruleValue(job.rules, 'splice/ratio');
  const half = plan.foot - plan.across.zero + 5;
  const tagWidth = ({ joint, worst }: SpliceOutcome) =>
    20 + (joint.of === 'rails' ? joint.letter.length * 9 : 0) + (worst.strength ? 26 : 8);
  const tags = layLabels(
    result.splices.map((outcome) => ({ middle: toPx(view, outcome.joint.builtX), width: tagWidth(outcome) })),
    2,
    4,
  );
  return (
    <g>
      {result.splices.map((outcome, index) => {
        const { joint, rails, worst, decided } = outcome;
        const x = toPx(view, joint.builtX);
        const [from, to] = [
          toPx(view, joint.builtX + Math.min(...rails.map(({ reach }) => reach.all[0]))),
          toPx(view, joint.builtX + Math.max(...rails.map(({ reach }) => reach.all[1]))),
        ];
        const here = outcome === hand?.outcome;
        const ratio = worst.strength?.ratio ?? 0;
        const good = decided !== null && ratio >= asked - 1e-6;
        const ink = good ? 'var(--color-layout)' : 'var(--color-oxide)';
        const said = worst.strength ? ratioText(ratio) : '–';
        const letter = joint.of === 'rails' ? joint.letter : '';
        const width = tagWidth(outcome);
        const tag = tags[index] ?? { x, lane: 0 };
        const tagY = side.top + 22 + tag.lane * 23;
        return (
          <g
            key={joint.id}
            className="pointer-events-auto cursor-pointer"
            data-pick={joint.id}
            data-name={`Joint ${joint.letter}, ${said} of the bare rail`}
            onClick={() => pickJoint(store, joint.id)}
          >
            <title>{`Joint ${joint.letter}: ${said} of the bare rail${decided ? '' : ', not decided'}`}</title>
            <rect
              x={from}
              y={side.across.zero - 8}
              width={Math.max(2, to - from)}
              height={side.foot - side.across.zero + 14}
              fill="var(--color-layout)"
              fillOpacity={here ? 0.3 : 0.16}
              stroke="var(--color-layout)"
              strokeDasharray={decided ? undefined : '4 3'}
            />
            <rect className="touch-target" x={x - 24} y={side.top + 20} width={48} height={48} fill="transparent" />
            <path
              d={`M${tag.x} ${tagY + 20}L${x} ${tagY + 26}V${side.foot + 8}M${x} ${tape.top}V${tape.top + tape.height}M${x} ${plan.across.zero - half}V${plan.across.zero + half}`}
              stroke={ink}
              strokeWidth={here ? 2.6 : 1.5}
              fill="none"
            />
            <rect
              x={tag.x - width / 2}
              y={tagY}
              width={width}
              height={20}
              fill={decided ? ink : 'var(--color-sheet)'}
              stroke={ink}
            />
            <TagLetter x={tag.x} y={tagY + 10} fill={decided ? 'var(--color-sheet)' : ink}>
              {letter} {said}
            </TagLetter>
          </g>
        );
      })}
    </g>
  );
}
