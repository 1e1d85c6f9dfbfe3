import { createHash } from 'node:crypto';

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
export const chained = (before: string, entry: unknown): string => createHash('sha256').update(`${before}\n${canonical(entry)}`).digest('hex');
