import type { UnitKind } from './units.ts';

/** The families of symbols that features are drawn with. */
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

/** What there is to know of a kind of feature. */
export interface FeatureFacts {
  readonly symbol: SymbolName;
  /** Something fastened to the rail, and not only a mark in its steel: it can be added as a bracket. */
  readonly bracket: boolean;
  /** Holds an axle: a suspension is not to be pulled apart. */
  readonly suspension?: true;
  /** A hanger or link that welding keeps behind of, where the rulebook bolts ahead and welds behind. */
  readonly hanger?: true;
  /** A mount that something stands on. */
  readonly mount?: true;
  /** Carries parts of the drive line, axles or units; a clip or a mark does not. */
  readonly carries: boolean;
  /** The kind of unit that usually rides on it. */
  readonly unit?: UnitKind;
  /** Never to be cut, ground, covered or moved. */
  readonly untouchable?: true;
}

const mark = (symbol: SymbolName) => ({ symbol, bracket: false, carries: false }) as const;
const mount = (unit?: UnitKind) =>
  ({ symbol: 'mount', bracket: true, mount: true, carries: true, ...(unit ? { unit } : {}) }) as const;
const suspension = {
  symbol: 'hanger',
  bracket: true,
  suspension: true,
  carries: true,
  unit: 'rear-suspension',
} as const;

/** Every kind of feature. To add one, name it here. */
export const FEATURE_FACTS = {
  'body-mount': mount('body'),
  'cab-mount': mount('cab'),
  'bed-mount': mount('body'),
  'spring-hanger': { ...suspension, hanger: true },
  'link-bracket': { ...suspension, hanger: true },
  'track-bar-bracket': suspension,
  'shock-bracket': suspension,
  'coil-seat': suspension,
  'bump-stop': { symbol: 'hanger', bracket: true, carries: true },
  'steering-box': { symbol: 'gear', bracket: true, carries: true },
  'engine-mount': mount('power-unit'),
  'gearbox-mount': mount('power-unit'),
  'carrier-bearing': { symbol: 'gear', bracket: true, carries: true },
  'tank-strap': { symbol: 'clip', bracket: true, carries: true, unit: 'tank' },
  'exhaust-hanger': { symbol: 'clip', bracket: true, carries: true },
  'line-clip': { symbol: 'clip', bracket: true, carries: false },
  hitch: { symbol: 'mount', bracket: true, carries: true },
  hole: mark('hole'),
  rivet: mark('hole'),
  'weld-seam': mark('flaw'),
  crack: mark('flaw'),
  'identity-stamp': { ...mark('stamp'), untouchable: true },
} as const satisfies Readonly<Record<string, FeatureFacts>>;

export type FeatureKind = keyof typeof FEATURE_FACTS;
export const FEATURE_KINDS = Object.keys(FEATURE_FACTS) as readonly FeatureKind[];

/**
 * What there is to know of a kind of feature.
 *
 * @param kind A kind of feature.
 */
export const factsOf = (kind: FeatureKind): FeatureFacts => FEATURE_FACTS[kind];

/**
 * The kinds of which something holds.
 *
 * @param holds What must hold.
 */
export const kindsThat = (holds: (facts: FeatureFacts) => boolean): readonly FeatureKind[] =>
  FEATURE_KINDS.filter((kind) => holds(FEATURE_FACTS[kind]));
