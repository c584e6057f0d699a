import { sectionLookup } from '../frame/index.ts';
import { type PlanInput, type ShoringStep, type StandUnder, sideOutline } from '../plan/index.ts';
import { SHORE_FACTS } from '../shoring/index.ts';
import { BIG, labelItems, LANE, SMALL, type Wanted } from './sheet-labels.ts';
import type { SheetDrawing, SheetItem, SheetPoint } from './sheet-drawing.ts';

/** Room over the rails for the names of cuts, and under the floor for the numbers of stands, mm on paper. */
const [OVER, UNDER] = [2 * LANE + 4, 2 * LANE + 3];
/** No drawing is higher between those, mm on paper. */
const TALLEST = 52;
/** How far under the rails the floor is drawn while nobody has said where it is, mm. */
const UNKNOWN_FLOOR = 500;

/**
 * The numbers of the stands of a step, front to rear: both stands at one station of a pair have one number.
 *
 * @param stands Under the frame before the cut.
 */
export function standNumbers(stands: readonly StandUnder[]): ReadonlyMap<string, number> {
  const shores = new Map(stands.map(({ shore }) => [shore.id, shore]));
  const inOrder = [...shores.values()].sort((a, b) => a.x - b.x);
  return new Map(inOrder.map(({ id }, at) => [id, at + 1]));
}

/**
 * The frame of one step on its stands, in side view: where each stand is, by number, and where the cuts run.
 *
 * @param step The step.
 * @param job The job that it is of.
 * @param width Of the drawing, mm on paper.
 */
export function standDrawing(
  step: ShoringStep,
  job: Pick<PlanInput, 'donor' | 'display'>,
  width: number,
): SheetDrawing {
  const section = sectionLookup(job.donor);
  const outlines = step.pieces.map(({ piece, removed }) => ({ outline: sideOutline(piece, 'left', section), removed }));
  const points = outlines.flatMap(({ outline }) => outline);
  const [xs, zs] = [points.map(([x]) => x), points.map(([, z]) => z)];
  const { stands } = step.whole;
  const floors = stands.flatMap(({ at, height }) => (height === null ? [] : [at.z - height]));
  const floor = floors.length > 0 ? Math.min(...floors) : Math.min(...zs) - UNKNOWN_FLOOR;
  const [front, top] = [Math.min(...xs), Math.max(...zs)];
  const scale = Math.min(width / (Math.max(...xs) - front), TALLEST / (top - floor));
  const on = (x: number, z: number): SheetPoint => [(x - front) * scale, OVER + (top - z) * scale];
  const numbers = standNumbers(stands);
  const [, ground] = on(front, floor);
  const posts = new Map(stands.map((stand) => [stand.shore.id, stand]));
  const path = (ink: 'steel' | 'scribe' | 'thing' | 'waste' | 'leader', ...at: readonly SheetPoint[]): SheetItem => ({
    kind: 'path',
    ink,
    points: at,
    closed: ink === 'steel' || ink === 'waste',
  });
  const cuts = step.cuts.map(({ x, name }): Wanted => ({
    to: on(x, top),
    tag: name,
    words: '',
    mm: null,
    size: BIG,
    soft: false,
  }));
  const named = [...posts.values()].map(({ shore, at }): Wanted => ({
    to: [on(at.x, floor)[0], ground],
    tag: String(numbers.get(shore.id)),
    words: SHORE_FACTS[shore.kind].name.toLowerCase(),
    mm: null,
    size: SMALL,
    soft: false,
  }));
  const items: SheetItem[] = [
    path('leader', [0, ground], [width, ground]),
    ...outlines.flatMap(({ outline, removed }): SheetItem[] => {
      const at = outline.map(([x, z]) => on(x, z));
      return [path('steel', ...at), ...(removed ? [path('waste', ...at)] : [])];
    }),
    ...[...posts.values()].map(({ at }): SheetItem => {
      const [x, steel] = on(at.x, at.z);
      return path('thing', [x, steel], [x, ground]);
    }),
    ...step.cuts.map(({ x }): SheetItem => path('scribe', on(x, top + 60), on(x, Math.min(...zs) - 60))),
    ...labelItems(cuts, OVER - LANE, -1, width, job.display, 2),
    ...labelItems(named, ground + LANE, 1, width, job.display, 2),
  ];
  const at = [...posts.values()].map(({ shore }) => String(numbers.get(shore.id))).join(', ');
  return {
    title: 'Side view, front to the left',
    says: `The frame in side view on its stands${at === '' ? '' : `, numbered ${at} from the front`}, with its cuts ${step.cuts.map(({ name }) => name).join(', ')}.`,
    width,
    height: ground + UNDER,
    items,
  };
}
