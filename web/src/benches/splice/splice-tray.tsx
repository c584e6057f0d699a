import { nudgeOf, ratioText, type RailSplice, type SpliceStrength } from '@splay/core';
import { useMemo, useState } from 'react';
import { useHeld } from '../../board/use-held.ts';
import { change, preview, useJobState } from '../../client/job-store.ts';
import type { PictureProps } from '../../client/picture-props.ts';
import { Curve } from '../../ui/chart.tsx';
import { sliderRole } from '../../ui/slider-role.ts';
import { nudgeStep } from '../../ui/length-field.tsx';
import { useCatchUp } from '../../ui/use-catch-up.ts';
import { type Selection, jobWith, railName, useSelection } from './selection.ts';
import { LocalTape, TAPE } from './local-tape.tsx';
import { Opened } from './opened.tsx';
import { SectionAt } from './section-at.tsx';
import { StrengthTable } from './strength-table.tsx';
import { Unfolded } from './unfolded.tsx';
import { unfold } from './unfolding.ts';

/** While a part is dragged the chart is drawn so often, ms. */
const CHARTED_MS = 200;
/** Width of the section at the blade, px. */
const SECTION = 236;
/** Steel that is drawn beyond the last part, mm. */
const AROUND = 90;

/** The joint at hand: the rail unfolded over its tape, what it carries along it, and the section at the blade. */
export function SpliceTray(props: PictureProps) {
  const hand = useSelection(props);
  if (!hand)
    return (
      <p className="flex h-full items-center justify-center px-8 text-center text-pencil">
        There is no joint yet. What you cut and join is unfolded here.
      </p>
    );
  return <AtJoint {...props} hand={hand} />;
}

/** Holes in the web near the joint, from it, mm. */
function holesNear({ result }: PictureProps, { outcome, one }: Selection, reach: number) {
  if (outcome.joint.of === 'member') return [];
  const side = one.rail === 'right' ? 'right' : 'left';
  return result.features.flatMap(({ feature, places }) => {
    const built = places[side]?.built;
    if (!built || (feature.face !== 'web-outside' && feature.face !== 'web-inside')) return [];
    const x = built.x - outcome.joint.builtX;
    if (Math.abs(x) > reach) return [];
    return [{ name: feature.name, x, z: one.steel.section.depth - feature.down, diameter: feature.diameter }];
  });
}

/** The strength along a joint as it is charted: from the bare rail to the bare rail, and what lies at its foot and top. */
function chartOf(curve: SpliceStrength['curve']) {
  const ratios = curve.length > 0 ? curve.map(({ ratio }) => ratio) : [1];
  const [first, last] = [curve[0], curve.at(-1)];
  const bare = (x: number) => ({ x, y: 1 });
  const points =
    first && last
      ? [
          bare(-1e5),
          bare(first.x - 1e-3),
          ...curve.map(({ x, ratio }) => ({ x, y: ratio })),
          bare(last.x + 1e-3),
          bare(1e5),
        ]
      : [];
  return {
    curve,
    points,
    low: Math.min(0.5, ...ratios) - 0.08,
    high: Math.min(2.2, Math.max(1.25, ...ratios)) + 0.08,
  };
}

function AtJoint({ hand, ...props }: PictureProps & { readonly hand: Selection }) {
  const { store, job, tray, canWrite, startDrag, datum } = props;
  const { outcome, one } = hand;
  const { joint } = outcome;
  const kept = useJobState(store, (state) => state.blade);
  const wide = tray.width > 620;
  const width = wide ? tray.width - SECTION : tray.width;
  // A bare joint is drawn with as much rail about it as the rail is deep. The scale is held while a hand drags.
  const dragging = useJobState(store, ({ preview: moved }) => moved !== null);
  const reach = useHeld(Math.max(-one.reach.all[0], one.reach.all[1], one.steel.section.depth) + AROUND, dragging);
  const scale = width / (2 * reach);
  const curveHeight = Math.max(60, Math.round(tray.height * 0.3));
  const flatHeight = tray.height - curveHeight - TAPE;
  const px = (mm: number) => (mm + reach) * scale;
  const to = unfold(one.steel.section, px, 22, flatHeight - 30);
  const { strength } = one;
  const fallback = strength?.weakest[0] ?? 0;
  const blade = kept !== null && Math.abs(kept - joint.builtX) < reach ? kept - joint.builtX : fallback;
  const now = useMemo(() => chartOf(strength?.curve ?? []), [strength]);
  // A chart costs more than all the rest of the picture: it comes a moment behind the hand.
  const { curve, points, low, high } = useCatchUp(now, dragging, CHARTED_MS);
  const py = (ratio: number) => ((high - ratio) / (high - low)) * curveHeight;
  const onDrag = (make: (mm: number) => RailSplice) => {
    const step = nudgeOf(job.display);
    const made = (mm: number) => jobWith(store.getState().job, hand, make(Math.round(mm / step) * step));
    return {
      move: (mm: number) => preview(store, () => made(mm)),
      end: (moved: boolean) => {
        const now = store.getState().preview;
        if (moved && now) change(store, 'Dragged a part of a joint', () => now);
      },
    };
  };
  const setBlade = (clientX: number, box: DOMRect) =>
    store.setState({ blade: joint.builtX + (clientX - box.left) / scale - reach });
  const holes = holesNear(props, hand, reach);
  const [opened, setOpened] = useState(false);
  const toggle = (
    <div role="group" aria-label="Joint drawn" className="absolute top-0.5 right-1 flex border border-graphite">
      {(['assembled', 'opened'] as const).map((how) => (
        <button
          key={how}
          type="button"
          aria-pressed={opened === (how === 'opened')}
          className={`min-h-5 px-2 text-xs pointer-coarse:min-h-[48px] pointer-coarse:px-3 ${opened === (how === 'opened') ? 'bg-graphite text-paper' : 'bg-sheet'}`}
          onClick={() => setOpened(how === 'opened')}
        >
          {how}
        </button>
      ))}
    </div>
  );
  if (opened) {
    // Each end is drawn away by as much as lies over it: then all of that is seen.
    const over = Math.max(-one.reach.all[0], one.reach.all[1]) + 20;
    const far = over * 2 + AROUND;
    const small = tray.width / (2 * far);
    return (
      <div className="relative h-full">
        <svg width={tray.width} height={tray.height} role="img" aria-label={`Joint ${joint.letter} opened`}>
          <text x={10} y={15} className="label" fontSize={12} fill="var(--color-pencil)">
            {joint.letter}, {railName(one.rail)}, opened
          </text>
          <Opened
            hand={hand}
            to={unfold(one.steel.section, (mm) => (mm + far) * small, 28, tray.height - 56)}
            width={tray.width}
            away={over * small}
          />
        </svg>
        {toggle}
      </div>
    );
  }
  const weakest = strength?.weakest[0];
  return (
    <div className="flex h-full">
      <div className="relative shrink-0" style={{ width, height: tray.height }}>
        <div className="absolute left-0" style={{ top: flatHeight + TAPE }}>
          <Curve
            width={Math.floor(width)}
            height={curveHeight}
            label={`What joint ${joint.letter} carries of the bare rail, along the rail`}
            x={[-reach, reach]}
            y={[low, high]}
            points={points}
            against={1}
          />
        </div>
        <svg
          width={width}
          height={tray.height}
          className="absolute inset-0 touch-none"
          role="group"
          aria-label={`Joint ${joint.letter} unfolded, ${railName(one.rail)}`}
          onPointerDown={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            setBlade(event.clientX, box);
            startDrag(
              event,
              (moved) => setBlade(event.clientX + moved, box),
              () => undefined,
            );
          }}
        >
          <text x={10} y={15} className="label" fontSize={12} fill="var(--color-pencil)">
            {joint.letter}, {railName(one.rail)}, from outside · front to the left
          </text>
          <Unfolded
            {...{ hand, to, canWrite, startDrag, scale, onDrag, holes }}
            format={job.display}
            from={0}
            width={width}
          />
          {['top flange', 'web', 'bottom flange'].map((name, index) => (
            <text
              key={name}
              x={8}
              y={((to.edges[index] ?? 0) + (to.edges[index + 1] ?? 0)) / 2}
              dy="0.34em"
              fontSize={12}
              className="font-label"
              fill="var(--color-pencil)"
              stroke="var(--color-steel)"
              strokeWidth={3}
              paintOrder="stroke"
            >
              {name}
            </text>
          ))}
          <LocalTape {...{ scale, reach, y: flatHeight, width }} format={job.display} at={joint.builtX - datum} />
          <text x={8} y={flatHeight + TAPE + 14} className="label" fontSize={12} fill="var(--color-pencil)">
            Strength over rail
          </text>
          <text
            x={width - 6}
            y={flatHeight + TAPE + py(1) - 4}
            textAnchor="end"
            fontSize={12}
            className="font-label"
            fill="var(--color-pencil)"
          >
            bare rail 1.00
          </text>
          {weakest !== undefined && strength && (
            <g>
              <circle
                cx={px(weakest)}
                cy={flatHeight + TAPE + py(strength.ratio)}
                r={4.5}
                fill="var(--color-oxide)"
                stroke="var(--color-sheet)"
                strokeWidth={1.5}
              />
              <text
                x={px(weakest) + 9}
                y={flatHeight + TAPE + py(strength.ratio)}
                dy="0.34em"
                fontSize={17}
                fontWeight={600}
                className="heading"
                fill="var(--color-oxide)"
                stroke="var(--color-sheet)"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {ratioText(strength.ratio)}
              </text>
            </g>
          )}
          <g
            data-handle="splice-blade"
            className="pointer-events-auto cursor-ew-resize"
            {...sliderRole('Blade: where the section is shown, from the joint', blade, job.display)}
            onKeyDown={(event) => {
              const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
              if (way === 0) return;
              event.preventDefault();
              store.setState({ blade: joint.builtX + blade + way * nudgeStep(event, job.display) });
            }}
          >
            <title>The cursor: the section shown</title>
            <rect className="touch-target" x={px(blade) - 24} y={18} width={48} height={48} fill="transparent" />
            <path d={`M${px(blade)} 18V${tray.height}`} stroke="transparent" strokeWidth={16} />
            <path d={`M${px(blade)} 18V${tray.height}`} stroke="var(--color-graphite)" strokeWidth={1.2} />
            <path className="focus-ring" d={`M${px(blade) - 6} 18h12l-6 9z`} fill="var(--color-graphite)" />
          </g>
        </svg>
        {toggle}
        <StrengthTable letter={joint.letter} curve={curve} format={job.display} />
      </div>
      {wide && (
        <div className="shrink-0 border-l border-rule bg-sheet" style={{ width: SECTION }}>
          <SectionAt hand={hand} x={blade} job={job} width={SECTION - 1} height={tray.height} />
        </div>
      )}
    </div>
  );
}
