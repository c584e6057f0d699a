/** An id that none of the taken ones is: `feature-51`, `crossmember-8` … */
export function freshId(prefix: string, taken: readonly { readonly id: string }[]): string {
  for (let count = taken.length + 1; ; count += 1)
    if (!taken.some(({ id }) => id === `${prefix}-${count}`)) return `${prefix}-${count}`;
}
