import { extentOf, type Feature, SIDES, type Unit, UNIT_FACTS, type Vec3 } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, NOWHERE, type SuggestedFix } from './conflict.ts';
import type { Context } from './context.ts';
import type { Finder, Findings } from './findings.ts';
import { carrierOf, ridden } from './locate.ts';
import { fixesToClear } from './moving-cuts.ts';
import type { Piece } from './piece.ts';
import { distance } from './pose.ts';
import type { PlanState } from './state.ts';
import { builtOf } from './tape.ts';
import type { MountOutcome, UnitOutcome } from './unit-outcome.ts';

/** Something that belongs to a unit, on one side. */
interface Part {
  readonly name: string;
  /** Id of what it is part of: parts of one thing are not measured against each other. */
  readonly of: string;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
}

/** The parts whose distances a unit keeps: its mounts, each side by itself, and the axles that ride on it. */
function partsOf({ unit, mounts }: UnitOutcome, { features, axles, state }: Findings): Part[] {
  const ids = new Set(mounts.map(({ ref }) => ref.id));
  return [
    ...features
      .filter(({ feature, status }) => ids.has(feature.id) && status !== 'new')
      .flatMap(({ feature, places }) =>
        SIDES.flatMap((side): Part[] => {
          const at = places[side];
          return at?.donor
            ? [{ of: `${feature.id}/${side}`, name: `${feature.name}, ${side}`, donor: at.donor, built: at.built }]
            : [];
        }),
      ),
    ...mounts.flatMap(({ ref, name, donor, built }) =>
      ref.kind === 'crossmember' ? [{ of: ref.id, name, donor, built }] : [],
    ),
    ...axles
      .filter(({ carrier }) => carrier?.id === unit.id)
      .flatMap(({ item, donor, built }) => [
        { of: item.id, name: item.name, donor, built },
        // The axle goes with the mounts; the rail over it must go with them too, or they are pulled apart.
        { of: item.id, name: `the rail over ${item.name}`, donor, built: onRail(state, donor) },
      ]),
  ];
}

/** Where something would be if it rode on the rail at its own station; null where that is gone. */
function onRail(state: PlanState, point: Vec3): Vec3 | null {
  const under = carrierOf(state, point.x);
  return 'index' in under ? ridden(state.pieces[under.index] as Piece, point) : null;
}

const minus = (a: Vec3, b: Vec3): Vec3 => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });

/** How much more one way is than another, along, across and up, whichever end it is taken from: along to the rear. */
function moreOf(now: Vec3, was: Vec3): Vec3 {
  const more = minus(now, was);
  return was.x < 0 ? { x: -more.x, y: -more.y, z: -more.z } : more;
}

/** A change of a distance by its parts, those that are seen on a tape: `14 3/4 in along, 1/8 in up`. */
function vectorText({ x, y, z }: Vec3, show: Context['show']): string {
  const parts = (
    [
      [x, 'farther back', 'farther forward'],
      [y, 'to the right', 'to the left'],
      [z, 'up', 'down'],
    ] as const
  ).flatMap(([by, more, less]) => (Math.abs(by) < SEEN ? [] : [`${show(Math.abs(by))} ${by > 0 ? more : less}`]));
  return parts.length > 1 ? ` (its rear end goes ${parts.join(', ')})` : '';
}

/** A part of a change that a tape shows, mm. */
const SEEN = 0.4;

/** The pair of parts whose distance changes most. */
function worstPair(parts: readonly Part[]) {
  let worst = { change: 0, a: '', b: '', x: 0, by: { x: 0, y: 0, z: 0 } };
  for (const [index, a] of parts.entries())
    for (let other = index + 1; other < parts.length; other += 1) {
      const b = parts[other] as Part;
      if (!a.built || !b.built || a.of === b.of) continue;
      const change = distance(a.built, b.built) - distance(a.donor, b.donor);
      const by = moreOf(minus(b.built, a.built), minus(b.donor, a.donor));
      if (Math.abs(change) > Math.abs(worst.change) + 1e-9)
        worst = { change, a: a.name, b: b.name, x: (a.donor.x + b.donor.x) / 2, by };
    }
  return worst;
}

/** What a whole unit takes up of the donor. */
function reachOf({ unit }: UnitOutcome, { frame, axles }: Findings): { readonly from: number; readonly to: number } {
  const ids = new Set(unit.mounts.map(({ id }) => id));
  const all = [
    ...frame.features.filter(({ id }) => ids.has(id)).map(extentOf),
    ...axles.filter(({ carrier }) => carrier?.id === unit.id).map(({ donor }) => ({ from: donor.x, to: donor.x })),
  ];
  return { from: Math.min(...all.map(({ from }) => from)), to: Math.max(...all.map(({ to }) => to)) };
}

/** A mount as the frame has it along the rail, against where its unit has it: below 0 too far forward. */
const offAlong = ({ off }: MountOutcome): number => off?.x ?? 0;

/** How a mount would be put back where its unit has it. */
function putBack(mount: MountOutcome, { unit }: UnitOutcome, { frame }: Findings, { show }: Context): SuggestedFix[] {
  const along = offAlong(mount);
  const feature = frame.features.find(({ id }) => id === mount.ref.id);
  if (!mount.wanted || along === 0 || feature?.movable === 'no') return [];
  const how = mount.ref.kind === 'crossmember' ? 'Move' : feature?.movable === 're-weld' ? 'Re-weld' : 'Re-drill';
  return [
    {
      say: `${how} ${mount.name} ${show(Math.abs(along))} ${along < 0 ? 'back' : 'forward'}, where ${unit.name} still has it`,
      edit: { do: 'move', thing: mount.ref, to: { x: mount.wanted.x, on: 'built' }, before: null },
    },
  ];
}

/** The mounts that have left their unit, each with how far. */
const leftBehind = ({ mounts, staysWith }: UnitOutcome, { rules }: Context): readonly MountOutcome[] =>
  mounts.filter(
    ({ ref, off }) => off && ref.id !== staysWith?.id && Math.hypot(off.x, off.z) > ruleValue(rules, 'unit/moved'),
  );

/** Letting the unit go with another of its mounts. */
const goesWith = (unit: Unit, { ref, name }: MountOutcome): SuggestedFix => ({
  say: `Let ${unit.name} go with ${name}`,
  edit: { do: 'stay', unit: unit.id, mount: ref.id },
});

/** Suspensions whose mounts and axles the plan pulls apart. */
const splitUnits: Finder = (findings, context) =>
  findings.units.flatMap((outcome): Finding[] => {
    const { unit } = outcome;
    if (UNIT_FACTS[unit.kind].split !== 'stop') return [];
    const worst = worstPair(partsOf(outcome, findings));
    if (Math.abs(worst.change) <= ruleValue(context.rules, 'unit/moved')) return [];
    const reach = reachOf(outcome, findings);
    const splitting = findings.joints.find(({ donorX }) => donorX !== null && donorX > reach.from && donorX < reach.to);
    const left = leftBehind(outcome, context);
    const named = left.length > 0 ? ` Left behind: ${left.map(({ name }) => name).join(', ')}.` : '';
    return [
      {
        ...NOWHERE,
        donorX: worst.x,
        builtX: builtOf(findings.tape, worst.x),
        about: unit.id,
        code: 'unit-split',
        severity: 'stop',
        message: `${unit.name} is split: ${worst.a} to ${worst.b} ${worst.change > 0 ? 'grows' : 'shrinks'} by ${context.show(Math.abs(worst.change))}${vectorText(worst.by, context.show)}.${named}`,
        fixes: [
          ...fixesToClear(findings.state, splitting?.operation ?? null, reach, context),
          ...left.flatMap((mount) => putBack(mount, outcome, findings, context)),
          ...advise('Or accept the split, with a reason, and remake the links.'),
        ],
      },
    ];
  });

/** How a mount lies to where its unit has it, in words. */
function lies({ off }: MountOutcome, show: Context['show']): string {
  const { x = 0, z = 0 } = off ?? {};
  return [
    ...(Math.abs(x) > 1e-6 ? [`${show(Math.abs(x))} too far ${x < 0 ? 'forward' : 'back'}`] : []),
    ...(Math.abs(z) > 1e-6 ? [`${show(Math.abs(z))} too ${z < 0 ? 'low' : 'high'}`] : []),
  ].join(' and ');
}

const packing = ({ name, off }: MountOutcome, { show }: Context): SuggestedFix[] => {
  const z = off?.z ?? 0;
  if (Math.abs(z) < 1) return [];
  return advise(z < 0 ? `Pack ${show(-z)} under ${name}.` : `Take ${show(z)} off the height of ${name}.`);
};

/** Mounts that have left what rides on them: each named, each put back in one press. */
const mountsLeft: Finder = (findings, context) =>
  findings.units.flatMap((outcome): Finding[] => {
    const { unit, staysWith, mounts } = outcome;
    if (UNIT_FACTS[unit.kind].split !== 'warn') return [];
    const stands = mounts.find(({ ref }) => ref.id === staysWith?.id);
    return leftBehind(outcome, context).map((mount): Finding => {
      const feature: Feature | undefined = findings.frame.features.find(({ id }) => id === mount.ref.id);
      const back = putBack(mount, outcome, findings, context);
      return {
        code: 'mount-left',
        severity: 'warn',
        operation: mount.operation,
        donorX: mount.donor.x,
        builtX: mount.built?.x ?? null,
        about: mount.ref.id,
        message: `${mount.name} has left ${unit.name}: it lies ${lies(mount, context.show)}, and ${unit.name} stays with ${stands?.name ?? 'its other mounts'}.`,
        fixes: [
          ...back,
          ...packing(mount, context),
          ...(feature?.movable === 'no' ? advise('Cut ahead of all its mounts, or behind them.') : []),
          goesWith(unit, mount),
        ],
      };
    });
  });

/** Whether the plan takes a mount off on purpose. */
const takenOff = (id: string, { features, crossmembers }: Findings): boolean =>
  features.some(({ feature, status }) => feature.id === id && status === 'removed') ||
  crossmembers.some(({ crossmember, status }) => crossmember.id === id && status === 'removed');

/** Units none of whose mounts are on the built frame, unless the plan takes them all off: then it comes off too. */
const lostUnits: Finder = (findings) =>
  findings.units.flatMap(({ unit, mounts, staysWith }): Finding[] => {
    const [first] = mounts;
    if (!first || staysWith !== null) return [];
    const off = mounts.every(({ ref }) => takenOff(ref.id, findings));
    return [
      {
        ...NOWHERE,
        operation: first.operation,
        donorX: first.donor.x,
        builtX: builtOf(findings.tape, first.donor.x),
        about: unit.id,
        code: off ? 'unit-off' : 'unit-lost',
        severity: off ? 'note' : 'stop',
        message: off
          ? `${unit.name} comes off with its mounts: ${mounts.map(({ name }) => name).join(', ')}.`
          : `${unit.name} has lost every mount it stands on: ${mounts.map(({ name }) => name).join(', ')}.`,
        fixes: off ? [] : advise('Keep one of its mounts, or put one back on steel that stays.'),
      },
    ];
  });

/**
 * Units that the plan pulls apart, leaves by a mount, or leaves without any.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const unitConflicts: Finder = (findings, context) =>
  [splitUnits, mountsLeft, lostUnits].flatMap((find) => find(findings, context));
