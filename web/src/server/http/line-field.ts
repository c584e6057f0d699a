import * as yup from 'yup';

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u001f\u007f]/;

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
    .test('control', 'It holds a control character: type it again.', (value) => !CONTROL.test(value));
