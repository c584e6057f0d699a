import type { Axle, Frame } from '../frame/index.ts';
import { STOCK_MATERIALS } from '../materials/index.ts';
import { emptyPlan, newHole } from '../plan/index.ts';
import type { Section } from '../sections/index.ts';
import { inches, type LengthFormat } from '../units/index.ts';
import type { Job } from './job.ts';

/** What is measured on a donor first of all: enough to draw it. Lengths in mm, above 0 where not said otherwise. */
export interface FirstMeasures {
  readonly name: string;
  readonly donor: string;
  readonly display: LengthFormat;
  readonly wheelbase: number;
  /** Frame ahead of the front axle, and behind the rear axle; 0 or more. */
  readonly ahead: number;
  readonly behind: number;
  /** Over the outside faces of the rails. */
  readonly outsideWidth: number;
  readonly tyreRadius: number;
  readonly section: Section;
}

/** How far under the rails wheel centres are taken to be until they are measured, mm. */
const AXLE_BELOW = inches(3);
/** Where a datum hole is taken to be until one is picked: this share of the wheelbase behind the front axle. */
const DATUM_SHARE = 0.2;

/** A straight, level frame of the first measures, both rails alike: what the survey begins from. */
function newFrame({ donor, wheelbase, ahead, behind, outsideWidth, tyreRadius, section }: FirstMeasures): Frame {
  const station = (x: number) => ({ x, halfWidth: outsideWidth / 2, top: 0, section: 'rail' });
  const axle = (id: 'front' | 'rear', x: number): Axle => ({
    id,
    name: `${id === 'front' ? 'Front' : 'Rear'} axle`,
    role: id,
    x,
    z: -section.depth - AXLE_BELOW,
    tyreRadius,
    track: outsideWidth + 2 * tyreRadius,
    origin: 'assumed',
  });
  return {
    name: donor,
    material: STOCK_MATERIALS['mild-50'],
    sections: [{ id: 'rail', section }],
    rails: { kind: 'mirrored', stations: [station(-ahead), station(wheelbase + behind)] },
    members: [],
    braces: [],
    crossmembers: [],
    features: [
      {
        ...newHole('datum', wheelbase * DATUM_SHARE),
        id: 'datum',
        name: 'Datum hole',
        down: section.depth / 2,
        origin: 'assumed',
      },
    ],
    datum: 'datum',
    units: [],
    axles: [axle('front', 0), axle('rear', wheelbase)],
    points: [],
    lines: [],
    controlPoints: [],
    controlMeasurements: [],
  };
}

/** A job that begins with the first measures of its donor: nothing planned, no body yet, weld and reinforce. */
export const newJob = (first: FirstMeasures): Job => ({
  name: first.name,
  donor: newFrame(first),
  body: null,
  plan: emptyPlan('First plan'),
  variants: [],
  rules: { profile: 'weld-and-reinforce', changes: {} },
  display: first.display,
  done: [],
});
