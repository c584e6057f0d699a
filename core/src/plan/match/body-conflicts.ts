import { advise, type Finding, NOWHERE, type SuggestedFix } from '../conflict.ts';
import type { Context } from '../context.ts';
import type { Finder, Findings } from '../findings.ts';
import { ruleValue } from '../../rules/index.ts';
import { inches } from '../../units/index.ts';
import { IN_LINE } from '../operation.ts';
import type { Operation } from '../operations/index.ts';
import { donorOf } from '../tape.ts';
import type { Clash } from './clashes.ts';
import { clashFixes } from './clash-fixes.ts';
import type { SeatOutcome } from './seat-outcome.ts';
import { followConflicts } from './follow-conflicts.ts';
import { beyondRail } from './rail-under.ts';
import { seatOf } from './seat-of.ts';
import { wheelbaseFixes } from './wheelbase-fixes.ts';

/**
 * Ways to give a body the wheelbase that its openings ask for, each one press; none where the plan gives it.
 *
 * @param findings Plan, tape and joints.
 * @param context How lengths are written, and the donor station of the datum hole, mm.
 */
export function fixesToWheelbase(
  { wheelbase, openings }: SeatOutcome,
  findings: Pick<Findings, 'plan' | 'tape' | 'joints'>,
  context: Pick<Context, 'show'> & { readonly datum: number },
): readonly SuggestedFix[] {
  const { plan, tape, joints } = findings;
  const { show, datum } = context;
  if (!wheelbase) return [];
  const xs = openings.flatMap(({ at, behind }) => (behind === null ? [] : [at.x - behind]));
  const [front, rear] = [Math.min(...xs), Math.max(...xs)];
  const between = (operation: string) =>
    joints.some((joint) => joint.operation === operation && joint.builtX > front && joint.builtX < rear);
  // Where nothing is cut yet: the middle between the axles, on the donor, so that it stays when something ahead changes.
  const middle = donorOf(tape, (front + rear) / 2);
  const at = middle === null ? null : { x: datum + Math.round(middle - datum), on: 'donor' as const };
  return wheelbaseFixes(plan, wheelbase.overPlan, between, at, show);
}

/** How far ahead of the first mount a frame begins to be wider, and how long its oblique pieces are, mm. */
const [AHEAD, OBLIQUE] = [400, 300];

/**
 * A way to make the frame as wide as the mounts of a body ask for, one press; none where it is, or no one width serves.
 *
 * @param seat Where the body sits.
 * @param context How lengths are written.
 */
export function fixesToWidth({ wider, mounts }: SeatOutcome, { show }: Pick<Context, 'show'>): readonly SuggestedFix[] {
  const first = Math.min(...mounts.map(({ at }) => at.x));
  if (wider === null || wider === 0 || !Number.isFinite(first)) return [];
  return [
    {
      say: `${wider > 0 ? 'Widen' : 'Narrow'} the frame by ${show(Math.abs(wider))} behind its first mount`,
      edit: {
        do: 'add',
        operations: [
          {
            id: 'new',
            note: '',
            off: false,
            kind: 'widen',
            amount: wider,
            from: { x: Math.round(first - AHEAD), on: 'built' },
            to: null,
            transition: OBLIQUE,
          },
        ],
      },
    },
  ];
}

function openingsOff(seat: SeatOutcome, findings: Findings, context: Context): readonly Finding[] {
  const most = ruleValue(context.rules, 'body/opening');
  const { show } = context;
  return seat.openings.flatMap(({ opening, behind, at }): Finding[] => {
    if (behind === null || Math.abs(behind) <= most) return [];
    return [
      {
        ...NOWHERE,
        builtX: at.x,
        donorX: donorOf(findings.tape, at.x),
        about: opening.id,
        code: 'opening-off',
        severity: 'warn',
        message: `${opening.name} of ${seat.body.name} stands ${show(Math.abs(behind))} ${behind > 0 ? 'behind' : 'ahead of'} its axle.`,
        fixes: [
          ...fixesToWheelbase(seat, findings, { show, datum: findings.datum.donor }),
          {
            say: `Slide the body ${show(Math.abs(behind))} ${behind > 0 ? 'forward' : 'rearward'}`,
            edit: { do: 'seat', seat: seatOf(seat, { x: seat.pose.x - behind }) },
          },
        ],
      },
    ];
  });
}

/** Everything that stands in one part of a body, told once, by what stands deepest. */
function clashFinding(seat: SeatOutcome, clashes: readonly Clash[], findings: Findings, context: Context): Finding {
  const { show } = context;
  const deepest = clashes.reduce((a, b) => (b.deep > a.deep ? b : a));
  const middle = (deepest.from + deepest.to) / 2;
  const names = clashes.map(({ withName }) => withName).join(', ');
  return {
    ...NOWHERE,
    builtX: middle,
    donorX: donorOf(findings.tape, middle),
    about: deepest.part.id,
    code: 'body-clash',
    severity: 'warn',
    message: `The ${deepest.part.name} of ${seat.body.name} comes down on ${names}: ${show(deepest.deep)} too deep at the most.`,
    fixes: [
      {
        say: `Raise the body by ${show(deepest.deep)}`,
        edit: { do: 'seat', seat: seatOf(seat, { z: seat.pose.z + deepest.deep }) },
      },
      ...clashFixes(deepest, findings, context),
      ...advise(
        ...(deepest.with.kind === 'room' ? ['Move it on the frame, or change the body there.'] : []),
        'Measure lock, bump and droop of your own wheels: the rulebook only assumes them.',
      ),
    ],
  };
}

/** Mounts that no rail is under: how much longer it must be, where the frame ends before it. */
function offTheRail(
  seat: SeatOutcome,
  { state, tape }: Findings,
  { show, section, rules, display }: Context,
): Finding[] {
  const step = display.unit === 'in' ? inches(1 / 4) : 5;
  return seat.mounts.flatMap(({ mount, at, side, way }): Finding[] => {
    if (way !== 'no-rail') return [];
    const beyond = beyondRail(state, side, at.x, section);
    const end = beyond > 0 ? 'rear' : 'front';
    // The bracket must lie on it with all of its width.
    const longer = Math.ceil((Math.abs(beyond) + ruleValue(rules, 'mount/width') / 2) / step) * step;
    const operation: Operation = { ...EXTENSION, end, length: longer };
    return [
      {
        ...NOWHERE,
        builtX: at.x,
        donorX: donorOf(tape, at.x),
        about: mount.id,
        code: 'mount-no-rail',
        severity: 'warn',
        message:
          beyond === 0
            ? `No rail under ${mount.name} of ${seat.body.name}: the steel is cut away there.`
            : `No rail under ${mount.name} of ${seat.body.name}: the ${side} rail ends ${show(Math.abs(beyond))} ${beyond > 0 ? 'ahead of' : 'behind'} it and must be ${show(longer)} longer.`,
        fixes: [
          ...(beyond === 0
            ? []
            : [
                {
                  say: `Extend the ${end} by ${show(longer)}`,
                  edit: { do: 'add' as const, operations: [operation] },
                },
              ]),
          ...advise('Move the mount on the body.', 'Move the cut or the notch away from the mount.'),
        ],
      },
    ];
  });
}

/** New rail on an end, in line with it. */
const EXTENSION = {
  id: 'new',
  note: '',
  off: false,
  kind: 'extend',
  cut: null,
  section: null,
  align: IN_LINE,
} as const;

/** How far outside the rail a bracket is moved that hangs beside it: room for a bolt and a washer, mm. */
const BESIDE_RAIL = 32;

/** Codes of what is found about bodies and where they sit. */
export const BODY_CODES: ReadonlySet<string> = new Set([
  'opening-off',
  'tire-rubs',
  'tire-near',
  'tire-uncovered',
  'body-clash',
  'mount-clash',
  'mount-no-rail',
  'bodies-near',
  'deck-cab-to-axle',
  'deck-pinched',
  'deck-mechanism',
]);

/**
 * Bodies whose openings miss their axles, that rub, or that come down on the frame.
 *
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Sections, rules and how lengths are written.
 */
export const bodyConflicts: Finder = (findings, context) =>
  findings.seats.flatMap((seat): Finding[] => {
    const parts = [...new Set(seat.clashes.map(({ part }) => part.id))];
    const rubbing = seat.openings.flatMap(({ opening, room, at }): Finding[] =>
      room && room.bump < 0
        ? [
            {
              ...NOWHERE,
              builtX: at.x,
              donorX: donorOf(findings.tape, at.x),
              about: opening.id,
              code: 'tire-rubs',
              severity: 'warn',
              message:
                room.ride < 0
                  ? `The tire stands ${context.show(-room.ride)} into ${opening.name} of ${seat.body.name} as it is.`
                  : `The tire rubs in ${opening.name} of ${seat.body.name} at full bump: ${context.show(-room.bump)} are missing.`,
              fixes: advise('Raise the body.', 'Open the wheel opening.', 'Let the bump stop come in earlier.'),
            },
          ]
        : [],
    );
    const lower = Math.max(...seat.mounts.map(({ way, up }) => (way === 'clash' ? -(up ?? 0) : 0)), 0);
    const standing = seat.mounts.flatMap(({ mount, at, way, up, rail }): Finding[] =>
      way === 'clash' && up !== null
        ? [
            {
              ...NOWHERE,
              builtX: at.x,
              donorX: donorOf(findings.tape, at.x),
              about: mount.id,
              code: 'mount-clash',
              severity: 'warn',
              message: `${mount.name} of ${seat.body.name} wants to sit ${context.show(-up)} below the top of the rail.`,
              fixes: [
                {
                  say: `Raise the body by ${context.show(lower)}`,
                  edit: { do: 'seat', seat: seatOf(seat, { z: seat.pose.z + lower }) },
                },
                ...(rail
                  ? [
                      {
                        say: `Move its bracket on the body ${context.show(rail.outer + BESIDE_RAIL - Math.abs(at.y))} outboard, and hang it beside the rail`,
                        edit: {
                          do: 'outboard' as const,
                          body: seat.body.id,
                          mount: mount.id,
                          by: rail.outer + BESIDE_RAIL - Math.abs(at.y),
                        },
                      },
                    ]
                  : []),
                ...advise('Lower the rail there.'),
              ],
            },
          ]
        : [],
    );
    return [
      ...offTheRail(seat, findings, context),
      ...openingsOff(seat, findings, context),
      ...standing,
      ...rubbing,
      ...followConflicts(seat, findings, context),
      ...parts.map((part) =>
        clashFinding(
          seat,
          seat.clashes.filter((clash) => clash.part.id === part),
          findings,
          context,
        ),
      ),
    ];
  });
