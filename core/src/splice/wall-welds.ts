import type { InputProblem } from '../input-error.ts';
import { type Rulebook, ruleValue } from '../rules/index.ts';
import type { Section } from '../sections/index.ts';
import type { JointWeld } from './rail-splice.ts';
import { isClosed, wallsOf } from './section-walls.ts';
import type { Splice } from './strength.ts';

/**
 * Share of the wall's strength that its weld has, by the rulebook.
 *
 * @param weld How it is made and looked at.
 * @param rules The shop's rulebook.
 */
export const efficiencyOf = ({ way, test }: JointWeld, rules: Rulebook): number =>
  ruleValue(rules, `weld/${way}-${test}`);

/**
 * The same for each wall that is welded otherwise; 0 for one that is not welded.
 *
 * @param weld How the walls are made and looked at.
 * @param rules The shop's rulebook.
 */
export const efficiencyByWall = (
  { walls = [], test, flush }: JointWeld,
  rules: Rulebook,
): NonNullable<Splice['byWall']> =>
  Object.fromEntries(
    walls.map(({ wall, way }) => [wall, way === 'not-welded' ? 0 : efficiencyOf({ way, test, flush }, rules)]),
  );

/**
 * What is wrong with the welds of single walls, each problem with its field.
 *
 * @param weld How the walls are made.
 * @param section The rail; its walls validated.
 */
export const wallProblems = ({ walls = [] }: JointWeld, section: Section): InputProblem[] =>
  walls.flatMap(({ wall, way }, at) => {
    const problem = (message: string): InputProblem[] => [{ code: 'splice/wall', path: `weld.walls[${at}]`, message }];
    if (wallsOf(section)[wall] === undefined) return problem(`This rail has no ${wall} wall: take that line out.`);
    if (walls.findIndex((other) => other.wall === wall) < at) return problem(`The ${wall} wall is named twice.`);
    return way === 'both-sides' && isClosed(section)
      ? problem('The inside of a closed rail cannot be reached: its walls are welded from one side, or on a backing.')
      : [];
  });
