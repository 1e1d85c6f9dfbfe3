import { writeReadableStreamToWritable } from '@react-router/node';
import type { NextFunction, Request as Incoming, Response as Outgoing } from 'express';
import { createRequestHandler, type AppLoadContext, type ServerBuild } from 'react-router';

/** What every loader and action may know of a request beside its body. */
interface RequestContext extends AppLoadContext {
  /** Scripts that carry it may run. */
  nonce: string;
  /** Address of the visitor, as far as proxies are believed. */
  address: string;
}

/**
 * The bridge from Express to React Router. Its own, because the address of a request is the pinned origin and never what
 * headers say, and because the body has been read and measured before.
 */
export function pages(
  build: ServerBuild,
): (request: Incoming, response: Outgoing, next: NextFunction) => Promise<void> {
  const handle = createRequestHandler(build, 'production');
  return async (incoming, outgoing, next) => {
    try {
      const { origin, nonce, body } = outgoing.locals as { origin: string; nonce: string; body?: Buffer };
      const url = `${origin}${incoming.originalUrl.startsWith('/') ? incoming.originalUrl : '/'}`;
      if (!URL.canParse(url) || new URL(url).origin !== origin)
        return void outgoing.status(400).type('text/plain').send('This address cannot be read.');
      const gone = new AbortController();
      outgoing.on('close', () => gone.abort());
      const request = new Request(url, {
        method: incoming.method,
        headers: headersOf(incoming),
        signal: gone.signal,
        ...(body ? { body: new Uint8Array(body) } : {}),
      });
      const context: RequestContext = { nonce, address: incoming.ip ?? '' };
      await send(outgoing, await handle(request, context));
    } catch (error) {
      next(error);
    }
  };
}

function headersOf({ headers }: Incoming): Headers {
  const out = new Headers();
  for (const [key, value] of Object.entries(headers)) for (const one of [value ?? []].flat()) out.append(key, one);
  return out;
}

async function send(outgoing: Outgoing, answer: Response): Promise<void> {
  if (outgoing.destroyed || outgoing.writableEnded) return void (await answer.body?.cancel());
  outgoing.status(answer.status);
  // What a page says of itself takes the place of what is said of all; only cookies stand beside each other.
  for (const [key, value] of answer.headers)
    if (key === 'set-cookie') outgoing.append(key, value);
    else outgoing.set(key, value);
  // What is personal is kept by no cache; only what says otherwise itself may be.
  if (!answer.headers.has('Cache-Control')) outgoing.set('Cache-Control', 'no-store');
  if (/text\/event-stream/i.test(answer.headers.get('Content-Type') ?? '')) outgoing.flushHeaders();
  if (!answer.body) return void outgoing.end();
  await writeReadableStreamToWritable(answer.body, outgoing).catch((error: unknown) => {
    if (!outgoing.destroyed && !outgoing.writableEnded) throw error;
  });
}
