import type { Operation, OperationKind } from './operation.ts';

/** What each operation is called, everywhere. */
export const OPERATION_NAMES: Readonly<Record<OperationKind, string>> = {
  shorten: 'Shorten',
  lengthen: 'Lengthen',
  widen: 'Widen or narrow',
  'pie-cut': 'Pie cut',
  step: 'Step',
  trim: 'Trim an end',
  extend: 'Extend an end',
  notch: 'Notch',
  box: 'Box',
  crossmember: 'Crossmember',
  bracket: 'Bracket',
};

/** One operation named more closely, such as `Narrow` or `Trim the rear`. */
export function operationName(operation: Operation): string {
  switch (operation.kind) {
    case 'widen':
      return operation.amount < 0 ? 'Narrow' : 'Widen';
    case 'step':
      return operation.rise < 0 ? 'Step down' : 'Step up';
    case 'trim':
      return `Trim the ${operation.end}`;
    case 'extend':
      return `Extend the ${operation.end}`;
    case 'crossmember':
    case 'bracket': {
      const what = operation.kind === 'bracket' ? 'bracket' : 'crossmember';
      const words = { add: 'Add', remove: 'Remove', move: 'Move', lower: 'Lower', thin: 'Thin', drill: 'Drill' };
      return operation.change.what === 'drill' ? 'Drill holes' : `${words[operation.change.what]} ${what}`;
    }
    default:
      return OPERATION_NAMES[operation.kind];
  }
}
