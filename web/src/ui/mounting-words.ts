import type { ArmMake, Bracket, LayerKind } from '@splay/core';

export const LAYER_WORDS: Readonly<Record<LayerKind, string>> = {
  plate: 'plate',
  spacer: 'spacer',
  block: 'block',
  bushing: 'bushing',
  washer: 'washer',
};

export const FORM_WORDS: Readonly<Record<Bracket['form'], string>> = {
  none: 'none: plates and blocks alone',
  perch: 'perch on the rail',
  arm: 'arm from the web',
  angle: 'angle on the web',
  old: 'the body’s own old bracket',
};

export const MAKE_WORDS: Readonly<Record<ArmMake, string>> = {
  folded: 'folded',
  boxed: 'closed below',
  tube: 'tube',
};
