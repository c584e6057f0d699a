import type { Crossmember, Feature } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import type { ChangeBracket, ChangeCrossmember } from '../operation.ts';
import { findSpot, type Hung, OperationRefused, pieceAt, type PlanState } from '../state.ts';

/** The list with the entry called `id` changed. @throws OperationRefused when it is not on the frame any more. */
function changed<T extends { readonly id: string }>(
  list: readonly Hung<T>[],
  id: string,
  change: (hung: Hung<T>) => Hung<T>,
): Hung<T>[] {
  const found = list.some((hung) => hung.item.id === id && hung.change !== 'removed');
  if (!found)
    throw new OperationRefused('operation/not-on-the-frame', `“${id}” is not on the frame.`, [
      'Pick one from the list, or switch this operation off.',
    ]);
  return list.map((hung) => (hung.item.id === id ? change(hung) : hung));
}

function added<T extends { readonly id: string; readonly name: string }>(
  list: readonly Hung<T>[],
  hung: Hung<T>,
): Hung<T>[] {
  if (list.some((other) => other.item.id === hung.item.id))
    throw new OperationRefused('operation/same-id', `“${hung.item.name}” is on the frame already.`, [
      'Give it another id.',
    ]);
  return [...list, hung];
}

export function changeCrossmember(state: PlanState, operation: ChangeCrossmember, context: Context): PlanState {
  const { change, id } = operation;
  const into = (crossmembers: readonly Hung<Crossmember>[]): PlanState => ({ ...state, crossmembers });
  switch (change.what) {
    case 'add': {
      const spot = findSpot(state, change.at);
      const item = { ...change.crossmember, x: spot.x };
      return into(
        added(state.crossmembers, { item, source: pieceAt(state, spot).source, change: 'added', operation: id }),
      );
    }
    case 'remove':
      return into(
        changed(state.crossmembers, change.crossmember, (hung) => ({ ...hung, change: 'removed', operation: id })),
      );
    case 'move': {
      const spot = findSpot(state, change.to);
      const source = pieceAt(state, spot).source;
      return into(
        changed(state.crossmembers, change.crossmember, (hung) => ({
          item: { ...hung.item, x: spot.x },
          source,
          change: 'moved',
          operation: id,
        })),
      );
    }
    case 'lower':
      return into(
        changed(state.crossmembers, change.crossmember, (hung) => ({
          ...hung,
          item: { ...hung.item, below: hung.item.below + change.by },
          change: 'lowered',
          operation: id,
        })),
      );
    case 'thin':
      return into(
        changed(state.crossmembers, change.crossmember, (hung) => {
          if (!(change.depth > 0 && change.depth < hung.item.depth))
            throw new OperationRefused(
              'operation/thin-depth',
              `It is ${context.show(hung.item.depth)} deep: thinning needs less.`,
              ['Type a depth between 0 and that.'],
            );
          return { ...hung, item: { ...hung.item, depth: change.depth }, change: 'thinned', operation: id };
        }),
      );
  }
}

export function changeBracket(state: PlanState, operation: ChangeBracket): PlanState {
  const { change, id } = operation;
  const into = (features: readonly Hung<Feature>[]): PlanState => ({ ...state, features });
  switch (change.what) {
    case 'add': {
      const spot = findSpot(state, change.at);
      const item = { ...change.feature, x: spot.x };
      return into(added(state.features, { item, source: pieceAt(state, spot).source, change: 'added', operation: id }));
    }
    case 'remove':
      return into(changed(state.features, change.feature, (hung) => ({ ...hung, change: 'removed', operation: id })));
    case 'move': {
      const spot = findSpot(state, change.to);
      const source = pieceAt(state, spot).source;
      return into(
        changed(state.features, change.feature, (hung) => {
          if (hung.item.kind === 'identity-stamp')
            throw new OperationRefused('operation/identity-stamp', 'The identity stamp must never be moved.', [
              'Switch this operation off.',
            ]);
          return { item: { ...hung.item, x: spot.x, down: change.down }, source, change: 'moved', operation: id };
        }),
      );
    }
    case 'drill': {
      if (!(Number.isInteger(change.count) && change.count >= 1 && change.count <= 100))
        throw new OperationRefused('operation/hole-count', 'A row has 1 to 100 holes.', ['Type a whole number.']);
      if (change.count > 1 && !(change.pitch > 0))
        throw new OperationRefused('operation/not-positive', 'The holes need a pitch above 0.', [
          'Type the distance between two holes.',
        ]);
      const spot = findSpot(state, change.at);
      const source = pieceAt(state, spot).source;
      const row = Array.from({ length: change.count }, (_, index): Hung<Feature> => ({
        item: {
          ...change.feature,
          id: change.count > 1 ? `${change.feature.id}-${index + 1}` : change.feature.id,
          name: change.count > 1 ? `${change.feature.name} ${index + 1}` : change.feature.name,
          x: spot.x + index * change.pitch,
        },
        source,
        change: 'added',
        operation: id,
      }));
      return into(row.reduce((list, hole) => added(list, hole), [...state.features]));
    }
  }
}
