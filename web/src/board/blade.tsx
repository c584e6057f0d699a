import { datumStation } from '@splay/core';
import type { PictureProps } from '../client/picture-props.ts';
import { useJobState } from '../client/job-store.ts';
import { sliderRole } from '../ui/slider-role.ts';
import { nudgeStep } from '../ui/length-field.tsx';
import { reachOf, toPx } from './view.ts';

/** Where the blade stands on the donor, mm: where it was put, else half-way along the frame. */
export function useBlade({ store, donor }: Pick<PictureProps, 'store' | 'donor'>): number {
  const [front, rear] = reachOf(donor);
  return useJobState(store, (state) => state.blade) ?? (front + rear) / 2;
}

interface BladeProps extends Pick<PictureProps, 'store' | 'donor' | 'job' | 'view' | 'startDrag'> {
  readonly label: string;
  readonly top: number;
  readonly bottom: number;
  /** Where its handle hangs from, px. */
  readonly at: number;
  /** Stations that it stops at, mm apart from the datum; anywhere without. */
  readonly grid?: { readonly from: number; readonly step: number };
}

/** The blade: where the tray looks. Dragged along, or nudged. */
export function Blade(props: BladeProps) {
  const { store, job, view, startDrag, label, top, bottom, at, grid } = props;
  const blade = useBlade(props);
  const x = toPx(view, blade);
  const put = (to: number) =>
    store.setState({ blade: grid ? grid.from + Math.round((to - grid.from) / grid.step) * grid.step : to });
  return (
    <g
      className="pointer-events-auto cursor-ew-resize touch-none text-ochre"
      data-handle="blade"
      {...sliderRole(label, blade - datumStation(job.donor), job.display)}
      onPointerDown={(event) => {
        startDrag(
          event,
          (px) => put(blade + px / view.scale),
          () => undefined,
        );
      }}
      onKeyDown={(event) => {
        const way = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0;
        if (way === 0) return;
        event.preventDefault();
        put(blade + way * nudgeStep(event, job.display));
      }}
    >
      <path d={`M${x} ${top}V${bottom}`} stroke="transparent" strokeWidth={14} />
      <path d={`M${x} ${top}V${bottom}`} stroke="currentColor" strokeWidth={1.6} strokeDasharray="10 3 2 3" />
      <rect className="touch-target" x={x - 24} y={at + 22} width={48} height={40} fill="transparent" />
      <path className="focus-ring" d={`M${x - 7} ${at + 57}h14v8h-14Z`} fill="currentColor" />
    </g>
  );
}
