import type { Anchor, Brace, Frame, Side, Vec3 } from '../../frame/index.ts';
import { sectionProperties } from '../../sections/index.ts';
import type { Context } from '../context.ts';
import { railPlace, whereIs, topAt } from '../locate.ts';
import type { Piece } from '../piece.ts';
import { distance } from '../pose.ts';
import type { HungBrace, PlanState } from '../state.ts';
import { outwardShift, placedAt, runOn } from './runs.ts';

/** A brace between its two anchors, mm. */
export interface BraceLine {
  readonly from: Vec3;
  readonly to: Vec3;
  readonly length: number;
}

/** What became of a brace. */
export interface BraceOutcome {
  readonly brace: Brace;
  readonly donor: BraceLine;
  /** Between where its anchors are now; null where one of them is gone, or the plan takes it off. */
  readonly built: BraceLine | null;
  /** By how much longer it must be, mm; 0 where it fits as it is, or is made again. */
  readonly longer: number;
  readonly status: 'stays' | 'moves' | 'remade' | 'removed' | 'lost';
  readonly reason: string;
  readonly operation: string | null;
  /** As built, kg. */
  readonly mass: number;
}

type Found = { readonly at: Vec3 } | { readonly operation: string | null };

/** Where an anchor on a rail is now. */
function onRail(state: PlanState, side: Side, { x, down }: Anchor): Found {
  const where = whereIs(state, 'donor', x, topAt(state, 'donor', x) - down);
  if (where.at !== 'piece') return { operation: where.at === 'removed' ? where.operation : null };
  return { at: railPlace(state.pieces[where.index] as Piece, side, x, down) };
}

/** Where an anchor on a copy of a member is now: `down` is below the member's top edge. */
function onMember(
  state: PlanState,
  frame: Frame,
  id: string,
  side: Side,
  { x, down }: Anchor,
  context: Context,
): Found {
  const member = frame.members.find((candidate) => candidate.id === id);
  if (!member) return { operation: null };
  const { depth } = context.section(member.section);
  for (const [index, piece] of state.pieces.entries()) {
    const run = piece.source === 'donor' ? runOn(member, side, piece, index) : null;
    const next = run?.points.findIndex((point) => point.x >= x) ?? -1;
    const [a, b] = [run?.points[next - 1], run?.points[next]];
    const point = b && b.x === x ? b : a && b ? { share: (x - a.x) / (b.x - a.x) } : null;
    if (!run || !point || !b) continue;
    const at =
      'share' in point && a
        ? {
            x,
            outward: a.outward + (b.outward - a.outward) * point.share,
            z: a.z + (b.z - a.z) * point.share,
          }
        : b;
    return { at: placedAt(piece, side, { ...at, z: at.z + depth / 2 - down }, outwardShift(run)) };
  }
  return { operation: null };
}

function find(state: PlanState, frame: Frame, anchor: Anchor, context: Context): Found {
  if (anchor.rail === 'left' || anchor.rail === 'right') return onRail(state, anchor.rail, anchor);
  const [id = '', side = 'right'] = anchor.rail.split('/');
  return onMember(state, frame, id, side as Side, anchor, context);
}

const line = (from: Vec3, to: Vec3): BraceLine => ({ from, to, length: distance(from, to) });
const NOWHERE: Vec3 = { x: 0, y: 0, z: 0 };

/**
 * What became of a brace of the donor; `donor` is the frame in work before any operation.
 *
 * @param state The frame in work.
 * @param donor The frame in work before any operation.
 * @param frame The donor; validated.
 * @param context Sections, rules and how lengths are written.
 */
export function braceOutcome(
  state: PlanState,
  donor: PlanState,
  frame: Frame,
  { item: brace, change, operation }: HungBrace,
  context: Context,
): BraceOutcome {
  const places = (on: PlanState) => [find(on, frame, brace.from, context), find(on, frame, brace.to, context)] as const;
  const [wasFrom, wasTo] = places(donor);
  const was = line('at' in wasFrom ? wasFrom.at : NOWHERE, 'at' in wasTo ? wasTo.at : NOWHERE);
  const { area } = sectionProperties(context.section(brace.section));
  const nowhere = (status: 'removed' | 'lost', reason: string, by: string | null): BraceOutcome => ({
    brace,
    donor: was,
    built: null,
    longer: 0,
    status,
    reason,
    operation: by,
    mass: 0,
  });
  if (change === 'removed') return nowhere('removed', 'taken off by the plan', operation);
  const [from, to] = places(state);
  if (!('at' in from)) return nowhere('lost', 'on steel that is taken out', from.operation);
  if (!('at' in to)) return nowhere('lost', 'on steel that is taken out', to.operation);
  const built = line(from.at, to.at);
  const moved = distance(was.from, built.from) > 1e-6 || distance(was.to, built.to) > 1e-6;
  const remade = change === 'remade';
  const longer = built.length - was.length;
  return {
    brace,
    donor: was,
    built,
    longer: remade || Math.abs(longer) < 1e-6 ? 0 : longer,
    status: remade ? 'remade' : moved ? 'moves' : 'stays',
    reason: remade ? 'remade to fit between its ends' : moved ? 'goes along with its ends' : 'not moved',
    operation,
    mass: area * context.density * (remade ? built.length : was.length),
  };
}

/** The point half-way along a brace. */
export const middleOf = ({ from, to }: BraceLine): Vec3 => ({
  x: (from.x + to.x) / 2,
  y: (from.y + to.y) / 2,
  z: (from.z + to.z) / 2,
});
