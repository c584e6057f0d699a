import { inches } from '../units/index.ts';
import type { UnitKind } from './units.ts';

/** The families of symbols that features are drawn with. */
export const SYMBOL_NAMES = {
  hole: 'hole',
  mount: 'mount',
  hanger: 'hanger, link or seat',
  gear: 'box or bearing',
  clip: 'clip or strap',
  stamp: 'VIN stamp',
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
  /** What one is like until somebody measures it. */
  readonly usual: UsualFeature;
}

/** What a feature of a kind is usually like: how far it reaches ahead and behind, its hole, mm; one of it, kg. */
export interface UsualFeature {
  readonly attachment: 'rivets' | 'bolts' | 'weld' | 'hole';
  readonly reach: number;
  readonly hole: number;
  readonly movable: 'no' | 're-drill' | 're-weld';
  readonly mass: number;
}

/** Bolted on through holes, and put on again through new ones. */
const bolted = (reach: number, hole: number, mass: number): { readonly usual: UsualFeature } => ({
  usual: { attachment: 'bolts', reach: inches(reach), hole: inches(hole), movable: 're-drill', mass },
});
/** In the steel itself. */
const inSteel = (attachment: UsualFeature['attachment'], reach: number, hole: number): UsualFeature => ({
  attachment,
  reach: inches(reach),
  hole: inches(hole),
  movable: 'no',
  mass: 0,
});
const mark = (symbol: SymbolName, usual: UsualFeature) => ({ symbol, bracket: false, carries: false, usual }) as const;
const mount = (mass: number, unit?: UnitKind) =>
  ({
    symbol: 'mount',
    bracket: true,
    mount: true,
    carries: true,
    ...bolted(2, 1 / 2, mass),
    ...(unit ? { unit } : {}),
  }) as const;
const suspension = {
  symbol: 'hanger',
  bracket: true,
  suspension: true,
  carries: true,
  unit: 'rear-suspension',
} as const;
const gear = { symbol: 'gear', bracket: true, carries: true } as const;
const clip = { symbol: 'clip', bracket: true, carries: true } as const;

/** Every kind of feature. To add one, name it here. */
const FEATURE_FACTS = {
  'body-mount': mount(2, 'body'),
  'cab-mount': mount(2.5, 'cab'),
  'bed-mount': mount(2, 'body'),
  'spring-hanger': {
    ...suspension,
    hanger: true,
    usual: { attachment: 'rivets', reach: inches(2.5), hole: inches(1 / 2), movable: 're-drill', mass: 4 },
  },
  'link-bracket': { ...suspension, hanger: true, ...bolted(2.75, 5 / 8, 4) },
  'track-bar-bracket': { ...suspension, ...bolted(2.5, 5 / 8, 3.5) },
  'shock-bracket': { ...suspension, ...bolted(2, 1 / 2, 1.5) },
  'coil-seat': {
    ...suspension,
    usual: { attachment: 'weld', reach: inches(3.5), hole: 0, movable: 're-weld', mass: 4 },
  },
  'bump-stop': { symbol: 'hanger', bracket: true, carries: true, ...bolted(1.25, 3 / 8, 0.6) },
  'steering-box': {
    ...gear,
    usual: { attachment: 'bolts', reach: inches(3.5), hole: inches(1 / 2), movable: 'no', mass: 14 },
  },
  'engine-mount': mount(2.5, 'power-unit'),
  'gearbox-mount': mount(2, 'power-unit'),
  'carrier-bearing': { ...gear, ...bolted(1.5, 3 / 8, 1.2) },
  'tank-strap': { ...clip, unit: 'tank', ...bolted(1, 3 / 8, 1) },
  'exhaust-hanger': { ...clip, ...bolted(1, 3 / 8, 0.5) },
  'line-clip': { ...clip, carries: false, ...bolted(3 / 8, 1 / 4, 0.05) },
  hitch: { symbol: 'mount', bracket: true, carries: true, ...bolted(6, 5 / 8, 18) },
  hole: mark('hole', inSteel('hole', 0, 1 / 2)),
  rivet: mark('hole', inSteel('rivets', 0, 3 / 8)),
  'weld-seam': mark('flaw', inSteel('weld', 0, 0)),
  crack: mark('flaw', inSteel('weld', 0, 0)),
  'identity-stamp': { ...mark('stamp', inSteel('weld', 1.5, 0)), untouchable: true },
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
