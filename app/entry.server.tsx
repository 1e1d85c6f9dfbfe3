import { createReadableStreamFromReadable } from '@react-router/node';
import { isbot } from 'isbot';
import { PassThrough } from 'node:stream';
import { renderToPipeableStream } from 'react-dom/server';
import { log, told } from '../server/log';
import { isRouteErrorResponse, ServerRouter, type AppLoadContext, type EntryContext } from 'react-router';
import { NonceContext } from './nonce';

const ABORT_AFTER_MS = 10_000;

export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
  loadContext: AppLoadContext,
): Promise<Response> {
  const nonce = (loadContext as { nonce?: string }).nonce;
  return new Promise((resolve, reject) => {
    let begun = false;
    const whole = isbot(request.headers.get('user-agent')) || context.isSpaMode;
    const { pipe, abort } = renderToPipeableStream(
      <NonceContext value={nonce}>
        <ServerRouter context={context} url={request.url} nonce={nonce} />
      </NonceContext>,
      {
        nonce,
        [whole ? 'onAllReady' : 'onShellReady']() {
          begun = true;
          const body = new PassThrough();
          headers.set('Content-Type', 'text/html; charset=utf-8');
          headers.set('Cache-Control', 'no-store');
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status }));
          pipe(body);
        },
        onShellError: reject,
        onError(error: unknown) {
          if (begun) log.error(told(error), 'page failed');
        },
      },
    );
    setTimeout(abort, ABORT_AFTER_MS);
  });
}

/** A private link is a secret, in the log too. */
const pathOf = (request: Request): string => new URL(request.url).pathname.replace(/^\/h\/[^/.]+/, '/h/…');

/** Errors that pages answer themselves (not found, wrong form, database away) are no news for the log. */
export function handleError(error: unknown, { request }: { request: Request }): void {
  const answered = error instanceof Response || isRouteErrorResponse(error);
  if (!request.signal.aborted && !answered)
    log.error({ ...told(error), method: request.method, path: pathOf(request) }, 'request failed');
}
