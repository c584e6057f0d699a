import { innerWallOf, isOnWeb } from '../splice/index.ts';
import type { PlanResult } from '../plan/index.ts';
import { type ShopRecord, standing } from '../records/index.ts';

/** A trial piece to weld and break before a weld of the plan: for each different wall, position and kind of joint one. */
export interface Coupon {
  /** Names it: what it is of, where, and how thick. */
  readonly id: string;
  readonly joint: 'butt' | 'fillet' | 'plug';
  readonly position: 'vertical' | 'overhead' | 'flat';
  /** The thinner of what is joined, mm. */
  readonly wall: number;
  /** Whether that is an inner wall thinner than the rest of the rail: what holds on the rest burns through it. */
  readonly isThinInner: boolean;
  /** From which sides a butt is welded; empty for others. */
  readonly way: string;
  /** Letters of the joints that it is for. */
  readonly letters: readonly string[];
  /** What was logged last; null while nobody welded it. */
  readonly logged: ShopRecord<'coupon'> | null;
}

/** Walls that differ by less are welded alike, mm. */
const SLIGHT = 0.05;

type Asked = Omit<Coupon, 'id' | 'letters' | 'logged'>;

const idOf = ({ joint, position, wall, way }: Asked): string =>
  [joint, ...(way === '' ? [] : [way]), position, `${Number(wall.toFixed(1))}mm`].join('-');

/** The welds of one rail at a joint, each in the hardest position that it is made in. */
function weldsOf({ splice, steel }: PlanResult['splices'][number]['rails'][number]): readonly Asked[] {
  const { thickness } = steel.section;
  const inner = innerWallOf(steel.section) ?? thickness;
  const isThin = inner < thickness - SLIGHT;
  const { form, weld, plates, sleeve } = splice;
  const butt: readonly Asked[] =
    form.form === 'bolted'
      ? []
      : (['vertical', 'overhead'] as const).map((position) => ({
          joint: 'butt',
          position,
          wall: thickness,
          isThinInner: false,
          way: weld.way,
        }));
  const innerWay = weld.walls?.find(({ wall }) => wall === 'inner')?.way ?? weld.way;
  const ofInner: readonly Asked[] =
    isThin && form.form !== 'bolted' && innerWay !== 'not-welded'
      ? [{ joint: 'butt', position: 'vertical', wall: inner, isThinInner: true, way: innerWay }]
      : [];
  const ofPlates = plates.flatMap(({ face, thickness: plate, fastening }): Asked[] => {
    if (fastening.by !== 'weld') return [];
    const wall = Math.min(plate, face === 'inner-side' ? inner : thickness);
    const isThinInner = face === 'inner-side' && isThin && inner <= plate;
    const position = isOnWeb(face) ? 'vertical' : face === 'bottom-flange' ? 'overhead' : 'flat';
    return [
      ...(fastening.leg > 0 ? [{ joint: 'fillet' as const, position, wall, isThinInner, way: '' } as const] : []),
      ...(fastening.plugs ? [{ joint: 'plug' as const, position, wall, isThinInner, way: '' } as const] : []),
    ];
  });
  const ofSleeve: readonly Asked[] =
    sleeve && sleeve.plugs.sides + sleeve.plugs.flanges > 0
      ? [{ joint: 'plug', position: 'vertical', wall: Math.min(sleeve.wall, inner), isThinInner: isThin, way: '' }]
      : [];
  return [...butt, ...ofInner, ...ofPlates, ...ofSleeve];
}

/**
 * The practice coupons that the joints of a plan ask for, and how each stands: only joints that are decided ask.
 *
 * @param plan What the plan gives.
 * @param records Records of the job, in any order.
 */
export function couponsOf({ splices }: PlanResult, records: readonly ShopRecord[]): readonly Coupon[] {
  const logged = standing(records, 'coupon');
  const asked = new Map<string, { readonly weld: Asked; readonly letters: Set<string> }>();
  for (const { joint, rails, decided } of splices)
    for (const one of decided ? rails : [])
      for (const weld of weldsOf(one)) {
        const id = idOf(weld);
        const known = asked.get(id) ?? { weld, letters: new Set<string>() };
        known.letters.add(joint.letter);
        asked.set(id, known);
      }
  return [...asked].map(([id, { weld, letters }]) => ({
    ...weld,
    id,
    letters: [...letters],
    logged: logged.findLast(({ body }) => body.coupon === id) ?? null,
  }));
}

/**
 * Whether a coupon was welded, and held.
 *
 * @param coupon The coupon.
 */
export const isHeld = ({ logged }: Coupon): boolean => logged?.body.result === 'held';
