/** How a moment in UTC is written, after ISO 8601. */
export const MOMENT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}(\.\d{1,3})?Z$/;

/**
 * Whether a moment is on the calendar and the clock: not on February 30 or at 25:00. What is not written as a moment has
 * its own problem, and is none of this.
 *
 * @param text A moment as `MOMENT` has it.
 */
export function isOnCalendar(text: string | undefined): boolean {
  if (typeof text !== 'string' || !MOMENT.test(text)) return true;
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0, second = 0] = (text.match(/\d+/g) ?? []).map(Number);
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  const days = month === 2 ? (isLeap ? 29 : 28) : [4, 6, 9, 11].includes(month) ? 30 : 31;
  return month >= 1 && month <= 12 && day >= 1 && day <= days && hour < 24 && minute < 60 && second < 60;
}
