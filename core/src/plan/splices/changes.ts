import { ruleValue } from '../../rules/index.ts';
import type { RailSplice, SplicePlate } from '../../splice/index.ts';
import type { LengthFormat } from '../../units/index.ts';
import { type Proposing, usualPlate, usualSleeve, usualStep } from './usual.ts';

/** What improvements are looked for in. */
export interface Improving extends Proposing {
  readonly display: LengthFormat;
}

/** A change of how a rail is made at a joint, not calculated yet. */
export interface Change {
  readonly say: string;
  readonly splice: RailSplice;
}

/** An id that no plate of the splice has. */
export function freshPlateId({ plates }: RailSplice): string {
  for (let count = 1; ; count += 1) {
    const id = `plate-${count}`;
    if (!plates.some((plate) => plate.id === id)) return id;
  }
}

/**
 * Ways to weld the wall better.
 *
 * @param splice How the rail is made there now.
 */
export function weldChanges(splice: RailSplice): Change[] {
  const { weld, form } = splice;
  if (form.form === 'bolted') return [];
  const put = (say: string, changes: Partial<RailSplice['weld']>): Change => ({
    say,
    splice: { ...splice, weld: { ...weld, ...changes } },
  });
  return [
    ...(weld.test === 'visual' ? [put('Check the weld with dye', { test: 'dye' })] : []),
    ...(weld.way === 'one-side' ? [put('Weld on a backing', { way: 'on-backing' })] : []),
    ...(weld.way !== 'both-sides' ? [put('Weld through from both sides', { way: 'both-sides' })] : []),
    ...(weld.way !== 'both-sides' && weld.test === 'visual'
      ? [put('Weld through from both sides and check with dye', { way: 'both-sides', test: 'dye' })]
      : []),
  ];
}

/**
 * Ways to lay more steel over the joint, or to cut it otherwise.
 *
 * @param splice How the rail is made there now.
 * @param improving Rail, rules, and how lengths are written.
 */
export function additions(splice: RailSplice, improving: Improving): Change[] {
  const { steel, rules, display } = improving;
  const has = (face: SplicePlate['face']) => splice.plates.some((plate) => plate.face === face);
  const plateOn = (face: SplicePlate['face']) => usualPlate(freshPlateId(splice), face, splice.form, improving);
  const add = (say: string, ...plates: readonly (SplicePlate | null)[]): Change[] =>
    plates.every((plate) => plate !== null)
      ? [{ say, splice: { ...splice, plates: [...splice.plates, ...(plates as readonly SplicePlate[])] } }]
      : [];
  const second = steel.section.kind === 'channel' ? 'web-inside' : 'inner-side';
  const both = () => {
    const inside = plateOn(second);
    const outside = inside && usualPlate(`${freshPlateId(splice)}-out`, 'web-outside', splice.form, improving);
    return add('Plates on both faces', inside, outside);
  };
  const top = plateOn('top-flange');
  const bottom = top && usualPlate(`${freshPlateId(splice)}-under`, 'bottom-flange', splice.form, improving);
  const inner = splice.sleeve ? null : usualSleeve('inner', splice.form, improving);
  return [
    ...(has('web-inside') ? [] : add('A plate inside the web', plateOn('web-inside'))),
    ...(has('web-outside') ? [] : add('A plate outside the web', plateOn('web-outside'))),
    ...(has(second) || has('web-outside') ? [] : both()),
    ...(steel.section.kind === 'channel' || has('inner-side')
      ? []
      : add('A plate on the inner wall', plateOn('inner-side'))),
    ...((splice.form.form === 'bolted' || ruleValue(rules, 'splice/flange-plates') === 1) &&
    !has('top-flange') &&
    !has('bottom-flange')
      ? add('Plates on both flanges', top, bottom)
      : []),
    ...(inner && splice.form.form !== 'bolted' && steel.section.kind !== 'channel'
      ? [{ say: 'A sleeve inside', splice: { ...splice, sleeve: inner } }]
      : []),
    ...(splice.form.form === 'butt' && steel.section.kind !== 'round'
      ? [{ say: 'Cut it as a step', splice: { ...splice, form: usualStep(steel.section, display) } }]
      : []),
  ];
}
