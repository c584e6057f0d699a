import { type Rulebook, ruleValue } from '../rules/index.ts';
import { type Part, propertiesOfParts, rectangle } from '../sections/index.ts';
import { BOLT_TENSILE, THROAT, weldMetalOf } from '../splice/index.ts';
import type { ArmMake, Bracket, BracketFixing } from './mounting.ts';
import { weldGroup, type WeldLine, weldStress, weldStressInPlane } from './weld-lines.ts';

/** One thing that a bracket could fail by, MPa: what it comes to under the load, and what is allowed. */
export interface BracketCheck {
  readonly what: string;
  readonly stress: number;
  readonly allowed: number;
  /** Stress over allowed: above 1 it does not hold what it is asked. */
  readonly ratio: number;
}

/** How an arm lies against a web: over how much of its depth, mm, and whether its top and its foot are on it too. */
export interface Contact {
  readonly height: number;
  readonly top: boolean;
  readonly foot: boolean;
}

/** What a bracket is loaded with. */
export interface BracketLoad {
  /** What the mount carries at rest, N. */
  readonly share: number;
  /** From the face that it is fixed to, or from the middle of a perch, to the mount, mm. */
  readonly reach: number;
  /** How an arm or angle lies against the web; of other brackets nothing is asked. */
  readonly contact: Contact;
  /** Hole for the mount in its top, mm; 0: none. */
  readonly hole: number;
}

const check = (what: string, stress: number, allowed: number): BracketCheck => ({
  what,
  stress,
  allowed,
  ratio: stress / allowed,
});

/**
 * The section of an arm at the rail: open below, closed by a plate, or a tube; z up from its underside.
 *
 * @param make How it is made.
 * @param along Its width along the rail, mm.
 * @param deep Its depth, mm.
 * @param t Thickness of its plate or wall, mm.
 */
export function armParts(make: ArmMake, along: number, deep: number, t: number): readonly Part[] {
  const sides = [rectangle(0, 0, t, deep), rectangle(along - t, 0, t, deep)];
  const top = rectangle(t, deep - t, along - 2 * t, t);
  return make === 'folded' ? [...sides, top] : [...sides, top, rectangle(t, 0, along - 2 * t, t)];
}

/** Welds round an arm where it lies against the web. */
function armWelds(along: number, { height, top, foot }: Contact): readonly WeldLine[] {
  const line = (y1: number, z1: number, y2: number, z2: number): WeldLine => ({ from: [y1, z1], to: [y2, z2] });
  return [
    line(0, 0, 0, height),
    line(along, 0, along, height),
    ...(top ? [line(0, height, along, height)] : []),
    ...(foot ? [line(0, 0, along, 0)] : []),
  ];
}

/** Share of the height of a fixing at which its upper row of bolts sits, over the edge that it turns about. */
const UPPER_ROW = 0.75;

/** What holds a bracket to the web, under a moment that pulls its top off and a force down. */
function fixingCheck(
  fixing: BracketFixing,
  welds: readonly WeldLine[],
  height: number,
  moment: number,
  force: number,
  rules: Rulebook,
): BracketCheck {
  if (fixing.by === 'weld') {
    const { electrode, allowed } = weldMetalOf(rules);
    return check(
      'welds to the rail',
      weldStress(weldGroup(welds), THROAT * fixing.leg, moment, force),
      electrode * allowed,
    );
  }
  const { tensile } = BOLT_TENSILE[fixing.grade];
  const area = (Math.PI / 4) * fixing.diameter ** 2;
  const pull = Math.abs(moment) / (UPPER_ROW * height) / (fixing.count / 2) / area;
  const shear = force / fixing.count / area;
  const [pullAllowed, shearAllowed] = [
    ruleValue(rules, 'bolt/tension') * tensile,
    ruleValue(rules, 'bolt/shear') * tensile,
  ];
  // Pull and shear together, as a share of the pull that is allowed.
  return check('bolts to the rail', Math.hypot(pull / pullAllowed, shear / shearAllowed) * pullAllowed, pullAllowed);
}

/**
 * What a bracket comes to under its mount's load times the rulebook's dynamic factor: levers, no approval.
 * A bracket of the body's own is not calculated but for its welds: nobody knows its steel. Sideways loads are left out.
 *
 * @param bracket The bracket; without problems.
 * @param load The mount's load, and where it acts.
 * @param rules The shop's rulebook.
 */
export function bracketChecks(bracket: Bracket, load: BracketLoad, rules: Rulebook): readonly BracketCheck[] {
  const { contact } = load;
  const force = Math.abs(load.share) * ruleValue(rules, 'mount/dynamic');
  const yieldStress = ruleValue(rules, 'mount/yield');
  const { electrode, allowed } = weldMetalOf(rules);
  switch (bracket.form) {
    case 'none':
      return [];
    case 'old':
      return [feetCheck(2 * bracket.along, force, bracket.leg, electrode * allowed)];
    case 'perch': {
      const { thickness: t, along, across, leg } = bracket;
      // The top bends from leg to leg, with the load where the mount is.
      const span = across - t;
      const from = Math.min(Math.max(span / 2 + load.reach, 0), span);
      const modulus = ((along - load.hole) * t ** 2) / 6;
      const top = (force * from * (span - from)) / span / modulus;
      // Its feet take the load and its lever about the line between them.
      const throat = THROAT * leg;
      const feet = force / (2 * along * throat) + (force * Math.abs(load.reach)) / span / (along * throat);
      return [check('top in bending', top, yieldStress), check('welds to the rail', feet, electrode * allowed)];
    }
    case 'arm': {
      const { make, thickness, along, deep, fixing } = bracket;
      const moment = force * load.reach;
      const { modulusTop, modulusBottom } = propertiesOfParts(armParts(make, along, deep, thickness));
      return [
        check('bending at the rail', moment / Math.min(modulusTop, modulusBottom), yieldStress),
        fixingCheck(
          fixing,
          armWelds(along, { ...contact, foot: contact.foot && make !== 'folded' }),
          contact.height,
          moment,
          force,
          rules,
        ),
      ];
    }
    case 'angle': {
      const { thickness: t, along, fixing } = bracket;
      const moment = force * load.reach;
      const edges = armWelds(along, { ...contact, top: false });
      return [
        check('bending at the bend', (6 * moment) / (along * t ** 2), yieldStress),
        fixingCheck(fixing, edges, contact.height, moment, force, rules),
      ];
    }
  }
}

/**
 * What the welds of an arm or an angle come to where its mount stands so far along the rail from their middle: they then turn in
 * their own plane too. Null for a bracket without such welds.
 *
 * @param bracket The bracket; without problems.
 * @param load The mount's load, and where it acts.
 * @param off From the middle of the welds to the mount along the rail, mm.
 * @param rules The shop's rulebook.
 */
export function weldsOffMiddle(bracket: Bracket, load: BracketLoad, off: number, rules: Rulebook): BracketCheck | null {
  if ((bracket.form !== 'arm' && bracket.form !== 'angle') || bracket.fixing.by !== 'weld') return null;
  const { contact, reach } = load;
  const force = Math.abs(load.share) * ruleValue(rules, 'mount/dynamic');
  const { electrode, allowed } = weldMetalOf(rules);
  const { along } = bracket;
  const lines = armWelds(
    along,
    bracket.form === 'angle'
      ? { ...contact, top: false }
      : { ...contact, foot: contact.foot && bracket.make !== 'folded' },
  );
  const { stress } = weldStressInPlane(
    lines,
    THROAT * bracket.fixing.leg,
    [0, -force],
    [along / 2 + off, 0],
    force * reach,
  );
  return check('welds to the rail', stress, electrode * allowed);
}

const feetCheck = (length: number, force: number, leg: number, allowed: number): BracketCheck =>
  check('welds to the rail', force / (length * THROAT * leg), allowed);
