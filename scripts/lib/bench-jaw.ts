import type { Page } from '@playwright/test';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import {
  CAMERAS,
  carriedPaths,
  DRAWN_HEAD,
  drawPose,
  pathsOfSvg,
  poseBodies,
  tracePose,
} from '../../core/drawing/index.ts';
import { ROOT } from './paths.ts';

type Say = (text: string) => void;
const TERRAIN = join(ROOT, 'app/parts/chart/terrain');
const POSE = /^(front|left|right|opened)\.(?!depths)[\w-]+\.svg$/;
const WATCHED_MS = 5000;
const COARSE = 0.5;

const seconds = (work: () => unknown): number => {
  const start = performance.now();
  work();
  return (performance.now() - start) / 1000;
};

/** Drawing an open jaw, what its drawings weigh, and its motion in the guide. */
export async function measureJaw(page: Page, visit: string, say: Say): Promise<void> {
  say('\n## A jaw that opens\n');
  const kB = readdirSync(TERRAIN)
    .filter((file) => POSE.test(file))
    .map((file) => gzipSync(readFileSync(join(TERRAIN, file))).length / 1000);
  say(
    `${kB.length} drawings of open jaws, ${Math.min(...kB).toFixed(0)} to ${Math.max(...kB).toFixed(0)} kB each on the wire, ${kB.reduce((a, b) => a + b, 0).toFixed(0)} kB together; none is fetched before a jaw opens.`,
  );
  const drawn = (openingMm: number) =>
    seconds(() => {
      const posed = poseBodies({ openingMm });
      drawPose(posed, 'left', tracePose(posed, 'left', COARSE));
    });
  const shut = drawn(0);
  say(
    `Drawing the profile at 25 mm takes ${(drawn(25) / shut).toFixed(1)} times as long as shut (at a resolution of ${COARSE}, one thread).`,
  );
  const paths = pathsOfSvg(readFileSync(join(TERRAIN, 'left.open-25.svg'), 'utf8'));
  const depths = new Uint8Array(readFileSync(join(TERRAIN, 'left.open-25.depths.bin')));
  const carried = seconds(() =>
    carriedPaths(
      paths,
      depths,
      CAMERAS.left,
      DRAWN_HEAD.flesh({ openingMm: 25 }),
      DRAWN_HEAD.flesh({ openingMm: 32.5 }),
    ),
  );
  say(
    `Carrying its ${depths.length} places to the next hand-over: ${(1000 * carried).toFixed(0)} ms, once, in a worker.`,
  );
  await measureMotion(page, visit, say);
}

/** Frames of a masseter step, with what they cost, beside those of a step whose jaw is still. */
async function measureMotion(page: Page, visit: string, say: Say): Promise<void> {
  await page.goto(`${visit}/guide`);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.locator('.guide-count').waitFor();
  const still = await frames(page);
  for (let i = 0; i < 40; i++) {
    if (await page.getByRole('heading', { name: 'while the jaw drops' }).count()) break;
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(550);
  }
  await page.locator('.chart-terrain.is-lines .is-on path').first().waitFor({ state: 'attached' });
  await page.getByText(/^of \d+ openings/).waitFor();
  const moving = await frames(page);
  say(
    `In Guide, ${moving.perSecond.toFixed(0)} frames a second while the jaw moves (${still.perSecond.toFixed(0)} while it is still); a frame's own work ${moving.scriptMs.toFixed(1)} ms against ${still.scriptMs.toFixed(1)} ms, layout and style ${moving.styleMs.toFixed(1)} ms (aim: 4 ms a frame for the motion). Software rendering, no graphics card: painting holds it back, not the work.`,
  );
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Stop the run' }).click();
}

async function frames(page: Page): Promise<{ perSecond: number; scriptMs: number; styleMs: number }> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const read = async () =>
    new Map((await session.send('Performance.getMetrics')).metrics.map((m) => [m.name, m.value * 1000]));
  const before = await read();
  // As text: the compiler would name the functions inside, and the page does not know its helper for that.
  const count = await page.evaluate<number>(`new Promise((done) => {
    let n = 0;
    const until = performance.now() + ${WATCHED_MS};
    const tick = () => { n++; if (performance.now() > until) done(n); else requestAnimationFrame(tick); };
    requestAnimationFrame(tick);
  })`);
  const after = await read();
  await session.detach();
  const ms = (...names: string[]) => names.reduce((sum, name) => sum + after.get(name)! - before.get(name)!, 0) / count;
  return {
    perSecond: (1000 * count) / WATCHED_MS,
    scriptMs: ms('ScriptDuration'),
    styleMs: ms('LayoutDuration', 'RecalcStyleDuration'),
  };
}
