/** How the last try went; gone when the link opens nothing any more. */
export type Sent = 'sent' | 'waiting' | 'gone';

/** What a phone still has to tell, wherever it lies. */
export interface Queue<Item> {
  read: () => Promise<readonly Item[]>;
  /** Drops what was acknowledged, and hears what came back. @returns whether what the link is for is still there. */
  taken: (ids: ReadonlySet<string>, answer: unknown) => Promise<boolean>;
  /** Drops one that can never be taken. */
  refused: (id: string) => Promise<void>;
}

const post = (address: string, items: readonly object[]): Promise<Response | null> =>
  fetch(address, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ sentAt: new Date().toISOString(), items }),
  }).catch(() => null);

/**
 * Sends what is waiting, a few at a time, until nothing is left; what was acknowledged is dropped, and nothing else.
 * @param asks Whether something is asked for also where there is nothing to tell.
 */
export async function sendQueue<Item extends { id: string }>(
  address: string,
  queue: Queue<Item>,
  atOnce: number,
  asks: boolean,
): Promise<Sent> {
  for (let first = true; ; first = false) {
    const items = await queue.read();
    if (!items.length && !(asks && first)) return 'sent';
    const batch = items.slice(0, atOnce);
    const answer = await post(address, batch);
    if (!answer) return 'waiting';
    if (answer.status === 404) return 'gone';
    if (answer.status === 422 && batch.length) {
      // One that can never be taken must hold up nothing: it is looked for by sending each alone.
      for (const item of batch)
        if (batch.length === 1 || (await post(address, [item]))?.status === 422) await queue.refused(item.id);
      continue;
    }
    if (!answer.ok) return 'waiting';
    const told = (await answer.json()) as { kept: string[] };
    if (!(await queue.taken(new Set(told.kept), told))) return 'gone';
    if (batch.length && !told.kept.length) return 'waiting';
  }
}
