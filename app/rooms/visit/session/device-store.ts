import { del, entries, set } from 'idb-keyval';
import { readPatch } from '../../../../core/record';
import { InputError } from '../../../../core/words';
import type { Kept } from './save-queue';

/** Writes of a visit that were not acknowledged, as they lie on the device. */
export interface OnDevice extends Kept {
  visitId: string;
  practitionerId: string;
  /** Whose visit it is, for the note that tells of it. */
  clientName: string;
  /** When the latest of them was made, milliseconds since 1970. */
  atMs: number;
}
export interface FoundOnDevice {
  key: string;
  kept: OnDevice;
}

const PREFIX = 'velvet-visit:';
const isOurs = (key: unknown): key is string => typeof key === 'string' && key.startsWith(PREFIX);

/** Everything this device keeps for one practitioner, oldest first. */
export async function unsentOnDevice(practitionerId: string): Promise<FoundOnDevice[]> {
  try {
    const all = await entries<IDBValidKey, OnDevice>();
    return all
      .flatMap(([key, kept]) =>
        isOurs(key) && kept?.practitionerId === practitionerId && kept.writes?.length ? [{ key, kept }] : [],
      )
      .sort((a, b) => a.kept.atMs - b.kept.atMs);
  } catch {
    // A store that is forbidden costs the safety net, not the work.
    return [];
  }
}

/** A page that is just going gives its place up within this. */
const GOING_MS = 600;

/**
 * A page's own place in the store. Another open page of the same visit has its own; the place of a page that is gone
 * can be taken over. Browsers tell the two apart by a lock that ends with its page.
 */
async function hold(key: string): Promise<boolean> {
  if (!navigator.locks) return true;
  return new Promise((answer) => {
    navigator.locks
      .request(key, { signal: AbortSignal.timeout(GOING_MS) }, () => {
        answer(true);
        return new Promise<never>(() => {});
      })
      .catch(() => answer(false));
  });
}

export interface DevicePlace {
  /** What an earlier page left behind, taken over. */
  found: OnDevice | null;
  keep: (kept: Kept) => void;
}

/** What an earlier form of the application left; a routine that nobody can read any more was never more than a draft. */
function inPresentForm(write: Kept['writes'][number]): Kept['writes'] {
  try {
    return [{ ...write, patch: readPatch(write.patch) }];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return [];
  }
}

/** Takes a place for a visit, with what the oldest page that is gone left in its own. */
export async function placeOnDevice(
  about: Pick<OnDevice, 'visitId' | 'practitionerId' | 'clientName'>,
): Promise<DevicePlace> {
  const before = (await unsentOnDevice(about.practitionerId)).filter((f) => f.kept.visitId === about.visitId);
  let own = `${PREFIX}${about.visitId}:${crypto.randomUUID()}`;
  let found: OnDevice | null = null;
  for (const one of before) {
    if (!(await hold(one.key))) continue;
    own = one.key;
    found = { ...one.kept, writes: one.kept.writes.flatMap(inPresentForm) };
    break;
  }
  if (!found) await hold(own);
  // One after the other, so that the latest state is the one that stays.
  let writing: Promise<unknown> = Promise.resolve();
  return {
    found,
    keep: (kept) => {
      writing = writing
        .then(() =>
          kept.writes.length ? set(own, { ...about, ...kept, atMs: Date.now() } satisfies OnDevice) : del(own),
        )
        .catch(() => {});
    },
  };
}
