import { type Feature, factsOf, type Frame } from '../frame/index.ts';
import type { Conflict } from '../plan/index.ts';
import type { RuleId } from '../rules/index.ts';

/** The lanes that a frame is looked at in, and what each is called. */
export const LANES = {
  bend: 'Bends',
  taper: 'Taper',
  holes: 'Holes, stamp',
  suspension: 'Suspension',
  members: 'Crossmembers',
  tank: 'Tank, lines, shaft',
  strip: 'Strip-down',
  load: 'Bending',
} as const;
export type Lane = keyof typeof LANES;
export const LANE_IDS = Object.keys(LANES) as readonly Lane[];

/** The code of a place that is kept clear for brackets that nobody has measured. */
export const ASSUMED_ROOM = 'assumed-room';

/** Something that speaks against a place. */
export interface Reason {
  readonly code: string;
  readonly lane: Lane;
  /** What it is about, so that it is counted once; null where it is about the place itself. */
  readonly about: string | null;
  readonly says: string;
}

/** What it costs, hours: work that is done, or a disadvantage that is weighed as hours. */
export interface Cost extends Reason {
  readonly counts: 'work' | 'weighed';
  readonly rule: RuleId;
  readonly hours: number;
}

/** Where a feature stands in the lanes. */
export function laneOfFeature({ kind }: Feature): Lane {
  const facts = factsOf(kind);
  if (facts.suspension || kind === 'bump-stop') return 'suspension';
  if (facts.unit === 'tank' || kind === 'line-clip' || kind === 'exhaust-hanger' || kind === 'carrier-bearing')
    return 'tank';
  return facts.bracket ? 'strip' : 'holes';
}

/** What things of a frame are, by their ids. */
export interface Known {
  readonly features: ReadonlyMap<string, Feature>;
  readonly units: ReadonlyMap<string, Frame['units'][number]>;
  readonly crossmembers: ReadonlySet<string>;
}

/**
 * What things of a frame are, by their ids.
 *
 * @param frame The donor; validated.
 */
export const knownOf = ({ features, units, crossmembers }: Frame): Known => ({
  crossmembers: new Set(crossmembers.map(({ id }) => id)),
  features: new Map(features.map((feature) => [feature.id, feature])),
  units: new Map(units.map((unit) => [unit.id, unit])),
});

/** The lane that a conflict of a plan belongs in. */
export function laneOf(
  { code, about }: Pick<Conflict, 'code' | 'about'>,
  { features, units, crossmembers }: Known,
): Lane {
  const feature = about === null ? undefined : features.get(about);
  if (feature) return laneOfFeature(feature);
  const unit = about === null ? undefined : units.get(about);
  if (unit) return unit.kind === 'tank' ? 'tank' : /suspension$/.test(unit.kind) ? 'suspension' : 'strip';
  if (/crossmember|^member-|^brace-/.test(code) || (about !== null && crossmembers.has(about))) return 'members';
  if (/^line|^shaft|^point|^axle/.test(code)) return 'tank';
  if (/^joint-|^transition/.test(code)) return 'taper';
  if (code === 'ahead-of-hanger' || code === 'not-weldable') return 'suspension';
  return 'bend';
}

/** What the work is that a conflict asks for: a rule, by its code. None where nothing has to be done. */
const WORK: Readonly<Record<string, RuleId>> = {
  'feature-lost': 'finder/bracket',
  'mount-left': 'finder/bracket',
  'mount-at-joint': 'finder/bracket',
  'near-joint': 'finder/hole',
  'crossmember-lost': 'finder/crossmember',
  'crossmember-width': 'finder/crossmember',
  'no-crossmember': 'finder/crossmember',
  'member-lost': 'finder/member',
  'member-parted': 'finder/member',
  'brace-lost': 'finder/member',
  'brace-length': 'finder/member',
  'unit-split': 'finder/suspension',
  'line-length': 'finder/line',
  'shaft-length': 'finder/shaft',
};

/** Judged from how the ends meet, wherever that is. */
const ENDS = /^joint-|^member-(dress|ease|needs|cannot|meets)/;

/**
 * The rule that says what a conflict of a plan costs; null where it costs nothing.
 *
 * @param conflict A conflict that does not stop the plan.
 * @param known What things of the frame are.
 */
export function ruleOf({ code, severity, about }: Conflict, { features }: Known): RuleId | null {
  if (ENDS.test(code)) return code.startsWith('member-') ? 'finder/member' : null;
  const feature = about === null ? undefined : features.get(about);
  // A hole that goes with the steel is no loss, and a clip is put on anywhere.
  if (code === 'feature-lost' && feature && !factsOf(feature.kind).bracket) return null;
  if (code === 'near-joint' && feature?.kind === 'line-clip') return null;
  return WORK[code] ?? (severity === 'warn' ? 'finder/other' : null);
}
