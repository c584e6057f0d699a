import {
  type BodyMass,
  BODY_POINT_KINDS,
  type BodyMount,
  type BodyPoint,
  CLEAR_BOX_KINDS,
  type ClearBox,
  type Fender,
  type LengthFormat,
  type ProfilePoint,
  type WheelOpening,
} from '@splay/core';
import {
  choiceColumn,
  type Column,
  lengthColumn,
  massColumn,
  optionalLengthColumn,
  quantityColumn,
  textColumn,
  words,
} from '../../ui/table-columns.ts';

export const OPENINGS: readonly Column<WheelOpening>[] = [
  textColumn('name', 'Opening', '28%'),
  choiceColumn('over', 'Over the', '15%', [
    ['front', 'front axle'],
    ['rear', 'rear axle'],
  ]),
  lengthColumn('x', 'Middle, from the tape', '19%'),
  optionalLengthColumn('z', 'Over the level line', '19%'),
  optionalLengthColumn('radius', 'Radius', '19%'),
];

export const MOUNTS = (format: LengthFormat): readonly Column<BodyMount>[] => [
  textColumn('name', 'Mount', '17%'),
  lengthColumn('x', 'From the tape', '11%'),
  lengthColumn('y', 'To the right', '11%'),
  lengthColumn('z', 'Underside over the level line', '13%'),
  optionalLengthColumn('hole', 'Hole', '9%'),
  optionalLengthColumn('thickness', 'Bracket', '9%'),
  optionalLengthColumn('bushing', 'Bushing', '9%'),
  quantityColumn('rate', 'bushingRate', 'Its rate', '10%', format),
  massColumn('load', 'Carries', '11%', format, { optional: true }),
];

export const BOXES: readonly Column<ClearBox>[] = [
  textColumn('name', 'Part', '22%'),
  choiceColumn('kind', 'Kind', '12%', words(CLEAR_BOX_KINDS)),
  lengthColumn('front', 'Front', '11%'),
  lengthColumn('rear', 'Rear', '11%'),
  lengthColumn('left', 'Left (−)', '11%'),
  lengthColumn('right', 'Right', '11%'),
  lengthColumn('low', 'Low', '11%'),
  lengthColumn('high', 'High', '11%'),
];

export const WEIGHTS = (format: LengthFormat): readonly Column<BodyMass>[] => [
  textColumn('name', 'Weight', '36%'),
  massColumn('mass', 'Mass', '16%', format),
  lengthColumn('x', 'From the tape', '16%'),
  lengthColumn('y', 'To the right', '16%'),
  lengthColumn('z', 'Over the level line', '16%'),
];

export const FENDERS: readonly Column<Fender>[] = [
  textColumn('name', 'Fender', '34%'),
  choiceColumn('over', 'Over the', '22%', [
    ['front', 'front axle'],
    ['rear', 'rear axle'],
  ]),
  lengthColumn('inner', 'Inner edge, from the middle', '22%'),
  lengthColumn('outer', 'Outer edge, from the middle', '22%'),
];

const POINT_NAMES = { step: 'step: its tread', hangs: 'hangs low' } as const;
export const POINTS: readonly Column<BodyPoint>[] = [
  textColumn('name', 'What', '34%'),
  choiceColumn(
    'kind',
    'Kind',
    '26%',
    BODY_POINT_KINDS.map((kind) => [kind, POINT_NAMES[kind]] as const),
  ),
  lengthColumn('x', 'From the tape', '20%'),
  lengthColumn('z', 'Over the level line', '20%'),
];

export const PROFILE: readonly Column<ProfilePoint>[] = [
  lengthColumn('x', 'From the tape', '50%'),
  lengthColumn('z', 'Over the level line', '50%'),
];
