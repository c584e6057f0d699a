import { isMet } from '../../units/index.ts';
import type { SuggestedFix } from '../conflict.ts';
import { type Operation, operationName } from '../operations/index.ts';
import type { Place, Plan } from '../operation.ts';
import { IN_LINE } from '../operation.ts';

/**
 * An operation with so much more wheelbase; null where it cannot give it.
 *
 * @param operation The operation.
 * @param more How much more, mm; below 0 less.
 */
export function withMoreWheelbase(operation: Operation, more: number): Operation | null {
  if (operation.off) return null;
  if (operation.kind === 'lengthen')
    return operation.length + more > 0 ? { ...operation, length: operation.length + more } : null;
  if (operation.kind === 'shorten')
    return operation.to.on === operation.from.on && operation.to.x - more > operation.from.x
      ? { ...operation, to: { ...operation.to, x: operation.to.x - more } }
      : null;
  return null;
}

/**
 * Ways to give a frame so much more wheelbase, each one press: the operations between the axles that are there changed, or a
 * new one at a place.
 *
 * @param plan The plan.
 * @param more How much more is asked, mm; below 0 less.
 * @param between Whether an operation acts between the axles.
 * @param at Where a new operation begins; null where there is no room for one.
 * @param show Writes a length; takes mm.
 */
export function wheelbaseFixes(
  plan: Plan,
  more: number,
  between: (operation: string) => boolean,
  at: Place | null,
  show: (mm: number) => string,
): readonly SuggestedFix[] {
  if (isMet(more)) return [];
  const word = more > 0 ? 'more' : 'less';
  const changed = plan.operations.flatMap((operation): SuggestedFix[] => {
    const next = between(operation.id) ? withMoreWheelbase(operation, more) : null;
    return next
      ? [
          {
            say: `${operationName(operation)}: ${show(Math.abs(more))} ${word}`,
            edit: { do: 'replace', operation: next },
          },
        ]
      : [];
  });
  if (changed.length > 0 || at === null) return changed;
  const common = { id: 'new', note: '', off: false } as const;
  return more > 0
    ? [
        {
          say: `Lengthen by ${show(more)}`,
          edit: {
            do: 'add',
            operations: [{ ...common, kind: 'lengthen', at, length: more, section: null, align: IN_LINE }],
          },
        },
      ]
    : [
        {
          say: `Shorten by ${show(-more)}`,
          edit: {
            do: 'add',
            operations: [
              {
                ...common,
                kind: 'shorten',
                from: at,
                to: { ...at, x: at.x - more },
                rise: 0,
                transition: 0,
              },
            ],
          },
        },
      ];
}
