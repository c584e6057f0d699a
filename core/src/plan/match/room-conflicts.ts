import { newBody } from '../../body/index.ts';
import type { CrossmemberOutcome } from '../crossmember-outcome.ts';
import { advise, type Finding, NOWHERE } from '../conflict.ts';
import type { Finder, Findings } from '../findings.ts';
import type { PlanState } from '../state.ts';
import { type Clash, clashesOf } from './clashes.ts';
import { roomSolids } from './solids.ts';

/** The rails and crossmembers that stand in what takes up room on a frame: the boxes are held against them as a body's are. */
function clashesIn(
  { frame }: Pick<Findings, 'frame'>,
  state: PlanState,
  crossmembers: readonly CrossmemberOutcome[],
  section: Parameters<typeof clashesOf>[3],
): readonly Clash[] {
  const boxes = roomSolids(frame.rooms, state).flatMap(({ id, name, stations: [front, rear] }) =>
    front && rear
      ? [
          {
            id,
            name,
            kind: 'other' as const,
            front: front.x,
            rear: rear.x,
            left: front.y[0],
            right: front.y[1],
            low: front.low,
            high: front.top,
          },
        ]
      : [],
  );
  return clashesOf(
    { ...newBody('rooms'), boxes },
    { x: 0, z: 0, rake: 0 },
    { pieces: state.pieces, reworks: state.reworks, crossmembers, tires: [], others: [] },
    section,
  );
}

const keyOf = ({ part, withName }: Clash): string => `${part.id}/${withName}`;

/**
 * Rails and crossmembers that the plan brings into the room of a tank or a box. What met on the donor already is how it was built.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const roomConflicts: Finder = (findings, { section, show }) => {
  const { frame, state, steps, crossmembers, datum } = findings;
  if (frame.rooms.length === 0 || steps.length === 0) return [];
  const donor = steps[0]?.before ?? state;
  const wereThere = crossmembers.flatMap((outcome) =>
    outcome.donor ? [{ ...outcome, built: outcome.donor, piece: 0 }] : [],
  );
  const before = new Set(clashesIn(findings, donor, wereThere, section).map(keyOf));
  return clashesIn(findings, state, crossmembers, section)
    .filter((clash) => !before.has(keyOf(clash)))
    .map((clash): Finding => {
      const middle = (clash.from + clash.to) / 2;
      return {
        ...NOWHERE,
        builtX: middle,
        about: keyOf(clash),
        code: 'room-clash',
        severity: 'warn',
        message: `${clash.withName.charAt(0).toUpperCase()}${clash.withName.slice(1)} stands in the room of ${clash.part.name}, from ${show(clash.from - datum.built)} to ${show(clash.to - datum.built)}.`,
        fixes: advise(
          `Move ${clash.part.name}, or what meets it.`,
          'Measure the box again where it only just meets: it is taken as a box with straight sides.',
        ),
      };
    });
};
