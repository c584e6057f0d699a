import type { ItemKind } from '@splay/core';

/** An item of the shop's library as it is listed. */
export interface ListedItem {
  readonly id: string;
  readonly kind: ItemKind;
  readonly name: string;
  /** The job that it was copied from. */
  readonly from: string;
  readonly savedBy: string;
  readonly savedAt: string;
}
