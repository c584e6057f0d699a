/** What was wrong with one piece of input, said so that a person can put it right. */
export interface InputProblem {
  /** Stable machine name, such as `length/zero-denominator`. */
  readonly code: string;
  /** Where in the data, such as `donor.rails.left[3].x`; empty for a lone value. */
  readonly path: string;
  /** What was wrong and what would be right, as one plain sentence. */
  readonly message: string;
}

/** An outcome that a caller must look at: user input is expected to be wrong now and then. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problem: InputProblem };

/** Thrown where bad input is the caller's mistake; carries every problem found, not only the first. */
export class InputError extends Error {
  readonly problems: readonly InputProblem[];

  constructor(problems: readonly InputProblem[]) {
    super(
      problems.map((problem) => (problem.path ? `${problem.path}: ${problem.message}` : problem.message)).join('\n'),
    );
    this.name = 'InputError';
    this.problems = problems;
  }
}

/**
 * The value of a good outcome.
 *
 * @param outcome What came of looking at input.
 * @throws InputError with the problem of a bad one.
 */
export function unwrap<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw new InputError([outcome.problem]);
}
