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
 * How the shop makes a joint that nobody has thought about yet: of the forms that its rulebook allows there, the one with
 * the least work that is as strong as the rail; where none is, the strongest.
 *
 * @param comparing Rail, rules, and where the joint is.
 */
export function shopSplice(comparing: Comparing): ComparedForm | null {
  const { material, rules } = comparing;
  const heatless = material.heatTreated || !material.weldable;
  const forms = compareForms(heatless ? PLAIN_BOLTED : PLAIN_BUTT, comparing).filter(
    ({ id, ratio, splice }) =>
      id !== 'now' && ratio !== null && (heatless ? splice.form.form === 'bolted' : allowed(splice, comparing)),
  );
  const enough = ruleValue(rules, 'splice/ratio');
  const strong = forms.filter(({ ratio }) => (ratio ?? 0) >= enough - 1e-9);
  const [best] =
    strong.length > 0
      ? strong.toSorted((a, b) => a.hours - b.hours)
      : forms.toSorted((a, b) => (b.ratio ?? 0) - (a.ratio ?? 0));
  return best ?? null;
}
