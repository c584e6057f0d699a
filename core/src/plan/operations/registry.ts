import { box } from './box.ts';
import { bracket } from './bracket.ts';
import { crossmember } from './crossmember.ts';
import { extend } from './extend.ts';
import { lengthen } from './lengthen.ts';
import { member } from './member.ts';
import { notch } from './notch.ts';
import { pieCut } from './pie-cut.ts';
import { shorten } from './shorten.ts';
import { step } from './step.ts';
import { trim } from './trim.ts';
import { widen } from './widen.ts';

/** Every kind of operation, in the order in which they are offered. To add one, write its file and name it here. */
export const OPERATIONS = {
  shorten,
  lengthen,
  widen,
  'pie-cut': pieCut,
  step,
  trim,
  extend,
  notch,
  box,
  crossmember,
  bracket,
  member,
} as const;
