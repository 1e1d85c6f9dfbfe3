import { Worker } from 'node:worker_threads';

/** Of one second of the clock: how late the latest of its bare timers came, in ms. */
export type Second = { epochS: number; lateMs: number };

/**
 * A timer of 5 ms in a thread that does nothing else, beside what is measured. Where it comes late, the machine gave
 * nobody the time, and what was late then says nothing about the program.
 */
export function bareTimer(): { stop: () => Promise<Second[]> } {
  const worker = new Worker(
    `const { parentPort } = require('node:worker_threads');
     const seconds = new Map();
     let last = performance.now();
     const timer = setInterval(() => {
       const now = performance.now();
       const lateMs = now - last - 5;
       last = now;
       const until = Math.floor((performance.timeOrigin + now) / 1000);
       const from = Math.floor((performance.timeOrigin + now - Math.max(0, lateMs)) / 1000);
       for (let s = from; s <= until; s++) seconds.set(s, Math.max(seconds.get(s) ?? 0, lateMs));
     }, 5);
     parentPort.once('message', () => {
       clearInterval(timer);
       parentPort.postMessage([...seconds].map(([epochS, lateMs]) => ({ epochS, lateMs })));
     });`,
    { eval: true },
  );
  return {
    stop: async () => {
      const told = new Promise<Second[]>((done) => worker.once('message', done));
      worker.postMessage('stop');
      const seconds = await told;
      await worker.terminate();
      return seconds;
    },
  };
}
