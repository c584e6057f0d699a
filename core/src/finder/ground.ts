import { isMet } from '../units/index.ts';
import { railAt, railOf, type Station, SIDES } from '../frame/index.ts';
import {
  type Bending,
  bendingOf,
  evaluateGeometry,
  evaluateOutcomes,
  type PlanInput,
  shopSplices,
} from '../plan/index.ts';
import { type RuleId, ruleValue } from '../rules/index.ts';
import type { Base } from './goal.ts';
import type { Cost, Lane } from './reason.ts';
import { type AssumedRoom, assumedRooms } from './unmeasured.ts';
import { type Over, overOf, type Stretch, thingsOf } from './things.ts';

/** A joint as the shop makes it on a rail: what it carries of the bare rail, and the class of its worst detail, MPa. */
interface Made {
  readonly ratio: number;
  readonly name: string;
  readonly detailClass: number | null;
}

/** What is looked at again and again of a frame: everything that hangs on the donor alone, in order along it. */
export interface Ground {
  readonly input: PlanInput;
  /** Front and rear end of the rails, mm. */
  readonly ends: readonly [from: number, to: number];
  /** Stations where either rail turns or changes its section, in order. */
  readonly bends: readonly number[];
  readonly things: readonly Stretch[];
  readonly crossmembers: readonly Stretch[];
  /** Stretches about axles whose brackets nobody has measured. */
  readonly assumed: readonly AssumedRoom[];
  /** What is loosened or taken off where a joint comes near: the cab, the engine, beds, tanks. */
  readonly over: readonly Over[];
  readonly bending: ((donorX: number) => Bending) | null;
  /** The greatest stress anywhere along the frame, MPa. */
  readonly hardest: number;
  /** What a joint as the shop makes it carries of a rail with this section. */
  readonly ratioOf: (section: string) => Made | null;
}

/** A stretch of rail that a joint leaves: what stays ahead of it ends at `ahead`, what stays behind begins at `behind`, mm. */
export interface Gap {
  readonly ahead: number;
  readonly behind: number;
}

/** A cost before it is written down: the words are only made for what is shown. */
export interface Part extends Omit<Cost, 'says'> {
  readonly say: (show: (mm: number) => string) => string;
}

/** Turns of a rail smaller than this are none: a sixteenth in ten feet. */
const STRAIGHT = 0.0005;

/** Where a rail turns or changes its section. */
function bendsOf(rail: readonly Station[]): number[] {
  return rail.slice(1, -1).flatMap(({ x, section }, at) => {
    const [before, after] = [railAt(rail, x, 'front'), railAt(rail, x, 'rear')];
    const turns =
      Math.abs(before.widthSlope - after.widthSlope) > STRAIGHT ||
      Math.abs(before.topSlope - after.topSlope) > STRAIGHT;
    return turns || rail[at]?.section !== section ? [x] : [];
  });
}

/**
 * Everything about a frame that a place to cut is held against, worked out once.
 *
 * @param job Donor, bodies, plan and rules: bodies only for what they weigh; validated.
 * @param base The plan that every option is added to.
 */
export function groundOf(job: PlanInput, base: Base): Ground {
  const { input } = base;
  const { donor } = input;
  const outcomes = evaluateOutcomes(evaluateGeometry(input));
  const rails = SIDES.map((side) => railOf(donor.rails, side));
  const xs = rails.flatMap((rail) => rail.map(({ x }) => x));
  const ends = [Math.min(...xs), Math.max(...xs)] as const;
  const laden = job.bodies.length > 0 ? evaluateOutcomes(evaluateGeometry({ ...input, bodies: job.bodies })) : outcomes;
  const bending = bendingOf(laden);
  const STEPS = 200;
  const sampled = bending
    ? Array.from({ length: STEPS + 1 }, (_, at) => bending(ends[0] + ((ends[1] - ends[0]) * at) / STEPS).stress)
    : [];
  const ratios = new Map<string, ReturnType<Ground['ratioOf']>>();
  return {
    input,
    ends,
    bends: [...new Set(rails.flatMap(bendsOf))].sort((a, b) => a - b),
    ...thingsOf(outcomes),
    assumed: assumedRooms(donor, ruleValue(input.rules, 'finder/axle-room')),
    over: overOf(donor, outcomes),
    bending,
    hardest: Math.max(0, ...sampled),
    ratioOf: (id) => {
      if (!ratios.has(id)) {
        const section = outcomes.context.section(id);
        const { material } = donor;
        const [made] = shopSplices({
          steel: { section, material },
          material,
          rules: input.rules,
          display: input.display,
          context: outcomes.context,
          aheadOfHanger: false,
        });
        ratios.set(
          id,
          made && made.ratio !== null
            ? { ratio: made.ratio, name: made.name, detailClass: made.worstDetail?.detailClass ?? null }
            : null,
        );
      }
      return ratios.get(id) ?? null;
    },
  };
}

/** How far a rail runs straight ahead of a station, and behind one, mm. */
function straightBy({ bends, ends }: Ground, { ahead, behind }: Gap) {
  let [before, after] = [ahead - ends[0], ends[1] - behind];
  for (const x of bends) {
    if (x <= ahead + 1e-6) before = Math.min(before, ahead - x);
    if (x >= behind - 1e-6) after = Math.min(after, x - behind);
  }
  return { ahead: before, behind: after };
}

/**
 * How long the rail is straight and of one section about a joint, mm: from the bend ahead to the bend behind.
 *
 * @param ground The frame.
 * @param gap What the joint leaves.
 */
export function straightLengthAt(ground: Ground, gap: Gap): number {
  const { ahead, behind } = straightBy(ground, gap);
  return ahead + behind;
}

/** The nearest of some stretches to what a joint leaves, and how near; null where none is within reach. */
function nearest(stretches: readonly Stretch[], { ahead, behind }: Gap, reach: number) {
  let best: { readonly of: Stretch; readonly distance: number } | null = null;
  for (const of of stretches) {
    // What lies on rail that comes out is not beside a joint.
    if (of.from >= ahead && of.to <= behind && behind > ahead) continue;
    const distance = of.to <= ahead ? ahead - of.to : of.from >= behind ? of.from - behind : 0;
    if (distance < (best?.distance ?? reach)) best = { of, distance };
  }
  return best;
}

const part = (
  code: string,
  rule: RuleId,
  lane: Lane,
  hours: number,
  say: Part['say'],
  counts: Part['counts'] = 'weighed',
  about: string | null = null,
): Part => ({ code, rule, lane, hours, say, counts, about });

/**
 * What speaks against a joint at a place besides what the plan's judgment says: straight rail, flat rail, things close
 * by, a torch's reach, what stands over it, and how hard the rail works there.
 *
 * @param ground The frame.
 * @param gap What the joint leaves.
 */
export function partsAt(ground: Ground, gap: Gap): Part[] {
  const { rules, donor } = ground.input;
  const value = (id: RuleId) => ruleValue(rules, id);
  const parts: Part[] = [];
  const wanted = value('finder/straight');
  const { ahead, behind } = straightBy(ground, gap);
  const straight = Math.min(ahead, behind);
  if (straight < wanted - 1e-6)
    parts.push(
      part(
        'crooked',
        'finder/crooked',
        'bend',
        value('finder/crooked') * (1 - straight / wanted),
        (show) => `only ${show(straight)} of straight rail ${ahead < behind ? 'ahead' : 'behind'}`,
      ),
    );
  let [tapered, sloping] = [false, false];
  for (const side of SIDES)
    for (const [x, toward] of [
      [gap.ahead, 'front'],
      [gap.behind, 'rear'],
    ] as const) {
      const here = railAt(railOf(donor.rails, side), x, toward);
      if (Math.abs(here.widthSlope) > STRAIGHT) tapered = true;
      if (Math.abs(here.topSlope) > STRAIGHT) sloping = true;
    }
  if (tapered || sloping)
    parts.push(
      part('tapered', 'finder/tapered', tapered ? 'taper' : 'bend', value('finder/tapered'), () =>
        tapered ? 'on a taper, where no square stands true' : 'on a slope, where no square stands true',
      ),
    );
  const clear = value('finder/clear');
  const close = nearest([...ground.things, ...ground.crossmembers], gap, clear);
  if (close)
    parts.push(
      part(
        'close',
        'finder/close',
        laneOfThing(ground, close.of.id),
        value('finder/close') * (1 - close.distance / clear),
        (show) =>
          isMet(close.distance) ? `${close.of.name} right at it` : `${close.of.name} only ${show(close.distance)} away`,
      ),
    );
  const blocked = nearest(ground.crossmembers, gap, value('finder/torch-reach'));
  if (blocked)
    parts.push(
      part(
        'torch',
        'finder/torch',
        'members',
        value('finder/torch'),
        () => `${blocked.of.name} in the way of the torch on the inside`,
      ),
    );
  const reach = value('finder/reach');
  for (const one of ground.over)
    if ([gap.ahead, gap.behind].some((x) => x > one.from - one.reach * reach && x < one.to + one.reach * reach))
      parts.push(part('access', one.rule, one.lane, value(one.rule), () => `${one.name} ${one.work}`, 'work', one.id));
  parts.push(...loadParts(ground, gap));
  return parts;
}

/** How hard the rail works at a joint: against what the joint carries of it, and against its worst fatigue detail. */
function loadParts({ bending, hardest, ratioOf, input: { donor, rules } }: Ground, gap: Gap): Part[] {
  if (!bending || hardest <= 0) return [];
  const ends = [gap.ahead, gap.behind].map((x, at) => {
    const { section } = railAt(railOf(donor.rails, 'left'), x, at === 0 ? 'front' : 'rear');
    const made = ratioOf(section);
    const share = bending(x).stress / hardest;
    return { made, share, of: Math.min(1, share / Math.max(0.01, made?.ratio ?? 1)) };
  });
  const { made, share, of } = ends.reduce((most, end) => (end.of > most.of ? end : most));
  if (of <= 0.005) return [];
  const best = ruleValue(rules, 'fatigue/butt-flush');
  const detail = made?.detailClass ?? null;
  const worse = detail === null ? 0 : Math.max(0, 1 - detail / best);
  return [
    part(
      'bending',
      'finder/bending',
      'load',
      ruleValue(rules, 'finder/bending') * of,
      () =>
        `bent to ${Math.round(of * 100)} % of the hardest place${made ? `, joint as ${made.name.toLowerCase()}` : ''}`,
    ),
    ...(worse > 0
      ? [
          part(
            'fatigue',
            'finder/fatigue',
            'load',
            ruleValue(rules, 'finder/fatigue') * share * worse,
            () => `its worst detail is of fatigue class ${detail}, against ${best} at the best`,
          ),
        ]
      : []),
  ];
}

/** The lane of something that is close to a joint. */
const laneOfThing = ({ crossmembers }: Ground, id: string): Lane =>
  crossmembers.some((member) => member.id === id) ? 'members' : 'holes';
