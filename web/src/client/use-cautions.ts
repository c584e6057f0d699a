import { cautionsOf, type CautionStep, lastRead } from '@splay/core';
import type { BenchProps } from './bench-props.ts';
import { change, useJobState } from './job-store.ts';

/** The cautions of the open job at a step; that one was read is kept in the job, with who and when. */
export function useCautions({ store, job, result, canWrite }: BenchProps, step: CautionStep) {
  const by = useJobState(store, (state) => state.memberName);
  const onRead = (caution: string) =>
    change(store, 'Marked a caution as read', (old) => ({
      ...old,
      cautionsRead: [...old.cautionsRead, { step, caution, by, at: new Date().toISOString() }],
    }));
  return {
    step,
    cautions: cautionsOf(job, result, step),
    readOf: (caution: string) => lastRead(job, step, caution),
    ...(canWrite ? { onRead } : {}),
  };
}
