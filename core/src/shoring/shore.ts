import { type Field, id, length, list, oneOf, orNull, record, text } from '../fields/index.ts';

/** What there is to know of a kind of shore. */
export interface ShoreFacts {
  readonly name: string;
  /** Holds the frame up; holds it down; or ties one side of a cut to the other. */
  readonly does: 'up' | 'down' | 'ties';
  /** Where it may be: under one rail or both, or under the middle of a crossmember. */
  readonly middle: boolean;
  /** May be all that holds a piece up. */
  readonly trusted: boolean;
  readonly sentence: string;
}

/** Every kind of shore. To add one, write its row. */
export const SHORE_FACTS = {
  stand: {
    name: 'Stand',
    does: 'up',
    middle: true,
    trusted: true,
    sentence: 'Pushes up under the rail; carries nothing where the rail lifts off it.',
  },
  crib: { name: 'Cribbing', does: 'up', middle: true, trusted: true, sentence: 'Blocks under the rail; pushes up.' },
  wheels: {
    name: 'Axle on its wheels',
    does: 'up',
    middle: false,
    trusted: true,
    sentence:
      'The axle is left on the floor and holds the frame through its springs: it gives, so trust no figure of it.',
  },
  jack: {
    name: 'Jack',
    does: 'up',
    middle: true,
    trusted: false,
    sentence: 'To lift by, and to take load off. Never all that holds a piece up.',
  },
  sling: {
    name: 'Sling from above',
    does: 'up',
    middle: true,
    trusted: false,
    sentence: 'Holds up what would drop; nobody is under it.',
  },
  strap: {
    name: 'Strap down',
    does: 'down',
    middle: true,
    trusted: true,
    sentence: 'Pulls an end down that would lift. It must be tight.',
  },
  strongback: {
    name: 'Strongback',
    does: 'ties',
    middle: false,
    trusted: true,
    sentence: 'Angle or channel clamped along the rail over the cut: both sides stay one until it comes off.',
  },
  leg: {
    name: 'Threaded leg',
    does: 'up',
    middle: true,
    trusted: true,
    sentence: 'Stands on the floor and is screwed to height: pushes up under the rail.',
  },
  rod: {
    name: 'Threaded rod',
    does: 'ties',
    middle: false,
    trusted: true,
    sentence: 'Between both sides of the cut: holds them apart, and draws them to length.',
  },
  clamp: {
    name: 'Clamps',
    does: 'ties',
    middle: false,
    trusted: false,
    sentence: 'Clamps on a plate over the cut: to hold for tacking, not to stand on.',
  },
  brace: {
    name: 'Brace',
    does: 'ties',
    middle: false,
    trusted: true,
    sentence: 'Between two places, as across a door opening or from rail to rail: cut to length.',
  },
} as const satisfies Readonly<Record<string, ShoreFacts>>;

export type ShoreKind = keyof typeof SHORE_FACTS;
export const SHORE_KINDS = Object.keys(SHORE_FACTS) as readonly ShoreKind[];

export const SHORE_SIDES = ['both', 'left', 'right', 'middle'] as const;
type ShoreSide = (typeof SHORE_SIDES)[number];

/** Something that holds the frame while it is cut and put together. mm. */
export interface Shore {
  readonly id: string;
  readonly kind: ShoreKind;
  readonly side: ShoreSide;
  /** Station on the donor; it goes along with the steel there. */
  readonly x: number;
  /** The other end of what ties two places: a station on the donor, and how much higher that end is. */
  readonly to: number;
  readonly rise: number;
  /** What lies on its top. */
  readonly shim: number;
  /** How much higher the floor is where it stands than where the datum plane is measured from. */
  readonly floor: number;
  /** The operation while which it is there; null: it stays all along. */
  readonly step: string | null;
  readonly note: string;
}

/** Something that is off the frame: while one operation is carried out, or all along where `step` is null. */
export interface OffFrame {
  /** Id of a mass, a feature, a crossmember, a member or a unit. */
  readonly id: string;
  readonly step: string | null;
}

/** How a frame is held while a plan is carried out. */
export interface Shoring {
  readonly shores: readonly Shore[];
  /** Height of the datum plane over the floor, mm; null until it is said. */
  readonly level: number | null;
  /** What is off the frame by then, or for a while. */
  readonly off: readonly OffFrame[];
  /** Ids of units that stay bolted over a cut and are counted on to hold both sides. */
  readonly holding: readonly string[];
}

export const NO_SHORING: Shoring = { shores: [], level: null, off: [], holding: [] };

/**
 * What is off the frame while an operation is carried out.
 *
 * @param shoring How the frame is held.
 * @param step Id of the operation.
 */
export const offAt = ({ off }: Shoring, step: string): ReadonlySet<string> =>
  new Set(off.filter((each) => each.step === null || each.step === step).map(({ id }) => id));

/** The shape of it. */
export const shoringSchema = (): Field<Shoring> =>
  record<Shoring>(
    {
      shores: list(
        record<Shore>(
          {
            id: id(),
            kind: oneOf(SHORE_KINDS),
            side: oneOf(SHORE_SIDES),
            x: length(),
            to: length(),
            rise: length(),
            shim: length(),
            floor: length(),
            step: orNull(id()),
            note: text(500),
          },
          'shore',
        ),
        100,
      ),
      level: orNull(length()),
      off: list(record<OffFrame>({ id: id(), step: orNull(id()) }), 500),
      holding: list(id(), 100),
    },
    'shoring',
  );

/**
 * The length that something between two places is cut to, mm.
 *
 * @param shore Something that ties.
 */
export const tieLength = ({ x, to, rise }: Pick<Shore, 'x' | 'to' | 'rise'>): number => Math.hypot(to - x, rise);
