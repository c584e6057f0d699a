import { type Side, SIDES } from '../../frame/index.ts';
import { type Section, widthOf } from '../../sections/index.ts';
import type { Fitting } from '../../splice/index.ts';
import type { Context } from '../context.ts';
import type { DrawnPoint } from '../outline.ts';
import { railEnd } from '../piece.ts';
import type { PlanResult } from '../plan-result.ts';
import { box, laidOut, sizeOf } from '../flat-part.ts';
import type { CutPart } from './cut-part.ts';

/** A corner plate: two edges square to each other, and the long one. */
const triangle = (along: number, up: number): readonly DrawnPoint[] => [
  [0, 0],
  [along, 0],
  [0, up],
];

/** An end plate over the open end of one rail, standing out all round. */
function endPlate(
  fitting: Extract<Fitting, { kind: 'end-plate' }>,
  section: Section,
  side: Side,
): Pick<CutPart, 'flat' | 'length' | 'width'> {
  const [wide, high] = [widthOf(section) + 2 * fitting.over, section.depth + 2 * fitting.over];
  const { along = 0, rows = 0, diameter = 0 } = fitting.holes ?? {};
  const flat = laidOut(
    {
      outline: box(wide, high, 0),
      holes: Array.from({ length: along * rows }, (_, at) => ({
        at: [(wide * ((at % along) + 0.5)) / along, (high * (Math.floor(at / along) + 0.5)) / rows] as DrawnPoint,
        diameter,
        what: 'bolt' as const,
      })),
      lines: [],
    },
    side,
  );
  return { flat, ...sizeOf(flat) };
}

const UNCOUNTED = 'counts for nothing in strength';

/**
 * End plates and gussets, for left and right; of joints and ends that are not there any more none.
 *
 * @param result What the plan gives.
 * @param fittings The end plates and gussets of the plan.
 * @param context Sections, and how heavy steel is.
 */
export function fittingParts(
  result: PlanResult,
  fittings: readonly Fitting[],
  { section, density }: Pick<Context, 'section' | 'density'>,
): readonly CutPart[] {
  return fittings.flatMap((fitting, index) =>
    SIDES.flatMap((side): CutPart[] => {
      const common = { rail: side, stock: 'plate', thickness: fitting.thickness, offcut: null } as const;
      const markOf = (letter: string) => `${letter}F${index + 1}${side === 'left' ? 'L' : 'R'}`;
      if (fitting.kind === 'gusset') {
        const joint = result.splices.find((splice) => splice.joint.id === fitting.on)?.joint;
        if (!joint) return [];
        const flat = laidOut({ outline: triangle(fitting.along, fitting.up), holes: [], lines: [] }, side);
        const mass = (fitting.along * fitting.up * fitting.thickness * density) / 2;
        const name = fitting.count > 1 ? `gusset, ${fitting.count} of them` : 'gusset';
        return [
          {
            ...common,
            mark: markOf(joint.letter),
            name,
            joint,
            flat,
            ...sizeOf(flat),
            mass: mass * fitting.count,
            weldLength: 2 * fitting.count * (fitting.along + fitting.up),
            note: UNCOUNTED,
          },
        ];
      }
      const end = result.cutEnds.find(({ operation }) => operation === fitting.on);
      const piece = end && result.pieces[end.end === 'front' ? 0 : result.pieces.length - 1];
      if (!end || !piece) return [];
      const shape = endPlate(fitting, section(railEnd(piece, side, end.end).section), side);
      const { letter, operation, builtX, donorX } = end;
      return [
        {
          ...common,
          ...shape,
          mark: markOf(letter),
          name: 'end plate',
          joint: { id: operation, letter, operation, builtX, donorX, of: 'rails' },
          mass: shape.length * shape.width * fitting.thickness * density,
          weldLength: 2 * (shape.length + shape.width),
          note: `over the open end, welded all round; ${UNCOUNTED}`,
        },
      ];
    }),
  );
}
