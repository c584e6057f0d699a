/** The steps of the work that checks and figures speak of, in order. A job may call others done. */
export const BENCH_IDS = [
  'donor',
  'body',
  'match',
  'where',
  'cuts',
  'splice',
  'marks',
  'stands',
  'true-up',
  'weld',
  'mounts',
] as const;
export type BenchId = (typeof BENCH_IDS)[number];
