import type { FeatureKind } from '@splay/core';

/** The families of symbols that features are drawn with; the legend lists them. */
export const SYMBOL_NAMES = {
  hole: 'hole',
  mount: 'mount',
  hanger: 'hanger, link or seat',
  gear: 'box or bearing',
  clip: 'clip or strap',
  stamp: 'identity stamp',
  flaw: 'seam or crack',
} as const;
export type SymbolName = keyof typeof SYMBOL_NAMES;

const SYMBOLS: Readonly<Record<FeatureKind, SymbolName>> = {
  'body-mount': 'mount',
  'cab-mount': 'mount',
  'bed-mount': 'mount',
  'engine-mount': 'mount',
  'gearbox-mount': 'mount',
  hitch: 'mount',
  'spring-hanger': 'hanger',
  'link-bracket': 'hanger',
  'track-bar-bracket': 'hanger',
  'shock-bracket': 'hanger',
  'coil-seat': 'hanger',
  'bump-stop': 'hanger',
  'steering-box': 'gear',
  'carrier-bearing': 'gear',
  'tank-strap': 'clip',
  'exhaust-hanger': 'clip',
  'line-clip': 'clip',
  hole: 'hole',
  rivet: 'hole',
  'identity-stamp': 'stamp',
  'weld-seam': 'flaw',
  crack: 'flaw',
};

export const symbolOf = (kind: FeatureKind): SymbolName => SYMBOLS[kind];

/** One symbol, centred on the origin, at most about 10 px high. `width` is its extent along the rail, px. */
export function FeatureSymbol({ name, width = 0 }: { readonly name: SymbolName; readonly width?: number }) {
  const half = Math.max(width / 2, 3.2);
  switch (name) {
    case 'hole':
      return <circle r={2.4} fill="var(--color-paper)" stroke="currentColor" strokeWidth={1.1} />;
    case 'mount':
      return (
        <path
          d={`M${-half} 2H${half}L${half * 0.55} -3.5H${-half * 0.55}Z`}
          fill="var(--color-sheet)"
          stroke="currentColor"
          strokeWidth={1.1}
        />
      );
    case 'hanger':
      return <path d={`M${-half} -3H${half}L0 5Z`} fill="var(--color-pencil)" stroke="currentColor" strokeWidth={1} />;
    case 'gear':
      return (
        <rect
          x={-half}
          y={-4}
          width={2 * half}
          height={8}
          rx={3}
          fill="var(--color-bench)"
          stroke="currentColor"
          strokeWidth={1.1}
        />
      );
    case 'clip':
      return <path d="M-2.6 -2.6L2.6 2.6M2.6 -2.6L-2.6 2.6" fill="none" stroke="currentColor" strokeWidth={1.2} />;
    case 'stamp':
      return (
        <g>
          <rect
            x={-half}
            y={-4}
            width={2 * half}
            height={8}
            fill="var(--color-ochre-wash)"
            stroke="var(--color-ochre)"
            strokeWidth={1.3}
          />
          <path
            d={`M${-half + 2.5} -1H${half - 2.5}M${-half + 2.5} 1.6H${half - 2.5}`}
            stroke="var(--color-ochre)"
            strokeWidth={1}
          />
        </g>
      );
    case 'flaw':
      return <path d="M-4 2L-1.5 -2L1 2L4 -2" fill="none" stroke="var(--color-oxide)" strokeWidth={1.4} />;
  }
}
