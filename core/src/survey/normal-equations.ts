/**
 * Symmetric positive definite sets of equations, dense, in plain arrays row by row: what a survey spends its time on. A general
 * matrix library does the same several times slower (docs/benchmarks.md).
 */

/** A matrix of so many rows and columns, row by row. */
export interface Square {
  readonly size: number;
  readonly values: Float64Array;
}

/**
 * A square matrix of zeros.
 *
 * @param size Rows and columns.
 */
export const zeros = (size: number): Square => ({ size, values: new Float64Array(size * size) });

/** A lower triangle whose product with its transpose is a matrix (Cholesky). */
export type Factor = Square;

/** A lead that is less than this share of what it was is none: the matrix is not positive definite. */
const NONE = 1e-13;

/**
 * The Cholesky factor of a symmetric matrix; only its lower triangle is read.
 *
 * @param matrix The matrix.
 * @returns Null where it is not positive definite.
 */
export function factorOf({ size: n, values: a }: Square): Factor | null {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i += 1) {
    const row = i * n;
    for (let j = 0; j <= i; j += 1) {
      const other = j * n;
      let sum = a[row + j] as number;
      for (let k = 0; k < j; k += 1) sum -= (l[row + k] as number) * (l[other + k] as number);
      if (i === j) {
        if (!(sum > NONE * (a[row + i] as number))) return null;
        l[row + i] = Math.sqrt(sum);
      } else l[row + j] = sum / (l[other + j] as number);
    }
  }
  return { size: n, values: l };
}

/**
 * Solves a set of equations whose factor is known.
 *
 * @param factor Its Cholesky factor.
 * @param right What each row comes to.
 */
export function solved({ size: n, values: l }: Factor, right: Float64Array): Float64Array {
  const x = Float64Array.from(right);
  for (let i = 0; i < n; i += 1) {
    let sum = x[i] as number;
    for (let k = 0; k < i; k += 1) sum -= (l[i * n + k] as number) * (x[k] as number);
    x[i] = sum / (l[i * n + i] as number);
  }
  for (let i = n - 1; i >= 0; i -= 1) {
    let sum = x[i] as number;
    for (let k = i + 1; k < n; k += 1) sum -= (l[k * n + i] as number) * (x[k] as number);
    x[i] = sum / (l[i * n + i] as number);
  }
  return x;
}

/**
 * The inverse of a matrix whose factor is known: the inverse of the factor, its transpose times itself.
 *
 * @param factor Its Cholesky factor.
 */
export function inverseOf({ size: n, values: l }: Factor): Square {
  const m = new Float64Array(n * n);
  for (let j = 0; j < n; j += 1) {
    m[j * n + j] = 1 / (l[j * n + j] as number);
    for (let i = j + 1; i < n; i += 1) {
      let sum = 0;
      for (let k = j; k < i; k += 1) sum -= (l[i * n + k] as number) * (m[k * n + j] as number);
      m[i * n + j] = sum / (l[i * n + i] as number);
    }
  }
  const inverse = new Float64Array(n * n);
  for (let k = 0; k < n; k += 1)
    for (let i = 0; i <= k; i += 1) {
      const by = m[k * n + i] as number;
      if (by === 0) continue;
      for (let j = 0; j <= i; j += 1)
        inverse[i * n + j] = (inverse[i * n + j] as number) + by * (m[k * n + j] as number);
    }
  for (let i = 0; i < n; i += 1) for (let j = 0; j < i; j += 1) inverse[j * n + i] = inverse[i * n + j] as number;
  return { size: n, values: inverse };
}
