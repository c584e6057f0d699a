import { type FigureId, sectionLookup, tallOf } from '@splay/core';
import { type ReactNode, useEffect, useMemo, useRef } from 'react';
import type { BenchParts, PinnedLayer } from '../client/bench.ts';
import type { BenchProps } from '../client/bench-props.ts';
import { type Look, type ShownMeasurement, useJobState } from '../client/job-store.ts';
import { lazyComponent, PlaceOfLazy } from '../client/lazy-component.tsx';
import type { PictureProps } from '../client/picture-props.ts';
import { Clips } from './clips.tsx';
import { FeatureLayer } from './feature-layer.tsx';
import { crossmembersOf } from './crossmember-marks.tsx';
import { Ground, wheelsOf } from './ground.tsx';
import { MeasurementLine } from './measurement-line.tsx';
import { MemberLines } from './member-lines.tsx';
import { RoomBoxes } from './room-boxes.tsx';
import { Sheet } from './sheet.tsx';
import { SplitBar, useSplit } from './split-bar.tsx';
import { SteelStrips } from './steel-strips.tsx';
import { planNote, acrossPx, mostScale, planStrip, sideStrip, stripHeights, TAPE_HEIGHT } from './strips.ts';
import { TapeStrip } from './tape.tsx';
import { TrayBar } from './tray-bar.tsx';
import { useBoardKeys } from './use-board-keys.ts';
import { useDrag } from './use-drag.ts';
import { useHeld } from './use-held.ts';
import { useSize } from './use-size.ts';
import { ViewNames } from './view-names.tsx';
import { type Reach, reachOf, toPx, useView } from './view.ts';

const ThreadLine = lazyComponent(() => import('./thread-line.tsx').then((file) => file.ThreadLine));

export interface BoardProps {
  /** The bench as it is while something is dragged: up with the hand. */
  readonly bench: BenchProps;
  readonly actions: Pick<PictureProps, 'onDragCut' | 'onDropCut' | 'onNudgeCut'>;
  readonly parts: BenchParts;
  readonly title: string;
  /** Which frame the strips show. */
  readonly shows: 'donor' | 'built';
  readonly showBefore: boolean;
  readonly measurement: ShownMeasurement | null;
  /** What to bring into sight; a new object each time it is asked for. */
  readonly look: Look | null;
  /** The figure whose thread is pulled; null for none. */
  readonly thread: FigureId | null;
  /** The layers of other benches that stay in sight, and whether this bench's own does on others. */
  readonly pinned: readonly PinnedLayer[];
  readonly kept: boolean;
  readonly onPin: (bench: string, keep: boolean) => void;
  /** What slides over the tray, and its name; null for the tray's own picture. */
  readonly drawer: { readonly id: string; readonly content: ReactNode } | null;
  readonly onDrawer: (drawer: string | null) => void;
  /** Says which built station is in the middle of what is shown, mm. */
  readonly onCenter: (builtX: number) => void;
}

/** The least height that the picture in the tray is drawn in, px. */
const LEAST_PICTURE = 170;

/** Frames that are drawn in the same scale while a cut is dragged: it changes by whole feet of frame. */
const FOOT = 304.8;

/**
 * The drawing that every bench works on: side view, tape and plan view in register, with the bench's own layer over
 * them, and along the foot the tray with the bench's own picture.
 */
export function Board({
  bench,
  actions,
  parts,
  title,
  shows,
  showBefore,
  measurement,
  look,
  thread,
  pinned,
  kept,
  onPin,
  drawer,
  onDrawer,
  onCenter,
}: BoardProps) {
  const { job, result, donor, selected, onSelect, store } = bench;
  const column = useRef<HTMLDivElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const trayBox = useRef<HTMLDivElement>(null);
  const [columnSize, tray] = [useSize(column), useSize(trayBox)];
  const [split, setSplit] = useSplit();
  const heights = stripHeights(columnSize.height, split, parts.trayRepeats);
  const { width } = columnSize;

  const dragging = useJobState(store, ({ preview }) => preview !== null);
  const laidBy = useHeld(donor, dragging);
  const donorReach = useMemo(() => reachOf(laidBy), [laidBy]);
  const builtReach = shows === 'donor' ? donorReach : reachOf(result);
  const reach: Reach = [
    Math.floor(Math.min(donorReach[0], builtReach[0]) / FOOT) * FOOT,
    Math.ceil(Math.max(donorReach[1], builtReach[1]) / FOOT) * FOOT,
  ];
  const tall = useMemo(() => tallOf(laidBy), [laidBy]);
  const most = mostScale(tall, heights.side);
  const { view, zoom, pan, center, fit, zoomed } = useView(box, width, reach, most);
  const startDrag = useDrag();
  const looked = useRef<Look | null>(null);
  const { keys, said } = useBoardKeys({ zoom, pan, fit, onSelect });

  useEffect(() => {
    if (look && look !== looked.current) center(look.builtX);
    looked.current = look;
  }, [look, center]);
  const { from, scale } = view;
  useEffect(() => {
    if (width > 0) onCenter(from + width / 2 / scale);
  }, [from, scale, width, onCenter]);

  const format = job.display;
  const section = useMemo(() => sectionLookup(job.donor), [job.donor]);
  // A picture lower than this is no picture: the tray is scrolled instead.
  const trayPicture = useMemo(() => ({ ...tray, height: Math.max(tray.height, LEAST_PICTURE) }), [tray]);
  const onDonor = shows === 'donor' || showBefore;
  const shown = onDonor ? donor : result;
  const datum = onDonor ? donor.datum.donor : result.datum.built;
  const tapeTop = heights.side;
  const planTop = tapeTop + TAPE_HEIGHT;
  // Laid out from the donor alone, so that both stay while the plan is changed under the hand.
  const side = useMemo(() => sideStrip(0, heights.side, view, laidBy, section), [heights.side, view, laidBy, section]);
  const plan = useMemo(
    () => planStrip(planTop, heights.plan, view, laidBy, section),
    [planTop, heights.plan, view, laidBy, section],
  );
  const picture: PictureProps = {
    ...bench,
    ...actions,
    shown,
    showBefore,
    datum,
    view,
    side,
    tape: { top: tapeTop, height: TAPE_HEIGHT },
    plan,
    tray: trayPicture,
    section,
    look,
    startDrag,
  };
  const { Under, Over, Tray } = parts;
  const pointed = look?.about ?? null;
  const chosen = (id: string) => selected === id || pointed === id;
  const ends = measurement && (onDonor ? measurement.ends.donor : measurement.ends.built);
  const { wheelbase } = onDonor ? donor.measures.before : result.measures.after;
  const members = { shown, view, section, selected, onSelect };
  const size = { width, height: heights.all };
  const drawn = width > 0 && columnSize.height > 0;

  return (
    <div ref={column} className="flex min-h-0 min-w-0 flex-1 flex-col">
      <div
        ref={box}
        className="pane shrink-0 touch-none overflow-hidden"
        style={{ height: heights.all }}
        role="group"
        aria-label="Drawing of the frame. Arrow keys go along the tape, Enter picks, plus and minus zoom. Table shows the same in tables."
        {...keys}
      >
        <p className="sr-only" aria-live="polite">
          {said}
        </p>
        {drawn && (
          <>
            <Sheet {...size} lowest>
              <Clips width={width} side={heights.side} planTop={planTop} plan={heights.plan} />
              <Ground
                view={view}
                side={side}
                plan={plan}
                datum={datum}
                format={format}
                wheels={wheelsOf(shown)}
                wheelbase={wheelbase}
                crossmembers={crossmembersOf(shown, section, chosen)}
                onSelect={onSelect}
              />
            </Sheet>
            {pinned.map(({ bench: id, parts: { Under: Low, Over: High } }) => (
              // To be looked at only: it is worked on at its own bench.
              <div key={id} inert className="absolute inset-0 opacity-60" data-pinned={id}>
                <Sheet {...size}>
                  {Low && <Low {...picture} />}
                  {High && <High {...picture} />}
                </Sheet>
              </div>
            ))}
            <Sheet {...size}>
              {Under && <Under {...picture} />}
              <g clipPath="url(#clip-side)">
                <RoomBoxes {...members} what="side" across={side.across} />
                <MemberLines {...members} what="side" across={side.across} />
              </g>
              <g clipPath="url(#clip-plan)">
                <RoomBoxes {...members} what="plan" across={plan.across} />
                <MemberLines {...members} what="plan" across={plan.across} />
              </g>
              <SteelStrips {...{ shown, view, side, plan, section }} />
              <TapeStrip {...{ view, format }} tape={shown.tape} zero={shown.datum} y={tapeTop} alone={onDonor} />
              {look && <LookedAt x={toPx(view, look.builtX)} y={tapeTop} />}
            </Sheet>
            <Sheet {...size}>
              <FeatureLayer
                shown={shown}
                view={view}
                side={side.across}
                plan={plan.across}
                datum={datum}
                format={format}
                selected={selected}
                pointed={pointed}
                onSelect={onSelect}
              />
            </Sheet>
            <Sheet {...size}>
              {Over && <Over {...picture} />}
              <ViewNames
                side="Side · left rail"
                sideY={16}
                plan="Plan · left on top"
                planY={heights.all - 6}
                smaller={side.across.scale < view.scale * 0.97}
                note={planNote(plan.across, view.scale)}
              />
              {measurement && ends && (
                <g clipPath="url(#clip-plan)">
                  <MeasurementLine
                    measurement={measurement}
                    ends={ends}
                    px={(x) => toPx(view, x)}
                    py={(y) => acrossPx(plan.across, y)}
                    format={format}
                  />
                </g>
              )}
              {thread && (
                <PlaceOfLazy value={null}>
                  <ThreadLine figure={thread} bench={bench} view={view} top={16} bottom={heights.all - 8} />
                </PlaceOfLazy>
              )}
            </Sheet>
          </>
        )}
      </div>
      <div className="relative">
        {drawn && <SplitBar column={columnSize.height} strips={heights.all} startDrag={startDrag} onSplit={setSplit} />}
        <TrayBar
          title={parts.trayTitle?.(bench) ?? title}
          drawers={parts.drawers}
          legend={parts.legend}
          bench={store.getState().bench}
          pinned={pinned}
          kept={kept}
          onPin={onPin}
          open={drawer?.id ?? null}
          zoomed={zoomed}
          onDrawer={onDrawer}
          onZoom={zoom}
          onFit={fit}
        />
      </div>
      <div
        ref={trayBox}
        className={`pane min-h-0 flex-1 ${tray.height < LEAST_PICTURE && !drawer ? 'overflow-x-hidden overflow-y-auto' : 'overflow-hidden'}`}
        data-tray={store.getState().bench}
      >
        {drawn && tray.height > 0 && <Tray {...picture} />}
        {drawer && (
          <section
            aria-label={parts.drawers[drawer.id]?.name ?? 'Table'}
            className="absolute inset-0 overflow-auto bg-sheet px-4 py-3"
            tabIndex={0}
          >
            {drawer.content}
          </section>
        )}
      </div>
    </div>
  );
}

/** Points at a place on the tape. */
function LookedAt({ x, y }: { readonly x: number; readonly y: number }) {
  return <path d={`M${x - 8} ${y - 13}h16l-8 12Z`} fill="var(--color-layout)" aria-hidden="true" />;
}
