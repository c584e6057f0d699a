import { cautionsOf, type CautionStep, lastRead } from '@splay/core';
import type { BenchProps } from './bench-props.ts';
import { recordNow } from './job-store.ts';

/** The cautions of the open job at a step; that one was read is a record, with who and when. */
export function useCautions({ store, job, result, records, canRecord, onRecord }: BenchProps, step: CautionStep) {
  const onRead = (caution: string) => onRecord(recordNow(store, 'caution-read', { step, caution }));
  return {
    step,
    cautions: cautionsOf(job, result, step),
    readOf: (caution: string) => lastRead(records, step, caution),
    ...(canRecord ? { onRead } : {}),
  };
}
