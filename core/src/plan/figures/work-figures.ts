import { builtUpSection, sectionProperties, torsionConstant, widthOf } from '../../sections/index.ts';
import type { Box } from '../operations/box.ts';
import type { ChangeBracket } from '../operations/bracket.ts';
import type { ChangeCrossmember } from '../operations/crossmember.ts';
import type { Notch } from '../operations/notch.ts';
import { notchDepths, notchFloor } from '../notch-profile.ts';
import { frontTop, rearTop } from '../piece.ts';
import type { Context } from '../context.ts';
import type { PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import { type Around, sectionOn } from './figures.ts';

export interface Notched {
  readonly kind: 'notch';
  readonly left: number;
  /** How deep it is, square up from the edge, a third of its width from its front end and from its rear end. */
  readonly deep: { readonly front: number; readonly rear: number };
  /** The smaller modulus at the notch against the rail's, without and with its plate; null where not computed. */
  readonly modulus: number | null;
  readonly plated: number | null;
}

export interface Boxed {
  readonly kind: 'box';
  /** Each run of plate that later cuts leave, from front to rear. */
  readonly runs: readonly number[];
  readonly bending: number;
  readonly torsion: number;
}

export interface Crossed {
  readonly kind: 'crossmember';
  readonly railDepth: number;
  readonly below: number;
  readonly depth: number;
  /** Below the bottom edge of the rail; below 0 it stays clear of it. */
  readonly under: number;
  readonly wider: number;
  /** From web to web, what a new one is cut to; null where it is not there. */
  readonly cutLength: number | null;
}

export interface Bracketed {
  readonly kind: 'bracket';
  readonly railDepth: number;
  /** Of its middle, below the rail's top edge: before, and now. */
  readonly was: number;
  readonly down: number;
  /** Steel between the hole, or the middle, and the rail's edges. */
  readonly fromTop: number;
  readonly fromBottom: number;
  /** Steel between two holes of a row, and first hole to last; null for one alone. */
  readonly between: number | null;
  readonly row: number;
}

/**
 * What a notch leaves of the rail's strength: the smaller modulus against the rail's, without and with its plate; null
 * where it is not computed.
 *
 * @param notch The operation.
 * @param before The frame ahead of it.
 * @param context Sections, rules and how lengths are written.
 */
export function notchStrength(notch: Notch, before: PlanState, context: Context) {
  const at = findSpot(before, notch.at);
  const piece = pieceAt(before, at);
  const section = sectionOn(piece, at.x, context);
  const span = { from: at.x - notch.width / 2, to: at.x + notch.width / 2 };
  const { front, rear, most } = notchDepths(
    notchFloor(notch, span, piece.rails.left, (id) => context.section(id).depth),
  );
  const left = section.depth - most;
  const deep = { front, rear };
  if (section.kind === 'round') return { section, left, deep, modulus: null, plated: null };
  const least = ({ modulusTop, modulusBottom }: ReturnType<typeof sectionProperties>) =>
    Math.min(modulusTop, modulusBottom);
  const whole = least(sectionProperties(section));
  const share = (plate?: { readonly width: number; readonly thickness: number }) => {
    const cut = { kind: 'notch', from: notch.from, depth: most } as const;
    return least(builtUpSection(section, [plate ? { ...cut, plate } : cut]).properties) / whole;
  };
  const fits = notch.plate > 0 && notch.plate < left;
  return {
    section,
    left,
    deep,
    modulus: share(),
    plated: fits ? share({ width: widthOf(section), thickness: notch.plate }) : null,
  };
}

/**
 * What a notch leaves of the rail, in figures.
 *
 * @param operation The operation.
 */
export function notchFigures(operation: Notch, { before, context }: Around): Notched {
  const { left, deep, modulus, plated } = notchStrength(operation, before, context);
  return { kind: 'notch', left, deep, modulus, plated };
}

/**
 * What a boxing plate does for the rail, in figures; null where the rail is closed already.
 *
 * @param operation Id of the operation.
 */
export function boxFigures(operation: Box, { before, context, result }: Around): Boxed | null {
  const rework = result.reworks.find((candidate) => candidate.operation.id === operation.id);
  const from = findSpot(before, operation.from);
  const section = sectionOn(pieceAt(before, from), from.x, context);
  if (!rework || section.kind !== 'channel') return null;
  const boxed = builtUpSection(section, [{ kind: 'boxing', thickness: operation.plate }]);
  const runs = result.pieces
    .filter(({ source }) => source === rework.source)
    .map((piece) => Math.min(rework.to, rearTop(piece)) - Math.max(rework.from, frontTop(piece)))
    .filter((length) => length > 1e-6);
  return {
    kind: 'box',
    runs,
    bending: boxed.properties.iy / sectionProperties(section).iy,
    torsion: boxed.j / torsionConstant(section).j,
  };
}

/** How a crossmember stands in the rail, in figures; null where it is not there. */
export function crossmemberFigures({ change }: ChangeCrossmember, { result, input, context }: Around): Crossed | null {
  const id = typeof change.crossmember === 'string' ? change.crossmember : change.crossmember.id;
  const outcome = result.crossmembers.find(({ crossmember }) => crossmember.id === id);
  const was = input.donor.crossmembers.find((member) => member.id === id);
  const shown = (change.what === 'remove' ? was : outcome?.crossmember) ?? was;
  const piece = result.pieces[outcome?.piece ?? 0] ?? result.pieces[0];
  if (!shown || !piece) return null;
  const railDepth = sectionOn(piece, shown.x, context).depth;
  const { below, depth } = shown;
  return {
    kind: 'crossmember',
    railDepth,
    below,
    depth,
    under: below + depth - railDepth,
    wider: outcome?.wider ?? 0,
    cutLength: outcome?.cutLength ?? null,
  };
}

/** How a bracket or a row of holes stands in the rail, in figures; null where it is not there. */
export function bracketFigures({ change }: ChangeBracket, { result, input, context }: Around): Bracketed | null {
  const named = typeof change.feature === 'string' ? change.feature : null;
  const feature = named === null ? change.feature : input.donor.features.find(({ id }) => id === named);
  if (!feature || typeof feature === 'string') return null;
  const outcome = result.features.find(
    (candidate) => candidate.feature.id === feature.id || candidate.feature.id === `${feature.id}-1`,
  );
  const piece = result.pieces[outcome?.piece ?? 0] ?? result.pieces[0];
  if (!piece) return null;
  const railDepth = sectionOn(piece, outcome?.feature.x ?? feature.x, context).depth;
  /** What stands on an edge stands there whatever its figure says. */
  const onRail = (down: number) =>
    ({ top: 0, bottom: railDepth, 'web-outside': down, 'web-inside': down })[feature.face];
  const down = onRail(change.what === 'move' ? change.down : feature.down);
  const radius = feature.diameter / 2;
  return {
    kind: 'bracket',
    railDepth,
    was: onRail(feature.down),
    down,
    fromTop: down - radius,
    fromBottom: railDepth - down - radius,
    between: change.what === 'drill' && change.count > 1 ? change.pitch - feature.diameter : null,
    row: change.what === 'drill' ? change.pitch * (change.count - 1) : 0,
  };
}
