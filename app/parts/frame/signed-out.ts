import { useEffect, useRef } from 'react';
import { useBetween } from './use-between';

/** Said by whatever finds that the session has ended; heard by the bar that signs in again, and by what waits for it. */
const OUT = 'velvet-signed-out';
const IN = 'velvet-signed-in';

export const tellSignedOut = (): void => void window.dispatchEvent(new Event(OUT));
export const tellSignedIn = (): void => void window.dispatchEvent(new Event(IN));

/** How many bars stand ready to sign in again. */
let offers = 0;
export const isOfferedToSignIn = (): boolean => offers > 0;

/** For the one who offers to sign in again: whether it is time. */
export function useSignedOut(): boolean {
  useEffect(() => {
    offers += 1;
    return () => {
      offers -= 1;
    };
  }, []);
  return useBetween(OUT, IN);
}

/** Does one thing when somebody has signed in again. */
export const onceSignedInAgain = (then: () => void): void => window.addEventListener(IN, then, { once: true });

/** Does something whenever somebody signed in again. */
export function useSignedInAgain(then: () => void): void {
  const latest = useRef(then);
  useEffect(() => {
    latest.current = then;
  });
  useEffect(() => {
    const go = () => latest.current();
    window.addEventListener(IN, go);
    return () => window.removeEventListener(IN, go);
  }, []);
}
