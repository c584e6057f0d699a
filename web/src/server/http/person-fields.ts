import * as yup from 'yup';
import { ROLES } from '../../shared/roles.ts';

// eslint-disable-next-line no-control-regex -- control characters are what is looked for
const CONTROL = /[\u0000-\u001f\u007f]/;

const text = (most: number, missing: string) =>
  yup
    .string()
    .strict()
    .required(missing)
    .max(most, `Take ${most} characters at most.`)
    .test('control', 'It holds a control character: type it again.', (value) => !CONTROL.test(value));

/** What people and shops are called, and how they sign in, as they are sent. */
export const shopName = () => text(120, 'Name the shop.').trim();
export const personName = () => text(60, 'Say what you are called.').trim();
export const email = () => text(254, 'Give an e-mail address.').email('That is not an e-mail address.');
export const newPassword = () => text(120, 'Choose a password.').min(10, 'Take 10 characters or more.');
export const role = () =>
  yup
    .string()
    .strict()
    .oneOf(ROLES, `A role is one of ${ROLES.join(', ')}.`)
    .required('Choose a role.');
