import type { StoredVisit } from '../../../../core/record';
import { tellSignedOut } from '../../../parts/frame/signed-out';
import type { Post, SaveAnswer } from './save-queue';

/** Answers of a server that is in trouble, or of a way to it: the same write may succeed later. */
const isTrouble = (status: number): boolean => status >= 500 || status === 408 || status === 425 || status === 429;

/** What an answer means for the write. Only "not reached" is tried again by itself. */
export async function answerOf(response: Pick<Response, 'status' | 'headers' | 'json'>): Promise<SaveAnswer> {
  if (response.status === 401) return { result: 'signed-out' };
  if (isTrouble(response.status)) return { result: 'unreachable' };
  const body = response.headers.get('Content-Type')?.includes('json')
    ? ((await response.json().catch(() => null)) as Partial<SaveAnswer> | null)
    : null;
  if (body && typeof body.result === 'string') return body as SaveAnswer;
  // Something between here and there answered in its place.
  if (response.status < 400) return { result: 'unreachable' };
  return response.status === 404
    ? { result: 'missing' }
    : { result: 'invalid', message: `This entry was refused (${response.status}).` };
}

/** Sends one write of a visit. */
export const postTo =
  (visitId: string): Post =>
  async (body) => {
    try {
      const answer = await answerOf(
        await fetch(`/visits/${visitId}/save`, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        }),
      );
      if (answer.result === 'signed-out') tellSignedOut();
      return answer;
    } catch {
      return { result: 'unreachable' };
    }
  };

/** What a visit holds, as it is stored now; null where nobody was reached. */
export async function readNow(visitId: string): Promise<StoredVisit | null> {
  try {
    const response = await fetch(`/visits/${visitId}/now`);
    return response.ok && response.headers.get('Content-Type')?.includes('json')
      ? ((await response.json()) as StoredVisit)
      : null;
  } catch {
    return null;
  }
}
