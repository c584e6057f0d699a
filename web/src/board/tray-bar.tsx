import { SYMBOL_NAMES, type SymbolName } from '@splay/core';
import { Maximize2, ZoomIn, ZoomOut } from 'lucide-react';
import { Popover } from 'radix-ui';
import type { BenchParts, LegendEntry, PinnedLayer } from '../client/bench.ts';
import { still } from '../ui/still.ts';
import { FeatureSymbol } from './feature-symbol.tsx';
import { Swatch } from './swatch.tsx';

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
export const TrayBar = still(function TrayBar({
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
      <Popover.Root>
        <Popover.Trigger className="bar-button">Legend</Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            side="top"
            align="end"
            sideOffset={6}
            aria-label="Legend"
            className="z-30 max-h-[80dvh] w-60 overflow-y-auto border border-graphite bg-sheet p-3 text-sm"
          >
            <Legend entries={legend} />
            <div className="mt-2 border-t border-rule pt-2">
              <Keep name="Keep this layer on other benches" kept={kept} onKeep={(keep) => onPin(bench, keep)} />
              {pinned.map(({ bench: id, name, parts }) => (
                <div key={id} className="mt-2">
                  <Keep name={`${name}, kept here`} kept onKeep={(keep) => onPin(id, keep)} />
                  <Entries entries={parts.legend} />
                </div>
              ))}
            </div>
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
      {tool('Zoom out', ZoomOut, () => onZoom(1 / 1.5), !zoomed)}
      {tool('Zoom in', ZoomIn, () => onZoom(1.5))}
      {tool('Show the whole frame', Maximize2, onFit, !zoomed)}
    </div>
  );
});

interface KeepProps {
  readonly name: string;
  readonly kept: boolean;
  readonly onKeep: (keep: boolean) => void;
}

function Keep({ name, kept, onKeep }: KeepProps) {
  return (
    <label className="flex items-center gap-2 font-semibold">
      <input type="checkbox" checked={kept} onChange={(event) => onKeep(event.target.checked)} />
      {name}
    </label>
  );
}

/** What the fills, lines and symbols on the board mean: those of every bench, and those of the one at hand. */
function Legend({ entries }: { readonly entries: readonly LegendEntry[] }) {
  const common: readonly LegendEntry[] = [
    { name: 'donor steel', draw: <Swatch fill="var(--color-steel)" stroke="var(--color-graphite)" /> },
    { name: 'assumed, not measured', draw: <Swatch stroke="var(--color-pencil)" dash="4 3" /> },
    ...entries,
    ...(Object.keys(SYMBOL_NAMES) as SymbolName[]).map((symbol) => ({
      name: SYMBOL_NAMES[symbol],
      draw: (
        <g transform="translate(13 7)" className="text-graphite">
          <FeatureSymbol name={symbol} width={12} />
        </g>
      ),
    })),
  ];
  return <Entries entries={common} />;
}

function Entries({ entries }: { readonly entries: readonly LegendEntry[] }) {
  return (
    <ul className="space-y-1">
      {entries.map(({ name, draw }) => (
        <li key={name} className="flex items-center gap-2">
          <svg width={26} height={14} aria-hidden="true" className="shrink-0">
            {draw}
          </svg>
          {name}
        </li>
      ))}
    </ul>
  );
}
