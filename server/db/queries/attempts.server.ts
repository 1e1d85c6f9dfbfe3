import { createHash } from 'node:crypto';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { newPracticesPerHour } from '../../settings.ts';
import { blockAddress } from '../../sign-in-block.ts';
import { database, reaching } from '../connection.ts';

/**
 * How often something may be tried before it has to wait. Our choice. A try is taken before it is looked at, so that
 * many at once are counted like one after the other. An account is limited together with the address it is tried from:
 * a stranger elsewhere cannot lock its owner out.
 */
export const LIMITS = {
  /** Wrong passwords for one account from one address. */
  account: { points: 5, minutes: 15 },
  /** Wrong passwords from one address, whatever the account. */
  address: { points: 30, minutes: 15 },
  /** Practices opened from one address. */
  practices: { points: newPracticesPerHour(process.env), minutes: 60 },
  /** Private links that open nothing, from one address. */
  links: { points: 30, minutes: 15 },
  /** Sendings through one link: a phone that tries again and again. */
  sendings: { points: 120, minutes: 15 },
  /** Wrong passwords under an override. */
  signature: { points: 5, minutes: 15 },
} as const;
export type LimitName = keyof typeof LIMITS;

const limiters = new Map<LimitName, { on: unknown; of: RateLimiterPostgres }>();
function limiter(name: LimitName): RateLimiterPostgres {
  const storeClient = database();
  const known = limiters.get(name);
  if (known?.on === storeClient) return known.of;
  const { points, minutes } = LIMITS[name];
  const of = new RateLimiterPostgres({
    storeClient,
    storeType: 'sequelize',
    tableName: 'sign_in_attempts',
    tableCreated: true,
    keyPrefix: name,
    points,
    duration: minutes * 60,
  });
  limiters.set(name, { on: storeClient, of });
  return of;
}

/** Who tried is nobody's business afterwards: keys are kept as hashes. */
const keyed = (parts: readonly string[]): string => createHash('sha256').update(parts.join('\n')).digest('base64url');
const minutesOf = (state: RateLimiterRes): number => Math.max(1, Math.ceil(state.msBeforeNext / 60_000));

/** Takes one try. 0 when it may go ahead, otherwise the minutes to wait. */
export async function takeTry(name: LimitName, ...key: string[]): Promise<number> {
  try {
    await reaching(() => limiter(name).consume(keyed(key)));
    return 0;
  } catch (refused) {
    if (refused instanceof RateLimiterRes) return minutesOf(refused);
    throw refused;
  }
}

/** Gives a try back: it was right, or was never looked at. */
async function giveBack(name: LimitName, ...key: string[]): Promise<void> {
  await reaching(() => limiter(name).reward(keyed(key), 1));
}

/** Forgets what was wrong before. */
export async function forgetTries(name: LimitName, ...key: string[]): Promise<void> {
  await reaching(() => limiter(name).delete(keyed(key)));
}

/**
 * A sign-in from an address: taken from both counts before the password is looked at. Tries that the account's count
 * refuses stay in the address's, and an address that has used up its own is turned away by the process for a moment.
 */
export async function takeSignIn(email: string, address: string): Promise<number> {
  const wait = await takeTry('address', address);
  if (wait) blockAddress(address, wait * 60_000);
  return wait || takeTry('account', email.toLowerCase(), address);
}

/** It was the right one: the account's count is forgotten, the address gets its try back. */
export async function signInWasRight(email: string, address: string): Promise<void> {
  await forgetTries('account', email.toLowerCase(), address);
  await giveBack('address', address);
}
