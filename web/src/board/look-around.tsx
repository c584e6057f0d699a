import { SCENE_LAYERS, type SceneLayer, sceneOf } from '@splay/core';
import { X } from 'lucide-react';
import { lazy, useMemo, useState } from 'react';
import type { BenchProps } from '../client/bench-props.ts';
import { useJobState } from '../client/job-store.ts';
import { useSolidCheck } from '../client/solid-check.ts';
import { Verdict } from '../ui/verdict.tsx';
import type { ViewFrom } from './space-view.tsx';
import { Waits } from '../ui/waits.tsx';

const SpaceView = lazy(() => import('./space-view.tsx').then((module) => ({ default: module.SpaceView })));

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

/** The frame with its bodies in space, for looking: turned by the hand, opened at the joints, one layer at a time. */
export function LookAround({ bench }: { readonly bench: BenchProps }) {
  const { store, job, result, donor } = bench;
  const { id, showBefore } = useJobState(store, (state) => ({ id: state.id, showBefore: state.showBefore }));
  const [hidden, setHidden] = useState<readonly SceneLayer[]>(['keep clear']);
  const [open, setOpen] = useState(0);
  const [from, setFrom] = useState<{ readonly view: ViewFrom }>({ view: 'corner' });
  const [able] = useState(canDraw);
  const shown = showBefore ? donor : result;
  const scene = useMemo(() => sceneOf(job.donor, shown), [job.donor, shown]);
  const there = SCENE_LAYERS.filter((layer) => scene.some((mesh) => mesh.layer === layer));
  const solid = useSolidCheck(store);
  // Findings are of the finished frame with its joints closed.
  const found = showBefore ? [] : solid.found;
  const places = open === 0 ? found.map(({ at }) => at) : [];
  const clashes = shown.seats.flatMap((seat) => seat.clashes);
  return (
    <section aria-label="Look around" className="flex min-h-0 min-w-0 flex-1 flex-col bg-paper">
      <div className="flex flex-wrap items-center gap-1.5 border-b border-graphite bg-bench px-3 py-1.5">
        <h2 className="heading mr-2 text-lg">Look around</h2>
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
        <button
          type="button"
          className={`button px-2 ${showBefore ? 'button-dark' : ''}`}
          aria-pressed={showBefore}
          onClick={() => store.setState({ showBefore: !showBefore })}
        >
          Before
        </button>
        <label className="flex items-center gap-2 text-sm">
          Opened at the joints
          <input
            type="range"
            className="h-9 w-28"
            min={0}
            max={600}
            step={20}
            value={open}
            onChange={(event) => setOpen(Number(event.target.value))}
          />
        </label>
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
      <div className="relative min-h-0 flex-1">
        {able ? (
          <Waits place={<p className="p-6 text-pencil">Loading the view in space …</p>}>
            <SpaceView scene={scene} hidden={hidden} found={places} open={open} from={from} />
          </Waits>
        ) : (
          <p className="p-6">
            <Verdict kind="note">
              This device cannot draw in space. The board and its tables show the same; the glTF file opens elsewhere.
            </Verdict>
          </p>
        )}
        <fieldset className="absolute bottom-2 left-2 border border-rule bg-sheet/90 px-3 py-1.5">
          <legend className="sr-only">Layers</legend>
          {there.map((layer) => (
            <label key={layer} className="flex min-h-7 items-center gap-2 text-sm pointer-coarse:min-h-12">
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
          <div className="absolute top-2 left-2 space-y-1 border-l-4 border-oxide bg-oxide-wash px-3 py-1 text-sm">
            {clashes.length > 0 && (
              <p>Lit: {[...new Set(clashes.map(({ part, withName }) => `${part.name} and ${withName}`))].join('; ')}</p>
            )}
            {found.map(({ key, message }) => (
              <p key={key}>{message}</p>
            ))}
          </div>
        )}
      </div>
    </section>
  );
}
