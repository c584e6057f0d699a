import { type Body, type BodyMount, inches, type WheelOpening } from '@splay/core';
import { freshId } from '../../client/fresh-id.ts';
import type { SurveyFigure, SurveyStop } from '../../ui/survey-walk.tsx';

/** What of a body is walked along, one thing at a time. */
export const BODY_LISTS = [
  ['openings', 'Wheel openings'],
  ['mounts', 'Mounts'],
  ['boxes', 'What must stay clear'],
  ['points', 'Steps, what hangs low'],
  ['fenders', 'Fenders'],
] as const;
export type BodyList = (typeof BODY_LISTS)[number][0];

type Entry = { readonly id: string; readonly name: string };

/** Keys of an entry that hold a figure, what each is called, and whether it may be below 0. */
const FIGURES: Readonly<Record<BodyList, readonly (readonly [key: string, name: string, signed: boolean])[]>> = {
  openings: [
    ['x', 'From tape', true],
    ['z', 'Height', true],
    ['radius', 'Radius', false],
  ],
  mounts: [
    ['x', 'From tape', true],
    ['y', 'To the right', true],
    ['z', 'Underside', true],
    ['hole', 'Hole', false],
    ['thickness', 'Bracket', false],
    ['bushing', 'Bushing', false],
  ],
  boxes: [
    ['front', 'Front', true],
    ['rear', 'Rear', true],
    ['left', 'Left', true],
    ['right', 'Right', true],
    ['low', 'Low', true],
    ['high', 'High', true],
  ],
  points: [
    ['x', 'From tape', true],
    ['z', 'Height', true],
  ],
  fenders: [
    ['inner', 'Inner edge', false],
    ['outer', 'Outer edge', false],
  ],
};

const stationOf = (entry: object): number => {
  const { x, front } = entry as { readonly x?: number; readonly front?: number };
  return x ?? front ?? 0;
};

/** Everything of a list of a body, from its front. */
export function bodyStops(body: Body, list: BodyList): readonly SurveyStop<Body>[] {
  const entries = body[list] as readonly Entry[];
  const replaced = (old: Entry, next: Entry | null): Body => ({
    ...body,
    [list]: entries.flatMap((entry) => (entry === old ? (next ? [next] : []) : [entry])),
  });
  return entries
    .toSorted((a, b) => stationOf(a) - stationOf(b))
    .map((entry) => ({
      id: entry.id,
      name: entry.name,
      x: stationOf(entry),
      figures: FIGURES[list].map(([key, name, signed]): SurveyFigure<Body> => ({
        name,
        signed,
        mm: (entry as unknown as Readonly<Record<string, number | undefined>>)[key],
        put: (mm) => replaced(entry, { ...entry, [key]: mm }),
      })),
      without: () => replaced(entry, null),
    }));
}

/** The body with one more of a list behind the stop at `index`; sizes are a start, to be typed over. */
export function oneMoreOf(body: Body, list: BodyList, index: number): { readonly doc: Body; readonly id: string } {
  const stops = bodyStops(body, list);
  const x = (stops[index]?.x ?? 0) + (stops.length > 0 ? inches(24) : 0);
  const count = body[list].length + 1;
  const id = freshId(list.slice(0, -1));
  switch (list) {
    case 'openings': {
      const opening: WheelOpening = {
        id,
        name: count === 1 ? 'Front opening' : 'Rear opening',
        over: count === 1 ? 'front' : 'rear',
        x,
      };
      return { id, doc: { ...body, openings: [...body.openings, opening] } };
    }
    case 'mounts': {
      const last = body.mounts.find((one) => one.id === stops[index]?.id);
      const mount: BodyMount = { id, name: `Mount ${count}`, x, y: last?.y ?? inches(-17), z: last?.z ?? 0 };
      return { id, doc: { ...body, mounts: [...body.mounts, mount] } };
    }
    case 'boxes': {
      const box = {
        id,
        name: `Part ${count}`,
        kind: 'tub',
        front: x,
        rear: x + inches(30),
        left: inches(-36),
        right: inches(-22),
        low: 0,
        high: inches(10),
      } as const;
      return { id, doc: { ...body, boxes: [...body.boxes, box] } };
    }
    case 'points': {
      const point = {
        id,
        name: count === 1 ? 'Entry step' : `Point ${count}`,
        kind: count === 1 ? 'step' : 'hangs',
        x,
        z: 0,
      } as const;
      return { id, doc: { ...body, points: [...body.points, point] } };
    }
    case 'fenders': {
      const fender = {
        id,
        name: `Fender ${count}`,
        over: count === 1 ? 'front' : 'rear',
        inner: inches(24),
        outer: inches(38),
      } as const;
      return { id, doc: { ...body, fenders: [...body.fenders, fender] } };
    }
  }
}
