import { advise, type Finding, NOWHERE } from '../conflict.ts';
import type { Context } from '../context.ts';
import type { Findings } from '../findings.ts';
import { ruleValue } from '../../rules/index.ts';
import { isMet, quantityText } from '../../units/index.ts';
import { donorOf } from '../tape.ts';
import { seatOf } from './seat-of.ts';
import type { SeatOutcome } from './seat-outcome.ts';

/** Openings with less room at full bump than the body asks for. */
const nearTires = ({ body, openings }: SeatOutcome, { tape }: Findings, { show }: Context): readonly Finding[] =>
  openings.flatMap(({ opening, room, at }): Finding[] => {
    const wanted = body.tireGap ?? 0;
    if (!room || room.bump < 0 || room.bump >= wanted) return [];
    return [
      {
        ...NOWHERE,
        builtX: at.x,
        donorX: donorOf(tape, at.x),
        about: opening.id,
        code: 'tire-near',
        severity: 'warn',
        message: `${opening.name} of ${body.name} leaves ${show(room.bump)} round the tire at full bump; ${show(wanted)} are wanted.`,
        fixes: advise('Raise the body.', 'Open the wheel opening.', 'Take a smaller tire.'),
      },
    ];
  });

/** What loads that were each rounded to whole figures may miss of the weight together, as a share of it. */
const ROUNDED = 0.01;

/** Loads typed at all mounts of a body that do not come to what it weighs. */
function loadsOff({ body }: SeatOutcome, { display }: Context): readonly Finding[] {
  const weight = body.masses.reduce((sum, { mass }) => sum + mass, 0);
  const loads = body.mounts.map(({ load }) => load);
  if (weight <= 0 || loads.length === 0 || loads.some((load) => load === undefined)) return [];
  const carried = loads.reduce<number>((sum, load) => sum + (load ?? 0), 0);
  if (Math.abs(carried - weight) <= ROUNDED * weight) return [];
  const mass = (kg: number) => quantityText('mass', kg, display.unit);
  return [
    {
      ...NOWHERE,
      about: body.id,
      code: 'mount-loads',
      severity: 'warn',
      message: `The loads at the mounts of ${body.name} come to ${mass(carried)}, its weights to ${mass(weight)}.`,
      fixes: advise(
        'Weigh it again at the mounts, or correct its weights.',
        'Take the loads out: they are then calculated from its weights.',
      ),
    },
  ];
}

/** Tires that stand out of their fenders. */
const uncovered = ({ body, fenders }: SeatOutcome, { rules, show }: Context): readonly Finding[] =>
  fenders.flatMap(({ fender, out, inside }): Finding[] => {
    const wanted = ruleValue(rules, 'body/fender');
    if (out >= wanted && inside >= 0) return [];
    const outside = out < wanted;
    return [
      {
        ...NOWHERE,
        about: fender.id,
        code: 'tire-uncovered',
        severity: 'warn',
        message: outside
          ? `The tire stands ${show(wanted - out)} out of ${fender.name} of ${body.name}: many vehicle codes want it covered.`
          : `The tire stands ${show(-inside)} farther in than ${fender.name} of ${body.name} reaches.`,
        fixes: advise(
          'Widen the fender, or take wheels with another offset.',
          'Ask what your vehicle code wants covered.',
        ),
      },
    ];
  });

/** A deck that the frame is too short for, that pinches a hose, or whose mechanism cannot stand where it is meant to. */
function decks({ body, work }: SeatOutcome, { show }: Context): readonly Finding[] {
  if (!work) return [];
  const { cabToAxle, open, mechanism } = work;
  const told = (code: string, message: string, ...ways: string[]): Finding => ({
    ...NOWHERE,
    about: body.id,
    code,
    severity: 'warn',
    message,
    fixes: advise(...ways),
  });
  const short = cabToAxle.has === null ? 0 : cabToAxle.asked - cabToAxle.has;
  return [
    ...(short > 0 && !isMet(short)
      ? [
          told(
            'deck-cab-to-axle',
            `The deck of ${body.name} asks ${show(cabToAxle.asked)} from cab to axle; the plan gives ${show(cabToAxle.has ?? 0)}.`,
            'Lengthen the frame between cab and axle, take a shorter deck, or let more of it hang behind the axle.',
          ),
        ]
      : []),
    ...open.flatMap(({ layer, left }) =>
      left < 0
        ? [
            told(
              'deck-pinched',
              `${layer.name} under the deck of ${body.name} pinches what passes through it: ${show(-left)} are missing.`,
              'Make it higher, or lead the hose another way.',
            ),
          ]
        : [],
    ),
    ...(mechanism && !mechanism.works
      ? [
          told(
            'deck-mechanism',
            `${mechanism.mechanism.name} stands ${show(mechanism.mechanism.stands)} from its hinge; it works from ${show(mechanism.mechanism.least)} to ${show(mechanism.mechanism.most)}.`,
            'Set it within its range, or move the hinge.',
          ),
        ]
      : []),
    ...(mechanism && mechanism.standsOn.length > 0
      ? [
          told(
            'deck-mechanism',
            `${mechanism.mechanism.name} stands where ${mechanism.standsOn.join(', ')} ${mechanism.standsOn.length === 1 ? 'is' : 'are'}.`,
            'Set it into a clear stretch of its range.',
          ),
        ]
      : []),
  ];
}

/** A body nearer to what stands ahead of it than is wanted. */
function nearAhead(seat: SeatOutcome, { tape }: Findings, { show }: Context): readonly Finding[] {
  const { ahead, body, pose } = seat;
  if (!ahead || ahead.gap >= ahead.wanted - 0.05) return [];
  const by = ahead.wanted - ahead.gap;
  return [
    {
      ...NOWHERE,
      builtX: pose.x,
      donorX: donorOf(tape, pose.x),
      about: body.id,
      code: 'bodies-near',
      severity: 'warn',
      message:
        ahead.gap < 0
          ? `${body.name} stands ${show(-ahead.gap)} into ${ahead.name}.`
          : `${body.name} is ${show(ahead.gap)} behind ${ahead.name}; ${show(ahead.wanted)} are wanted.`,
      fixes: [
        {
          say: `Slide ${body.name} rearward by ${show(by)}`,
          edit: { do: 'seat', seat: seatOf(seat, { x: pose.x + by }) },
        },
      ],
    },
  ];
}

/**
 * What follows from where a body sits and asks for a decision: room round tires, their cover, the gap ahead, its deck.
 *
 * @param seat Where the body sits.
 * @param findings The evaluated plan, before its conflicts are known.
 * @param context Rules, and how lengths are written.
 */
export const followConflicts = (seat: SeatOutcome, findings: Findings, context: Context): readonly Finding[] => [
  ...nearTires(seat, findings, context),
  ...uncovered(seat, context),
  ...nearAhead(seat, findings, context),
  ...decks(seat, context),
  ...loadsOff(seat, context),
];
