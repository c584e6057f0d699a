import type { BodyMount } from '../../body/index.ts';
import type { Bracket, BracketFixing, Mounting, StackLayer } from '../../mounting/index.ts';
import { type Rulebook, ruleValue } from '../../rules/index.ts';
import { inches, type LengthFormat } from '../../units/index.ts';
import type { MountWay } from '../match/mount-gap.ts';
import type { RailUnder } from '../match/rail-under.ts';

/** What a proposal goes by: the rail under the mount, and how high over its top the bracket must end, mm. */
export interface Usual {
  readonly rail: RailUnder | null;
  readonly top: number;
  readonly rules: Rulebook;
  readonly display: Pick<LengthFormat, 'unit'>;
  /** Whether the rail may be welded. */
  readonly weldable: boolean;
}

/** The form that a mount begins with, by the way it becomes. */
const USUAL_FORM: Readonly<Record<MountWay, Bracket['form']>> = {
  sits: 'none',
  perch: 'perch',
  outrigger: 'arm',
  inboard: 'arm',
  drop: 'arm',
  clash: 'none',
  'no-rail': 'none',
};

/** Share of the rail's depth that an arm begins with against the web. */
const ON_WEB = 0.6;
/** Depth of an arm's end, of its depth at the rail. */
const TIP = 0.5;

/**
 * A bracket of a form to begin with.
 *
 * @param form The form.
 * @param usual Rail, height, rules and unit.
 */
export function usualBracket(form: Bracket['form'], { rail, top, rules, display, weldable }: Usual): Bracket {
  const step = display.unit === 'in' ? inches(1 / 4) : 5;
  const up = (mm: number) => Math.ceil(mm / step - 1e-9) * step;
  const thickness = ruleValue(rules, 'mount/plate');
  const along = ruleValue(rules, 'mount/width');
  const radius = thickness * ruleValue(rules, 'bend/radius');
  const depth = rail?.section.depth ?? 2 * along;
  const deep = up(Math.max(0, top) + ON_WEB * depth);
  const fixing: BracketFixing = weldable
    ? { by: 'weld', leg: thickness }
    : { by: 'bolts', grade: '10.9', diameter: display.unit === 'in' ? inches(1 / 2) : 12, count: 4 };
  switch (form) {
    case 'none':
      return { form };
    case 'perch': {
      const across = rail ? rail.outer - rail.inner : along;
      return { form, thickness, along, across, radius, boxed: false, leg: thickness, contour: [] };
    }
    case 'arm':
      return { form, make: 'folded', thickness, along, deep, tip: up(TIP * deep), radius, fixing, contour: [] };
    case 'angle':
      return { form, thickness, along, upright: deep, radius, fixing };
    case 'old':
      return { form, height: Math.max(step, top), along, leg: thickness };
  }
}

/**
 * The bushing that was measured on a body, as a layer; none where it has none.
 *
 * @param mount The mount.
 */
export const bushingOf = ({ bushing, bushingRate }: BodyMount): readonly StackLayer[] =>
  bushing === undefined || bushing === 0
    ? []
    : [
        {
          id: 'bushing',
          kind: 'bushing',
          height: bushing,
          ...(bushingRate === undefined ? {} : { rate: bushingRate }),
        },
      ];

/**
 * A mount on a block in place of its bracket.
 *
 * @param mounting How it is made.
 * @param height Height of the block, mm.
 */
export const onBlock = (mounting: Mounting, height: number): Mounting => ({
  ...mounting,
  under: [{ id: 'block', kind: 'block', height }, ...mounting.under.filter(({ id }) => id !== 'block')],
  bracket: { form: 'none' },
});

/**
 * A mount with a bracket of another form. The blocks that filled up what was left under the one before are taken out: how high the new
 * one is, and what must go under it, follows from the whole height.
 *
 * @param mounting How it is made now.
 * @param form The form.
 * @param usual Rail, rules and unit; the height that is left beside the stack as it is now.
 */
export function withForm(mounting: Mounting, form: Bracket['form'], usual: Usual): Pick<Mounting, 'under' | 'bracket'> {
  const filled = mounting.under.filter(({ kind }) => kind === 'block').reduce((sum, { height }) => sum + height, 0);
  return {
    under: mounting.under.filter(({ kind }) => kind !== 'block'),
    bracket: usualBracket(form, { ...usual, top: usual.top + filled }),
  };
}

/**
 * How a mount is made where nobody has decided it: its own bushing, and the bracket that the way it becomes asks for; a
 * block where that would be lower than plate can be folded.
 *
 * @param of The body and the mount.
 * @param way What the mount becomes.
 * @param usual Rail, height, rules and unit.
 */
export const usualMounting = (
  { body, mount }: { readonly body: string; readonly mount: BodyMount },
  way: MountWay,
  usual: Usual,
): Mounting => {
  const bracket = usualBracket(USUAL_FORM[way], usual);
  const made = { body, mount: mount.id, under: [], bracket, over: bushingOf(mount), hung: [] };
  // Lower than a plate can be folded: a block does it.
  return bracket.form === 'perch' && usual.top > 0 && usual.top < bracket.thickness + bracket.radius
    ? onBlock(made, usual.top)
    : made;
};
