import { streamAnswer } from '../stream.server';
import { type SignedIn, stillSignedIn } from '../db/queries/accounts.server';
import { type Pulse, pulseOf } from '../db/queries/pulse.server';
import { hearVisit } from '../live/signals.server';
import { may } from './may';
import { ownToken } from './session.server';

/** Looked at by itself so often: a signal may be lost, and a way that nothing comes through is closed by proxies. */
const LOOK_EVERY_MS = 15_000;
/** Streams that one process holds; whoever comes after that looks again later. */
const MOST = 2000;
let open = 0;

/**
 * How far a visit is, each time that it changes, as server-sent events: for screens that show it. It ends with the session
 * of who looks, and where they may not look any more.
 */
export async function visitStream(request: Request, who: SignedIn, visitId: string): Promise<Response> {
  if (open >= MOST) return new Response('Too many screens look on.', { status: 503, headers: { 'Retry-After': '30' } });
  const token = await ownToken(request);
  const words = new TextEncoder();
  let stop = () => {};
  const stream = new ReadableStream<Uint8Array>({
    start(out) {
      open++;
      let last: Pulse | null = null;
      let isLooking = false;
      let isWanted = false;
      const timer = setInterval(() => void look(true), LOOK_EVERY_MS);
      const unhear = hearVisit(who.practiceId, visitId, () => void look(false));
      const end = () => {
        stop = () => {};
        open--;
        clearInterval(timer);
        unhear();
        try {
          out.close();
        } catch {
          // It was closed from the other side.
        }
      };
      stop = end;
      request.signal.addEventListener('abort', () => stop());
      async function look(isByItself: boolean): Promise<void> {
        if (isLooking) return void (isWanted = true);
        isLooking = true;
        try {
          const still = await stillSignedIn(token);
          const pulse = still && may(still, 'see', 'care') ? await pulseOf(who.practiceId, visitId) : null;
          if (!pulse) return stop();
          const is = !last || (Object.keys(pulse) as (keyof Pulse)[]).some((k) => pulse[k] !== last![k]);
          last = pulse;
          if (is) out.enqueue(words.encode(`data: ${JSON.stringify(pulse)}\n\n`));
          else if (isByItself) out.enqueue(words.encode(': still here\n\n'));
        } catch {
          // Away for the moment: the next look tells.
        } finally {
          isLooking = false;
          if (isWanted) {
            isWanted = false;
            void look(false);
          }
        }
      }
      void look(false);
    },
    cancel: () => stop(),
  });
  return streamAnswer(stream);
}
