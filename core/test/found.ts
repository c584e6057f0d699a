import { type FinderGoal, whereToCut } from '../src/finder/index.ts';
import { lazy } from '../src/lazy.ts';
import { inches } from '../src/units/index.ts';
import { sprayer, van } from './joints.ts';

/** Two real jobs and what is asked of them. A search takes seconds: tests look at the same answers. */
export const LENGTHENED = { input: van, goal: { of: 'wheelbase', by: inches(14.75) } satisfies FinderGoal } as const;
export const SHORTENED = {
  input: sprayer,
  goal: { of: 'wheelbase', by: -inches(23.625) } satisfies FinderGoal,
} as const;

/** How far the search of `lengthened` said that it had come. */
export const shares: number[] = [];
export const lengthened = lazy(() => whereToCut(van, LENGTHENED.goal, (share) => shares.push(share)));
export const shortened = lazy(() => whereToCut(sprayer, SHORTENED.goal));
