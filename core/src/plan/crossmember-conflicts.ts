import { advise, type Finding } from './conflict.ts';
import type { CrossmemberOutcome } from './crossmember-outcome.ts';
import type { Context } from './context.ts';
import type { Finder, Findings } from './findings.ts';
import { lateWork } from './late-work.ts';
import { nearestSteel, fixesToClear } from './moving-cuts.ts';
import { addingOf } from './plan-edit.ts';
import { builtOf } from './tape.ts';

function conflictsOfCrossmember(outcome: CrossmemberOutcome, findings: Findings, context: Context): Finding[] {
  const { crossmember, status, operation, built, wider, cutBefore } = outcome;
  const { state, tape } = findings;
  const { id, x, length, name, removable } = crossmember;
  const at = { operation, donorX: x, builtX: built?.x ?? builtOf(tape, x), about: id };
  const stretch = { from: x - length / 2, to: x + length / 2 };
  const thing = { kind: 'crossmember', id } as const;
  const takeOff =
    operation === null
      ? []
      : [
          {
            say: addingOf(findings.plan, thing)
              ? 'Remove the operation that adds it'
              : 'Take the crossmember out first',
            edit: { do: 'take-off', thing, before: operation } as const,
          },
        ];
  if (cutBefore !== null) return [lateWork(at, { name, status, operation, cutBefore }, 'in')];
  if (status === 'cut-through')
    return [
      {
        ...at,
        code: 'cut-crossmember',
        severity: 'stop',
        message: `A cut runs through ${name}.`,
        fixes: [...fixesToClear(state, operation, stretch, context), ...(removable ? takeOff : [])],
      },
    ];
  if (status === 'lost') {
    const to = nearestSteel(state, stretch, context);
    return [
      {
        ...at,
        code: 'crossmember-lost',
        severity: 'warn',
        message: `${name} is on steel that is taken out.`,
        fixes: [
          ...(to === null || operation === null
            ? []
            : [
                {
                  say: 'Move it to the nearest steel that stays',
                  edit: { do: 'move', thing, to: { x: to, on: 'donor' }, before: operation } as const,
                },
              ]),
          ...takeOff,
          ...advise('Add a crossmember near the joint.'),
        ],
      },
    ];
  }
  if (wider !== 0)
    return [
      {
        ...at,
        code: 'crossmember-width',
        severity: 'warn',
        message: `${name} must become ${context.show(Math.abs(wider))} ${wider > 0 ? 'wider' : 'narrower'}: split it or replace it.`,
        fixes: advise('Replace it.', 'Split it in the middle and add or take out the difference.'),
      },
    ];
  return [];
}

/**
 * Crossmembers that the plan cuts or loses, or that must become wider or narrower.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const statusesOfCrossmembers: Finder = (findings, context) =>
  findings.crossmembers.flatMap((outcome) => conflictsOfCrossmember(outcome, findings, context));
