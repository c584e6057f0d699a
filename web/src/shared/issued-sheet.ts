/** A sheet that was printed: its record, its number in the job, and the revision that it is of. */
export interface IssuedSheet {
  readonly sheet: string;
  readonly number: number;
  readonly revision: number;
}
