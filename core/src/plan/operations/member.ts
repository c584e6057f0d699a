import { id, variant } from '../../fields/index.ts';
import type { Common } from '../operation.ts';
import { OperationRefused, type PlanState } from '../state.ts';
import type { OperationDefinition } from './definition.ts';
import { changed } from './hung.ts';

/** Work on a member beside the rails, or on a brace. */
export interface ChangeMember extends Common {
  readonly kind: 'member';
  readonly change:
    /** Cut to the new distance of its ends, and turned at both. */
    | { readonly what: 'refit'; readonly member: string }
    | { readonly what: 'remove'; readonly member: string }
    /** Made again to the new distance of its ends. */
    | { readonly what: 'remake-brace'; readonly brace: string }
    | { readonly what: 'remove-brace'; readonly brace: string };
}

/** What an operation on a member is: there is nothing to draw but the member itself. */
export interface MemberChanged {
  readonly kind: 'member';
}

function carryOut(state: PlanState, { change, id: operation }: ChangeMember): PlanState {
  switch (change.what) {
    case 'refit':
      return {
        ...state,
        members: changed(state.members, change.member, (hung) => ({ ...hung, change: 're-fitted', operation })),
      };
    case 'remove':
      return {
        ...state,
        members: changed(state.members, change.member, (hung) => ({ ...hung, change: 'removed', operation })),
      };
    case 'remake-brace':
      return {
        ...state,
        braces: changed(state.braces, change.brace, (hung) => ({ ...hung, change: 'remade', operation })),
      };
    case 'remove-brace':
      return {
        ...state,
        braces: changed(state.braces, change.brace, (hung) => {
          if (!hung.item.removable)
            throw new OperationRefused('operation/not-removable', `${hung.item.name} was entered as not removable.`, [
              'Say on the Donor bench that it can come off, or leave it.',
            ]);
          return { ...hung, change: 'removed', operation };
        }),
      };
  }
}

const WORDS = {
  refit: 'Re-fit member',
  remove: 'Remove member',
  'remake-brace': 'Remake a brace',
  'remove-brace': 'Remove brace',
} as const;

export const member: OperationDefinition<ChangeMember, MemberChanged> = {
  kind: 'member',
  name: 'Member or brace',
  named: ({ change }) => WORDS[change.what],
  fields: {
    change: variant<ChangeMember['change'], 'what'>('what', {
      refit: { member: id() },
      remove: { member: id() },
      'remake-brace': { brace: id() },
      'remove-brace': { brace: id() },
    }),
  },
  needs: ({ members, braces }) => members.length + braces.length > 0,
  fresh: (_, __, { members, braces }, about) => {
    const brace = braces.find((candidate) => candidate.id === about) ?? (members.length === 0 ? braces[0] : undefined);
    if (brace) return { change: { what: 'remake-brace', brace: brace.id } };
    const picked = members.find((candidate) => candidate.id === about) ?? members[0];
    return { change: { what: 'refit', member: picked?.id ?? 'none' } };
  },
  places: (operation) => operation,
  carryOut,
  about: ({ change }) => ({
    brings: null,
    names: 'brace' in change ? { kind: 'brace', id: change.brace } : { kind: 'member', id: change.member },
  }),
  figures: () => ({ kind: 'member' }),
};
