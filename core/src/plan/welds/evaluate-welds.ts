import { ruleValue } from '../../rules/index.ts';
import { arcTime, heatInput, weldMass, type WeldSettings } from '../../weld/index.ts';
import type { PlanInput, PlanResult } from '../plan-result.ts';
import type { SpliceJoint } from '../splices/joints-to-make.ts';
import { type JointPull, pullsOf, type ReadingChange, readingChanges } from './pulls.ts';
import type { Seam } from './seam.ts';
import { seamsOf } from './seams.ts';
import { ASSUMED_SETTINGS, USUAL_WELDING, type Welding } from './welding.ts';

/** What welding one joint takes: all of its seams. mm, kg, kJ, hours. */
interface JointWork {
  readonly joint: SpliceJoint;
  readonly seams: number;
  readonly length: number;
  readonly mass: number;
  readonly heat: number;
  /** With the arc burning. */
  readonly arc: number;
}

/** What is welded on a frame, and how it pulls. */
export interface Welds {
  readonly welding: Welding;
  readonly settings: WeldSettings;
  /** Nobody has typed the machine's settings. */
  readonly settingsAssumed: boolean;
  /** Into the steel, kJ/mm. */
  readonly heat: number;
  readonly seams: readonly Seam[];
  readonly pulls: readonly JointPull[];
  readonly changes: readonly ReadingChange[];
  readonly work: readonly JointWork[];
}

/**
 * What is welded on the frame of a plan, without its order: what figures and readings rest on.
 *
 * @param input Donor, plan and rules; validated.
 * @param result What the plan gives.
 */
export function evaluateWelds(input: PlanInput, result: PlanResult): Welds {
  const { rules, donor } = input;
  const welding = input.plan.welding ?? USUAL_WELDING;
  const settings = welding.settings ?? ASSUMED_SETTINGS;
  const heat = heatInput(settings, ruleValue(rules, 'weld/efficiency'));
  const seams = seamsOf(result, welding.pose, rules);
  const pulls = pullsOf(result, seams, ruleValue(rules, 'pull/factor'));
  const work = result.splices.flatMap(({ joint }): JointWork[] => {
    const own = seams.filter((seam) => seam.joint.id === joint.id);
    const sum = (of: (seam: Seam) => number) => own.reduce((total, seam) => total + of(seam), 0);
    const laid = sum(({ length, passes }) => length * passes);
    return own.length === 0
      ? []
      : [
          {
            joint,
            seams: own.length,
            length: sum(({ length }) => length),
            mass: sum(({ area, length }) => weldMass(area, length, donor.material.density)),
            heat: laid * heat,
            arc: arcTime(laid, settings.travel) / 3600,
          },
        ];
  });
  return {
    welding,
    settings,
    settingsAssumed: welding.settings === null,
    heat,
    seams,
    pulls,
    changes: readingChanges(result.controls, pulls),
    work,
  };
}
