import type { Job, Operation, PlanResult } from '@splay/core';

export interface OperationFieldsProps {
  readonly operation: Operation;
  readonly job: Job;
  readonly result: PlanResult;
  readonly disabled: boolean;
  readonly onChange: (operation: Operation) => void;
}

/** The props for one kind of operation. */
export type Fields<K extends Operation['kind']> = Omit<OperationFieldsProps, 'operation'> & {
  readonly operation: Extract<Operation, { kind: K }>;
};

/** A check for lengths that must be above 0. */
export const above = (what: string) => (mm: number) => (mm > 0 ? null : `${what} must be more than 0.`);

/** A check for lengths that must be 0 or above. */
export const atLeast = (what: string) => (mm: number) => (mm >= 0 ? null : `${what} must be 0 or more.`);
