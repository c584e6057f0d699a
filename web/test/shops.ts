import { readFileSync } from 'node:fs';
import type { Member } from '../src/server/db/shop.ts';
import { createShop } from '../src/server/services/shops.ts';

export const flagshipText = readFileSync(new URL('../../demo/parcel-van.json', import.meta.url), 'utf8');

let made = 0;

/** A new shop with an owner and a reviewer; each call makes another. */
export async function newShop(): Promise<{
  readonly owner: Member;
  readonly reviewer: Member;
  readonly email: string;
  readonly password: string;
}> {
  made += 1;
  const tag = `${process.pid}-${Date.now()}-${made}`;
  const [email, password] = [`owner-${tag}@test.example`, 'long enough to use'];
  const shopName = `Shop ${tag}`;
  const shopId = await createShop(shopName, [
    { name: 'owner', email, password, role: 'owner' },
    { name: 'welder', email: `welder-${tag}@test.example`, password, role: 'welder' },
    { name: 'reviewer', email: `reviewer-${tag}@test.example`, password, role: 'reviewer' },
  ]);
  const member = (role: Member['role']): Member => ({ userId: role, name: role, shopId, shopName, role });
  return { owner: member('owner'), reviewer: member('reviewer'), email, password };
}
