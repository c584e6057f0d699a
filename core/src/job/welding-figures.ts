import { quantityText } from '../units/index.ts';
import { type FigureDefinitions, length, words } from './figure-value.ts';
import { deciding } from './supports.ts';
import { laidStitches } from './weld-log.ts';
import { weldingOf } from './welding-of.ts';

/** The figures of the welding. */
export const WELDING_FIGURES = {
  'stitches-laid': {
    name: 'Stitches welded',
    bench: 'weld',
    compute: ({ job, whole }) => {
      const { steps } = weldingOf(job, whole.plan);
      const laid = laidStitches(whole.records);
      const all = steps.flatMap(({ stitches }) => stitches);
      return {
        before: null,
        after: all.length > 0 ? words(`${all.filter(({ id }) => laid.has(id)).length} of ${all.length}`) : null,
        note: all.length > 0 ? 'tacks and passes' : 'no joint to weld yet',
        restsOn: [],
      };
    },
  },
  'weld-metal': {
    name: 'Weld metal',
    bench: 'weld',
    compute: ({ job, whole }) => {
      const { work } = weldingOf(job, whole.plan);
      const mass = work.reduce((sum, each) => sum + each.mass, 0);
      return {
        before: null,
        after: work.length > 0 ? words(quantityText('mass', mass, job.display.unit)) : null,
        note: work.length > 0 ? 'laid down at all joints' : 'no joint to weld yet',
        restsOn: deciding(whole.plan),
      };
    },
  },
  'heat-input': {
    name: 'Heat input',
    bench: 'weld',
    compute: ({ job, whole }) => {
      const { heat, settingsAssumed } = weldingOf(job, whole.plan);
      return {
        before: null,
        after: words(quantityText('heat', heat, job.display.unit)),
        note: settingsAssumed ? 'settings assumed' : 'as the machine is set',
        restsOn: [],
      };
    },
  },
  'welds-pull': {
    name: 'Welds shorten',
    bench: 'weld',
    compute: ({ job, whole }) => {
      const { pulls } = weldingOf(job, whole.plan);
      return {
        before: null,
        after: pulls.length > 0 ? length(pulls.reduce((sum, { pull }) => sum + pull.shortening, 0)) : null,
        note: pulls.length > 0 ? 'expected' : 'no joint to weld yet',
        restsOn: deciding(whole.plan),
      };
    },
  },
} as const satisfies FigureDefinitions;
