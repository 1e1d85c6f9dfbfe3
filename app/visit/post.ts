import type { Post, SaveAnswer } from './save-queue';

/** Sends one write of a visit; whatever is not a clear answer counts as "not reached" and is tried again. */
export const postTo = (visitId: string): Post => async (body) => {
  try {
    const response = await fetch(`/visits/${visitId}/save`, { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(body) });
    if (response.redirected || !response.headers.get('Content-Type')?.includes('json')) return response.status === 404 ? { result: 'missing' } : { result: 'unreachable' };
    return (await response.json()) as SaveAnswer;
  } catch {
    return { result: 'unreachable' };
  }
};
