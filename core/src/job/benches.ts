/** The steps of the work that have a bench, in order. */
export const BENCH_IDS = ['donor', 'cuts', 'marks', 'true-up'] as const;
export type BenchId = (typeof BENCH_IDS)[number];
