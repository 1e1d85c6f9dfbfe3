import { send } from '../../../parts/frame/send';

/** A piece of a file, as the server takes it. */
const PIECE_BYTES = 900_000;

interface Count {
  new: number;
  same: number;
  changed: number;
  refused: number;
}
/** What a file comes to. */
export interface Outcome {
  kinds: Record<string, Count>;
  refusals: { file: string; line: number; field: string; value: string; accepted: string }[];
  changes: { line: number; name: string; field: string; was: string; becomes: string }[];
  settings: boolean;
  byName: string[];
}
type Line =
  { done: number; of: number; judging?: true } | { brought: Outcome } | { failed: { field: string; message: string } };

/** Something that went wrong, in words for the page. */
export class NotBrought extends Error {}

/** A share of the way; and whether all of it is kept by now and only courses are judged. */
export type Progress = (share: number, isJudging?: boolean) => void;

/** Sends a file piece by piece. @returns its id there */
export async function sendFile(file: File, kind: 'table' | 'archive', progress: Progress, signal: AbortSignal) {
  const begun = await send<{ id: string }>('/practice/in/file', { name: file.name, kind, bytes: file.size });
  if (!begun.ok) throw new NotBrought(begun.message);
  const { id } = begun.value;
  for (let n = 0; n * PIECE_BYTES < file.size; n++) {
    signal.throwIfAborted();
    const piece = new Blob([file.slice(n * PIECE_BYTES, (n + 1) * PIECE_BYTES)], { type: 'application/octet-stream' });
    const kept = await send(`/practice/in/${id}/part/${n}`, piece);
    if (!kept.ok) throw new NotBrought(kept.message);
    progress(Math.min(1, ((n + 1) * PIECE_BYTES) / file.size));
  }
  return id;
}

/** Lets the server go through a file that has come; stopped by the signal, nothing of it is kept. */
export async function workOn(id: string, ask: object, progress: Progress, signal: AbortSignal): Promise<Outcome> {
  const answer = await fetch(`/practice/in/${id}/work`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(ask),
    signal,
  });
  if (!answer.ok || !answer.body) {
    const told = (await answer.json().catch(() => ({}))) as { errors?: Record<string, string> };
    throw new NotBrought(Object.values(told.errors ?? {})[0] ?? 'This file was not gone through. Try again.');
  }
  let rest = '';
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) throw new TypeError('the connection ended in the middle');
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) {
      const told = JSON.parse(line) as Line;
      if ('brought' in told) return told.brought;
      if ('failed' in told) throw new NotBrought(`${told.failed.field} ${told.failed.message}`);
      progress(told.of ? Math.min(1, told.done / told.of) : 0, told.judging);
    }
  }
}
