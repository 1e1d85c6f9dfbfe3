import { RateLimiterPostgres } from 'rate-limiter-flexible';
import { database } from '../connection.ts';

/** Wrong passwords before an address has to wait, and for how long. Our choice. */
export const ATTEMPTS = { points: 5, minutes: 15 } as const;

let limiter: { on: unknown; of: RateLimiterPostgres } | null = null;
function attempts(): RateLimiterPostgres {
  const storeClient = database();
  if (limiter?.on !== storeClient)
    limiter = { on: storeClient, of: new RateLimiterPostgres({ storeClient, storeType: 'sequelize', tableName: 'sign_in_attempts', tableCreated: true, keyPrefix: 'in', points: ATTEMPTS.points, duration: ATTEMPTS.minutes * 60 }) };
  return limiter.of;
}

/** Minutes this address has to wait before another try; 0 when it may try now. */
export async function waitMinutes(email: string): Promise<number> {
  const state = await attempts().get(email.toLowerCase());
  return state && state.consumedPoints >= ATTEMPTS.points ? Math.max(1, Math.ceil(state.msBeforeNext / 60_000)) : 0;
}

export async function countFailure(email: string): Promise<void> {
  await attempts().penalty(email.toLowerCase(), 1);
}

export async function forgetFailures(email: string): Promise<void> {
  await attempts().delete(email.toLowerCase());
}
