import { SYMBOL_NAMES, type SymbolName } from '@splay/core';
import { Popover } from 'radix-ui';
import type { RefObject } from 'react';
import type { LegendEntry, PinnedLayer } from '../client/bench.ts';
import { FeatureSymbol } from './feature-symbol.tsx';
import { Swatch } from './swatch.tsx';

interface LegendProps {
  /** What opened it: it stands over that. */
  readonly button: RefObject<HTMLButtonElement | null>;
  readonly entries: readonly LegendEntry[];
  readonly bench: string;
  readonly kept: boolean;
  readonly pinned: readonly PinnedLayer[];
  readonly onPin: (bench: string, keep: boolean) => void;
  readonly onClose: () => void;
}

/** The legend of the board, and which layers of other benches stay on it. */
export function Legend({ button, entries, bench, kept, pinned, onPin, onClose }: LegendProps) {
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={button as RefObject<HTMLButtonElement>} />
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          sideOffset={6}
          collisionPadding={8}
          aria-label="Legend"
          className="z-30 max-h-(--radix-popover-content-available-height) w-[27rem] max-w-[94vw] overflow-y-auto border border-graphite bg-sheet p-3 text-sm"
          onInteractOutside={(event) => {
            // The button closes it by itself.
            if (button.current?.contains(event.target as Node)) event.preventDefault();
          }}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            button.current?.focus();
          }}
        >
          <Meanings entries={entries} />
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
  );
}

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
function Meanings({ entries }: { readonly entries: readonly LegendEntry[] }) {
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
    <ul className="grid grid-cols-2 gap-x-3 gap-y-1">
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
