import { expect, it } from 'vitest';
import { findScore } from './find-score.ts';

const order = (typed: string, ...entries: readonly (readonly [name: string, onFrame: boolean, hint?: string])[]) =>
  entries
    .map(([name, onFrame, hint]) => ({ name, score: findScore(name, typed, onFrame, hint) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ name }) => name);

it('puts a thing on the frame before an action that is called alike', () => {
  expect(order('hole', ['Drill a hole', false], ['Hole 5', true])).toEqual(['Hole 5', 'Drill a hole']);
});

it('puts whole words before beginnings, and these before letters inside a word', () => {
  expect(order('tank', ['Tankard shelf', true], ['Untanked', true], ['Tank strap 1', true])).toEqual([
    'Tank strap 1',
    'Tankard shelf',
    'Untanked',
  ]);
  // An action of that name goes before a thing that only has the letters.
  expect(order('cut', ['Executive', true], ['Cut', false])).toEqual(['Cut', 'Executive']);
});

it('wants every word that was typed, in any order and in any case', () => {
  expect(order('STRAP tank', ['Tank strap 1', true], ['Tank', true], ['Strap', true])).toEqual(['Tank strap 1']);
  expect(order('5 hole', ['Hole 5', true], ['Hole 15', true])).toEqual(['Hole 5', 'Hole 15']);
});

it('finds nothing by scattered letters, and by a hint last', () => {
  expect(order('dnr', ['Donor', false])).toEqual([]);
  expect(order('frame', ['Donor', false, 'What the frame is'], ['Frame', false])).toEqual(['Frame', 'Donor']);
  expect(findScore('Cuts', 'Go to Cuts', false, 'Go to')).toBeGreaterThan(0);
  expect(findScore('Anything', '  ', false)).toBe(1);
});
