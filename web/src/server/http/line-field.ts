import * as yup from 'yup';

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u001f\u007f]/;
/** Signs that nobody sees, by which two names could look alike, or run backward. */
const INVISIBLE = /[\p{Cf}\p{Zl}\p{Zp}\u115f\u1160\u3164\uffa0]/u;

/**
 * A line of text as it is sent, empty or not: without control characters, which no database and no list takes well.
 *
 * @param most Characters, at most.
 */
export const line = (most: number) =>
  yup
    .string()
    .strict()
    .defined('is missing')
    .max(most, `Take ${most} characters at most.`)
    .test('control', 'It holds a control character: type it again.', (value) => !CONTROL.test(value))
    .test('invisible', 'It holds an invisible character: type it again.', (value) => !INVISIBLE.test(value));
