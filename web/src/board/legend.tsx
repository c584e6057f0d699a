import { SYMBOL_NAMES, type SymbolName } from '@splay/core';
import { FeatureSymbol } from './feature-symbol.tsx';

const FILLS = [
  ['donor steel', 'var(--color-steel)', 'var(--color-graphite)', undefined],
  ['new steel', 'url(#hatch-new)', 'var(--color-layout)', undefined],
  ['cut away', 'url(#hatch-cut)', 'var(--color-oxide)', undefined],
  ['where it was', 'none', 'var(--color-pencil)', '4 3'],
  ['body', 'none', 'var(--color-ochre)', '8 4'],
] as const;

/** What the fills and symbols of the board mean. */
export function Legend() {
  return (
    <div className="absolute right-0 bottom-10 w-44 border border-graphite bg-sheet p-3 text-sm">
      <ul className="space-y-1">
        {FILLS.map(([name, fill, stroke, dash]) => (
          <li key={name} className="flex items-center gap-2">
            <svg width={26} height={14} aria-hidden="true">
              <rect
                x={1}
                y={2}
                width={24}
                height={10}
                fill={fill}
                stroke={stroke}
                strokeDasharray={dash}
                strokeWidth={1.4}
              />
            </svg>
            {name}
          </li>
        ))}
        {(Object.keys(SYMBOL_NAMES) as SymbolName[]).map((name) => (
          <li key={name} className="flex items-center gap-2">
            <svg width={26} height={14} viewBox="-13 -7 26 14" aria-hidden="true" className="text-graphite">
              <FeatureSymbol name={name} width={12} />
            </svg>
            {SYMBOL_NAMES[name]}
          </li>
        ))}
      </ul>
    </div>
  );
}
