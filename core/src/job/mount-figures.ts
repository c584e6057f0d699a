import { holds, isBeside, type MountingOutcome, type PlanResult, worstRatio } from '../plan/index.ts';
import { deciding } from './supports.ts';
import { type FigureDefinitions, length, words } from './figure-value.ts';

/** The mounting that has most of something; undefined where none has it. */
const most = (plan: PlanResult, of: (outcome: MountingOutcome) => number | null) =>
  plan.mountings
    .flatMap((outcome) => {
      const value = of(outcome);
      return value === null ? [] : [{ outcome, value }];
    })
    .toSorted((a, b) => b.value - a.value)[0];

const hasBracket = ({ mounting }: MountingOutcome): boolean => mounting.bracket.form !== 'none';

/** A bracket that stands on the rail: how tall it is says something. */
const stands = (outcome: MountingOutcome): boolean => hasBracket(outcome) && !isBeside(outcome.mounting.bracket);

/** The figures of how mounts are made. */
export const MOUNT_FIGURES = {
  'mounts-decided': {
    name: 'Mounts decided',
    bench: 'mounts',
    compute: ({ whole: { plan } }) => {
      const open = plan.mountings.filter(({ decided }) => !decided);
      return {
        before: null,
        after:
          plan.mountings.length > 0
            ? words(`${plan.mountings.length - open.length} of ${plan.mountings.length}`)
            : null,
        note: plan.mountings.length === 0 ? 'no mounts yet' : open[0] ? `open: ${open[0].tag}` : 'how each is made',
        restsOn: [],
      };
    },
  },
  'tallest-bracket': {
    name: 'Tallest bracket',
    bench: 'mounts',
    compute: ({ whole: { plan } }) => {
      const found = most(plan, (outcome) => (stands(outcome) ? outcome.height : null));
      return {
        before: null,
        after: length(found?.value ?? null),
        note: found ? `${found.outcome.tag}, its top plate counted` : 'none stands on the rail',
        restsOn: found ? deciding(plan) : [],
      };
    },
  },
  'weakest-bracket': {
    name: 'Hardest worked',
    bench: 'mounts',
    compute: ({ job, whole: { plan } }) => {
      const found = most(plan, worstRatio);
      return {
        before: null,
        after: found ? words(`${Math.ceil(found.value * 100)} %`) : null,
        note: found
          ? `${found.outcome.tag}${holds(found.outcome, job) ? ', of what is allowed' : ': more than is allowed'}`
          : 'loads not known yet',
        restsOn: found ? deciding(plan) : [],
      };
    },
  },
  'brackets-to-make': {
    name: 'Brackets to make',
    bench: 'mounts',
    compute: ({ whole: { plan } }) => {
      const all = plan.mountings.filter(hasBracket);
      const kinds = [...new Set(all.map(({ name }) => name))];
      return {
        before: null,
        after: plan.mountings.length > 0 ? words(String(all.length)) : null,
        note:
          plan.mountings.length === 0
            ? 'no mounts yet'
            : kinds.map((kind) => `${all.filter(({ name }) => name === kind).length} ${kind}`).join(', ') ||
              'all sit on the rail',
        restsOn: [],
      };
    },
  },
} as const satisfies FigureDefinitions;
