import { expect, it } from 'vitest';
import { van } from '../../test/joints.ts';
import { datumStation } from '../frame/index.ts';
import type { Operation } from '../plan/index.ts';
import { inches } from '../units/index.ts';
import { type Job, jobChanges } from './index.ts';

const edited = (edit: (operation: Operation) => Operation | null): Job => ({
  ...van,
  plan: { ...van.plan, operations: van.plan.operations.flatMap((each) => edit(each) ?? []) },
});
const datum = datumStation(van.donor);

it.each([
  [
    'a cut that was moved',
    edited((each) => (each.kind === 'lengthen' ? { ...each, at: { on: 'donor', x: datum + inches(60) } } : each)),
    ['A·B 56 → 60'],
  ],
  [
    'a length',
    edited((each) => (each.kind === 'lengthen' ? { ...each, length: inches(16) } : each)),
    ['A·B 14 3/4 → 16'],
  ],
  ['an angle', edited((each) => (each.kind === 'trim' ? { ...each, angle: Math.PI / 6 } : each)), ['C 45.0° → 30.0°']],
  ['what was switched off', edited((each) => (each.id === 'tail' ? { ...each, off: true } : each)), [/switched off$/]],
  ['what was taken out', edited((each) => (each.id === 'hitch-off' ? null : each)), ['remove bracket taken out']],
  ['a note', edited((each) => (each.id === 'stretch' ? { ...each, note: 'x' } : each)), ['A·B changed']],
  [
    'other parts',
    { ...van, name: 'Bread van', donor: { ...van.donor, datum: 'hole-5' } },
    ['the datum hole', 'the name'],
  ],
  [
    'letters that stay',
    { ...van, plan: { ...van.plan, letters: [{ id: 'tail/rear', letter: 'C' }] } },
    ['letters kept'],
  ],
  ['nothing', { ...van }, []],
] as const)('says %s', (_, after, said) => {
  const changes = jobChanges(van, after as Job);
  expect(changes).toHaveLength(said.length);
  said.forEach((text, at) =>
    typeof text === 'string' ? expect(changes[at]!.say).toBe(text) : expect(changes[at]!.say).toMatch(text),
  );
});

it('says what was added, and which operation it is', () => {
  const [first] = van.plan.operations;
  const after = { ...van, plan: { ...van.plan, operations: [...van.plan.operations, { ...first!, id: 'more' }] } };
  expect(jobChanges(van, after).find(({ about }) => about === 'more')?.say).toMatch(/ added$/);
});
