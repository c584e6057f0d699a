import { emptyPlan, evaluatePlan, type PlanInput, type PlanResult } from '../plan/index.ts';
import { fasteningsOff, unsupported } from './contact.ts';
import { type SolidFinding, TOUCH } from './finding.ts';
import { inWorkshop, type Kernel, type Workshop } from './kernel.ts';
import { fitSleeve, overlapsOf } from './overlaps.ts';
import { frameSolids } from './things.ts';

const allFindings = (
  workshop: Workshop,
  input: PlanInput,
  result: PlanResult,
  show: (mm: number) => string,
): SolidFinding[] => {
  const made = frameSolids(workshop, input, result);
  const all = made.map((one) => (one.kind === 'sleeve' ? fitSleeve(workshop, one, made) : one));
  return [...overlapsOf(workshop, all, show), ...fasteningsOff(workshop, all), ...unsupported(workshop, all)];
};

/** Members that cross on the donor still cross after a small rotation: overlaps that grow by up to this share are not reported. */
const CROSSING = 0.25;

/** Overlaps of each donor as measured, by key. */
const onDonor = new WeakMap<PlanInput['donor'], ReadonlyMap<string, number>>();

/**
 * Checks the finished frame in 3D: overlaps, plates and brackets off the steel, sleeves that do not fit, crossmembers without a rail. Findings that
 * are no worse than on the donor as measured are omitted.
 *
 * @param kernel The kernel.
 * @param input Donor, bodies, plan and rules; validated.
 * @param show Writes a length as the job displays it.
 * @param result The evaluation; computed if not given.
 */
export function checkSolids(
  kernel: Kernel,
  input: PlanInput,
  show: (mm: number) => string,
  result: PlanResult = evaluatePlan(input),
): readonly SolidFinding[] {
  let before = onDonor.get(input.donor);
  if (!before) {
    const bare = { ...input, bodies: [], plan: emptyPlan('donor') };
    const found = inWorkshop(kernel, (workshop) => allFindings(workshop, bare, evaluatePlan(bare), show));
    before = new Map(found.map(({ key, amount }) => [key, amount]));
    onDonor.set(input.donor, before);
  }
  const known = before;
  return inWorkshop(kernel, (workshop) => allFindings(workshop, input, result, show)).filter(
    ({ key, amount }) => !known.has(key) || amount > (1 + CROSSING) * (known.get(key) ?? 0) + TOUCH,
  );
}
