import AxeBuilder from '@axe-core/playwright';
import { gzipSync } from 'node:zlib';
import type { Browser, BrowserContext, Page } from '@playwright/test';
import { addClient, addStep, expect, openPractice, saved, test, toCompose } from './base.ts';

/** A plan of one short step, made by its practitioner, and the private link that is handed over. */
async function handOver(page: Page): Promise<{ plan: string; relief: string; link: string }> {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await addStep(page, 'hegu');
  await saved(page);
  await page.getByRole('link', { name: 'Jun Castellan' }).first().click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await expect(page.getByText('none is in force')).toBeVisible();
  await page
    .getByRole('group', { name: /^Steps/ })
    .getByRole('checkbox')
    .check();
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page.getByText('plan 1 is in force')).toBeVisible();
  const plan = page.url();
  return { plan, relief: plan.replace('/home-plan', ''), link: await makeLink(page) };
}
async function makeLink(page: Page): Promise<string> {
  await page.getByRole('button', { name: /Make a (private link|new one)/ }).click();
  return (await page.locator('.give-link .address').textContent())!;
}
/** A phone that nobody is signed in on. */
const phoneOf = (browser: Browser, baseURL: string | undefined): Promise<BrowserContext> =>
  browser.newContext({ baseURL: baseURL!, viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });

async function answerNo(phone: Page): Promise<void> {
  const all = phone.getByRole('button', { name: 'No', exact: true });
  await expect(all).toHaveCount(3);
  for (const no of await all.all()) {
    await no.tap();
    await expect(no).toHaveAttribute('aria-pressed', 'true');
  }
  await phone.getByRole('button', { name: 'Go on', exact: true }).tap();
}
const ready = (phone: Page) => phone.locator('.main:not([aria-disabled=true])').waitFor();
async function start(phone: Page, rating?: number): Promise<void> {
  await ready(phone);
  if (rating !== undefined) await phone.getByRole('button', { name: String(rating), exact: true }).tap();
  await phone.getByRole('button', { name: 'Start' }).tap();
}
const running = (phone: Page) => expect(phone.getByRole('group', { name: 'Run' })).toBeVisible();
async function stop(phone: Page, reason: string): Promise<void> {
  // A touch within 0.4 s of another is none.
  await phone.waitForTimeout(500);
  await phone.getByRole('button', { name: 'stop' }).tap();
  await phone.getByRole('button', { name: reason }).tap();
  await phone.getByRole('button', { name: 'Stop the run' }).tap();
  await expect(phone.getByRole('heading', { name: 'Stopped' })).toBeVisible();
}

test('a link opens one plan on a phone: rated, guided as in the mirror, stopped, told; the practice sees it', async ({
  page,
  browser,
  baseURL,
}) => {
  const { plan, link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const phone = await context.newPage();
  const answer = (await phone.goto(link))!;
  expect(answer.headers()).toMatchObject({
    'cache-control': 'no-store',
    'x-robots-tag': 'noindex, nofollow',
    'referrer-policy': 'no-referrer',
  });
  await expect(phone.getByText('for Jun')).toBeVisible();
  await expect(phone.getByText('Castellan')).toHaveCount(0);
  await start(phone, 6);
  await answerNo(phone);
  await running(phone);
  await expect(phone.getByText(/^Your (left|right)$|^Both sides$/)).toBeVisible();
  await expect(phone.locator('.guide-chart')).toContainText(/your left|your right|L/);
  // What is firmer than the plan cannot be asked for, by no way.
  await expect(phone.getByRole('button', { name: 'firmer' })).toHaveCount(0);
  const pressure = await phone.locator('.where').textContent();
  await phone.keyboard.press('+');
  expect(await phone.locator('.where').textContent()).toBe(pressure);
  await phone.getByRole('button', { name: /Eyes shut/ }).tap();
  await expect(phone.getByRole('button', { name: 'Eyes shut on' })).toBeVisible();
  // The face itself pauses.
  await phone.locator('.guide-chart').tap({ position: { x: 190, y: 100 } });
  await expect(phone.getByRole('button', { name: 'go on' })).toBeVisible();
  await phone.getByRole('button', { name: 'go on' }).tap();
  // A finger that rests on the face asks whether to stop, and lifting it answers nothing.
  await phone.mouse.move(190, 200);
  await phone.mouse.down();
  await expect(phone.getByText('Stop for now?')).toBeVisible();
  await phone.mouse.up();
  await expect(phone.getByText('Stop for now?')).toBeVisible();
  await phone.getByRole('button', { name: 'Go back' }).tap();
  await stop(phone, 'it hurts');
  await expect(phone.getByText(/^Ask \S+ before the next time/)).toBeVisible();
  await phone.getByRole('button', { name: '4', exact: true }).tap();
  await phone.getByRole('button', { name: 'ache moved' }).tap();
  await phone.getByLabel('In your words').fill('To the temple.');
  await phone.getByRole('button', { name: 'Close' }).tap();
  await expect(phone.getByText(/^Sent /)).toBeVisible();
  // It was said to ask first, and so it is: nothing starts before that.
  await expect(phone.getByText(/^You said that something is different\. Ask/)).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Start' })).toHaveCount(0);

  // What was said last may still be on its way.
  const said = page.locator('.runs-told');
  await expect(async () => {
    await page.goto(plan);
    await expect(said).toContainText('6 → 4; ache moved; stopped: it hurts', { timeout: 2000 });
  }).toPass();
  await expect(said).toContainText('“To the temple.”');
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Jun Castellan stopped at home' })).toBeVisible();
  await expect(page.getByText('stopped: it hurts')).toBeVisible();
  await page.getByRole('button', { name: 'Seen to; the plan may go on' }).click();
  await expect(page.getByRole('heading', { name: 'Jun Castellan stopped at home' })).toHaveCount(0);
  await phone.reload();
  // The questions are asked once a day.
  await start(phone);
  await running(phone);
  await context.close();
});

test('a phone that loses its network in a run, is shut and comes back next day has kept and sent everything once', async ({
  page,
  browser,
  baseURL,
}) => {
  const { plan, relief, link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const first = await context.newPage();
  await first.goto(link);
  await ready(first);
  // Packed: the page itself and what it runs lie on the phone.
  await expect
    .poll(
      () =>
        first.evaluate(
          async (path) =>
            !!navigator.serviceWorker.controller && !!(await (await caches.open('velvet-h-pages')).match(path)),
          new URL(link).pathname,
        ),
      { timeout: 60_000 },
    )
    .toBe(true);
  await start(first, 7);
  await answerNo(first);
  await running(first);
  await context.setOffline(true);
  // Until hands are at work; what was only looked for is no run.
  await expect(first.getByText('find the place, seconds left')).toHaveCount(0);
  await first.waitForTimeout(2500);
  await first.close();

  const next = await context.newPage();
  await next.clock.install({ time: Date.now() + 86_400_000 });
  await next.goto(link);
  await expect(next.getByText('for Jun')).toBeVisible();
  // A new day: yesterday's run stays as it was left, and today has its own questions.
  await expect(next.getByText('Kept on this phone, will be sent when there is a connection.')).toBeVisible();
  await start(next, 5);
  await answerNo(next);
  await running(next);
  await next.clock.runFor(12_000);
  await stop(next, 'no time');
  await next.getByRole('button', { name: 'Close' }).tap();
  await expect(next.getByText('Kept on this phone, will be sent when there is a connection.')).toBeVisible();
  await context.setOffline(false);
  await next.evaluate(() => window.dispatchEvent(new Event('online')));
  await next.clock.runFor(1000);
  await expect(next.getByText(/^Sent /)).toBeVisible();
  await next.reload();
  await expect(next.getByText('for Jun')).toBeVisible();
  await context.close();

  await page.goto(plan);
  await expect(page.locator('.runs-told li')).toHaveCount(2);
  await page.goto(relief);
  await page.getByText('Ratings between visits: write one down, correct one').first().click();
  const ratings = page.locator('details li').filter({ hasText: 'at home' });
  await expect(ratings).toHaveCount(2);
  for (const value of [5, 7]) await expect(ratings.filter({ hasText: new RegExp(`^${value} `) })).toHaveCount(1);
});

test('a link that is wrong, ended or not known shows the same plain page and nothing of anybody', async ({
  page,
  browser,
  baseURL,
}) => {
  const { plan, link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const phone = await context.newPage();
  const plain = async (address: string) => {
    expect((await phone.goto(address))!.status()).toBe(404);
    await expect(phone.getByRole('heading', { name: 'This link is not in use' })).toBeVisible();
    return phone.locator('main').textContent();
  };
  const guessed = await plain(link.slice(0, -4) + 'AAAA');
  expect(await plain(link.slice(0, -10))).toBe(guessed);
  await phone.goto(link);
  await ready(phone);
  // Another takes its place; the first opens nothing any more.
  await page.goto(plan);
  const second = await makeLink(page);
  expect(await plain(link)).toBe(guessed);
  await phone.goto(second);
  await ready(phone);
  await page.getByRole('button', { name: 'End the link' }).click();
  await expect(page.getByRole('button', { name: 'Make a private link' })).toBeVisible();
  expect(await plain(second)).toBe(guessed);
  for (const part of ['keep', 'manifest', 'calendar'])
    expect((await phone.request.get(`${second}/${part}`)).status(), part).toBe(404);
  await context.close();
});

test('a yes to a question holds the plan back on the phone and stands on Today until somebody has seen to it', async ({
  page,
  browser,
  baseURL,
}) => {
  const { link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const phone = await context.newPage();
  await phone.goto(link);
  await start(phone);
  for (const button of await phone.getByRole('button', { name: 'Yes', exact: true }).all()) await button.tap();
  await phone.getByRole('button', { name: 'Go on', exact: true }).tap();
  await expect(phone.getByText(/^You said that something is different\. Ask/)).toBeVisible();
  await expect(phone.getByRole('button', { name: 'Start' })).toHaveCount(0);
  await expect(phone.getByText(/emergency services at once/)).toBeVisible();
  await phone.reload();
  await expect(phone.getByText(/^You said that something is different\. Ask/)).toBeVisible();
  await page.goto('/today');
  await expect(page.getByRole('heading', { name: 'Jun Castellan said yes at home' })).toBeVisible();
  await page.getByRole('button', { name: 'Seen to; the plan may go on' }).click();
  await expect(page.getByRole('heading', { name: 'Jun Castellan said yes at home' })).toHaveCount(0);
  await phone.reload();
  await start(phone);
  await running(phone);
  await context.close();
});

test('on a narrow phone nothing lies beside the page, every target is large enough, and axe finds nothing', async ({
  page,
  browser,
  baseURL,
}) => {
  const { link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const phone = await context.newPage();
  await phone.setViewportSize({ width: 320, height: 640 });
  await phone.goto(link);
  await ready(phone);
  const check = async (where: string) => {
    expect(await phone.evaluate(() => document.documentElement.scrollWidth), where).toBeLessThanOrEqual(320);
    // By day, and on a phone that is set to dark.
    for (const colorScheme of ['dark', 'light'] as const) {
      await phone.emulateMedia({ colorScheme });
      const found = await new AxeBuilder({ page: phone }).withTags(['wcag2a', 'wcag2aa', 'wcag22aa']).analyze();
      expect(found.violations.map((v) => `${where}, ${colorScheme}: ${v.id}`)).toEqual([]);
    }
    expect(
      await phone.evaluate(() =>
        [...document.querySelectorAll('button, summary')].flatMap((e) => {
          const { width, height } = e.getBoundingClientRect();
          return width && Math.min(width, height) < 43.5 ? [e.textContent] : [];
        }),
      ),
      where,
    ).toEqual([]);
  };
  await check('before');
  await start(phone);
  await check('questions');
  await answerNo(phone);
  await running(phone);
  await check('run');
  for (const name of ['lighter', 'pause', 'stop']) await expect(phone.getByRole('button', { name })).toBeInViewport();
  await stop(phone, 'no time');
  await check('after');
  await context.close();
});

test('until it answers, the page loads no more than 150 kB of script', async ({ page, browser, baseURL }) => {
  const { link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  const html = await (await context.request.get(link)).text();
  // What the page names is what a browser has to have before it answers; everything else is asked for later.
  const scripts = new Set([...html.matchAll(/\/assets\/[\w.-]+\.js/g)].map(([file]) => file));
  expect(scripts.size).toBeGreaterThan(5);
  let packed = 0;
  for (const file of scripts) packed += gzipSync(await (await context.request.get(file)).body()).length;
  expect(packed).toBeLessThan(150_000);
  await context.close();
});

test('a phone that keeps nothing says so before, and guides all the same', async ({ page, browser, baseURL }) => {
  const { link } = await handOver(page);
  const context = await phoneOf(browser, baseURL);
  await context.addInitScript(() => {
    IDBFactory.prototype.open = () => {
      throw new DOMException('not here', 'SecurityError');
    };
  });
  const phone = await context.newPage();
  await phone.goto(link);
  await expect(phone.getByRole('alert')).toContainText('This phone keeps nothing for this page');
  await start(phone);
  await answerNo(phone);
  await running(phone);
  await stop(phone, 'no time');
  await context.close();
});
