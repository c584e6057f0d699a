import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { useRef, useState } from 'react';
import type { BenchParts, LegendEntry, PinnedLayer } from '../client/bench.ts';
import { memoized } from '../ui/memoized.ts';
import { Waits } from '../ui/waits.tsx';
import { lazyComponent } from '../client/lazy-component.tsx';

const Legend = lazyComponent(() => import('./legend.tsx').then((file) => file.Legend));

interface TrayBarProps {
  readonly title: string;
  readonly drawers: BenchParts['drawers'];
  readonly legend: readonly LegendEntry[];
  readonly bench: string;
  readonly pinned: readonly PinnedLayer[];
  /** Whether the layer of this bench stays in sight on others. */
  readonly kept: boolean;
  readonly onPin: (bench: string, keep: boolean) => void;
  readonly open: string | null;
  readonly zoomed: boolean;
  readonly onDrawer: (drawer: string | null) => void;
  readonly onZoom: (factor: number) => void;
  readonly onFit: () => void;
}

/** Between the strips and the tray: what the tray shows, what can slide over it, the legend, and how close to look. */
export const TrayBar = memoized(function TrayBar({
  title,
  drawers,
  legend,
  bench,
  pinned,
  kept,
  onPin,
  open,
  zoomed,
  onDrawer,
  onZoom,
  onFit,
}: TrayBarProps) {
  const [explains, setExplains] = useState(false);
  const legendButton = useRef<HTMLButtonElement>(null);
  const tool = (name: string, Icon: typeof ZoomIn, onClick: () => void, disabled = false) => (
    <button type="button" className="bar-button" aria-label={name} title={name} disabled={disabled} onClick={onClick}>
      <Icon size={16} aria-hidden="true" />
    </button>
  );
  return (
    <div className="pane flex min-h-9 shrink-0 items-stretch border-y border-graphite bg-bench">
      <button
        type="button"
        className={`heading shrink-0 px-3 text-left text-[1.02rem] ${open === null ? '' : 'text-layout underline'}`}
        disabled={open === null}
        onClick={() => onDrawer(null)}
      >
        {title}
      </button>
      <div
        className="ml-auto flex min-w-0 [scrollbar-width:none] items-stretch overflow-x-auto"
        role="group"
        aria-label="Slides over the tray"
      >
        {Object.entries(drawers).map(([id, { name }]) => (
          <button
            key={id}
            type="button"
            aria-pressed={id === open}
            className={`bar-button ${id === open ? 'bg-graphite text-paper' : ''}`}
            onClick={() => onDrawer(id === open ? null : id)}
          >
            {name}
          </button>
        ))}
      </div>
      <button
        ref={legendButton}
        type="button"
        className="bar-button"
        aria-haspopup="dialog"
        aria-expanded={explains}
        onClick={() => setExplains(!explains)}
      >
        Legend
      </button>
      {explains && (
        <Waits>
          <Legend
            button={legendButton}
            entries={legend}
            bench={bench}
            kept={kept}
            pinned={pinned}
            onPin={onPin}
            onClose={() => setExplains(false)}
          />
        </Waits>
      )}
      {tool('Zoom out', ZoomOut, () => onZoom(1 / 1.5), !zoomed)}
      {tool('Zoom in', ZoomIn, () => onZoom(1.5))}
      {tool('Show the whole frame', Maximize2, onFit, !zoomed)}
    </div>
  );
});
