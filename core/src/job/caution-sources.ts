import { extentOf, type Feature, railOf, SIDES } from '../frame/index.ts';
import type { AttachmentStatus, PlanResult } from '../plan/index.ts';
import { lengthText } from '../units/index.ts';
import type { CautionStep } from '../records/index.ts';
import type { Caution } from './cautions.ts';
import type { Job } from './job.ts';

type FigureChange = (job: Job, result: PlanResult) => string | null;

/** A caution, and what tells whether it applies. */
export interface CautionSource extends Omit<Caution, 'here'> {
  /** What it is about in this job, empty for every job; null where it does not apply. */
  readonly told: FigureChange;
}

const always: FigureChange = () => '';

/** Donor stations of everything the plan cuts. */
const cutsOf = ({ joints, cutEnds }: PlanResult): { readonly letter: string; readonly x: number }[] =>
  [...joints, ...cutEnds].flatMap(({ letter, donorX }) => (donorX === null ? [] : [{ letter, x: donorX }]));

/** A stretch of the donor, with its name. */
interface Stretch {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

const stretchOf = (feature: Feature): Stretch => ({ name: feature.name, ...extentOf(feature) });

/** The cut nearest to any of some stretches, in words; empty without a cut. */
function nearestCut(stretches: readonly Stretch[], { display }: Job, result: PlanResult): string {
  const pairs = cutsOf(result).flatMap(({ letter, x }) =>
    stretches.map(({ name, from, to }) => ({ letter, name, clear: Math.max(from - x, x - to, 0) })),
  );
  const [nearest] = pairs.sort((a, b) => a.clear - b.clear);
  if (!nearest) return '';
  const { letter, name, clear } = nearest;
  return clear === 0
    ? `Cut ${letter} runs past ${name}.`
    : `Cut ${letter} is ${lengthText(clear, display, true)} from ${name}.`;
}

const featuresOf = (job: Job, ...kinds: readonly Feature['kind'][]): Feature[] =>
  job.donor.features.filter(({ kind }) => kinds.includes(kind));

const fuel: FigureChange = (job, result) => {
  const stretches = [
    ...job.donor.lines.filter(({ kind }) => kind === 'fuel'),
    ...featuresOf(job, 'tank-strap').map(stretchOf),
  ];
  return nearestCut(stretches, job, result);
};

const stamp: FigureChange = (job, result) => {
  const stamps = featuresOf(job, 'identity-stamp').map(stretchOf);
  return stamps.length === 0 ? '' : nearestCut(stamps, job, result);
};

const closedRails: FigureChange = ({ donor, plan }) => {
  const closed = new Set(
    donor.sections.flatMap(({ id, section }) => (section.kind === 'channel' || section.kind === 'hat' ? [] : [id])),
  );
  if (SIDES.some((side) => railOf(donor.rails, side).some(({ section }) => closed.has(section))))
    return 'These rails are closed.';
  return plan.operations.some(({ kind, off }) => kind === 'box' && !off) ? 'The plan closes these rails.' : null;
};

const halves: FigureChange = (_, { joints, removed }) => {
  if (joints.length === 0 && removed.length === 0) return null;
  return joints.length > 0
    ? `The plan cuts the frame through at ${joints.map(({ letter }) => letter).join(', ')}.`
    : '';
};

/** What becomes of bolted things whose bolts must be undone. */
const COMES_OFF: readonly AttachmentStatus[] = ['removed', 're-drill', 're-weld'];

const fasteners: FigureChange = (_, { features, crossmembers }) => {
  const off = [
    ...features.flatMap(({ feature, status }) =>
      feature.attachment === 'bolts' && COMES_OFF.includes(status) ? [feature.name] : [],
    ),
    ...crossmembers.flatMap(({ crossmember, status }) =>
      crossmember.fixing === 'bolted' && COMES_OFF.includes(status) ? [crossmember.name] : [],
    ),
  ];
  return off.length === 0 ? null : `Comes off: ${off.join(', ')}.`;
};

const brakes: FigureChange = (job, { conflicts }) => {
  const touched = new Set(conflicts.flatMap(({ about }) => (about === null ? [] : [about])));
  const names = [
    ...job.donor.lines.filter(({ id, kind }) => kind === 'brake' && touched.has(id)).map(({ name }) => name),
    ...featuresOf(job, 'steering-box')
      .filter(({ id }) => touched.has(id))
      .map(({ name }) => name),
  ];
  return names.length === 0 ? null : `Here: ${names.join(', ')}.`;
};

const hardened: FigureChange = ({ donor: { material } }) =>
  material.heatTreated || !material.weldable ? `The rails are ${material.name}.` : null;

/** kg per mm³ under which a metal is a light one. */
const LIGHT = 5e-6;
const lightMetal: FigureChange = ({ donor: { material } }) =>
  material.density < LIGHT ? `The rails are ${material.name}.` : null;

const ELECTRICS: CautionSource = {
  id: 'batteries',
  title: 'Batteries and control modules off',
  detail: 'Disconnect every battery and unplug control modules before an arc or a grinder touches the frame.',
  told: always,
};
const RESTRAINTS: CautionSource = {
  id: 'restraints',
  title: 'Airbags and belt pretensioners made safe',
  detail: 'Heat or stray current can set them off: take them out, or wait and disconnect as their maker says.',
  told: always,
};
const FUEL: CautionSource = {
  id: 'fuel',
  title: 'Fuel out of the vehicle',
  detail: 'Tank, lines and vapor, before any spark. Where some may be left near a cut, saw; do not grind or burn.',
  told: fuel,
};
const FIRE: CautionSource = {
  id: 'fire-watch',
  title: 'Fire watch',
  detail: 'Clear what burns, keep an extinguisher at hand, and watch for half an hour after the last spark.',
  told: always,
};
const CLOSED_RAILS: CautionSource = {
  id: 'closed-rails',
  title: 'Look into closed rails',
  detail: 'Nests, wax, foam and coatings in a closed rail burn where nobody sees it: open, clean and look in first.',
  told: closedRails,
};
const FUMES: CautionSource = {
  id: 'fumes',
  title: 'Zinc, primer and paint stripped back',
  detail:
    'Their fumes, and those of a plasma torch, make people ill: strip well back from the heat, ventilate, wear a respirator.',
  told: always,
};
const BODY: CautionSource = {
  id: 'body',
  title: 'Eyes, face, ears and hands',
  detail: 'Shield, ear defenders, gloves and leather; nobody in the plane of a disc or in front of a press.',
  told: always,
};
const HARDENED: CautionSource = {
  id: 'hardened',
  title: 'No welding or heating of these rails',
  detail: 'Heat destroys the treatment. Only bolted work as the donor maker allows it.',
  told: hardened,
};

/** Every caution of a step, the most grave first. */
export const CAUTION_SOURCES: Readonly<Record<CautionStep, readonly CautionSource[]>> = {
  cutting: [
    ELECTRICS,
    FUEL,
    {
      id: 'halves',
      title: 'Both sides of the cut carried',
      detail:
        'On stands on level ground, never on a jack alone. The frame may hold tension: the kerf can close on the disc, and a loose half can drop or tip.',
      told: halves,
    },
    {
      id: 'stamp',
      title: 'VIN stamp left alone',
      detail: 'It is never cut, ground, covered or moved.',
      told: stamp,
    },
    HARDENED,
    RESTRAINTS,
    FIRE,
    CLOSED_RAILS,
    FUMES,
    BODY,
    {
      id: 'fasteners',
      title: 'Captive nuts and seized bolts by hand',
      detail:
        'An impact wrench spins a captive nut and shears a bolt: soak it, work it by hand, cut it off as a last resort.',
      told: fasteners,
    },
    {
      id: 'brakes',
      title: 'Brake and steering parts by who is qualified',
      detail:
        'They are remade with the right parts, never heated, bent to fit or joined in a hurry, and tested before use.',
      told: brakes,
    },
    {
      id: 'light-metal',
      title: 'Aluminum is another trade',
      detail: 'It loses its strength beside a weld and gives no warning by its color: ask a welder qualified for it.',
      told: lightMetal,
    },
  ],
  welding: [
    {
      id: 'welder',
      title: 'A qualified welder, and a coupon first',
      detail:
        'On the same wall, in the same position. What is welded is looked over, and dye-tested where the code asks.',
      told: always,
    },
    HARDENED,
    ELECTRICS,
    FUEL,
    RESTRAINTS,
    FIRE,
    CLOSED_RAILS,
    FUMES,
    BODY,
    {
      id: 'no-heat-straightening',
      title: 'Do not shrink a rail straight by heat',
      detail:
        'Heat that pulls a rail also softens it. Let it cool, true it up cold, or take the weld out and set it again.',
      told: always,
    },
    {
      id: 'before-use',
      title: 'Inspected and approved before use',
      detail:
        'Loads in Splay are assumptions. A licensed engineer and the authority decide; then a road test at low speed.',
      told: always,
    },
  ],
};
