import { tellSignedOut } from './signed-out';

/** Sends a small change that is no part of the visit's own queue; what came back, or why nothing did. */
export async function send<T>(
  path: string,
  body: unknown,
): Promise<
  | { ok: true; value: T }
  /** Refused: the same again would be refused again. */
  | { ok: false; message: string; errors: Record<string, string>; isRefused: boolean }
> {
  const binary = body instanceof Blob;
  try {
    const answer = await fetch(path, {
      method: 'POST',
      headers: { 'Content-Type': binary ? body.type || 'application/octet-stream' : 'application/json' },
      body: binary ? body : JSON.stringify(body),
    });
    if (answer.status === 401) tellSignedOut();
    const isJson = answer.headers.get('Content-Type')?.includes('json');
    const value = (isJson ? await answer.json() : { message: await answer.text() }) as T & {
      message?: string;
      errors?: Record<string, string>;
    };
    if (answer.ok && isJson) return { ok: true, value };
    return {
      ok: false,
      message: value.message ?? Object.values(value.errors ?? {})[0] ?? 'This was not kept.',
      errors: value.errors ?? {},
      isRefused: answer.status === 422,
    };
  } catch {
    return { ok: false, message: 'Not kept: no connection. Try again.', errors: {}, isRefused: false };
  }
}
