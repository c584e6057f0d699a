import { expect, it } from 'vitest';
import { materialOf, MATERIALS } from '../materials/index.ts';
import { RULES, ruleValue } from './index.ts';

it('a change of the shop beats the profile, and the profile beats the default', () => {
  const profile = 'bolt-ahead-weld-behind';
  expect(ruleValue({ profile: 'weld-and-reinforce', changes: {} }, 'weld/ahead-of-hanger')).toBe(1);
  expect(ruleValue({ profile, changes: {} }, 'weld/ahead-of-hanger')).toBe(0);
  expect(ruleValue({ profile, changes: { 'weld/ahead-of-hanger': 1 } }, 'weld/ahead-of-hanger')).toBe(1);
});

it('every rule states a usable value, a reason and a source', () => {
  for (const rule of Object.values(RULES)) {
    expect(rule.value).toBeGreaterThan(0);
    expect(rule.reason.length).toBeGreaterThan(20);
    expect(rule.source).not.toBe('');
  }
});

it('heat-treated materials are never weldable, and an unknown one is named', () => {
  expect(MATERIALS.filter((material) => material.heatTreated && material.weldable)).toEqual([]);
  expect(() => materialOf('cheese')).toThrow(/no material “cheese”/);
});
