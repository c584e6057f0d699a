import { railAt } from '../../frame/index.ts';
import type { SuggestedFix } from '../conflict.ts';
import type { Context } from '../context.ts';
import { notchStrength } from '../figures/work-figures.ts';
import type { Findings } from '../findings.ts';
import type { Notch } from '../operations/notch.ts';
import { ratioText } from '../splices/splice-outcome.ts';
import { OperationRefused } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import type { Clash } from './clashes.ts';

/** Room that a suggested fix leaves beyond just clearing, and on each side of a notch, mm. */
const [SPARE, BESIDE] = [3, 25];
/** A notch may take so much of a rail's depth. */
const MOST_NOTCH = 0.6;
/** A crossmember that is taken thinner keeps this depth at least, mm. */
const LEAST_CROSSMEMBER = 20;

const common = { id: 'new', note: '', off: false } as const;

/** A notch from above where a part of the body comes down on the rails, with what it leaves of them. */
function notchFix(clash: Clash, { state }: Findings, context: Context): readonly SuggestedFix[] {
  const deep = clash.deep + SPARE;
  const middle = (clash.from + clash.to) / 2;
  try {
    const spot = findSpot(state, { x: middle, on: 'built' });
    const { section } = railAt(pieceAt(state, spot).rails.left, spot.x);
    const { depth, thickness } = context.section(section);
    if (deep > MOST_NOTCH * depth) return [];
    const notch: Notch = {
      ...common,
      kind: 'notch',
      at: { x: middle, on: 'built' },
      width: clash.to - clash.from + 2 * BESIDE,
      depth: deep,
      from: 'above',
      form: 'round',
      plate: 2 * thickness,
    };
    const { modulus, plated } = notchStrength(notch, state, context);
    const left = plated ?? modulus;
    if (left === null) return [];
    return [
      {
        say: `Notch the rails ${context.show(deep)} from above, with a plate of ${context.show(notch.plate)}: ${ratioText(left)} of the bare rail left`,
        edit: { do: 'add', operations: [notch] },
      },
    ];
  } catch (error) {
    if (error instanceof OperationRefused) return [];
    throw error;
  }
}

/** Behind the rear wheels the rails may come down: by a step, or turned down by a pie cut. */
function loweringFixes(clash: Clash, { axles }: Findings, { show }: Context): readonly SuggestedFix[] {
  const rear = Math.max(...axles.map(({ item, built }) => (item.role === 'rear' && built ? built.x : -Infinity)));
  const room = 300;
  if (!(clash.from - room > rear)) return [];
  const deep = clash.deep + SPARE;
  const at = { x: clash.from - room, on: 'built' as const };
  return [
    {
      say: `Step the rails down by ${show(deep)} ahead of it`,
      edit: {
        do: 'add',
        operations: [
          {
            ...common,
            kind: 'step',
            from: at,
            to: { ...at, x: clash.from - 2 * BESIDE },
            rise: -deep,
            method: 'turn-middle',
          },
        ],
      },
    },
    {
      say: `Turn the rails down by ${show(deep)} with a pie cut ahead of it`,
      edit: {
        do: 'add',
        operations: [
          {
            ...common,
            kind: 'pie-cut',
            at,
            pivot: 'top',
            mode: 'close',
            turned: 'rear',
            amount: { by: 'drop', drop: deep, distance: clash.from - at.x },
            wedge: 'symmetric',
          },
        ],
      },
    },
  ];
}

/** A crossmember lower in the frame, or as low as it is and thinner by what stands in the body. */
function crossmemberFixes(
  id: string,
  { deep }: Clash,
  { crossmembers }: Findings,
  { show }: Context,
): readonly SuggestedFix[] {
  const found = crossmembers.find(({ crossmember }) => crossmember.id === id)?.crossmember;
  if (!found) return [];
  const by = deep + SPARE;
  const lower = { ...common, kind: 'crossmember', change: { what: 'lower', crossmember: id, by } } as const;
  const thinner = found.depth - by;
  return [
    { say: `Set ${found.name} lower by ${show(by)}`, edit: { do: 'add', operations: [lower] } },
    ...(thinner >= LEAST_CROSSMEMBER
      ? [
          {
            say: `Take ${found.name} thinner: ${show(thinner)} deep, its underside where it is`,
            edit: {
              do: 'add' as const,
              operations: [
                {
                  ...common,
                  kind: 'crossmember' as const,
                  change: { what: 'thin' as const, crossmember: id, depth: thinner },
                },
                lower,
              ],
            },
          },
        ]
      : []),
  ];
}

/**
 * Ways to clear what stands in a part of a body other than raising the body, each one press.
 *
 * @param clash What stands in it.
 * @param findings The evaluated plan.
 * @param context Sections, rules and how lengths are written.
 */
export function clashFixes(clash: Clash, findings: Findings, context: Context): readonly SuggestedFix[] {
  switch (clash.with.kind) {
    case 'rail':
      return [...notchFix(clash, findings, context), ...loweringFixes(clash, findings, context)];
    case 'crossmember':
      return crossmemberFixes(clash.with.id, clash, findings, context);
    default:
      return [];
  }
}
