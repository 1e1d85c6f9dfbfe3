import type { Page } from '@playwright/test';
import { addClient, addStep, awake, expect, openPractice, saved, test, toCompose } from './base.ts';

const PX_PER_MM = 1.5;
const MASSETER_STEP = 'Pin a knot in the chewing muscle while the jaw drops';
const drawn = (page: Page) => page.locator('.chart-terrain').first();
/** How long the line is that measures the opening, mm. */
const measuredMm = (page: Page) =>
  page.locator('.jaw-line .measure').evaluate((path, perMm) => {
    const [x0, y0, x1, y1] = path
      .getAttribute('d')!
      .match(/-?[\d.]+/g)!
      .map(Number) as [number, number, number, number];
    return Math.hypot(x1 - x0, y1 - y0) / perMm;
  }, PX_PER_MM);

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
});

test('an opening that is typed opens the profile to it; 31 comfortable and 41 at most stand on one', async ({
  page,
}) => {
  const fetched: string[] = [];
  page.on('request', (r) => /terrain|(open-\d\d|depths|aside|o-shape)/.test(r.url()) && fetched.push(r.url()));
  await page.goto(page.url().replace(/compose$/, 'assess'));
  await expect(page.locator('.chart-terrain path').first()).toBeAttached();
  expect(fetched.filter((url) => /open-\d\d|depths|aside|o-shape/.test(url))).toEqual([]);

  await page.getByLabel('Comfortable opening, mm').fill('31');
  await expect(page.locator('.jaw-mm')).toHaveText('31');
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-25');
  expect(await measuredMm(page)).toBeCloseTo(31, 0);
  await page.getByLabel('Furthest alone, mm').fill('41');
  await expect(page.locator('.jaw-mm')).toHaveText('41');
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-40');
  expect(await measuredMm(page)).toBeCloseTo(41, 0);
  // Both jaws, the one that was kept as a line.
  await expect(page.locator('.opening-layer .is-other')).toHaveCount(1);
  await expect(page.locator('.opening-layer .told')).toHaveText(['31 comfortable', '41 now']);
  await expect(page.locator('.opening-layer .mark')).toHaveText(['35', '40']);
  await expect(page.getByText('from memory; the teeth are a hint')).toBeVisible();
  // More than is drawn is told.
  await page.getByLabel('Gently helped, mm').fill('52');
  await expect(page.getByText('52 mm is told; up to 45 is drawn.')).toBeVisible();
  await page.getByLabel('Gently helped, mm').fill('');

  await page.locator('summary').filter({ hasText: 'Sideways, forward, path and clicks' }).click();
  await page.getByLabel('Click while opening, at, client’s right, mm').fill('22');
  await expect(page.getByRole('group', { name: 'Right view' })).toBeVisible();
  await page.getByLabel('Furthest off while opening, client’s left, mm').fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Front view' })).toBeVisible();
  await expect(drawn(page)).toHaveAttribute('data-pose', 'aside');
  await expect(page.locator('.opening-layer .figure')).toHaveText('4 mm to the client’s left, stays off');
  await page.getByLabel('Back on the midline at full opening').check();
  await expect(page.locator('.opening-layer .figure')).toHaveText('4 mm to the client’s left, and back');
  // What is looked at no more is drawn no more.
  await page.locator('.routine-name, h1').first().click();
  await page.getByLabel('Back on the midline at full opening').blur();
  await expect(page.getByRole('group', { name: 'Opened view' })).toBeVisible();
  await expect(page.locator('.jaw-line')).toHaveCount(0);
});

/** In Assess; then back to Compose. */
async function measureClick(page: Page, mm: string): Promise<void> {
  await page.goto(page.url().replace(/compose$/, 'assess'));
  await page.locator('summary').filter({ hasText: 'Sideways, forward, path and clicks' }).click();
  await page.getByLabel('Click while opening, at, client’s left, mm').fill(mm);
  await page.keyboard.press('Enter');
  await saved(page);
  await page.getByRole('button', { name: 'Compose' }).click();
  await page.waitForURL('**/compose');
}
/** Opens the guide on a masseter step, at its first count. */
async function atOpenings(page: Page): Promise<void> {
  await addStep(page, 'masseter press open 5x left');
  await saved(page);
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('heading', { name: MASSETER_STEP })).toBeVisible();
  await expect(page.locator('.guide-count .beside')).toContainText('of 5 openings');
}
/** What the jaw says of itself for some seconds: its millimetres, and how its lines lie. */
const watched = (page: Page, ms: number) =>
  page.evaluate(async (forMs) => {
    const seen: { mm: number; words: string; lines: string }[] = [];
    const until = performance.now() + forMs;
    while (performance.now() < until) {
      await new Promise((next) => setTimeout(next, 60));
      seen.push({
        mm: Number(document.querySelector('.jaw-mm')?.textContent ?? 0),
        words: document.querySelector('.jaw-words')?.textContent ?? '',
        lines: document.querySelector('.chart-terrain.is-lines .is-on path')?.getAttribute('d') ?? '',
      });
    }
    return seen;
  }, ms);

test('a masseter step opens and closes with its count, to just before the click', async ({ page }) => {
  await measureClick(page, '22');
  await atOpenings(page);
  await expect(page.locator('.chart-terrain.is-lines .is-on path').first()).toBeAttached();
  const seen = await watched(page, 6000);
  const mm = seen.map((s) => s.mm);
  expect(Math.max(...mm)).toBeLessThanOrEqual(20);
  expect(Math.max(...mm)).toBeGreaterThan(16);
  expect(Math.min(...mm)).toBeLessThan(4);
  // Up and down again, in the words too.
  const turns = mm.slice(1).filter((v, i) => v < mm[i]!).length;
  expect(turns).toBeGreaterThan(5);
  expect(seen.some((s) => s.words === 'now opening, to 20 mm, to just before the click')).toBe(true);
  expect(seen.some((s) => s.words === 'now closing')).toBe(true);
  expect(new Set(seen.map((s) => s.lines)).size).toBeGreaterThan(10);
  // Paused it holds still.
  await page.getByRole('button', { name: /pause/i }).click();
  await page.waitForTimeout(200);
  const held = await watched(page, 900);
  expect(new Set(held.map((s) => s.lines)).size).toBe(1);
});

test('on a device that asks for stillness the drawn poses take turns, none of them wider than it may be', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await measureClick(page, '22');
  await atOpenings(page);
  await expect.poll(async () => (await page.locator('.jaw-mm').allTextContents()).join()).toBe('10');
  const seen = await watched(page, 6000);
  // 25 mm would be into the click.
  expect([...new Set(seen.map((s) => s.mm))].sort((a, b) => a - b)).toEqual([0, 10]);
});

test('a chosen step opens the jaw of the table’s chart, the atlas has a dial for it', async ({ page }) => {
  await addStep(page, 'masseter press open 5x left');
  await page.getByRole('button', { name: 'Left', exact: true }).click();
  // What was added is chosen.
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-25');
  await expect(page.locator('.jaw-mm')).toHaveText('25');
  await page.locator('.step .name').first().click();
  await expect(drawn(page)).not.toHaveAttribute('data-pose');

  await page.goto('/atlas');
  await page.getByRole('button', { name: '40 mm open' }).click();
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-40');
  await expect(page.locator('.jaw-hollows ellipse')).toHaveCount(2);
  const changes = page.getByRole('region', { name: 'What a jaw open by 40 mm changes' });
  await expect(changes).toContainText('ST5');
  await expect(changes).toContainText('It says nothing about this or that client’s joint');
  const [shut, open] = (
    await changes
      .getByRole('row', { name: /^Masseter \d/ })
      .getByRole('cell')
      .allTextContents()
  ).map(Number);
  expect(open!).toBeGreaterThan(shut! + 5);
  await page.getByRole('button', { name: 'Jaw shut' }).click();
  await expect(changes).toHaveCount(0);
  await expect(drawn(page)).not.toHaveAttribute('data-pose');
  // The opening is in the address, and goes along to paper.
  await page.goto('/atlas/point/ST7?jaw=25');
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-25');
  await page.getByRole('link', { name: 'Print' }).click();
  await page.waitForURL('**/paper/atlas/point/ST7?jaw=25');
  await expect(page.locator('[data-pose="open-25"]').first()).toBeVisible();
  await page.goto('/atlas?jaw=7');
  await expect(page.getByRole('button', { name: 'Jaw shut' })).toHaveAttribute('aria-pressed', 'true');
});

test('on a phone the jaw stays in sight while its opening is typed', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(page.url().replace(/compose$/, 'assess'));
  const field = page.getByLabel('Comfortable opening, mm');
  await field.fill('31');
  await expect(page.locator('.jaw-mm')).toHaveText('31');
  await expect(page.locator('.jaw-mm')).toBeInViewport();
  await expect(field).toBeInViewport();
  await field.blur();
  await expect(page.locator('.jaw-line')).toHaveCount(0);
});

test('a client’s own head opens as well, once it is drawn', async ({ page }) => {
  test.slow();
  // Coarser pictures of the same heads: what is drawn is not looked at here.
  await page.addInitScript(() => {
    const post = Worker.prototype.postMessage as (message: unknown) => void;
    Worker.prototype.postMessage = function (this: Worker, message: unknown) {
      const asked = message as { resolution?: number };
      post.call(this, asked.resolution ? { ...asked, resolution: 0.4 } : message);
    };
  });
  const visit = page.url().replace(/\/compose$/, '');
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Jun Castellan', exact: true }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  await page.goto(`${page.url().replace(/(clients\/[0-9a-f-]{36}).*/, '$1')}/measure`);
  await awake(page);
  await page.getByLabel('Base of the nose to chin').fill('78');
  await page.getByRole('button', { name: 'Keep these measures' }).click();
  await page.getByRole('button', { name: 'Draw this head' }).click();
  await expect(page.getByText(/With its jaw open: [1-8] of 8/)).toBeVisible({ timeout: 60_000 });
  await page.goto(`${visit}/assess`);
  await page.getByLabel('Comfortable opening, mm').fill('41');
  await expect(page.getByText('jaw of the average adult; this head’s own is being drawn')).toBeVisible();
  await expect(page.getByText('jaw of the average adult')).toBeHidden({ timeout: 60_000 });
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-40');
  await expect(page.locator('.chart-terrain.is-lines path').first()).toBeAttached();
  expect(await measuredMm(page)).toBeCloseTo(41, 0);
  // From one opening to another that is there already, no other face stands in between.
  await page.evaluate(() => {
    const seen = ((window as unknown as { seen: string[] }).seen = []) as string[];
    new MutationObserver(() => {
      const told = document.querySelector('.chart-edge-word.is-second')?.textContent;
      if (told) seen.push(told);
    }).observe(document.querySelector('.face-chart')!, { childList: true, subtree: true });
  });
  await page.getByLabel('Comfortable opening, mm').fill('2');
  await expect(drawn(page)).toHaveAttribute('data-pose', 'shut');
  await page.getByLabel('Comfortable opening, mm').fill('41');
  await expect(drawn(page)).toHaveAttribute('data-pose', 'open-40');
  expect(await page.evaluate(() => (window as unknown as { seen: string[] }).seen)).toEqual([]);
});
