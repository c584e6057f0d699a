import { builtUpSection, sectionProperties, torsionConstant, widthOf } from '../../sections/index.ts';
import type { Box, Notch } from '../operation.ts';
import { frontTop, rearTop } from '../piece.ts';
import { findSpot, pieceAt } from '../state.ts';
import { type Around, type Of, type OperationFigures, sectionOn } from './figures.ts';

export function notchFigures(operation: Notch, { before, context }: Around): OperationFigures {
  const at = findSpot(before, operation.at);
  const section = sectionOn(pieceAt(before, at), at.x, context);
  const left = section.depth - operation.depth;
  if (section.kind === 'round') return { kind: 'notch', left, modulus: null, plated: null };
  const least = ({ modulusTop, modulusBottom }: ReturnType<typeof sectionProperties>) =>
    Math.min(modulusTop, modulusBottom);
  const whole = least(sectionProperties(section));
  const share = (plate?: { readonly width: number; readonly thickness: number }) => {
    const notch = { kind: 'notch', from: operation.from, depth: operation.depth } as const;
    return least(builtUpSection(section, [plate ? { ...notch, plate } : notch]).properties) / whole;
  };
  const fits = operation.plate > 0 && operation.plate < left;
  return {
    kind: 'notch',
    left,
    modulus: share(),
    plated: fits ? share({ width: widthOf(section), thickness: operation.plate }) : null,
  };
}

export function boxFigures(operation: Box, { before, context, result }: Around): OperationFigures | null {
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

export function crossmemberFigures(
  { change }: Of<'crossmember'>,
  { result, input, context }: Around,
): OperationFigures | null {
  const id = typeof change.crossmember === 'string' ? change.crossmember : change.crossmember.id;
  const outcome = result.crossmembers.find(({ crossmember }) => crossmember.id === id);
  const was = input.donor.crossmembers.find((member) => member.id === id);
  const shown = (change.what === 'remove' ? was : outcome?.crossmember) ?? was;
  const piece = result.pieces[outcome?.piece ?? 0] ?? result.pieces[0];
  if (!shown || !piece) return null;
  const railDepth = sectionOn(piece, shown.x, context).depth;
  const { below, depth } = shown;
  return { kind: 'crossmember', railDepth, below, depth, under: below + depth - railDepth, wider: outcome?.wider ?? 0 };
}

export function bracketFigures({ change }: Of<'bracket'>, { result, input, context }: Around): OperationFigures | null {
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
