/** An address that the database refused is not asked about again for a moment; longer is the database's to say. */
const LONGEST_MS = 60_000;
const MOST_ADDRESSES = 10_000;

/** One for the process, although the build and a script beside it hold two copies of this module. */
const holder = globalThis as { velvetBlocked?: Map<string, number> };
const blocked = (holder.velvetBlocked ??= new Map<string, number>());

export function blockAddress(address: string, ms: number, nowMs = Date.now()): void {
  if (blocked.size >= MOST_ADDRESSES)
    for (const [one, until] of blocked) if (until <= nowMs || blocked.size >= MOST_ADDRESSES) blocked.delete(one);
  blocked.set(address, nowMs + Math.min(ms, LONGEST_MS));
}

/** How long an address still has to wait here; 0 when it may ask. */
export function blockedForMs(address: string, nowMs = Date.now()): number {
  const until = blocked.get(address);
  if (until === undefined) return 0;
  if (until <= nowMs) blocked.delete(address);
  return Math.max(0, until - nowMs);
}
