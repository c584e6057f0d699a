import { type LengthFormat, operationName, type PlanResult } from '@splay/core';
import { useMemo } from 'react';
import { bodiesOn, BodyName, BodyOver } from '../../board/body-over.tsx';
import { Dimension } from '../../board/dimension.tsx';
import { WheelShape, wheelsOf } from '../../board/ground.tsx';
import { Rails } from '../../board/steel.tsx';
import { acrossPx } from '../../board/strips.ts';
import { SvgLength } from '../../board/svg-length.tsx';
import { toPx } from '../../board/view.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { memoized } from '../../ui/memoized.ts';
import { ConflictMarks } from './conflict-marks.tsx';
import { CutLines, CutTags } from './cut-tags.tsx';
import { chainOf, type ChainLink, DimensionChain } from './dimension-chain.tsx';
import { MovedThings, movedThings } from './moved-things.tsx';
import { ReworkMark } from './rework-mark.tsx';

/** The last wheel on the donor, when the plan moves it by more than can be drawn over. */
export function rearBefore(result: PlanResult, donor: PlanResult) {
  const { before, after } = result.measures;
  const of = ({ axles }: PlanResult) => axles.find(({ item, built }) => item.role === 'rear' && built);
  const [was, is] = [of(donor), of(result)];
  if (!was?.built || !is?.built || before.wheelbase === null || after.wheelbase === null) return null;
  if (Math.abs(was.built.x - is.built.x) <= 1) return null;
  const wheel = wheelsOf(donor).find(({ id }) => id === was.item.id);
  return wheel ? { wheel, wheelbase: before.wheelbase } : null;
}

/** The bodies, each where it sits on the frame that is shown. */
const bodiesOf = ({ result, showBefore }: PictureProps) => bodiesOn(result, showBefore ? 'donor' : 'built');

/** Both strips, each with what clips it. */
const stripsOf = ({ side, plan }: PictureProps) =>
  [
    { what: 'side', across: side.across, clip: 'url(#clip-side)' },
    { what: 'plan', across: plan.across, clip: 'url(#clip-plan)' },
  ] as const;

/** The donor steel that the plan takes out, where it stood. */
const goneOf = ({ removed }: PlanResult) =>
  removed
    .filter((piece) => piece.source === 'donor')
    .map((piece) => ({ ...piece, pose: { turn: 0, dx: 0, dz: 0 }, spread: 0 }));

/** Under the steel: the body's floor, the donor where it was, what is cut away. */
export function CutsUnder(props: PictureProps) {
  const { job, result, donor, showBefore, view, side, tape, section, selected } = props;
  const trims = useMemo(
    () => new Set(job.plan.operations.filter(({ kind }) => kind === 'trim').map(({ id }) => id)),
    [job.plan.operations],
  );
  const bodies = bodiesOf(props);
  const before = showBefore ? null : rearBefore(result, donor);
  const cutAway = showBefore ? [] : result.removed.filter(({ operation }) => trims.has(operation));
  return (
    <>
      <g clipPath="url(#clip-side)">
        {before && (
          <WheelShape
            wheel={before.wheel}
            view={view}
            across={side.across}
            stroke="var(--color-pencil)"
            strokeDasharray="1 4"
            strokeWidth={1.5}
          />
        )}
        {bodies.map((one) => (
          <BodyOver key={one.body.id} {...one} view={view} across={side.across} />
        ))}
      </g>
      {stripsOf(props).map(({ what, across, clip }) => (
        <g key={what} clipPath={clip}>
          {showBefore ? (
            <Rails pieces={result.pieces} ink="built ghost" {...{ what, view, across, section }} />
          ) : (
            result.pieces.length > 1 && (
              <Rails pieces={donor.pieces} ink="donor ghost" {...{ what, view, across, section }} />
            )
          )}
          <Rails pieces={cutAway} ink="cut away" {...{ what, view, across, section }} />
        </g>
      ))}
      {!showBefore && (
        <CutLines
          joints={result.joints}
          cutEnds={result.cutEnds}
          view={view}
          selected={selected}
          through={[...steelOf(props), [tape.top, tape.top + tape.height]]}
        />
      )}
    </>
  );
}

/** Where cut lines run through the steel of both strips, px: a little beyond it to each side. */
const steelOf = ({ side, plan }: PictureProps): readonly (readonly [number, number])[] => {
  const half = plan.foot - plan.across.zero;
  return [
    [side.top + 40, side.foot + 6],
    [plan.across.zero - half - 6, plan.across.zero + half + 6],
  ];
};

/** The picked cut's own dimension from the datum hole, unless the chain says the same. */
function datumToCut(
  datum: number,
  cut: { readonly letter: string; readonly builtX: number },
  links: readonly ChainLink[],
) {
  const [from, to] = [Math.min(datum, cut.builtX), Math.max(datum, cut.builtX)];
  const said = links.some((link) => Math.abs(link.from - from) < 0.5 && Math.abs(link.to - to) < 0.5);
  return said || to - from < 0.5 ? null : { from, to, mm: cut.builtX - datum, letter: cut.letter };
}

interface WasWheelbaseProps {
  /** px. */
  readonly x: number;
  readonly y: number;
  readonly mm: number;
  readonly format: LengthFormat;
}

/** The wheelbase before, over the wheel where it stood. */
const WasWheelbase = memoized(function WasWheelbase({ x, y, mm, format }: WasWheelbaseProps) {
  return (
    <text
      x={x}
      y={y}
      textAnchor="middle"
      fontSize={13}
      fill="var(--color-pencil)"
      className="font-label"
      fontWeight={600}
    >
      was <SvgLength mm={mm} format={format} />
    </text>
  );
});

/** Over the steel: lettered tags, what moved and what goes, conflicts, and the chain of dimensions through the cuts. */
export function CutsOver(props: PictureProps) {
  const { job, result, donor, showBefore, view, side, plan, tape, datum, section, selected } = props;
  const names = useMemo(
    () => new Map(job.plan.operations.map((operation) => [operation.id, operationName(operation)])),
    [job.plan.operations],
  );
  const bodies = bodiesOf(props);
  if (showBefore)
    return (
      <>
        {stripsOf(props).map(({ what, across, clip }) => (
          <g key={what} clipPath={clip}>
            <Rails pieces={goneOf(result)} ink="cut away" {...{ what, view, across, section }} />
          </g>
        ))}
      </>
    );
  const px = (x: number) => toPx(view, x);
  const before = rearBefore(result, donor);
  const cuts = [...result.joints, ...result.cutEnds];
  const chosen = cuts.find((cut) => cut.operation === selected);
  const added = result.tape.spans.flatMap(({ kind, builtFrom, builtTo }) =>
    kind === 'new' ? [[builtFrom, builtTo] as const] : [],
  );
  const links = chainOf(
    datum,
    cuts.map(({ builtX }) => builtX),
    added,
  );
  const fromDatum = chosen ? datumToCut(datum, chosen, links) : null;
  const laneY = side.top + side.height - 37;
  return (
    <>
      <g clipPath="url(#clip-side)">
        {before && <WasWheelbase x={px(before.wheel.x)} y={side.top + 16} mm={before.wheelbase} format={job.display} />}
        {result.reworks.map((rework) => (
          <ReworkMark key={rework.operation.id} {...{ rework, result, view, section }} across={side.across} />
        ))}
        {bodies.map((one) => (
          <BodyName key={one.body.id} {...one} view={view} across={side.across} />
        ))}
        <MovedThings {...movedThings(result, selected)} view={view} across={side.across} />
        {fromDatum ? (
          <Dimension
            from={px(fromDatum.from)}
            to={px(fromDatum.to)}
            y={laneY}
            mm={fromDatum.mm}
            format={job.display}
            before={fromDatum.letter}
            strong
            className="text-layout"
          />
        ) : (
          cuts.length > 0 && <DimensionChain links={links} view={view} y={laneY} format={job.display} />
        )}
      </g>
      <CutTags
        joints={result.joints}
        cutEnds={result.cutEnds}
        view={view}
        selected={selected}
        steel={steelOf(props)}
        operations={result.operations}
        tapeY={tape.top}
        tagY={plan.top + 8}
        datum={datum}
        format={job.display}
        describe={(id) => names.get(id) ?? id}
        onSelect={props.onSelect}
        onDragStart={(operation, event) =>
          props.startDrag(
            event,
            (moved) => props.onDragCut(operation, moved / view.scale),
            (moved) => moved && props.onDropCut(),
          )
        }
        onKey={props.onNudgeCut}
      />
      <ConflictMarks
        store={props.store}
        whole={props.whole}
        view={view}
        y={acrossPx(side.across, 0) - 26}
        onPick={props.onPickConflict}
      />
    </>
  );
}
