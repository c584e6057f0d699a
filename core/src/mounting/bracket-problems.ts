import type { InputProblem } from '../input-error.ts';
import type { Bracket, BracketFixing, Mounting, StackLayer } from './mounting.ts';

const problem = (path: string, message: string): InputProblem => ({ code: 'mounting/size', path, message });

function fixingProblems(fixing: BracketFixing, path: string): readonly InputProblem[] {
  if (fixing.by === 'weld')
    return fixing.leg > 0 ? [] : [problem(`${path}.leg`, 'The leg of its weld must be more than 0.')];
  return [
    ...(fixing.diameter > 0 ? [] : [problem(`${path}.diameter`, 'Its bolts must have a diameter above 0.')]),
    ...(fixing.count % 2 === 0
      ? []
      : [problem(`${path}.count`, 'Bolts sit in an upper and a lower row: give an even number of them.')]),
  ];
}

const above = (values: Readonly<Record<string, number>>, path: string, names: Readonly<Record<string, string>>) =>
  Object.entries(values).flatMap(([key, value]) =>
    value > 0 ? [] : [problem(`${path}.${key}`, `${names[key] ?? key} must be more than 0.`)],
  );

const NAMES = {
  thickness: 'The thickness of its plate',
  along: 'Its width along the rail',
  across: 'Its width across the rail',
  deep: 'Its depth at the rail',
  tip: 'Its depth at the end',
  upright: 'Its leg on the web',
  leg: 'The leg of its weld',
  height: 'The height of the old bracket',
} as const;

/**
 * What is wrong with the sizes of a bracket, each problem with its field.
 *
 * @param bracket The bracket.
 * @param path Where that is in the document.
 */
function bracketProblems(bracket: Bracket, path: string): readonly InputProblem[] {
  switch (bracket.form) {
    case 'none':
      return [];
    case 'old':
      return above({ height: bracket.height, along: bracket.along, leg: bracket.leg }, path, NAMES);
    case 'perch': {
      const { thickness, along, across, leg, radius } = bracket;
      const least = 2 * (thickness + radius);
      return [
        ...above({ thickness, along, across, leg }, path, NAMES),
        ...(radius >= 0 ? [] : [problem(`${path}.radius`, 'The inside radius must be 0 or more.')]),
        ...(across > least || thickness <= 0
          ? []
          : [problem(`${path}.across`, 'There is no room for its two bends: make it wider, or bend it tighter.')]),
      ];
    }
    case 'arm': {
      const { thickness, along, deep, tip, radius, fixing, make } = bracket;
      const least = 2 * (thickness + (make === 'tube' ? 0 : radius));
      return [
        ...above({ thickness, along, deep, tip }, path, NAMES),
        ...(radius >= 0 ? [] : [problem(`${path}.radius`, 'The inside radius must be 0 or more.')]),
        ...(along > least || thickness <= 0
          ? []
          : [problem(`${path}.along`, 'There is no room for its walls and bends: make it wider.')]),
        ...(deep >= tip ? [] : [problem(`${path}.tip`, 'Its end must not be deeper than where it meets the rail.')]),
        ...(deep > 2 * thickness || thickness <= 0
          ? []
          : [problem(`${path}.deep`, 'It must be deeper than twice its plate.')]),
        ...fixingProblems(fixing, `${path}.fixing`),
      ];
    }
    case 'angle': {
      const { thickness, along, upright, radius, fixing } = bracket;
      return [
        ...above({ thickness, along, upright }, path, NAMES),
        ...(radius >= 0 ? [] : [problem(`${path}.radius`, 'The inside radius must be 0 or more.')]),
        ...(upright > thickness + radius || thickness <= 0
          ? []
          : [problem(`${path}.upright`, 'The leg on the web is shorter than its bend: make it longer.')]),
        ...fixingProblems(fixing, `${path}.fixing`),
      ];
    }
  }
}

const layerProblems = (layers: readonly StackLayer[], path: string): readonly InputProblem[] =>
  layers.flatMap(({ height, rate }, at) => [
    ...(height > 0 ? [] : [problem(`${path}[${at}].height`, 'A layer must be more than 0 high, or be taken out.')]),
    ...(rate === undefined || rate > 0
      ? []
      : [problem(`${path}[${at}].rate`, 'The rate of a bushing must be more than 0, or left empty.')]),
  ]);

/**
 * What no schema says about how a mount is made: layers and brackets without size, bends without room.
 *
 * @param mounting How it is made.
 * @param path Where that is in the document: problems are named from there.
 */
export const mountingProblems = ({ under, bracket, over, hung }: Mounting, path: string): readonly InputProblem[] => [
  ...layerProblems(under, `${path}.under`),
  ...bracketProblems(bracket, `${path}.bracket`),
  ...layerProblems(over, `${path}.over`),
  ...layerProblems(hung, `${path}.hung`),
];
