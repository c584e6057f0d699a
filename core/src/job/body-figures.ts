import { isMet } from '../units/index.ts';
import { dotted, type PlanResult } from '../plan/index.ts';
import { deciding, riding } from './supports.ts';
import { type FigureDefinitions, length, words } from './figure-value.ts';

/** The body whose openings ask most of the wheelbase. */
const asking = ({ seats }: PlanResult) =>
  seats
    .flatMap(({ body, wheelbase }) => (wheelbase ? [{ body, wheelbase }] : []))
    .toSorted((a, b) => Math.abs(b.wheelbase.overPlan) - Math.abs(a.wheelbase.overPlan))[0];

const mountsOf = ({ seats }: PlanResult) =>
  seats.flatMap(({ body, mounts }) => mounts.map((mount) => ({ body, ...mount })));

/** The figures of the bodies and of where they sit. */
export const BODY_FIGURES = {
  'asked-wheelbase': {
    name: 'Wheelbase asked',
    bench: 'match',
    compute: ({ whole: { plan } }) => {
      const found = asking(plan);
      const axles = plan.axles.flatMap((axle) => riding(plan, 'axle', axle));
      return {
        before: length(plan.measures.before.wheelbase),
        after: length(found?.wheelbase.asked ?? null),
        note: !found
          ? 'no two openings yet'
          : isMet(found.wheelbase.overPlan)
            ? 'the plan gives it'
            : 'the plan does not give it',
        restsOn: found ? [...axles, ...deciding(plan)] : [],
      };
    },
  },
  'highest-mount': {
    name: 'Widest gap',
    bench: 'match',
    compute: ({ whole: { plan } }) => {
      const [most] = mountsOf(plan)
        .flatMap(({ mount, up }) => (up === null ? [] : [{ mount, up }]))
        .toSorted((a, b) => b.up - a.up);
      return {
        before: null,
        after: most ? { mm: most.up, signed: true } : null,
        note: most ? most.mount.name : 'no mounts yet',
        restsOn: most ? deciding(plan) : [],
      };
    },
  },
  'floor-height': {
    name: 'Floor height',
    bench: 'match',
    compute: ({ whole: { plan } }) => {
      const found = plan.seats.find(({ floor }) => floor !== null);
      return {
        before: null,
        after: length(found?.floor?.front ?? null),
        note: !found?.floor
          ? 'no floor measured yet'
          : isMet(found.floor.front, found.floor.rear)
            ? 'level over the ground'
            : 'at its front, over the ground',
        restsOn: found ? plan.axles.flatMap((axle) => riding(plan, 'axle', axle)) : [],
      };
    },
  },
  'mount-ways': {
    name: 'Mounts',
    bench: 'match',
    compute: ({ whole: { plan } }) => {
      const all = mountsOf(plan);
      const bad = all.filter(({ way }) => way === 'clash' || way === 'no-rail').length;
      const brackets = all.filter(({ way }) => way === 'outrigger' || way === 'inboard' || way === 'drop').length;
      return {
        before: null,
        after: words(String(all.length)),
        note: bad > 0 ? `${bad} cannot be as it is` : `${brackets} beside the rail`,
        restsOn: [],
      };
    },
  },
  clashes: {
    name: 'Clashes',
    bench: 'match',
    compute: ({ whole: { plan } }) => {
      const all = plan.seats.flatMap(({ clashes }) => clashes);
      const known = plan.seats.some(({ clearKnown }) => clearKnown);
      return {
        before: null,
        after: known ? words(all.length === 0 ? 'none' : String(all.length)) : null,
        note: !known
          ? 'nothing measured to keep clear'
          : all.length === 0
            ? 'with frame and tires'
            : dotted([...new Set(all.map(({ part }) => part.name))]),
        restsOn: all.length === 0 ? [] : deciding(plan),
      };
    },
  },
  'bodies-measured': {
    name: 'Bodies',
    bench: 'body',
    compute: ({ job }) => {
      const rough = job.bodies.filter(({ openings, mounts }) => openings.length === 0 || mounts.length === 0);
      return {
        before: null,
        after: words(job.bodies.length === 0 ? 'none' : String(job.bodies.length)),
        note: rough.length > 0 ? `${rough[0]?.name}: openings or mounts to measure` : 'openings, mounts there',
        restsOn: [],
      };
    },
  },
  'body-mass': {
    name: 'Body and load',
    bench: 'body',
    compute: ({ job }) => {
      const masses = job.bodies.flatMap((body) => body.masses);
      return {
        before: null,
        after: masses.length > 0 ? { kg: masses.reduce((sum, { mass }) => sum + mass, 0) } : null,
        note: masses.length > 0 ? 'as entered' : 'not weighed yet',
        restsOn: [],
      };
    },
  },
} as const satisfies FigureDefinitions;
