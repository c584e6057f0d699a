import type { Operation, OperationKind } from '@splay/core';
import { box } from './box.tsx';
import { bracket } from './bracket.tsx';
import { crossmember } from './crossmember.tsx';
import { extend } from './extend.tsx';
import type { KindView } from './kind-view.ts';
import { lengthen } from './lengthen.tsx';
import { member } from './member.tsx';
import { notch } from './notch.tsx';
import { pieCut } from './pie-cut.tsx';
import { shorten } from './shorten.tsx';
import { step } from './step.tsx';
import { trim } from './trim.tsx';
import { widen } from './widen.tsx';

/** What the bench shows of each kind of operation. To add one, write its file and name it here. */
const KIND_VIEWS: { readonly [K in OperationKind]: KindView<K> } = {
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
};

/** What the bench shows of an operation, for whatever kind it is. */
export const viewOf = ({ kind }: Pick<Operation, 'kind'>) => KIND_VIEWS[kind] as KindView<Operation['kind']>;
