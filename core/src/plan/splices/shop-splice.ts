import { isOnWeb, type RailSplice } from '../../splice/index.ts';
import { ruleValue } from '../../rules/index.ts';
import { compareForms, type ComparedForm, type Comparing } from './compare.ts';
import { PLAIN_BOLTED, PLAIN_BUTT } from './usual.ts';

/** Whether the rulebook lets a joint be made like this where it is. */
function allowed(splice: RailSplice, { rules, aheadOfHanger }: Comparing): boolean {
  const bolted = splice.form.form === 'bolted';
  const mustBolt = aheadOfHanger && ruleValue(rules, 'weld/ahead-of-hanger') === 0;
  if (mustBolt || bolted) return mustBolt && bolted;
  return ruleValue(rules, 'splice/flange-plates') === 1 || splice.plates.every(({ face }) => isOnWeb(face));
}

/**
 * How the shop makes a joint that nobody has thought about yet, the first choice first: of the forms that its rulebook
 * allows there, those as strong as the rail, the least work first; then the others, the strongest first. A tube goes into
 * closed rails only: in an open one it stands loose.
 *
 * @param comparing Rail, rules, and where the joint is.
 */
export function shopSplices(comparing: Comparing): readonly ComparedForm[] {
  const { material, rules, steel } = comparing;
  const heatless = material.heatTreated || !material.weldable;
  const open = steel.section.kind === 'channel';
  const forms = compareForms(heatless ? PLAIN_BOLTED : PLAIN_BUTT, comparing).filter(
    ({ id, ratio, splice }) =>
      id !== 'now' &&
      ratio !== null &&
      !(open && splice.sleeve) &&
      (heatless ? splice.form.form === 'bolted' : allowed(splice, comparing)),
  );
  const enough = ruleValue(rules, 'splice/ratio');
  const strong = ({ ratio }: ComparedForm) => (ratio ?? 0) >= enough - 1e-9;
  return [
    ...forms.filter(strong).toSorted((a, b) => a.hours - b.hours),
    ...forms.filter((form) => !strong(form)).toSorted((a, b) => (b.ratio ?? 0) - (a.ratio ?? 0)),
  ];
}
