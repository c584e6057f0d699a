import type { Context } from '../context.ts';
import type { Operation } from '../operation.ts';
import { OperationRefused, type PlanState, type Refusal } from '../state.ts';
import { changeBracket, changeCrossmember } from './attachments.ts';
import { extend, lengthen, shorten, trim } from './lengths.ts';
import { box, notch } from './reworks.ts';
import { pieCut, step } from './turns.ts';
import { widen } from './widths.ts';

function carryOut(state: PlanState, operation: Operation, context: Context): PlanState {
  switch (operation.kind) {
    case 'shorten':
      return shorten(state, operation);
    case 'lengthen':
      return lengthen(state, operation);
    case 'widen':
      return widen(state, operation);
    case 'pie-cut':
      return pieCut(state, operation, context);
    case 'step':
      return step(state, operation);
    case 'trim':
      return trim(state, operation);
    case 'extend':
      return extend(state, operation);
    case 'notch':
      return notch(state, operation, context);
    case 'box':
      return box(state, operation, context);
    case 'crossmember':
      return changeCrossmember(state, operation, context);
    case 'bracket':
      return changeBracket(state, operation);
  }
}

/** The section that an operation names for new steel, if one. */
function newSectionOf(operation: Operation): string | null {
  if (operation.kind === 'crossmember')
    return operation.change.what === 'add' ? (operation.change.crossmember.section ?? null) : null;
  return 'section' in operation ? operation.section : null;
}

export type Applied =
  | { readonly done: true; readonly state: PlanState }
  | { readonly done: false; readonly state: PlanState; readonly refusal: Refusal };

/** The frame after one operation; when it cannot be carried out, the frame as it was and the reason. */
export function applyOperation(state: PlanState, operation: Operation, context: Context): Applied {
  try {
    const section = newSectionOf(operation);
    if (section !== null && !context.hasSection(section))
      throw new OperationRefused('operation/unknown-section', `There is no section “${section}” in the list.`, [
        'Pick one of the listed sections.',
      ]);
    return { done: true, state: carryOut(state, operation, context) };
  } catch (error) {
    if (!(error instanceof OperationRefused)) throw error;
    return { done: false, state, refusal: error.refusal };
  }
}
