import { edgesOf, isOnWeb, type Plate, type Section, widthOf } from '@splay/core';
import { linePath } from '../../board/line-path.ts';
import type { Selection } from './selection.ts';

/** How mm along and across the unfolded rail become px; the joint is at station 0. */
export interface Unfolding {
  readonly x: (mm: number) => number;
  /** Of the web: heights over the underside. */
  readonly web: (z: number) => number;
  /** Of the flanges: widths from the outside of the web. */
  readonly top: (y: number) => number;
  readonly bottom: (y: number) => number;
  readonly edges: readonly [top: number, webTop: number, webFoot: number, bottom: number];
}

/** The web and what of the flanges there is to see, px per mm across; flanges are drawn narrower where room is short. */
export function unfold(section: Section, x: (mm: number) => number, top: number, height: number): Unfolding {
  const { depth } = section;
  const flange = widthOf(section);
  const per = height / (depth + flange);
  const fold = (flange * per) / 2;
  const [webTop, webFoot] = [top + fold, top + fold + depth * per];
  return {
    x,
    web: (z) => webFoot - z * per,
    top: (y) => webTop - (y / flange) * fold,
    bottom: (y) => webFoot + (y / flange) * fold,
    edges: [top, webTop, webFoot, webFoot + fold],
  };
}

type Point = readonly [number, number];

/** The weld of the joint through top flange, web and bottom flange, from the top, px. */
export function weldPoints({ one: { splice, steel } }: Selection, to: Unfolding): readonly Point[] {
  const [top, webTop, webFoot, bottom] = to.edges;
  const { form } = splice;
  switch (form.form) {
    case 'butt':
    case 'bolted':
      return [
        [to.x(0), top],
        [to.x(0), bottom],
      ];
    case 'angled': {
      const half = form.run / 2;
      return [
        [to.x(half), top],
        [to.x(half), webTop],
        [to.x(-half), webFoot],
        [to.x(-half), bottom],
      ];
    }
    case 'step': {
      const upper = (form.upper === 'ahead' ? -1 : 1) * (form.length / 2);
      const z = to.web(Math.min(steel.section.depth, Math.max(0, form.height)));
      return [
        [to.x(upper), top],
        [to.x(upper), z],
        [to.x(-upper), z],
        [to.x(-upper), bottom],
      ];
    }
  }
}

/** The outline of a plate where it lies; what lies on the far side of the web is dashed. */
export function plateShape(plate: Plate, section: Section, to: Unfolding): string {
  const across = isOnWeb(plate.face) ? to.web : plate.face === 'top-flange' ? to.top : to.bottom;
  const edges = edgesOf(plate, section);
  const points = [
    ...edges.map(({ x, low }) => [to.x(x), across(low)] as const),
    ...edges.toReversed().map(({ x, high }) => [to.x(x), across(high)] as const),
  ];
  return `${linePath(points)}Z`;
}
