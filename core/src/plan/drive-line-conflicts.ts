import { ruleValue } from '../rules/index.ts';
import { angleText, isMet } from '../units/index.ts';
import { advise, type Finding, NOWHERE } from './conflict.ts';
import type { Shaft, ShaftJoint } from './drive-line.ts';
import type { Finder } from './findings.ts';

/** Angles closer than this are the same: a protractor reads no finer, radians. */
const SAME = (0.05 * Math.PI) / 180;

const endsApart = ({ front, rear }: Shaft): number | null =>
  front.angle === null || rear.angle === null ? null : Math.abs(front.angle - rear.angle);

/** Shafts that must become longer or shorter, and joints that work at more than the rulebook allows. */
export const driveLine: Finder = ({ driveLine: { before, after } }, { rules, show }) => {
  if (!before || !after) return [];
  const at = ({ point, at: { x } }: ShaftJoint) => ({
    ...NOWHERE,
    donorX: point.x,
    builtX: x,
    about: point.id,
  });
  const [most, apart] = [ruleValue(rules, 'shaft/angle'), ruleValue(rules, 'shaft/ends')];
  /** What the plan made worse asks for a decision; what the donor had already is only said. */
  const severity = (now: number, was: number | null): Finding['severity'] =>
    was !== null && now - was < SAME ? 'note' : 'warn';
  const was = (angle: number | null) => (angle === null ? '' : `, was ${angleText(angle)}`);

  const lengths = after.shafts.flatMap((shaft, index): Finding[] => {
    const change = shaft.length - (before.shafts[index]?.length ?? shaft.length);
    if (isMet(change)) return [];
    return [
      {
        ...at(shaft.front),
        code: 'shaft-length',
        severity: 'note',
        message: `The shaft from ${shaft.front.point.name} to ${shaft.rear.point.name} must be ${show(Math.abs(change))} ${change > 0 ? 'longer' : 'shorter'}.`,
        fixes: advise('Measure it at ride height once the frame stands, then have it made and balanced.'),
      },
    ];
  });
  const steep = after.joints.flatMap((made): Finding[] => {
    const old = before.joints.find(({ point }) => point.id === made.point.id)?.angle ?? null;
    if (made.angle === null || made.angle <= most + 1e-6) return [];
    return [
      {
        ...at(made),
        code: 'shaft-angle',
        severity: severity(made.angle, old),
        message: `The joint at ${made.point.name} works at ${angleText(made.angle)}${was(old)}; the rulebook allows ${angleText(most)}.`,
        fixes: advise(
          'Move the carrier bearing.',
          'Turn the axle or shim the transmission, and keep the two ends alike.',
        ),
      },
    ];
  });
  const uneven = after.shafts.flatMap((shaft, index): Finding[] => {
    const [now, old] = [endsApart(shaft), before.shafts[index] ? endsApart(before.shafts[index]) : null];
    if (now === null || now <= apart + 1e-6) return [];
    return [
      {
        ...at(shaft.rear),
        code: 'shaft-ends',
        severity: severity(now, old),
        message: `The joints at ${shaft.front.point.name} and ${shaft.rear.point.name} differ by ${angleText(now)}${was(old)}; the rulebook allows ${angleText(apart)}.`,
        fixes: advise('Bring the two ends to the same angle: the shaft speeds up and slows down by the difference.'),
      },
    ];
  });
  return [...lengths, ...steep, ...uneven];
};
