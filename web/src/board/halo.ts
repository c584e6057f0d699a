/** Keeps what is written readable over lines: paper round every letter. */
export const halo = { stroke: 'var(--color-paper)', strokeWidth: 4, paintOrder: 'stroke' } as const;
