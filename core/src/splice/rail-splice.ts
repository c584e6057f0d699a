import {
  type Field,
  flag,
  formed,
  id,
  length,
  list,
  name,
  oneOf,
  optional,
  orNull,
  record,
  stress,
  text,
  variant,
  whole,
} from '../fields/index.ts';
import type { RailId } from '../frame/index.ts';
import { type Plate, PLATE_FACES, type PlateShape } from './plate.ts';

/** How the two ends of one rail are cut to meet. mm. */
export type SpliceForm =
  /** Square across. */
  | { readonly form: 'butt' }
  /** One slanting line: the top edge so far behind the bottom edge; below 0 ahead of it. */
  | { readonly form: 'angled'; readonly run: number }
  /** Two verticals so far apart and a horizontal between them, so high over the underside, its corners rounded. */
  | {
      readonly form: 'step';
      readonly length: number;
      readonly height: number;
      readonly radius: number;
      /** Whether the vertical of the upper half lies ahead of the other or behind it. */
      readonly upper: 'ahead' | 'behind';
    }
  /** Square across and not welded: what is bolted over it carries everything. */
  | { readonly form: 'bolted' };

/** From which sides the wall is welded through, and how that is looked at afterward. */
export const WELD_WAYS = ['both-sides', 'on-backing', 'one-side'] as const;
export type WeldWay = (typeof WELD_WAYS)[number];
export const WELD_TESTS = ['dye', 'visual'] as const;
export type WeldTest = (typeof WELD_TESTS)[number];

/** The walls of a rail, seen from the end: `outer` is the web of a channel and the outside wall of a tube. */
export const RAIL_WALLS = ['top', 'bottom', 'outer', 'inner'] as const;
export type RailWall = (typeof RAIL_WALLS)[number];

/** One wall that is welded otherwise than the rest: the inner wall of a tube beside a plate cannot be reached, say. */
export interface WallWeld {
  readonly wall: RailWall;
  readonly way: WeldWay | 'not-welded';
}

export interface JointWeld {
  readonly way: WeldWay;
  readonly test: WeldTest;
  /** Ground flush afterward, lengthwise. */
  readonly flush: boolean;
  /** Walls that are welded otherwise; each at most once. */
  readonly walls?: readonly WallWeld[] | undefined;
}

/** Plug welds or bolts on each side of a joint: so many along, in so many rows across. mm. */
export interface Pattern {
  readonly diameter: number;
  readonly along: number;
  readonly rows: number;
}

export const BOLT_GRADES = ['8.8', '10.9', 'grade 5', 'grade 8'] as const;
export type BoltGrade = (typeof BOLT_GRADES)[number];

/** How a plate is held to the rail. */
export type Fastening =
  | { readonly by: 'weld'; readonly leg: number; readonly ends: boolean; readonly plugs: Pattern | null }
  | { readonly by: 'bolts'; readonly grade: BoltGrade; readonly bolts: Pattern };

/** A fish plate, a flange plate or a boxing plate over a joint: it reaches ahead and behind of its middle. mm, MPa. */
export interface SplicePlate extends Pick<
  Plate,
  'face' | 'outline' | 'ahead' | 'behind' | 'depth' | 'off' | 'thickness' | 'yieldStress'
> {
  readonly id: string;
  readonly fastening: Fastening;
}

export const SLEEVE_KINDS = ['inner', 'outer', 'wedge', 'folded'] as const;
export type SleeveKind = (typeof SLEEVE_KINDS)[number];

/** A tube in or over the rail, or a channel folded to lie in it. mm, MPa. */
export interface SpliceSleeve {
  readonly kind: SleeveKind;
  /** What it is made from, as the yard calls it. */
  readonly stock: string;
  readonly height: number;
  readonly width: number;
  readonly wall: number;
  /** Its wall toward the middle of the frame, where that is not as thick as the others: rail of such a frame as a sleeve. */
  readonly inner?: number | undefined;
  readonly cornerRadius: number;
  readonly ahead: number;
  readonly behind: number;
  /** Runs on to the other joint of a piece of new rail, and beyond that by `behind`. */
  readonly through: boolean;
  /** Where it runs through: no rail is let in, caps cover it outside and count for nothing. */
  readonly caps: boolean;
  /** On each side of the joint: in its top and its bottom each, and in each of its sides. */
  readonly plugs: { readonly diameter: number; readonly flanges: number; readonly sides: number };
  /** Leg of a fillet round each end; 0 where they are not welded. */
  readonly endLeg: number;
  /** Length of a wedge sleeve's tube, corner to corner; of the others nothing is asked. */
  readonly wedgeLength: number;
  readonly yieldStress: number;
}

/** How one rail is made at a joint: the cut, its weld, and what is laid over it. */
export interface RailSplice {
  readonly form: SpliceForm;
  readonly weld: JointWeld;
  readonly plates: readonly SplicePlate[];
  readonly sleeve: SpliceSleeve | null;
}

/** What is decided of one joint. A joint without it is taken to be welded as the rulebook's plain butt. */
export interface SplicePlan {
  /** Id of the joint. */
  readonly joint: string;
  /** Both rails. */
  readonly rails: RailSplice;
  /** One rail or a member made otherwise: the right rail says why. */
  readonly others: readonly { readonly rail: RailId; readonly splice: RailSplice; readonly reason: string }[];
}

/** Steel that is added at a joint or on a cut end and that strength is not calculated with. mm. */
export type Fitting =
  /** A plate over the open end of both rails, standing out all round by so much; a new front or a bumper is bolted to it. */
  | {
      readonly id: string;
      readonly kind: 'end-plate';
      /** Id of the operation that cut the end. */
      readonly on: string;
      readonly thickness: number;
      readonly over: number;
      readonly holes: Pattern | null;
    }
  /** Corner plates beside a joint, so long along the rail and so high, so many on each rail. */
  | {
      readonly id: string;
      readonly kind: 'gusset';
      /** Id of the joint. */
      readonly on: string;
      readonly thickness: number;
      readonly along: number;
      readonly up: number;
      readonly count: number;
    };

const pattern = () => record<Pattern>({ diameter: length(), along: whole(1, 40), rows: whole(1, 12) });

const plateSchema = () =>
  record<SplicePlate>({
    id: id(),
    face: oneOf(PLATE_FACES),
    outline: variant<PlateShape, 'shape'>('shape', {
      rectangle: {},
      hexagon: { point: length() },
      diamond: {},
      taper: { over: length(), end: length() },
    }),
    ahead: length(),
    behind: length(),
    depth: length(),
    off: length(),
    thickness: length(),
    yieldStress: stress(),
    fastening: variant<Fastening, 'by'>('by', {
      weld: { leg: length(), ends: flag(), plugs: orNull(pattern()) },
      bolts: { grade: oneOf(BOLT_GRADES), bolts: pattern() },
    }),
  });

const sleeveSchema = () =>
  record<SpliceSleeve>({
    kind: oneOf(SLEEVE_KINDS),
    stock: name(),
    height: length(),
    width: length(),
    wall: length(),
    inner: optional(length()),
    cornerRadius: length(),
    ahead: length(),
    behind: length(),
    through: flag(),
    caps: flag(),
    plugs: record<SpliceSleeve['plugs']>({ diameter: length(), flanges: whole(0, 40), sides: whole(0, 40) }),
    endLeg: length(),
    wedgeLength: length(),
    yieldStress: stress(),
  });

const railSpliceSchema = () =>
  record<RailSplice>(
    {
      form: variant<SpliceForm, 'form'>('form', {
        butt: {},
        angled: { run: length() },
        step: { length: length(), height: length(), radius: length(), upper: oneOf(['ahead', 'behind']) },
        bolted: {},
      }),
      weld: record<JointWeld>({
        way: oneOf(WELD_WAYS),
        test: oneOf(WELD_TESTS),
        flush: flag(),
        walls: optional(
          list(
            record<WallWeld>({ wall: oneOf(RAIL_WALLS), way: oneOf([...WELD_WAYS, 'not-welded']) }),
            RAIL_WALLS.length,
          ),
        ),
      }),
      plates: list(plateSchema(), 12),
      sleeve: orNull(sleeveSchema()),
    },
    'railSplice',
  );

/** The shape of a fitting. */
export const fittingSchema = (): Field<Fitting> =>
  variant<Fitting, 'kind'>('kind', {
    'end-plate': { id: id(), on: id(), thickness: length(), over: length(), holes: orNull(pattern()) },
    gusset: { id: id(), on: jointId(), thickness: length(), along: length(), up: length(), count: whole(1, 8) },
  });

/** The id of a joint: its operation, and which of its joints it is. */
const jointId = (): Field<string> => formed(/^[A-Za-z0-9][A-Za-z0-9._-]*\/\d+$/, 'must be the id of a joint');
const railId = (): Field<RailId> =>
  formed(
    /^([A-Za-z0-9][A-Za-z0-9._-]*\/)?(left|right)$/,
    'must be left, right, or a member with its side',
  ) as Field<unknown> as Field<RailId>;

/** The shape of what is decided of a joint. */
export const splicePlanSchema = (): Field<SplicePlan> =>
  record<SplicePlan>({
    joint: jointId(),
    rails: railSpliceSchema(),
    others: list(
      record<SplicePlan['others'][number]>({
        rail: railId(),
        splice: railSpliceSchema(),
        reason: text(500),
      }),
      40,
    ),
  });
