import { type Conflict, type Job, operationName, type PlanResult, sectionLookup } from '@splay/core';
import type { Look, ShownMeasurement } from '../client/job-store.ts';
import { type KeyboardEvent, memo, useEffect, useMemo, useRef, useState } from 'react';
import { BoardTable } from './board-table.tsx';
import { BodyName } from './body-over.tsx';
import { ConflictMarks } from './conflict-marks.tsx';
import { CutLines, CutTags } from './cut-tags.tsx';
import { FeatureLayer } from './feature-layer.tsx';
import { Ground, membersOf, rearBefore, wheelsOf } from './ground.tsx';
import { Legend } from './legend.tsx';
import { MeasurementLine } from './measurement-line.tsx';
import { MemberLines } from './member-lines.tsx';
import { MovedThings, movedThings } from './moved-things.tsx';
import { PlanView, planZero } from './plan-view.tsx';
import { Sheet } from './sheet.tsx';
import { SideView, sideZero } from './side-view.tsx';
import { type Across, acrossPx } from './steel.tsx';
import { TAPE_HEIGHT, TapeStrip } from './tape.tsx';
import { useDrag } from './use-drag.ts';
import { ZoomButtons } from './zoom-buttons.tsx';
import { type Reach, reachOf, tallOf, toPx, useView } from './view.ts';

/** Room that the side view keeps over the frame and under its wheels, px. */
const WHEEL_ROOM = 16;

export interface BoardProps {
  readonly job: Job;
  readonly result: PlanResult;
  /** The donor alone, evaluated. */
  readonly donor: PlanResult;
  readonly showBefore: boolean;
  readonly selected: string | null;
  readonly measurement: ShownMeasurement | null;
  /** What to bring into sight; a new object each time it is asked for. */
  readonly look: Look | null;
  readonly onSelect: (id: string) => void;
  readonly onPickConflict: (conflict: Conflict) => void;
  /** Shows a cut moved by mm from where it was when the drag began. */
  readonly onDragCut: (operation: string, mm: number) => void;
  /** Makes the move that was shown last. */
  readonly onDropCut: (operation: string) => void;
  readonly onNudgeCut: (operation: string, event: KeyboardEvent) => void;
  /** Says which built station is in the middle of what is shown, mm. */
  readonly onCentre: (builtX: number) => void;
}

/** The drawing that every bench shares: side view, tape and plan view in register. */
export const Board = memo(function Board({
  job,
  result,
  donor,
  showBefore,
  selected,
  measurement,
  look,
  onSelect,
  onPickConflict,
  onDragCut,
  onDropCut,
  onNudgeCut,
  onCentre,
}: BoardProps) {
  const donorReach = useMemo(() => reachOf(donor), [donor]);
  const builtReach = reachOf(result);
  // The scale holds still while a cut is dragged; it changes by whole feet of frame, not by every sixteenth.
  const foot = 304.8;
  const reach: Reach = [
    Math.floor(Math.min(donorReach[0], builtReach[0]) / foot) * foot,
    Math.ceil(Math.max(donorReach[1], builtReach[1]) / foot) * foot,
  ];
  const [height, setHeight] = useState(0);
  const sideHeight = Math.max(150, Math.round((height - TAPE_HEIGHT) * 0.52));
  const most = useMemo(() => {
    const { over, under } = tallOf(donor);
    const ground = sideZero(0, sideHeight);
    return Math.min((sideHeight - ground - WHEEL_ROOM) / under, (ground - WHEEL_ROOM) / Math.max(1, over));
  }, [donor, sideHeight]);
  const { box, view, zoom, pan, centre, fit, zoomed } = useView(reach, most);
  const [legend, setLegend] = useState(false);
  const [table, setTable] = useState(false);
  const startDrag = useDrag();
  const looked = useRef<Look | null>(null);

  useEffect(() => {
    if (look && look !== looked.current) centre(look.builtX);
    looked.current = look;
  }, [look, centre]);

  useEffect(() => {
    const element = box.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => setHeight(Math.round(entry?.contentRect.height ?? 0)));
    observer.observe(element);
    const wheel = (event: WheelEvent) => {
      event.preventDefault();
      if (event.ctrlKey || event.metaKey || Math.abs(event.deltaY) > Math.abs(event.deltaX))
        zoom(Math.exp(-event.deltaY * 0.0015), event.clientX - element.getBoundingClientRect().left);
      else pan(event.deltaX);
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => {
      observer.disconnect();
      element.removeEventListener('wheel', wheel);
    };
  }, [box, zoom, pan]);

  const { from, scale, width } = view;
  useEffect(() => {
    if (width > 0) onCentre(from + width / 2 / scale);
  }, [from, scale, width, onCentre]);

  const section = useMemo(() => sectionLookup(job.donor), [job.donor]);
  const names = useMemo(
    () => new Map(job.plan.operations.map((operation) => [operation.id, operationName(operation)])),
    [job.plan.operations],
  );
  const trims = useMemo(
    () =>
      new Set(job.plan.operations.filter((operation) => operation.kind === 'trim').map((operation) => operation.id)),
    [job.plan.operations],
  );
  const shown = showBefore ? donor : result;
  const datum = showBefore ? result.datum.donor : result.datum.built;

  const tapeY = sideHeight;
  const planTop = tapeY + TAPE_HEIGHT;
  const planHeight = Math.max(100, height - planTop);
  const side: Across = { zero: sideZero(0, sideHeight), sign: -1 };
  const plan: Across = { zero: planZero(planTop, planHeight), sign: 1 };
  const ends = measurement && (showBefore ? measurement.ends.donor : measurement.ends.built);
  const pointed = look?.about ?? null;
  const chosen = (id: string) => selected === id || pointed === id;
  const seat = showBefore ? result.seat.before : result.seat.after;
  const body = job.body && job.body.outline.length > 1 && seat !== null ? { body: job.body, frontX: seat } : null;
  const drawn = view.width > 0 && height > 0 && !table;
  const size = { width: view.width, height };
  const cuts = { joints: result.joints, cutEnds: result.cutEnds, view, selected };
  const cutEnds = { top: 40, bottom: planTop + planHeight - 26 };
  const members = { shown, view, section, selected, onSelect };
  const steel = { job, result, donor, view, section, datum, showBefore, trims, selected };

  return (
    <div ref={box} className="pane min-h-0 min-w-0 flex-1 overflow-hidden">
      {table && <BoardTable {...{ job, result, section, selected, onSelect }} />}
      {drawn && (
        <div role="group" aria-label="Drawing of the frame; the button Table shows the same in tables">
          <Sheet
            {...size}
            onPointerDown={(event) => {
              if (event.target !== event.currentTarget || !zoomed) return;
              let last = 0;
              startDrag(
                event,
                (px) => {
                  pan(last - px);
                  last = px;
                },
                () => undefined,
              );
            }}
          >
            <clipPath id="clip-side">
              <rect x={0} y={0} width={view.width} height={sideHeight} />
            </clipPath>
            <clipPath id="clip-plan">
              <rect x={0} y={planTop} width={view.width} height={planHeight} />
            </clipPath>
            <Ground
              view={view}
              side={{ top: 0, height: sideHeight, across: side }}
              plan={{ top: planTop, height: planHeight, across: plan }}
              datum={datum}
              format={job.display}
              wheels={wheelsOf(shown)}
              rearBefore={showBefore ? null : rearBefore(result, donor)}
              body={body}
              members={membersOf(shown, section, chosen)}
              ghost={!showBefore && result.pieces.length > 1 ? donor : null}
              section={section}
              onSelect={onSelect}
            />
          </Sheet>
          <Sheet {...size}>
            {!showBefore && <CutLines {...cuts} {...cutEnds} />}
            <g clipPath="url(#clip-side)">
              <MemberLines {...members} what="side" across={side} />
            </g>
            <g clipPath="url(#clip-plan)">
              <MemberLines {...members} what="plan" across={plan} />
            </g>
            <SideView {...steel} top={0} height={sideHeight} />
            <PlanView {...steel} top={planTop} height={planHeight} />
            <TapeStrip tape={shown.tape} view={view} format={job.display} datum={datum} y={tapeY} />
            {look && <LookedAt x={toPx(view, look.builtX)} y={tapeY} />}
            {!showBefore && (
              <CutTags
                {...cuts}
                {...cutEnds}
                operations={result.operations}
                tapeY={tapeY}
                tagY={planTop + 8}
                describe={(id) => names.get(id) ?? id}
                onSelect={onSelect}
                onDragStart={(operation, event) => {
                  startDrag(
                    event,
                    (px) => onDragCut(operation, px / view.scale),
                    (moved) => moved && onDropCut(operation),
                  );
                }}
                onKey={onNudgeCut}
              />
            )}
            {!showBefore && (
              <ConflictMarks conflicts={result.conflicts} view={view} y={side.zero - 46} onPick={onPickConflict} />
            )}
          </Sheet>
          <Sheet {...size}>
            <g clipPath="url(#clip-side)">
              {body && <BodyName {...body} view={view} across={side} />}
              {!showBefore && <MovedThings {...movedThings(result, selected)} view={view} across={side} />}
            </g>
            <FeatureLayer
              shown={shown}
              view={view}
              side={side}
              plan={plan}
              datum={datum}
              format={job.display}
              selected={selected}
              pointed={pointed}
              onSelect={onSelect}
            />
          </Sheet>
        </div>
      )}
      {drawn && measurement && ends && (
        <Sheet {...size}>
          <g clipPath="url(#clip-plan)">
            <MeasurementLine
              measurement={measurement}
              ends={ends}
              px={(x) => toPx(view, x)}
              py={(y) => acrossPx(view, plan, y)}
              format={job.display}
            />
          </g>
        </Sheet>
      )}
      <div className={`absolute right-3 flex gap-1.5 ${table ? 'top-2' : 'bottom-3'}`}>
        {legend && !table && <Legend />}
        <button type="button" className="button bg-paper" onClick={() => setTable(!table)}>
          {table ? 'Drawing' : 'Table'}
        </button>
        {!table && (
          <button type="button" className="button bg-paper" aria-expanded={legend} onClick={() => setLegend(!legend)}>
            Legend
          </button>
        )}
        {!table && <ZoomButtons zoomed={zoomed} onZoom={zoom} onFit={fit} />}
      </div>
    </div>
  );
});

/** Points at a place on the tape. */
function LookedAt({ x, y }: { readonly x: number; readonly y: number }) {
  return <path d={`M${x - 8} ${y - 13}h16l-8 12Z`} fill="var(--color-layout)" aria-hidden="true" />;
}
