import { acrossFlange, railAt, type Side, SIDES } from '../frame/index.ts';
import {
  type CrossmemberOutcome,
  type FeatureOutcome,
  notchDepths,
  notchFloor,
  type Piece,
  type PlanResult,
} from '../plan/index.ts';
import type { BracketMark, CrossmemberMark, ReworkMark } from './marks.ts';
import { lettersOfPiece, type Measurer, type Origin, originOn } from './measure.ts';

const originOf = (result: PlanResult, index: number, measurer: Measurer): Origin =>
  originOn(result.pieces[index] as Piece, lettersOfPiece(result, index), measurer);

const WHAT_BRACKET = { new: 'new', 're-drill': 'moved', 're-weld': 'moved' } as const;

/**
 * Brackets and holes that are new or moved, and brackets that come off, on each rail.
 *
 * @param result What the plan gives.
 * @param measurer Measures along the donor’s rails.
 */
export function bracketMarks(result: PlanResult, measurer: Measurer): BracketMark[] {
  const markOn = (side: Side, { feature, status, piece, places }: FeatureOutcome): BracketMark[] => {
    if (!places[side]) return [];
    const what = status === 'removed' ? 'off' : WHAT_BRACKET[status as keyof typeof WHAT_BRACKET];
    // What comes off is marked where it is on the donor.
    const index = status === 'removed' ? null : piece;
    if (!what || (index === null && status !== 'removed')) return [];
    const { origin, along, level } =
      index === null ? originOn(result.donorState.pieces[0] as Piece, '', measurer) : originOf(result, index, measurer);
    const steel = index === null ? result.donorState.pieces[0] : result.pieces[index];
    const { section } = railAt((steel as Piece).rails[side], feature.x);
    const depth = measurer.depthOf(section);
    const share = feature.face === 'top' ? 0 : feature.face === 'bottom' ? 1 : Math.min(1, feature.down / depth);
    return [
      {
        name: feature.name,
        side,
        what,
        origin,
        web: along(side, feature.x, share),
        level: level(feature.x),
        ahead: feature.ahead,
        behind: feature.behind,
        face: feature.face,
        down: feature.face === 'bottom' ? depth : feature.face === 'top' ? 0 : feature.down,
        across: acrossFlange(feature),
        diameter: status === 'removed' ? 0 : feature.diameter,
        block: 0,
        fixedBy: feature.attachment,
      },
    ];
  };
  return SIDES.flatMap((side) => result.features.flatMap((outcome) => markOn(side, outcome)));
}

const WHAT_CHANGED = { moved: 'moved', lowered: 'lowered', thinned: 'thinned', added: 'new', removed: 'out' } as const;

/**
 * Crossmembers that the plan adds, moves, changes or takes out, on each rail.
 *
 * @param result What the plan gives.
 * @param measurer Measures along the donor’s rails.
 */
export function crossmemberMarks(result: PlanResult, measurer: Measurer): CrossmemberMark[] {
  const changes = new Map(
    (result.steps.at(-1)?.state ?? result.donorState).crossmembers.map(({ item, change }) => [item.id, change]),
  );
  const markOn = (side: Side, { crossmember, piece }: CrossmemberOutcome): CrossmemberMark[] => {
    const change = changes.get(crossmember.id) ?? 'none';
    if (change === 'none' || (piece === null && change !== 'removed')) return [];
    const { origin, along, level } =
      piece === null ? originOn(result.donorState.pieces[0] as Piece, '', measurer) : originOf(result, piece, measurer);
    const { name, x, length, below, depth } = crossmember;
    return [
      {
        name,
        side,
        what: WHAT_CHANGED[change],
        origin,
        top: along(side, x, 0),
        level: level(x),
        length,
        below,
        depth,
      },
    ];
  };
  return SIDES.flatMap((side) => result.crossmembers.flatMap((outcome) => markOn(side, outcome)));
}

/**
 * Notches and boxing plates on steel that stays, on each rail.
 *
 * @param result What the plan gives.
 * @param measurer Measures along the donor’s rails.
 */
export function reworkMarks(result: PlanResult, measurer: Measurer): ReworkMark[] {
  return SIDES.flatMap((side) =>
    result.reworks.flatMap(({ operation, source, from, to }): ReworkMark[] => {
      const index = result.pieces.findIndex(
        (each) => each.source === source && each.front.x < to && each.rear.x > from,
      );
      if (index < 0) return [];
      const { origin, along } = originOf(result, index, measurer);
      const piece = result.pieces[index] as Piece;
      const depths =
        operation.kind === 'notch'
          ? notchDepths(notchFloor(operation, { from, to }, piece.rails[side], measurer.depthOf))
          : null;
      const below = operation.kind === 'notch' && operation.from === 'below';
      const share = below ? 1 : 0;
      return [
        {
          operation,
          side,
          what: operation.kind === 'box' ? 'boxing plate' : below ? 'notch from below' : 'notch from above',
          origin,
          edge: below ? 'bottom' : 'top',
          from: along(side, from, share),
          to: along(side, to, share),
          deep: operation.kind === 'box' ? operation.taper : (depths?.front ?? operation.depth),
          deepRear: depths?.rear ?? null,
          floor: operation.kind === 'notch' ? (operation.floor ?? 'follows') : null,
          plate: operation.plate,
        },
      ];
    }),
  );
}
