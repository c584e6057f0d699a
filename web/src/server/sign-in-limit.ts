import { createHash } from 'node:crypto';
import { RateLimiterDrizzle, type RateLimiterRes } from 'rate-limiter-flexible';
import { database } from './db/database.ts';
import { attempts } from './db/schema.ts';

/**
 * How often somebody may try a password. Counted by account and address together, by address, and by account, so that
 * wrong passwords from one place lock out nobody elsewhere; beyond the free ones each try waits longer than the last. Kept
 * in the database, so that it holds over all processes.
 */

/** Wrong passwords that cost no waiting, a day. */
const FREE = { pair: 5, address: 30, account: 60 } as const;
const DAY = 24 * 60 * 60;
/** The first wait, and the longest, seconds. */
const FIRST_WAIT = 10;
const LONGEST_WAIT = 15 * 60;

type Scope = keyof typeof FREE;

const make = () => {
  const limiter = (keyPrefix: string, points: number, duration: number) =>
    new RateLimiterDrizzle({ storeClient: database(), schema: attempts, keyPrefix, points, duration });
  return { tries: limiter('tries', Number.MAX_SAFE_INTEGER, DAY), waits: limiter('waits', 1, FIRST_WAIT) };
};
let made: ReturnType<typeof make> | undefined;
const limiters = () => (made ??= make());

/** Neither addresses nor e-mail addresses are kept in the clear. */
const keyOf = (scope: Scope, ...of: readonly string[]) =>
  `${scope}:${createHash('sha256').update(of.join('\n')).digest('hex').slice(0, 40)}`;

const keysOf = (email: string, address: string): readonly (readonly [Scope, string])[] => {
  const account = email.trim().toLowerCase();
  return [
    ['pair', keyOf('pair', account, address)],
    ['address', keyOf('address', address)],
    ['account', keyOf('account', account)],
  ];
};

/** The wait after so many tries beyond the free ones, seconds: twice as long each time. */
export const waitAfter = (beyond: number): number => Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.max(0, beyond - 1));

/** What is left of a wait, seconds; never more than the longest there is, also where the clock was set back meanwhile. */
const seconds = ({ msBeforeNext }: RateLimiterRes): number => Math.min(LONGEST_WAIT, Math.ceil(msBeforeNext / 1000));

/**
 * Counts one try, before the password is looked at. Gives how many seconds to wait, 0 where it may go on.
 *
 * @param email Whose account, as typed.
 * @param address Who tries.
 */
export async function waitToTry(email: string, address: string): Promise<number> {
  const { tries, waits } = limiters();
  const keys = keysOf(email, address);
  const waiting = await Promise.all(keys.map(([, key]) => waits.get(key)));
  const longest = Math.max(0, ...waiting.map((one) => (one && one.consumedPoints > 0 ? seconds(one) : 0)));
  if (longest > 0) return longest;
  for (const [scope, key] of keys) {
    const { consumedPoints } = await tries.consume(key);
    const beyond = consumedPoints - FREE[scope];
    if (beyond <= 0) continue;
    // The one that comes first of several at once goes on; the others wait with whoever comes later.
    const passed = await waits.consume(key, 1, { customDuration: waitAfter(beyond) }).then(
      () => 0,
      (refused: RateLimiterRes | Error) => {
        if (refused instanceof Error) throw refused;
        return seconds(refused);
      },
    );
    if (passed > 0) return passed;
  }
  return 0;
}

/**
 * Forgets the tries of an account after the right password came. The address gets back what this one counted, so that many
 * people behind one router cost each other nothing; what others did wrong there stays counted.
 */
export async function forgetTries(email: string, address: string): Promise<void> {
  const { tries, waits } = limiters();
  for (const [scope, key] of keysOf(email, address))
    await (scope === 'address' ? tries.reward(key, 1) : Promise.all([tries.delete(key), waits.delete(key)]));
}
