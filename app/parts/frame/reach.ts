import { isOfferedToSignIn, onceSignedInAgain, tellSignedOut } from './signed-out';
import { useBetween } from './use-between';

/** Said while something waits for a way to the server, and when nothing does any more. */
const AWAY = 'velvet-away';
const BACK = 'velvet-back';
const ASK_AGAIN_MS = 1500;

/** 204 and 401 are answers; anything else comes from a server in trouble, or from something in between. */
async function sessionNow(signal: AbortSignal): Promise<'in' | 'out' | 'unreachable'> {
  const status = (await fetch('/signed-in', { cache: 'no-store', signal }).catch(() => null))?.status;
  return status === 204 ? 'in' : status === 401 ? 'out' : 'unreachable';
}

/** Ends when the wait is over or what waits has been given up. */
const until = (signal: AbortSignal, begin: (done: () => void) => void): Promise<void> =>
  new Promise((done) => {
    signal.addEventListener('abort', () => done(), { once: true });
    begin(done);
  });

/** How many things wait: a later page may ask for the same while the one before it is given up. */
let waiting = 0;
const tellWaiting = (by: 1 | -1) => {
  waiting += by;
  window.dispatchEvent(new Event(waiting ? AWAY : BACK));
};

/**
 * Holds back what a page asks of the server until it can be answered: a page, a search or a form that is sent into a
 * cut network or an ended session would be thrown away with everything typed in it. Where nobody offers to sign in
 * (the door itself) an ended session is no reason to wait.
 */
export async function whenReachable(signal: AbortSignal, needsSession: boolean): Promise<void> {
  let told = false;
  while (!signal.aborted) {
    const now = await sessionNow(signal);
    if (signal.aborted) break;
    if (now !== 'unreachable' && told) {
      told = false;
      tellWaiting(-1);
    }
    if (now === 'in' || (now === 'out' && !(needsSession && isOfferedToSignIn()))) break;
    if (now === 'out') {
      tellSignedOut();
      await until(signal, onceSignedInAgain);
    } else {
      if (!told) tellWaiting(1);
      told = true;
      await until(signal, (done) => setTimeout(done, ASK_AGAIN_MS));
    }
  }
  if (told) tellWaiting(-1);
}

/** Whether something waits for a way to the server. */
export const useAway = (): boolean => useBetween(AWAY, BACK);
