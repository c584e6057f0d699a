import type { Body, BodyChange, ProfilePoint } from './body.ts';

/** Sheet or timber to cut for a change, or to take out: so many, so long and so wide, mm; null where it is not measured. */
interface CutLength {
  readonly what: string;
  readonly count: number;
  readonly along: number;
  readonly across: number | null;
}

/** A body as it is changed, what of it was lost with what is taken out, and what is cut for it. */
export interface ChangedBody {
  readonly body: Body;
  readonly lost: readonly string[];
  readonly steel: readonly CutLength[];
}

/**
 * Where a coordinate comes to; null where it lies in what is taken out.
 *
 * @param value The coordinate, mm.
 * @param change The change, along this coordinate.
 */
function moved(value: number, { of, at, by }: BodyChange): number | null {
  if (of === 'length') {
    if (value <= at) return value;
    return by < 0 && value < at - by ? null : value + by;
  }
  const half = by / 2;
  if (Math.abs(value - at) <= 1e-9) return value;
  if (by < 0 && Math.abs(value - at) < -half) return null;
  return value > at ? value + half : value - half;
}

/** The same for an edge: what lies in what is taken out comes to the cut. */
const edge = (value: number, change: BodyChange): number => moved(value, change) ?? change.at;

const heightOf = ({ outline }: Body): number | null => {
  const zs = outline.map(({ z }) => z);
  return zs.length > 2 ? Math.max(...zs) - Math.min(...zs) : null;
};

const lengthOf = ({ front, rear, outline }: Body): number | null => {
  const xs = outline.map(({ x }) => x);
  const [from, to] = [front ?? Math.min(...xs), rear ?? Math.max(...xs)];
  return Number.isFinite(to - from) ? to - from : null;
};

/** What is cut for a change: floor, sides or ends, and the roof of a closed body. */
function steelFor(before: Body, { of, by }: BodyChange): readonly CutLength[] {
  const how = by > 0 ? '' : ', taken out';
  const along = Math.abs(by);
  const closed = before.kind === 'cab' || before.kind === 'box';
  const of1 = (what: string, count: number, across: number | null): CutLength => ({
    what: `${what}${how}`,
    count,
    along,
    across,
  });
  if (of === 'length')
    return [
      of1('floor', 1, before.width ?? null),
      of1('side', 2, heightOf(before)),
      ...(closed ? [of1('roof', 1, before.width ?? null)] : []),
    ];
  return [
    of1('floor', 1, lengthOf(before)),
    of1(before.kind === 'bed' ? 'headboard' : 'front wall', 1, heightOf(before)),
    of1(before.kind === 'bed' ? 'tailgate' : 'rear wall', 1, heightOf(before)),
    ...(closed ? [of1('roof', 1, lengthOf(before))] : []),
  ];
}

const profile = (points: readonly ProfilePoint[], change: BodyChange): readonly ProfilePoint[] =>
  change.of === 'length' ? points.map(({ x, z }) => ({ x: edge(x, change), z })) : points;

/** A body after one change. */
function lazy(body: Body, change: BodyChange): Omit<ChangedBody, 'steel'> {
  const lost: string[] = [];
  const long = change.of === 'length';
  const kept = <T extends { readonly name: string }>(list: readonly T[], move: (item: T) => T | null): readonly T[] =>
    list.flatMap((item) => {
      const there = move(item);
      if (!there) lost.push(item.name);
      return there ? [there] : [];
    });
  const placed = <T extends { readonly x: number; readonly y?: number }>(item: T): T | null => {
    if (long) {
      const x = moved(item.x, change);
      return x === null ? null : { ...item, x };
    }
    if (item.y === undefined) return item;
    const y = moved(item.y, change);
    return y === null ? null : { ...item, y };
  };
  const half = (value: number) => (long ? value : Math.max(0, value + change.by / 2));
  const end = (value: number | undefined) => (value === undefined || !long ? value : edge(value, change));
  const [front, rear] = [end(body.front), end(body.rear)];
  const width = body.width === undefined ? undefined : long ? body.width : Math.max(0, body.width + change.by);
  const next: Body = {
    ...body,
    outline: profile(body.outline, change),
    underside: profile(body.underside, change),
    openings: kept(body.openings, (opening) => {
      const there = placed(opening);
      return there && opening.outline ? { ...there, outline: profile(opening.outline, change) } : there;
    }),
    mounts: kept(body.mounts, placed),
    masses: kept(body.masses, placed),
    points: kept(body.points, placed),
    fenders: body.fenders.map((fender) => ({ ...fender, inner: half(fender.inner), outer: half(fender.outer) })),
    boxes: kept(body.boxes, (box) => {
      const there = long
        ? { ...box, front: edge(box.front, change), rear: edge(box.rear, change) }
        : { ...box, left: edge(box.left, change), right: edge(box.right, change) };
      return there.rear > there.front && there.right > there.left ? there : null;
    }),
    ...(body.across === undefined
      ? {}
      : { across: body.across.map((point) => (point.out === 0 ? point : { ...point, out: half(point.out) })) }),
    ...(front === undefined ? {} : { front }),
    ...(rear === undefined ? {} : { rear }),
    ...(width === undefined ? {} : { width }),
  };
  return { body: next, lost };
}

const known = new WeakMap<Body, ChangedBody>();

/**
 * A body with everything that is done to it before it goes on: what lies behind a cut across moves along, what lies beside a
 * split moves outward by half, edges in what is taken out come to the cut, and things in it are lost by name. The same object
 * for the same body.
 *
 * @param body The body as measured; validated.
 */
export function changedBody(body: Body): ChangedBody {
  const found = known.get(body);
  if (found) return found;
  const made = body.changes
    .filter(({ off }) => !off)
    .reduce<ChangedBody>(
      (before, change) => {
        const { body: next, lost } = lazy(before.body, change);
        return {
          body: next,
          lost: [...before.lost, ...lost],
          steel: [...before.steel, ...steelFor(before.body, change)],
        };
      },
      { body, lost: [], steel: [] },
    );
  known.set(body, made);
  return made;
}
