import type { Page } from '@playwright/test';
import { awake, expect, letIn, test } from './base.ts';

/** What stands in running text, on a chart or beside a label that is large enough is no target of its own size. */
const NO_TARGET = 'p, .chart-drawing svg, .ribbon svg, .visually-hidden, .skip, .find-results';

/** Everything that can be pressed and is smaller than a finger, with its size. */
const smallerThan = (page: Page, px: number) =>
  page.evaluate(
    ({ px, NO_TARGET }) => {
      const large = (e: Element) => {
        const { width, height } = e.getBoundingClientRect();
        return Math.min(width, height) >= px - 0.5;
      };
      return [...document.querySelectorAll('a, button, input, select, textarea, summary')].flatMap((e) => {
        const { width, height } = e.getBoundingClientRect();
        const look = getComputedStyle(e);
        const hidden = !width || look.visibility === 'hidden' || look.opacity === '0' || e.closest(NO_TARGET);
        const labelled = [...((e as HTMLInputElement).labels ?? [])].some(large);
        if (hidden || labelled || large(e)) return [];
        return [`${Math.round(width)}×${Math.round(height)} ${e.tagName} ${e.textContent?.trim().slice(0, 30)}`];
      });
    },
    { px, NO_TARGET },
  );

async function noorsVisit(page: Page): Promise<string> {
  await letIn(page);
  const html = await (await page.request.get('/today')).text();
  return /href="(\/visits\/[0-9a-f-]{36})"[^>]*>\s*Noor Halvorsen/.exec(html)![1]!;
}

test.describe('under a finger', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  test('everything that hands press is 44 px, and a number to rate with at least 40 broad', async ({ page }) => {
    test.slow();
    const visit = await noorsVisit(page);
    for (const path of [
      '/today',
      '/clients',
      '/practice',
      ...['screen', 'assess', 'guide', 'record'].map((s) => `${visit}/${s}`),
    ]) {
      await page.goto(path);
      await awake(page);
      expect(await smallerThan(page, 44), path).toEqual([]);
      const cells = await page
        .locator('.scale label')
        .evaluateAll((all) => all.map((e) => Math.round(e.getBoundingClientRect().width)));
      expect(
        cells.filter((w) => w < 40),
        path,
      ).toEqual([]);
    }
  });
});

test('in forced colours what is chosen stands apart from what is not, and the chart is drawn', async ({ page }) => {
  const visit = await noorsVisit(page);
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(`${visit}/screen`);
  await awake(page);
  const ground = (chosen: string) =>
    page
      .locator(`.yes-no label${chosen}`)
      .first()
      .evaluate((e) => getComputedStyle(e).backgroundColor);
  expect(await ground(':has(input:checked)')).not.toBe(await ground(':not(:has(input:checked))'));
  await page.goto(`${visit}/assess`);
  await awake(page);
  const cell = (chosen: string) =>
    page
      .locator(`.scale label${chosen}`)
      .first()
      .evaluate((e) => getComputedStyle(e).backgroundColor);
  expect(await cell(':has(input:checked)')).not.toBe(await cell(':not(:has(input:checked))'));
  const drawn = await page.locator('.face-chart').evaluate((chart) => {
    const path = chart.querySelector('.chart-terrain path')!;
    return { ink: getComputedStyle(path).stroke, ground: getComputedStyle(chart).backgroundColor };
  });
  expect(drawn.ink).not.toBe(drawn.ground);
});
