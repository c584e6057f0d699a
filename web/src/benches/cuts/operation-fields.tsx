import type { OperationFieldsProps, Fields } from './field-props.ts';
import { viewOf } from './kinds/index.ts';

/** The figures of one operation, each kind with its own. */
export function OperationFields(props: OperationFieldsProps) {
  const { Fields } = viewOf(props.operation);
  return <Fields {...(props as Fields<never>)} />;
}
