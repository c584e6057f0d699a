import { type Field, type Shapes, variant } from '../../fields/index.ts';
import type { Frame } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import type { Around } from '../figures/figures.ts';
import { commonFields, type EndPlace } from '../operation.ts';
import { OperationRefused, type PlanState, type Refusal } from '../state.ts';
import { OPERATIONS } from './registry.ts';
import type { About, OperationDefinition, StartPlaces, VisitPlace } from './definition.ts';

type Definitions = typeof OPERATIONS;
type OperationOf<D> = D extends { readonly places: (operation: infer O, visit: VisitPlace) => unknown } ? O : never;
type FiguresOf<D> = D extends { readonly figures: (...given: never[]) => infer F } ? NonNullable<F> : never;

export type OperationKind = keyof Definitions;
export type Operation = OperationOf<Definitions[OperationKind]>;
/** What an operation does, in figures: lengths in mm, angles in radians, masses in kg. */
export type OperationFigures = FiguresOf<Definitions[OperationKind]>;

export const OPERATION_KINDS = Object.keys(OPERATIONS) as readonly OperationKind[];

/** The definition of an operation's kind, for whatever kind it is. */
const definitionOf = ({ kind }: Pick<Operation, 'kind'>) =>
  OPERATIONS[kind] as unknown as OperationDefinition<Operation, OperationFigures | null>;

/**
 * The kinds of operation that a frame has something for.
 *
 * @param frame The donor; validated.
 */
export const kindsFor = (frame: Frame): readonly OperationKind[] =>
  OPERATION_KINDS.filter((kind) => definitionOf({ kind }).needs?.(frame) ?? true);

/**
 * What each operation is called, everywhere.
 *
 * @param kind A kind of operation.
 */
export const nameOfKind = (kind: OperationKind): string => OPERATIONS[kind].name;

/**
 * Letters of joints as they are written everywhere, on the drawing, in lists, on marks and paper: `A·B`.
 *
 * @param letters Letters of joints, one after the other or parted by spaces.
 */
export const dotted = (letters: string | readonly string[]): string =>
  (typeof letters === 'string' ? letters.split(' ') : letters).join('·');

/**
 * One operation named more closely, such as `Narrow` or `Trim the rear`.
 *
 * @param operation The operation.
 */
export const operationName = (operation: Operation): string =>
  definitionOf(operation).named?.(operation) ?? nameOfKind(operation.kind);

/**
 * Whether an operation turns the rail at its joints on purpose.
 *
 * @param operation The operation.
 */
export const turnsRail = (operation: Operation): boolean => definitionOf(operation).turnsRail?.(operation) ?? false;

/**
 * The flange that an operation folds the rails about without cutting it; null where it cuts all of them.
 *
 * @param operation The operation.
 */
export const pivotOf = (operation: Operation): 'top' | 'bottom' | null =>
  definitionOf(operation).pivot?.(operation) ?? null;

/**
 * Whether an operation's marks have a front and a rear line.
 *
 * @param operation The operation.
 */
export const isPaired = (operation: Operation): boolean => definitionOf(operation).paired ?? false;

/**
 * The operation made longer by mm, its rear edge drawn out; null where that is not how it is changed.
 *
 * @param operation The operation.
 * @param by How much longer, mm; below 0 shorter.
 */
export const stretchedOperation = (operation: Operation, by: number): Operation | null =>
  definitionOf(operation).stretched?.(operation, by) ?? null;

/**
 * What an operation is about besides the rails.
 *
 * @param operation The operation.
 */
export const aboutOf = (operation: Operation): About =>
  definitionOf(operation).about?.(operation) ?? { brings: null, names: null };

/**
 * Rail that a new operation of a kind needs, mm.
 *
 * @param kind A kind of operation.
 */
export const roomOf = (kind: OperationKind) => definitionOf({ kind }).room ?? { ahead: 0, behind: 0 };

/**
 * A new operation of a kind, with sizes to start from.
 *
 * @param kind A kind of operation.
 * @param id Id of the new operation.
 * @param places Where it begins, and ends.
 * @param frame The donor; validated.
 * @param about Id of what is picked, where something is.
 */
export const newOperation = (
  kind: OperationKind,
  id: string,
  places: StartPlaces,
  frame: Frame,
  about: string | null = null,
): Operation =>
  ({ id, note: '', off: false, kind, ...definitionOf({ kind }).fresh(places, id, frame, about) }) as Operation;

/**
 * The operation with every place that it names seen by `visit`.
 *
 * @param operation The operation.
 * @param visit Sees each place, and gives what stands there instead.
 */
export const withPlaces = (operation: Operation, visit: VisitPlace): Operation =>
  definitionOf(operation).places(operation, visit);

/**
 * Every place that an operation names, the one it is known by first.
 *
 * @param operation The operation.
 */
export function placesOf(operation: Operation): readonly EndPlace[] {
  const found: EndPlace[] = [];
  withPlaces(operation, (place) => {
    found.push(place);
    return place;
  });
  return found;
}

/** The schema of an operation of any kind. */
export const operationSchema = (): Field<Operation> =>
  variant<Operation, 'kind'>(
    'kind',
    Object.fromEntries(
      OPERATION_KINDS.map((kind) => [kind, { ...commonFields(), ...definitionOf({ kind }).fields }]),
    ) as unknown as Shapes<Operation, 'kind'>,
  );

export type Applied =
  | { readonly done: true; readonly state: PlanState }
  | { readonly done: false; readonly state: PlanState; readonly refusal: Refusal };

/**
 * The frame after one operation; when it cannot be carried out, the frame as it was and the reason.
 *
 * @param state The frame in work.
 * @param operation The operation.
 * @param context Sections, rules and how lengths are written.
 */
export function applyOperation(state: PlanState, operation: Operation, context: Context): Applied {
  const definition = definitionOf(operation);
  try {
    const section = definition.section?.(operation) ?? null;
    if (section !== null && !context.hasSection(section))
      throw new OperationRefused('operation/unknown-section', `There is no section “${section}” in the list.`, [
        'Pick one of the listed sections.',
      ]);
    return { done: true, state: definition.carryOut(state, operation, context) };
  } catch (error) {
    if (!(error instanceof OperationRefused)) throw error;
    return { done: false, state, refusal: error.refusal };
  }
}

/**
 * What an operation does, in figures, from the frame before and after it.
 *
 * @param operation The operation.
 * @param around The frame before and after it, and the whole plan.
 */
export const figuresOf = (operation: Operation, around: Around): OperationFigures | null =>
  definitionOf(operation).figures(operation, around);

export type { About, StartPlaces };
export type { ChangeBracket } from './bracket.ts';
export type { ChangeCrossmember } from './crossmember.ts';
export type { Lengthen } from './lengthen.ts';
export type { PieCut } from './pie-cut.ts';
export type { Step } from './step.ts';
export type { Widen } from './widen.ts';
