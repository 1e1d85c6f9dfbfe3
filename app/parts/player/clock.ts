/** Milliseconds since 1970 on a clock that never jumps back. */
export const nowMs = (): number => performance.timeOrigin + performance.now();
