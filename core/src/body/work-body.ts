import type { InputProblem } from '../input-error.ts';
import { inches } from '../units/index.ts';

/** A layer between the frame and a deck, mm; one that is open lets hoses and lines pass between what lies over and under it. */
export interface DeckLayer {
  readonly id: string;
  readonly name: string;
  readonly height: number;
  readonly open: boolean;
}

/** A hoist, a winch frame or the like under a deck that turns about a hinge: where its pivot may stand, mm. */
export interface DeckMechanism {
  readonly name: string;
  /** From the hinge forward to its pivot: the least and the most that it works with, and where it is meant to stand. */
  readonly least: number;
  readonly most: number;
  readonly stands: number;
  /** How long its foot is along the rail. */
  readonly foot: number;
}

/** A flatbed, a dump body, a service body: its deck over the frame. mm. */
export interface WorkBody {
  readonly length: number;
  /** Share of its length behind the rear axle. */
  readonly behind: number;
  /** From the top of the frame up to the deck. */
  readonly stack: readonly DeckLayer[];
  /** What must pass through the open layers, over all, and the room that it wants about it. */
  readonly hose: number;
  readonly clearance: number;
  /** How far its hinge stands behind the end of the frame; below 0 ahead of it. Null without one. */
  readonly hinge: number | null;
  readonly mechanism: DeckMechanism | null;
}

/**
 * A deck to begin with.
 *
 * @param id Makes an id that nothing has, by what it is for.
 */
export const newWorkBody = (id: (prefix: string) => string): WorkBody => ({
  length: inches(96),
  behind: 0.35,
  stack: [
    { id: id('layer'), name: 'Spacer', height: inches(3 / 4), open: true },
    { id: id('layer'), name: 'Sill', height: inches(4), open: false },
    { id: id('layer'), name: 'Crossmember', height: inches(3), open: false },
    { id: id('layer'), name: 'Deck', height: inches(3 / 2), open: false },
  ],
  hose: inches(1 / 2),
  clearance: inches(1 / 8),
  hinge: null,
  mechanism: null,
});

/**
 * What no schema says about a deck: a length of none, a share that is no share, a mechanism without a range.
 *
 * @param work The deck.
 * @param path Where that is in the document: problems are named from there.
 */
export function workProblems(work: WorkBody, path: string): readonly InputProblem[] {
  const problem = (at: string, message: string): InputProblem => ({
    code: 'body/work',
    path: `${path}.${at}`,
    message,
  });
  const { length, behind, stack, hose, clearance, mechanism } = work;
  return [
    ...(length > 0 ? [] : [problem('length', 'The deck must be longer than 0.')]),
    ...(behind >= 0 && behind < 1
      ? []
      : [problem('behind', 'The share behind the axle must be from 0 to less than 1.')]),
    ...(hose >= 0 ? [] : [problem('hose', 'What passes through must be 0 or more across.')]),
    ...(clearance >= 0 ? [] : [problem('clearance', 'The room about it must be 0 or more.')]),
    ...stack.flatMap(({ name, height }, at) =>
      height > 0 ? [] : [problem(`stack[${at}].height`, `${name} must be more than 0 high, or be taken out.`)],
    ),
    ...(mechanism && !(mechanism.least > 0 && mechanism.most > mechanism.least)
      ? [problem('mechanism.most', 'It works from a least distance above 0 to a greater one.')]
      : []),
    ...(mechanism && !(mechanism.foot >= 0) ? [problem('mechanism.foot', 'Its foot must be 0 long or more.')] : []),
  ];
}
