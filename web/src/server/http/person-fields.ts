import * as yup from 'yup';
import { line } from './line-field.ts';
import { ROLES } from '../../shared/roles.ts';

const text = (most: number, missing: string) => line(most).required(missing);

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
