import { extentOf, SIDES, type Vec3 } from '../frame/index.ts';
import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, NOWHERE } from './conflict.ts';
import type { Finder, Findings } from './findings.ts';
import { waysToClear } from './moving-cuts.ts';
import { distance } from './pose.ts';
import { builtOf } from './tape.ts';

/** Something that belongs to a group, on one side. */
interface Member {
  readonly name: string;
  readonly donor: Vec3;
  readonly built: Vec3 | null;
}

/** The members of every group, one for each side that a feature stands on. */
function membersOf({ features, axles }: Findings): ReadonlyMap<string, Member[]> {
  const members = new Map<string, Member[]>();
  const add = (group: string, member: Member) => {
    const known = members.get(group);
    if (known) known.push(member);
    else members.set(group, [member]);
  };
  for (const { feature, fate, places } of features) {
    if (feature.group === undefined || fate === 'new') continue;
    for (const side of SIDES) {
      const at = places[side];
      if (at?.donor) add(feature.group, { name: `${feature.name}, ${side}`, donor: at.donor, built: at.built });
    }
  }
  for (const { item, donor, built } of axles)
    if (item.group !== undefined) add(item.group, { name: item.name, donor, built });
  return members;
}

/** The pair of members whose distance changes most. */
function worstPair(members: readonly Member[]) {
  let worst = { change: 0, a: '', b: '', x: 0 };
  for (const [index, a] of members.entries())
    for (let other = index + 1; other < members.length; other += 1) {
      const b = members[other] as Member;
      if (!a.built || !b.built) continue;
      const change = distance(a.built, b.built) - distance(a.donor, b.donor);
      if (Math.abs(change) > Math.abs(worst.change) + 1e-9)
        worst = { change, a: a.name, b: b.name, x: (a.donor.x + b.donor.x) / 2 };
    }
  return worst;
}

/** What a whole group takes up of the donor. */
function reachOf({ frame }: Findings, group: string): { readonly from: number; readonly to: number } {
  const members = frame.features.filter((feature) => feature.group === group).map(extentOf);
  const axles = frame.axles.filter((axle) => axle.group === group).map(({ x }) => ({ from: x, to: x }));
  const all = [...members, ...axles];
  return { from: Math.min(...all.map(({ from }) => from)), to: Math.max(...all.map(({ to }) => to)) };
}

/** Groups whose members the plan pulls apart. */
export const groups: Finder = (findings, context) => {
  const members = membersOf(findings);
  return findings.frame.groups.flatMap((group): Finding[] => {
    const worst = worstPair(members.get(group.id) ?? []);
    if (Math.abs(worst.change) <= ruleValue(context.rules, 'group/moved')) return [];
    const reach = reachOf(findings, group.id);
    const splitting = findings.joints.find(({ donorX }) => donorX !== null && donorX > reach.from && donorX < reach.to);
    return [
      {
        ...NOWHERE,
        donorX: worst.x,
        builtX: builtOf(findings.tape, worst.x),
        about: group.id,
        code: 'group-split',
        severity: 'stop',
        message: `${group.name} is split: ${worst.a} to ${worst.b} ${worst.change > 0 ? 'grows' : 'shrinks'} by ${context.show(Math.abs(worst.change))}.`,
        waysOut: [
          ...waysToClear(findings.state, splitting?.operation ?? null, reach, context),
          ...advise('Or accept the split, with a reason, and remake the links.'),
        ],
      },
    ];
  });
};
