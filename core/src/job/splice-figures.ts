import { dotted, fatigueName, type PlanResult, ratioText } from '../plan/index.ts';
import { deciding, sectionsOf, stationsOf } from './supports.ts';
import { type FigureDefinitions, length, words } from './figure-value.ts';

/** The joint that carries least of the bare rail; one that cannot be calculated before all others. */
const weakestSplice = ({ splices }: PlanResult) =>
  splices.toSorted((a, b) => (a.worst.strength?.ratio ?? -1) - (b.worst.strength?.ratio ?? -1))[0];

/** The figures of the joints as they are made. */
export const SPLICE_FIGURES = {
  'joint-ratio': {
    name: 'Weakest joint',
    bench: 'splice',
    compute: ({ job, whole: { plan } }) => {
      const weakest = weakestSplice(plan);
      const ratio = weakest?.worst.strength?.ratio;
      return {
        before: null,
        after: weakest ? words(ratio === undefined ? 'cannot' : ratioText(ratio)) : null,
        note: weakest
          ? `joint ${weakest.joint.letter}, of the bare rail${weakest.decided ? '' : ', not decided'}`
          : 'no joint yet',
        restsOn: weakest
          ? [
              ...deciding(plan).filter(({ ref }) => ref?.id === weakest.joint.operation),
              sectionsOf(job),
              stationsOf(job),
            ]
          : [],
      };
    },
  },
  'joints-decided': {
    name: 'Joints decided',
    bench: 'splice',
    compute: ({ whole: { plan } }) => {
      const open = plan.splices.filter(({ decided }) => decided === null).map(({ joint }) => joint.letter);
      return {
        before: null,
        after: words(`${plan.splices.length - open.length} of ${plan.splices.length}`),
        note: open.length > 0 ? `open: ${dotted(open)}` : 'how each is made',
        restsOn: [],
      };
    },
  },
  'weld-length': {
    name: 'Total weld length',
    bench: 'splice',
    compute: ({ whole: { plan } }) => ({
      before: null,
      after: length(
        plan.splices.reduce((sum, { rails }) => sum + rails.reduce((all, one) => all + one.weld.length, 0), 0),
      ),
      note: 'walls, fillets and plugs',
      restsOn: deciding(plan),
    }),
  },
  'worst-detail': {
    name: 'Weakest in fatigue',
    bench: 'splice',
    compute: ({ whole: { plan } }) => {
      const details = plan.splices.flatMap(({ joint, worst }) =>
        worst.details.slice(0, 1).map((detail) => ({ joint, detail })),
      );
      const [least] = details.toSorted((a, b) => (a.detail.cycles ?? Infinity) - (b.detail.cycles ?? Infinity));
      return {
        before: null,
        after: least ? words(`class ${least.detail.detailClass}`) : null,
        note: least ? `${least.joint.letter}: ${fatigueName(least.detail).toLowerCase()}` : 'no joint yet',
        restsOn: deciding(plan),
      };
    },
  },
} as const satisfies FigureDefinitions;
