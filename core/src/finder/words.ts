import { extentOf, factsOf, type Frame } from '../frame/index.ts';
import { inches } from '../units/index.ts';
import type { RuleId } from '../rules/index.ts';
import type { JudgedOption } from './judge.ts';
import { namesOf } from './lanes.ts';
import type { Cost } from './reason.ts';
import type { CutOption } from './options.ts';

type Show = (mm: number) => string;

/** Something that a place is named by: what it takes up of the donor, mm. */
interface Landmark {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** A landmark farther off than this names no place, mm. */
const NEAR = inches(30);

/** What a builder names a place on a frame by: mounts, hangers, crossmembers, the tank, the cab, the axles. */
function landmarksOf(frame: Frame): Landmark[] {
  const named = frame.features.filter(({ kind }) => factsOf(kind).mount || factsOf(kind).suspension);
  const tanks = frame.rooms.filter(({ kind }) => kind === 'tank');
  return [
    ...named.map((feature) => ({ name: feature.name, ...extentOf(feature) })),
    ...frame.crossmembers.map(({ name, x, length }) => ({ name, from: x - length / 2, to: x + length / 2 })),
    ...tanks.map(({ name, front, rear }) => ({ name, from: front, to: rear })),
    ...frame.points.filter(({ kind }) => kind === 'cab-back').map(({ name, x }) => ({ name, from: x, to: x })),
    ...frame.axles.map(({ name, x }) => ({ name, from: x, to: x })),
  ];
}

/**
 * Where a donor station is, as a builder would say it: `3 7/8 behind Body mount 1, ahead of Fuel tank`.
 *
 * @param frame The donor; validated.
 * @param x Donor station, mm.
 * @param show Writes a length.
 */
export function placeText(frame: Frame, x: number, show: Show): string {
  const all = landmarksOf(frame);
  const ahead = all.filter(({ to }) => to <= x && x - to < NEAR).toSorted((a, b) => b.to - a.to)[0];
  const behind = all.filter(({ from }) => from > x && from - x < NEAR).toSorted((a, b) => a.from - b.from)[0];
  const under = all.find(({ from, to }) => from < x && to > x);
  const said = [
    ...(under ? [`at ${under.name}`] : []),
    ...(ahead && !under
      ? [`${x - ahead.to < inches(1 / 16) ? 'right' : show(x - ahead.to)} behind ${ahead.name}`]
      : []),
    ...(behind ? [`${ahead && !under ? '' : `${show(behind.from - x)} `}ahead of ${behind.name}`] : []),
  ];
  return said.length > 0 ? said.join(', ') : 'with nothing near it';
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * Hours as they are said: to a quarter.
 *
 * @param hours Hours.
 */
export const hoursText = (hours: number): string => {
  const quarters = Math.round(hours * 4) / 4;
  return `${Number.isInteger(quarters) ? quarters : quarters.toFixed(quarters * 2 === Math.round(quarters * 2) ? 1 : 2)} h`;
};

/** How work of a rule is said: of some things by their names, or of many by their count. */
const WORK: Readonly<
  Partial<Record<RuleId, readonly [one: (name: string) => string, many: (count: number) => string]>>
> = {
  'finder/bracket': [
    (name) => `${name} re-drilled or made new`,
    (count) => `${count} mounts and brackets re-drilled or made new`,
  ],
  'finder/crossmember': [(name) => `${name} made new`, (count) => `${count} crossmembers made new`],
  'finder/member': [(name) => `${name} re-fitted`, (count) => `${count} members re-fitted`],
  'finder/hole': [(name) => `${name} close to the joint`, (count) => `${count} holes and brackets close to the joint`],
  'finder/line': [(name) => `${name} re-made`, (count) => `${count} lines re-made`],
  'finder/shaft': [() => 'one shaft re-made', (count) => `${count} shafts re-made`],
};

/** Names of more things than this are not said. */
const NAMED = 2;

/** What the work of an option comes to in words, the dearest first; what every option costs is left out. */
function workText(costs: readonly Cost[], common: ReadonlySet<string>, names: ReadonlyMap<string, string>): string[] {
  const left = costs.filter(({ counts, hours, code }) => counts === 'work' && hours > 0 && code !== 'joints');
  const told = left.filter((cost) => !common.has(keyOf(cost)));
  const byRule = new Map<RuleId, Cost[]>();
  for (const cost of told) byRule.set(cost.rule, [...(byRule.get(cost.rule) ?? []), cost]);
  return [...byRule].flatMap(([rule, all]) => {
    const words = WORK[rule];
    if (!words) return all.map(({ says }) => says.replace(/\.$/, ''));
    const [one, many] = words;
    return all.length > NAMED
      ? [many(all.length)]
      : all.map(({ about, says }) => {
          const name = about === null ? undefined : names.get(about);
          return name || rule === 'finder/shaft' ? one(name ?? '') : says.replace(/\.$/, '');
        });
  });
}

const keyOf = ({ code, about }: Pick<Cost, 'code' | 'about'>): string => `${code}/${about ?? ''}`;

/**
 * What every one of some options costs: it tells none from another.
 *
 * @param options The options.
 */
export function commonTo(options: readonly { readonly judged: JudgedOption }[]): ReadonlySet<string> {
  const [first, ...others] = options.map(
    ({ judged }) => new Set(judged.costs.filter(({ about }) => about !== null).map(keyOf)),
  );
  return new Set([...(first ?? [])].filter((key) => others.every((set) => set.has(key))));
}

/**
 * An option as somebody who knows the frame would put it.
 *
 * @param option The option.
 * @param frame The donor; validated.
 * @param show Writes a length.
 * @param common What every option costs.
 * @param beside A place that could be taken instead, and its hours of work; null where none can.
 */
export function wayText(
  { cuts, judged }: CutOption,
  frame: Frame,
  show: Show,
  common: ReadonlySet<string>,
  beside: { readonly name: string; readonly hours: number } | null,
): string {
  const places = cuts.map(({ x }) => placeText(frame, x, show)).join('; and ');
  const straight = Math.min(...cuts.map((cut) => cut.straight));
  const apart = judged.costs.find(({ code }) => code === 'apart');
  const about = [
    ...(cuts.length > 0 ? [`straight for ${show(straight)}`, apart ? apart.says : 'the ends meet'] : []),
    ...workText(
      judged.costs.filter(({ code }) => !code.startsWith('ends-') || !apart),
      common,
      namesOf(frame),
    ),
    ...judged.costs.filter(({ code }) => apart && code.startsWith('ends-')).map(({ code }) => ENDS_SAID[code] ?? ''),
  ].filter((text) => text !== '');
  const more = beside ? judged.hours - beside.hours : 0;
  const against =
    beside && Math.abs(more) >= 0.25
      ? `; ${hoursText(Math.abs(more))} ${more > 0 ? 'more' : 'less'} than ${beside.name}`
      : '';
  return `${capital(cuts.length > 0 ? places : 'at the very end')}: ${about.join(', ')}${against}.`;
}

/** What ends that lie apart ask for, by the code of what that costs. */
const ENDS_SAID: Readonly<Record<string, string>> = {
  'ends-dress': 'dressed to meet',
  'ends-ease-with-a-pie-cut': 'eased with a pie cut',
  'ends-needs-a-transition-piece': 'joined by a transition piece',
};

/**
 * Why a place that seems obvious is not the best: what forbids it, or what it costs more than the best option does.
 *
 * @param judged The place, judged.
 * @param best The best option.
 */
export function lostText(judged: JudgedOption, best: JudgedOption | undefined): string {
  if (judged.refusals.length > 0) {
    const said = judged.refusals.slice(0, 2).map(({ says }) => says.replace(/\.$/, ''));
    return `${said.join('; ')}.`;
  }
  const theirs = new Map((best?.costs ?? []).map((cost) => [keyOf(cost), cost.hours]));
  const more = judged.costs
    .map((cost) => ({ ...cost, more: cost.hours - (theirs.get(keyOf(cost)) ?? 0) }))
    .filter(
      ({ more, code }) =>
        more > 0.2 && !(code.startsWith('ends-') && judged.costs.some((cost) => cost.code === 'apart')),
    )
    .toSorted((a, b) => b.more - a.more)
    .map(({ says }) => says.replace(/\.$/, ''))
    .filter((says, at, all) => all.indexOf(says) === at)
    .slice(0, 4);
  const hours = best ? judged.hours - best.hours : 0;
  const work =
    hours > 0.2 ? `${hoursText(hours)} more work` : hours < -0.2 ? `${hoursText(-hours)} less work, but weaker` : '';
  const said = [...more, ...(work ? [work] : [])];
  return said.length > 0
    ? `${capital(said.join('; '))}.`
    : 'It costs what the best does, by what is measured: the longer clear stretch goes first.';
}
