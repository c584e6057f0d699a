import { SCENE_LAYERS, type Job, type PlanResult, type SceneLayer, sceneOf, spaceDimensions } from '@splay/core';
import { Download, Ruler, X } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { useJobState } from '../client/job-store.ts';
import { useSolidCheck } from '../client/solid-check.ts';
import { Verdict } from '../ui/verdict.tsx';
import { Waits } from '../ui/waits.tsx';
import { pictureOf, savePicture } from './space-picture.ts';
import type { SpaceFrame, ViewFrom } from './space-view.tsx';
import { lazyComponent } from '../client/lazy-component.tsx';

const SpaceView = lazyComponent(async () => {
  const { SpaceView: View, labelFace } = await import('./space-view.tsx');
  // Without it, labels are written in the face that is there.
  await labelFace().catch(() => undefined);
  return View;
});

const VIEWS: readonly (readonly [ViewFrom, string])[] = [
  ['corner', 'Corner'],
  ['side', 'Side'],
  ['above', 'Above'],
  ['rear', 'Rear'],
];

/** Whether this device can draw in space at all. */
function canDraw(): boolean {
  try {
    return document.createElement('canvas').getContext('webgl2') !== null;
  } catch {
    return false;
  }
}

/** A frame as it is drawn in space. */
function useSpaceFrame({ donor }: Job, result: PlanResult, withLines: boolean, found: SpaceFrame['found']): SpaceFrame {
  const scene = useMemo(() => sceneOf(donor, result), [donor, result]);
  const lines = useMemo(() => (withLines ? spaceDimensions(result) : []), [withLines, result]);
  return useMemo(() => ({ scene, lines, found }), [scene, lines, found]);
}

const NONE: SpaceFrame['found'] = [];

/** The frame with its bodies in space, for looking: turned by the hand, opened at the joints, before beside planned. */
export function LookAround({ bench }: { readonly bench: BenchProps }) {
  const { store, job, result, donor } = bench;
  const { id, showBefore, shopName } = useJobState(store, (state) => ({
    id: state.id,
    showBefore: state.showBefore,
    shopName: state.shopName,
  }));
  const [hidden, setHidden] = useState<readonly SceneLayer[]>(['keep clear']);
  const [open, setOpen] = useState(0);
  const [part, setPart] = useState(0);
  const [measured, setMeasured] = useState(true);
  const [from, setFrom] = useState<{ readonly view: ViewFrom }>({ view: 'corner' });
  const [able] = useState(canDraw);
  const drawRef = useRef<(() => HTMLCanvasElement) | null>(null);
  const share = showBefore ? 1 : part;
  const solid = useSolidCheck(store);
  // Findings are of the finished frame with its joints closed.
  const found = share === 1 ? [] : solid.found;
  const places = useMemo(() => (open === 0 ? solid.found.map(({ at }) => at) : NONE), [open, solid.found]);
  const lengths = measured && open === 0;
  const before = useSpaceFrame(job, donor, lengths, NONE);
  const planned = useSpaceFrame(job, result, lengths, places);
  const drawn = [...(share > 0 ? before.scene : []), ...(share < 1 ? planned.scene : [])];
  const there = SCENE_LAYERS.filter((layer) => drawn.some((mesh) => mesh.layer === layer));
  const clashes = (share === 1 ? donor : result).seats.flatMap((seat) => seat.clashes);
  const take = () => {
    const view = drawRef.current?.();
    if (!view) return;
    const date = new Date().toLocaleDateString('en-US', { year: 'numeric', month: 'short', day: 'numeric' });
    const picture = pictureOf(view, { shop: shopName, job: job.name, plan: job.plan.name, date, before: share });
    savePicture(picture, `${job.name} ${job.plan.name}`);
  };
  return (
    <section aria-label="Look around" className="flex min-h-0 min-w-0 flex-1 flex-col bg-paper">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-graphite bg-bench px-3 py-1.5">
        <h2 className="heading text-lg max-xl:sr-only">Look around</h2>
        <div role="group" aria-label="Seen from" className="flex gap-1">
          {VIEWS.map(([view, name]) => (
            <button
              key={view}
              type="button"
              className="button px-2"
              aria-pressed={from.view === view}
              onClick={() => setFrom({ view })}
            >
              {name}
            </button>
          ))}
        </div>
        <label className="flex items-center gap-2 text-sm">
          Planned
          <input
            type="range"
            className="h-9 w-32"
            aria-label="Before, from the left"
            aria-valuetext={`${Math.round(share * 100)} % of the view shows the frame before`}
            min={0}
            max={1}
            step={0.01}
            value={share}
            onChange={({ target }) => {
              store.setState({ showBefore: false });
              setPart(Number(target.value));
            }}
          />
          Before
        </label>
        <label className="flex items-center gap-2 text-sm">
          Opened
          <input
            type="range"
            aria-label="Opened at the joints"
            className="h-9 w-24"
            min={0}
            max={600}
            step={20}
            value={open}
            onChange={(event) => setOpen(Number(event.target.value))}
          />
        </label>
        <button
          type="button"
          className="button flex items-center gap-1.5 px-2"
          aria-pressed={measured}
          onClick={() => setMeasured(!measured)}
        >
          <Ruler size={15} aria-hidden="true" /> Lengths
        </button>
        <button type="button" className="button flex items-center gap-1.5 px-2" disabled={!able} onClick={take}>
          <Download size={15} aria-hidden="true" /> Picture
        </button>
        <a className="button px-2" href={`/api/jobs/${id}/frame.glb`} download>
          glTF
        </a>
        <span className="flex-1" />
        <button
          type="button"
          className="button flex items-center gap-1.5 px-2"
          onClick={() => store.setState({ lookingAround: false })}
        >
          <X size={15} aria-hidden="true" /> Back to the board
        </button>
      </div>
      <fieldset className="flex flex-wrap items-center gap-x-4 border-b border-rule bg-sheet px-3 py-0.5">
        <legend className="sr-only">Layers</legend>
        {there.map((layer) => (
          <label key={layer} className="flex min-h-7 items-center gap-1.5 text-sm pointer-coarse:min-h-[48px]">
            <input
              type="checkbox"
              checked={!hidden.includes(layer)}
              onChange={({ target }) =>
                setHidden(target.checked ? hidden.filter((one) => one !== layer) : [...hidden, layer])
              }
            />
            {layer}
          </label>
        ))}
      </fieldset>
      {(clashes.length > 0 || found.length > 0) && (
        <div className="max-h-24 space-y-1 overflow-y-auto border-l-4 border-oxide bg-oxide-wash px-3 py-1 text-sm">
          {clashes.length > 0 && (
            <p>
              Lit: {[...new Set(clashes.map(({ part: hit, withName }) => `${hit.name} and ${withName}`))].join('; ')}
            </p>
          )}
          {found.map(({ key, message }) => (
            <p key={key}>{message}</p>
          ))}
        </div>
      )}
      <div className="relative min-h-0 flex-1">
        {able ? (
          <Waits place={<p className="p-6 text-pencil">Loading the view in space …</p>}>
            <SpaceView
              before={before}
              planned={planned}
              share={share}
              hidden={hidden}
              format={job.display}
              open={open}
              from={from}
              drawRef={drawRef}
            />
          </Waits>
        ) : (
          <p className="p-6">
            <Verdict kind="note">
              This device cannot draw in space. The board and its tables show the same; the glTF file opens elsewhere.
            </Verdict>
          </p>
        )}
        {share > 0 && share < 1 && (
          <svg className="pointer-events-none absolute inset-0 size-full" aria-hidden="true">
            <svg x={`${share * 100}%`} className="overflow-visible">
              <line y2="100%" stroke="var(--color-graphite)" strokeWidth={2} />
              <text x={-10} y={24} textAnchor="end" className="heading" fill="var(--color-ink)">
                before
              </text>
              <text x={10} y={24} className="heading" fill="var(--color-ink)">
                planned
              </text>
            </svg>
          </svg>
        )}
      </div>
    </section>
  );
}
