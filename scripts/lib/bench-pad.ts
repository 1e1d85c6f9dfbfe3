import { padFrameLine, padHelloLine } from '../../core/devices/index.ts';
import { serveLines, type StandIn } from '../../devices/line-server.ts';
import { STAND_IN_PAD } from '../../devices/pad-cells.ts';
import { openDemo } from './open-demo.ts';

const CELLS = STAND_IN_PAD.rows * STAND_IN_PAD.columns;
const EVERY_MS = 1000 / STAND_IN_PAD.ratePerSecond;
const AIM = { framesPerSecond: 60, latencyP95Ms: 50 } as const;

/** A pad on which all cells bear, each reading told at the moment at which it is read; its clock is this machine's. */
async function fullPad(): Promise<StandIn & { zeroMs: number }> {
  const zeroMs = Date.now();
  const pad = await serveLines(0, (socket) => {
    let sequence = 0;
    const timer = setInterval(() => {
      const atMs = Date.now() - zeroMs;
      const cells = Array.from({ length: CELLS }, (_, i) => [i, 40 + 10 * Math.sin((atMs + i * 9) / 300)] as const);
      socket.write(`${padFrameLine({ sequence: sequence++, atMs, cells })}\n`);
    }, EVERY_MS);
    return { hello: padHelloLine({ ...STAND_IN_PAD, name: 'full pad' }), onGone: () => clearInterval(timer) };
  });
  return { ...pad, zeroMs };
}

/** A hundred readings a second of 256 cells, drawn: frames a second, and from the sensor to the picture. */
export async function measurePad(
  say: (line: string) => void,
  quantile: (values: readonly number[], q: number) => number,
  seconds: number,
): Promise<void> {
  const pad = await fullPad();
  const demo = await openDemo({ devices: `pad ${pad.address} Full pad` });
  try {
    const { page } = demo;
    // What is sent to the page was named by the loader.
    await page.addInitScript('globalThis.__name = (of) => of');
    // Each reading is followed to the first picture drawn after it was heard.
    await page.addInitScript(() => {
      const seen = ((window as { padSeen?: { atMs: number; shownMs: number }[] }).padSeen = []) as {
        atMs: number;
        shownMs: number;
      }[];
      const Own = window.EventSource;
      window.EventSource = class extends Own {
        constructor(address: string | URL) {
          super(address);
          this.addEventListener('lines', ({ data }: MessageEvent<string>) => {
            const times = [...data.matchAll(/^F \d+ (\d+)/gm)].map(([, ms]) => Number(ms));
            requestAnimationFrame(() => {
              const shownMs = performance.timeOrigin + performance.now();
              for (const atMs of times) seen.push({ atMs, shownMs });
            });
          });
        }
      };
    });
    await page.goto('/pad');
    await page.getByText('Stand-in sensor').waitFor();
    await page.getByRole('button', { name: 'Start' }).click();
    await page.waitForTimeout(2000);
    const { seen, frames, ms } = await page.evaluate(async (wanted) => {
      const all = (window as unknown as { padSeen: { atMs: number; shownMs: number }[] }).padSeen;
      all.length = 0;
      const began = performance.now();
      const frames = await new Promise<number>((done) => {
        let n = 0;
        requestAnimationFrame(function step() {
          n++;
          if (performance.now() - began >= wanted) done(n);
          else requestAnimationFrame(step);
        });
      });
      return { seen: all.slice(), frames, ms: performance.now() - began };
    }, seconds * 1000);
    const late = seen.map(({ atMs, shownMs }) => shownMs - (pad.zeroMs + atMs));
    say('\n## The practice pad: a hundred readings a second of 256 cells\n');
    say(
      `${seconds} s of a try, all cells bearing: ${((1000 * seen.length) / ms).toFixed(0)} readings a second heard, ${((1000 * frames) / ms).toFixed(1)} frames a second (aim ${AIM.framesPerSecond}). From the sensor to the picture: median ${quantile(late, 0.5).toFixed(0)} ms, p95 ${quantile(late, 0.95).toFixed(0)} ms (aim under ${AIM.latencyP95Ms} ms), most ${Math.max(...late).toFixed(0)} ms. Sensor, server, database and browser share this machine.`,
    );
  } finally {
    await demo.close();
    await pad.close();
  }
}
