import { createHash, createHmac, timingSafeEqual } from 'node:crypto';

export const FIRST_HASH = '0'.repeat(64);

/** JSON with sorted keys and no spaces, as RFC 8785 has it for what is stored here: text, whole numbers, lists, objects. */
export function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join(',')}]`;
  if (value !== null && typeof value === 'object')
    return `{${Object.entries(value)
      .filter(([, v]) => v !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
      .map(([k, v]) => `${JSON.stringify(k)}:${canonical(v)}`)
      .join(',')}}`;
  return JSON.stringify(value);
}

/** Every entry carries the hash of the one before: what is changed or taken out later no longer fits. */
export const chained = (before: string, entry: unknown): string =>
  createHash('sha256')
    .update(`${before}\n${canonical(entry)}`)
    .digest('hex');

/** The newest entry of a practice's trail, as it was when it was written. */
export interface TrailHead {
  practiceId: string;
  entries: number;
  hash: string;
}

/** Signs how long the trail is and how it ends, with a key that is not in the database: cutting off its end is then seen. */
export const signHead = (head: TrailHead, key: string): string =>
  createHmac('sha256', key).update(`${head.practiceId}\n${head.entries}\n${head.hash}`).digest('hex');

export function headFits(head: TrailHead, signature: string, key: string): boolean {
  const [a, b] = [Buffer.from(signHead(head, key), 'hex'), Buffer.from(signature, 'hex')];
  return a.length === b.length && timingSafeEqual(a, b);
}

const SHORTEST_KEY = 32;
/** The key of this installation. @throws Error when none was set: the commands make one. */
export function trailKey(): string {
  const key = process.env.VELVET_TRAIL_KEY ?? '';
  if (key.length < SHORTEST_KEY) throw new Error(`VELVET_TRAIL_KEY: at least ${SHORTEST_KEY} characters are accepted`);
  return key;
}
