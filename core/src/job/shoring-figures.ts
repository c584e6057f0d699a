import { datumStation } from '../frame/index.ts';
import { contextOf, type HeldPart, loadText, type ShoringCut, springText } from '../plan/index.ts';
import { offAt } from '../shoring/index.ts';
import { quantityText } from '../units/index.ts';
import { shoringOf } from './shoring-of.ts';
import { deciding } from './supports.ts';
import { type FigureDefinitions, length, type Looked, words } from './figure-value.ts';

const cutsOf = ({ job }: Looked): readonly ShoringCut[] => shoringOf(job).steps.flatMap(({ cuts }) => cuts);
const looseOf = ({ job }: Looked): readonly HeldPart[] =>
  shoringOf(job).steps.flatMap(({ loose }) => loose.filter(({ removed }) => !removed));
const NO_CUT = { before: null, after: null, note: 'nothing is cut yet', restsOn: [] };

/** The one with most of something; undefined of none. */
const most = <T>(list: readonly T[], of: (each: T) => number): T | undefined =>
  list.toSorted((a, b) => of(b) - of(a))[0];

/** The figures of how a frame is held. */
export const SHORING_FIGURES = {
  'frame-weighs': {
    name: 'Frame as cut',
    bench: 'stands',
    compute: ({ job, whole }) => {
      const [first] = shoringOf(job).steps;
      if (!first) return NO_CUT;
      const off = offAt(job.plan.shoring, first.operation.id).size;
      return {
        before: null,
        after: { kg: first.whole.mass },
        note: off > 0 ? `${off === 1 ? '1 thing is' : `${off} things are`} off it` : 'with all on it',
        restsOn: deciding(whole.plan),
      };
    },
  },
  'tipping-margin': {
    name: 'Closest to tipping',
    bench: 'stands',
    compute: (looked) => {
      const parts = looseOf(looked);
      if (parts.length === 0) return NO_CUT;
      const bad = parts.find(({ stability }) => stability.state !== 'stays');
      if (bad) return { before: null, after: words('does not stand'), note: bad.name, restsOn: [] };
      const least = most(parts, ({ stability }) => -(stability.margins?.nearest ?? 0));
      return {
        before: null,
        after: length(least?.stability.margins?.nearest ?? null),
        note: least?.name ?? '',
        restsOn: [],
      };
    },
  },
  'heaviest-stand': {
    name: 'Most on one stand',
    bench: 'stands',
    compute: (looked) => {
      const moments = shoringOf(looked.job).steps.flatMap(({ whole, loose }) => [
        ...loose.map((part) => ({ part, when: '' })),
        { part: whole, when: ', not cut yet' },
      ]);
      const stands = moments.flatMap(({ part, when }) =>
        part.removed
          ? []
          : part.stands.flatMap(({ load, shore, side }) => (load === null ? [] : [{ load, shore, side, when }])),
      );
      const found = most(stands, ({ load }) => load);
      if (!found) return cutsOf(looked).length === 0 ? NO_CUT : { ...NO_CUT, note: 'no part stands yet' };
      const context = contextOf(looked.job);
      return {
        before: null,
        after: words(loadText(found.load, context)),
        note: `${found.side}, ${context.show(found.shore.x - datumStation(looked.job.donor))} from datum${found.when}`,
        restsOn: [],
      };
    },
  },
  'kerf-closes': {
    name: 'Kerf closes',
    bench: 'stands',
    compute: (looked) => {
      const worst = most(cutsOf(looked), ({ kerf }) => Math.abs(kerf.opens ?? 0));
      if (!worst) return NO_CUT;
      if (worst.kerf.opens === null)
        return { before: null, after: null, note: 'not until both sides stand', restsOn: [] };
      return {
        before: null,
        after: words(springText(worst.kerf.opens / 2, looked.job)),
        note:
          worst.advice.pinches === 'neither'
            ? 'it neither closes nor opens'
            : `${worst.name}, at the ${worst.advice.pinches}`,
        restsOn: [],
      };
    },
  },
  'cut-out-weighs': {
    name: 'Cut out',
    bench: 'stands',
    compute: (looked) => {
      const out = shoringOf(looked.job).steps.flatMap(({ loose }) => loose.filter(({ removed }) => removed));
      const heaviest = most(out, ({ mass }) => mass);
      return {
        before: null,
        after: heaviest ? words(quantityText('mass', heaviest.mass, looked.job.display.unit)) : null,
        note: heaviest ? 'both rails, comes free' : 'nothing comes out',
        restsOn: [],
      };
    },
  },
} as const satisfies FigureDefinitions;
