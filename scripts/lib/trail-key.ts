import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * The key that signs the head of the audit trail: from the environment, or made once and kept in a folder beside the
 * database, where whoever can write to the database alone cannot read it.
 */
export function ensureTrailKey(folder: string): void {
  if (process.env.VELVET_TRAIL_KEY) return;
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'trail-key');
  if (!existsSync(file)) writeFileSync(file, randomBytes(32).toString('base64url'), { mode: 0o600 });
  process.env.VELVET_TRAIL_KEY = readFileSync(file, 'utf8');
}
