import { expect, it } from 'vitest';
import {
  PROFILES,
  RULE_IDS,
  RULE_WORDS,
  ruleProblem,
  RULES,
  ruleText,
  ruleValue,
  usualValue,
  withRule,
} from './index.ts';

it('a change of the shop beats the profile, and the profile beats the default', () => {
  const profile = 'bolt-ahead-weld-behind';
  expect(ruleValue({ profile: 'weld-and-reinforce', changes: {} }, 'weld/ahead-of-hanger')).toBe(1);
  expect(ruleValue({ profile, changes: {} }, 'weld/ahead-of-hanger')).toBe(0);
  expect(ruleValue({ profile, changes: { 'weld/ahead-of-hanger': 1 } }, 'weld/ahead-of-hanger')).toBe(1);
});

it('every rule states a usable value, a reason and a source', () => {
  for (const id of RULE_IDS) {
    expect(RULES[id].value).toBeGreaterThanOrEqual(RULES[id].measures === 'allowed' ? 0 : 1e-3);
    expect(RULE_WORDS[id].title).not.toBe('');
    expect(RULE_WORDS[id].reason.length).toBeGreaterThan(15);
    expect(RULE_WORDS[id].source).not.toBe('');
  }
  expect(Object.keys(RULE_WORDS)).toEqual(RULE_IDS);
});

it('a rule that is set back to what the profile says is no change any more', () => {
  const usual = { profile: 'bolt-ahead-weld-behind', changes: {} } as const;
  const changed = withRule(withRule(usual, 'joint/meets', 2), 'weld/ahead-of-hanger', 1);
  expect(changed.changes).toEqual({ 'joint/meets': 2, 'weld/ahead-of-hanger': 1 });
  expect(withRule(withRule(changed, 'joint/meets', RULES['joint/meets'].value), 'weld/ahead-of-hanger', 0)).toEqual(
    usual,
  );
});

it.each([
  ['joint/meets', 0, null],
  ['joint/meets', -0.1, /0 or more/],
  ['joint/meets', Number.NaN, /0 or more/],
  ['joint/straight', 0.2, null],
  ['joint/straight', Math.PI / 2, /less than 90/],
  ['splice/ratio', 0.9, null],
  ['splice/ratio', 0, /more than 0/],
  ['splice/ratio', 1.1, /at most 100/],
  ['fatigue/range', -1, /0 or more/],
  ['splice/reach', 1.5, null],
  ['weld/ahead-of-hanger', 1, null],
  ['weld/ahead-of-hanger', 0.5, /either allowed/],
] as const)('%s may be %d: %s', (id, value, problem) => {
  if (problem === null) expect(ruleProblem(id, value)).toBeNull();
  else expect(ruleProblem(id, value)).toMatch(problem);
});

it('what every profile starts with can be judged by', () => {
  for (const profile of Object.keys(PROFILES) as (keyof typeof PROFILES)[])
    for (const id of RULE_IDS) expect([id, ruleProblem(id, usualValue(profile, id))]).toEqual([id, null]);
});

it.each([
  ['joint/meets', 1.5875, '1/16 in', '1.6 mm'],
  ['joint/straight', Math.PI / 360, '0.5°', '0.5°'],
  ['weld/ahead-of-hanger', 1, 'allowed', 'allowed'],
  ['weld/ahead-of-hanger', 0, 'not', 'not'],
  ['splice/ratio', 0.95, '95 %', '95 %'],
  ['splice/reach', 1.5, '1.5 times', '1.5 times'],
  ['fatigue/range', 68.9475729, '10 ksi', '68.9 MPa'],
] as const)('%s of %d is said as %s, and as %s', (id, value, inInches, inMillimetres) => {
  const said = (unit: 'in' | 'mm') => ruleText(id, value, { unit, division: 16 }).replaceAll('\u00a0', ' ');
  expect(said('in')).toBe(inInches);
  expect(said('mm')).toBe(inMillimetres);
});

it('every rule is said in words that its measure is read from', () => {
  for (const id of RULE_IDS)
    for (const unit of ['in', 'mm'] as const)
      expect([id, ruleText(id, RULES[id].value, { unit, division: 16 })]).toEqual([
        id,
        expect.stringMatching(/^(\d|allowed$|not$|[½¼¾⅛⅜⅝⅞])/),
      ]);
});
