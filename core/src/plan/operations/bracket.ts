import { id, length, record, variant, whole } from '../../fields/index.ts';
import { factsOf, type Feature, featureFields, railAt } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import { bracketFigures, type Bracketed } from '../figures/work-figures.ts';
import { newHole } from '../new-things.ts';
import { type Common, place, type Place } from '../operation.ts';
import type { Piece } from '../piece.ts';
import { type Hung, OperationRefused, type PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';
import { added, changed } from './hung.ts';

export interface ChangeBracket extends Common {
  readonly kind: 'bracket';
  readonly change:
    | { readonly what: 'add'; readonly at: Place; readonly feature: Feature }
    | { readonly what: 'remove'; readonly feature: string }
    | { readonly what: 'move'; readonly feature: string; readonly to: Place; readonly down: number }
    /** `count` holes in a row, `pitch` apart, the first at `at`. */
    | {
        readonly what: 'drill';
        readonly at: Place;
        readonly feature: Feature;
        readonly count: number;
        readonly pitch: number;
      };
}

function carryOut(state: PlanState, operation: ChangeBracket, context: Context): PlanState {
  const { change, id } = operation;
  const spotOf = (at: Place, { face }: Pick<Feature, 'face'>, down: number) => {
    const { section } = railAt((state.pieces[0] as Piece).rails.left, at.x);
    const depth = context.section(section).depth;
    return findSpot(state, at, face === 'top' ? 0 : face === 'bottom' ? depth : Math.min(depth, Math.max(0, down)));
  };
  const into = (features: readonly Hung<Feature>[]): PlanState => ({ ...state, features });
  switch (change.what) {
    case 'add': {
      const spot = spotOf(change.at, change.feature, change.feature.down);
      const item = { ...change.feature, x: spot.x };
      return into(added(state.features, { item, source: pieceAt(state, spot).source, change: 'added', operation: id }));
    }
    case 'remove':
      return into(changed(state.features, change.feature, (hung) => ({ ...hung, change: 'removed', operation: id })));
    case 'move': {
      const moving = state.features.find(({ item }) => item.id === change.feature)?.item;
      const spot = spotOf(change.to, moving ?? { face: 'web-outside' }, change.down);
      const source = pieceAt(state, spot).source;
      return into(
        changed(state.features, change.feature, (hung) => {
          if (factsOf(hung.item.kind).untouchable)
            throw new OperationRefused('operation/identity-stamp', 'The VIN stamp must never be moved.', [
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
      const spot = spotOf(change.at, change.feature, change.feature.down);
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

const WORDS = { add: 'Add bracket', remove: 'Remove bracket', move: 'Move bracket', drill: 'Drill holes' } as const;

export const bracket: OperationDefinition<ChangeBracket, Bracketed | null> = {
  kind: 'bracket',
  name: 'Bracket',
  named: ({ change }) => WORDS[change.what],
  fields: {
    change: variant<ChangeBracket['change'], 'what'>('what', {
      add: { at: place(), feature: record<Feature>(featureFields()) },
      remove: { feature: id() },
      move: { feature: id(), to: place(), down: length() },
      drill: { at: place(), feature: record<Feature>(featureFields()), count: whole(), pitch: length() },
    }),
  },
  fresh: ({ at }, id, { features }, about) => {
    const movable =
      features.find((feature) => feature.id === about) ?? features.find((feature) => feature.movable !== 'no');
    if (!movable) return { change: { what: 'drill', at, feature: newHole(id, at.x), count: 1, pitch: 0 } };
    const { id: feature, down, x } = movable;
    return { change: { what: 'move', feature, to: { x, on: 'donor' }, down } };
  },
  places: (operation, visit) => {
    const { change } = operation;
    if (change.what === 'add') return { ...operation, change: { ...change, at: visit(change.at) } };
    if (change.what === 'drill') return { ...operation, change: { ...change, at: visit(change.at) } };
    if (change.what === 'move') return { ...operation, change: { ...change, to: visit(change.to) } };
    return operation;
  },
  carryOut,
  about: ({ change }) =>
    change.what === 'add' || change.what === 'drill'
      ? { brings: { kind: 'feature', id: change.feature.id }, names: null }
      : { brings: null, names: { kind: 'feature', id: change.feature } },
  figures: bracketFigures,
};
