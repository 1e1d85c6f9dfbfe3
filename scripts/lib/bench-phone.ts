import type { CDPSession, Page } from '@playwright/test';
import { openDemo } from './open-demo.ts';

/** A slow phone on a slow network, as the browser imitates them. */
const SLOW = { cpu: 4, bytesPerSecond: 50_000, latencyMs: 100 };
const AIM_MS = 2000;

async function slowed(page: Page): Promise<{ bytes: Record<string, number>; cdp: CDPSession }> {
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Network.enable');
  const { bytesPerSecond: downloadThroughput, latencyMs: latency, cpu: rate } = SLOW;
  await cdp.send('Network.emulateNetworkConditions', {
    offline: false,
    latency,
    downloadThroughput,
    uploadThroughput: downloadThroughput,
  });
  await cdp.send('Emulation.setCPUThrottlingRate', { rate });
  const bytes: Record<string, number> = {};
  const urls = new Map<string, string>();
  cdp.on('Network.responseReceived', (e) => urls.set(e.requestId, e.response.url));
  cdp.on('Network.loadingFinished', (e) => {
    const kind = /\.(js|css|woff2|svg)$/.exec(urls.get(e.requestId) ?? '')?.[1] ?? 'page';
    bytes[kind] = (bytes[kind] ?? 0) + e.encodedDataLength;
  });
  return { bytes, cdp };
}

/** A client's page at its first and at later openings on a slow phone: read, answering, drawn. */
export async function measurePhone(say: (line: string) => void): Promise<void> {
  const demo = await openDemo();
  try {
    const { page, url } = demo;
    await page.goto('/clients?find=noor');
    await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
    await page.getByRole('link', { name: 'Home plan' }).click();
    await page.getByRole('button', { name: 'Make a private link' }).click();
    const address = (await page.locator('.give-link .address').textContent())!;
    const context = await page
      .context()
      .browser()!
      .newContext({ baseURL: url, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
    say('\n## The page of a private link on a slow phone\n');
    say(
      `Processor slowed ${SLOW.cpu} times, ${(SLOW.bytesPerSecond * 8) / 1000} kb/s, ${SLOW.latencyMs} ms away; aim: answering within ${AIM_MS / 1000} s. Times are those of this machine.\n`,
    );
    say('| opening | read after, s | answers after, s | drawn after, s | script until it answers, kB |');
    say('|---|---|---|---|---|');
    for (const opening of ['first', 'second', 'third', 'fourth']) {
      const phone = await context.newPage();
      const { bytes } = await slowed(phone);
      const begin = performance.now();
      const after = () => ((performance.now() - begin) / 1000).toFixed(1);
      await phone.goto(address, { waitUntil: 'commit' });
      await phone.getByRole('button', { name: 'Start' }).waitFor();
      const read = after();
      await phone.locator('.main:not([aria-disabled=true])').waitFor();
      const answers = after();
      const script = Math.round((bytes.js ?? 0) / 1000);
      await phone.locator('.steps-today .chart-terrain').first().waitFor();
      say(`| ${opening} | ${read} | ${answers} | ${after()} | ${script} |`);
      // Packed meanwhile, so that the next opening is one from the phone itself.
      await phone.waitForTimeout(opening === 'first' ? 30_000 : 5_000);
      await phone.close();
    }
  } finally {
    await demo.close();
  }
}
