import { standing } from '../records/index.ts';
import { type FigureDefinitions, words } from './figure-value.ts';
import { laidStitches } from './weld-log.ts';

/** The figures of the welding: what is logged of it. How much there is to weld is worked out on the bench. */
export const WELDING_FIGURES = {
  'stitches-laid': {
    name: 'Stitches welded',
    bench: 'weld',
    compute: ({ whole }) => {
      const { size } = laidStitches(whole.records);
      return {
        before: null,
        after: size > 0 ? words(String(size)) : null,
        note: size > 0 ? 'tacks and passes, as logged' : 'none logged yet',
        restsOn: [],
      };
    },
  },
  'seams-passed': {
    name: 'Seams passed',
    bench: 'weld',
    compute: ({ whole }) => {
      const checks = new Map(standing(whole.records, 'seam-checked').map(({ body }) => [body.seam, body.result]));
      const count = (result: 'passed' | 'repair') => [...checks.values()].filter((each) => each === result).length;
      const repair = count('repair');
      return {
        before: null,
        after: checks.size > 0 ? words(String(count('passed'))) : null,
        note: checks.size === 0 ? 'none looked at yet' : repair > 0 ? `${repair} to repair` : 'none to repair',
        restsOn: [],
      };
    },
  },
} as const satisfies FigureDefinitions;
