import { ruleValue } from '../rules/index.ts';
import { advise, type Finding, NOWHERE, type SuggestedFix } from './conflict.ts';
import type { Finder, Findings } from './findings.ts';
import { notchStrength } from './figures/work-figures.ts';
import type { Context } from './context.ts';
import type { Notch } from './operations/notch.ts';
import { ratioText } from './splices/index.ts';
import { builtOf } from './tape.ts';

/** Plates that are tried along the edge of a notch, times the rail's wall. */
const PLATES = [1, 1.5, 2, 3, 4];

/** A plate along the edge that leaves the notch as strong as the rulebook asks; none where no plate does. */
function plateFor(notch: Notch, wall: number, wanted: number, { before }: Findings, context: Context): SuggestedFix[] {
  const state = before(notch.id);
  if (!state) return [];
  for (const times of PLATES) {
    const plate = times * wall;
    const { plated } = notchStrength({ ...notch, plate }, state, context);
    if (plate > notch.plate && plated !== null && plated >= wanted)
      return [
        {
          say: `Lay a plate of ${context.show(plate)} along its edge: ${ratioText(plated)}`,
          edit: { do: 'replace', operation: { ...notch, plate } },
        },
      ];
  }
  return [];
}

/**
 * Notches whose steel, with its plate, carries less of the rail's bending than the rulebook asks.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const weakNotches: Finder = (findings, context) =>
  findings.state.reworks.flatMap(({ operation, source, from, to }): Finding[] => {
    const state = operation.kind === 'notch' ? findings.before(operation.id) : undefined;
    if (operation.kind !== 'notch' || !state) return [];
    const { modulus, plated, section } = notchStrength(operation, state, context);
    const ratio = plated ?? modulus;
    const wanted = ruleValue(context.rules, 'notch/steel');
    if (ratio === null || ratio >= wanted - 1e-9) return [];
    const middle = (from + to) / 2;
    return [
      {
        ...NOWHERE,
        operation: operation.id,
        donorX: source === 'donor' ? middle : null,
        builtX: source === 'donor' ? builtOf(findings.tape, middle) : null,
        code: 'notch-weak',
        severity: 'warn',
        message: `The steel over the notch carries ${ratioText(ratio)} of the bare rail’s bending${plated === null ? ', without a plate' : ' with its plate'}; the rulebook asks ${ratioText(wanted)}.`,
        fixes: [
          ...plateFor(operation, section.thickness, wanted, findings, context),
          ...advise('Make it shallower.', 'Let an arch of rail run over it: a step up and a step down.'),
        ],
      },
    ];
  });
