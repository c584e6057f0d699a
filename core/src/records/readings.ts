import type { Reading } from '../survey/index.ts';
import { newRecord, type ShopRecord, standing } from './record.ts';

/** A reading as it is judged, from its record. */
export const readingOf = ({ id, taken, by, body }: ShopRecord<'reading'>): Reading => ({ id, ...body, taken, by });

/**
 * The readings among some records that stand.
 *
 * @param records Records of the job, in any order.
 */
export const readingsIn = (records: readonly ShopRecord[]): readonly Reading[] =>
  standing(records, 'reading').map(readingOf);

/** The record of a reading. */
export const recordOfReading = ({ id, taken, by, ...body }: Reading): ShopRecord<'reading'> =>
  newRecord('reading', body, { id, taken, by });
