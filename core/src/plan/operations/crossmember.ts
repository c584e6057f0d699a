import { id, length, record, variant } from '../../fields/index.ts';
import { type Crossmember, crossmemberFields } from '../../frame/index.ts';
import type { Context } from '../context.ts';
import { type Crossed, crossmemberFigures } from '../figures/work-figures.ts';
import { newCrossmember } from '../new-things.ts';
import { type Common, place, type Place } from '../operation.ts';
import { type Hung, OperationRefused, type PlanState } from '../state.ts';
import { findSpot, pieceAt } from '../spot.ts';
import type { OperationDefinition } from './definition.ts';
import { added, changed } from './hung.ts';

export interface ChangeCrossmember extends Common {
  readonly kind: 'crossmember';
  readonly change:
    | { readonly what: 'add'; readonly at: Place; readonly crossmember: Crossmember }
    | { readonly what: 'remove'; readonly crossmember: string }
    | { readonly what: 'move'; readonly crossmember: string; readonly to: Place }
    | { readonly what: 'lower'; readonly crossmember: string; readonly by: number }
    | { readonly what: 'thin'; readonly crossmember: string; readonly depth: number };
}

/** How far below the top edge of the rail the top of a crossmember meets it, mm. */
const heightOf = ({ below }: Crossmember): number => Math.max(0, below);

function carryOut(state: PlanState, operation: ChangeCrossmember, context: Context): PlanState {
  const { change, id } = operation;
  const into = (crossmembers: readonly Hung<Crossmember>[]): PlanState => ({ ...state, crossmembers });
  switch (change.what) {
    case 'add': {
      const spot = findSpot(state, change.at, heightOf(change.crossmember));
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
      const moving = state.crossmembers.find(({ item }) => item.id === change.crossmember)?.item;
      const spot = findSpot(state, change.to, moving ? heightOf(moving) : 0);
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

const WORDS = { add: 'Add', remove: 'Remove', move: 'Move', lower: 'Lower', thin: 'Thin' } as const;

export const crossmember: OperationDefinition<ChangeCrossmember, Crossed | null> = {
  kind: 'crossmember',
  name: 'Crossmember',
  named: ({ change }) => `${WORDS[change.what]} crossmember`,
  fields: {
    change: variant<ChangeCrossmember['change'], 'what'>('what', {
      add: { at: place(), crossmember: record<Crossmember>(crossmemberFields()) },
      remove: { crossmember: id() },
      move: { crossmember: id(), to: place() },
      lower: { crossmember: id(), by: length() },
      thin: { crossmember: id(), depth: length() },
    }),
  },
  fresh: ({ at }, id, frame, about) => {
    const picked = frame.crossmembers.find((member) => member.id === about);
    return {
      change: picked
        ? { what: 'move', crossmember: picked.id, to: { x: picked.x, on: 'donor' } }
        : { what: 'add', at, crossmember: newCrossmember(id, at.x, frame) },
    };
  },
  places: (operation, visit) => {
    const { change } = operation;
    if (change.what === 'add') return { ...operation, change: { ...change, at: visit(change.at) } };
    if (change.what === 'move') return { ...operation, change: { ...change, to: visit(change.to) } };
    return operation;
  },
  carryOut,
  section: ({ change }) => (change.what === 'add' ? (change.crossmember.section ?? null) : null),
  about: ({ change }) =>
    change.what === 'add'
      ? { brings: { kind: 'crossmember', id: change.crossmember.id }, names: null }
      : { brings: null, names: { kind: 'crossmember', id: change.crossmember } },
  figures: crossmemberFigures,
};
