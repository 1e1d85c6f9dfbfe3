import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { awake, expect, letIn, test } from './base.ts';

/** Main views of the demo practice, each by a way a practitioner goes. */
const VIEWS: [name: string, open: (page: Page) => Promise<unknown>][] = [
  ['Today', (page) => page.goto('/today')],
  ['Clients', (page) => page.goto('/clients')],
  ['New client', (page) => page.goto('/clients/new')],
  ['Atlas', (page) => page.goto('/atlas/point/GB14')],
  ['Find it', (page) => page.goto('/atlas/find-it')],
  ['Measure', async (page) => (await page.goto('/clients?find=noor'), await page.getByRole('link', { name: 'Noor Halvorsen' }).click(), page.getByRole('link', { name: 'Measure' }).click())],
  [
    'Assess with everything open',
    async (page) => {
      await page.goto('/today');
      await page.getByRole('link', { name: 'Noor Halvorsen' }).first().click();
      await page.waitForURL('**/compose');
      await page.goto(page.url().replace('/compose', '/assess'));
      await awake(page);
      await page.getByRole('button', { name: 'Open the photo' }).click();
      await page.getByRole('button', { name: 'Scan', exact: true }).click();
      await page.locator('section.section').filter({ has: page.getByRole('heading', { name: 'Pressure threshold' }) }).getByRole('button', { name: 'Measure' }).click();
      await page.locator('.same-scale').waitFor();
    },
  ],
  ['Rules', (page) => page.goto('/practice')],
  ['Texts', (page) => page.goto('/practice/texts')],
  ['Products', (page) => page.goto('/practice/products')],
  ['Audit trail', (page) => page.goto('/practice/trail')],
  ['Routines', (page) => page.goto('/routines')],
  ['Routine', async (page) => (await page.goto('/routines'), page.getByRole('link', { name: 'Evening headache' }).click())],
  ['Relief', async (page) => (await page.goto('/clients?find=noor'), page.getByRole('link', { name: 'Noor Halvorsen' }).click())],
  ['Details', async (page) => (await page.goto('/clients?find=caspian'), await page.getByRole('link', { name: 'Caspian Holt' }).click(), page.getByRole('link', { name: 'Details' }).click())],
  ['Visits', async (page) => (await page.goto('/clients?find=caspian'), await page.getByRole('link', { name: 'Caspian Holt' }).click(), page.getByRole('link', { name: 'Visits', exact: true }).click())],
  ...(['Screen', 'Assess', 'Compose', 'Guide', 'Record'] as const).map((stage): [string, (page: Page) => Promise<unknown>] => [
    stage,
    async (page) => {
      await page.goto('/today');
      await page.getByRole('link', { name: 'Noor Halvorsen' }).first().click();
      await page.waitForURL('**/compose');
      const id = /visits\/([^/]+)/.exec(page.url())![1]!;
      await page.goto(`/visits/${id}/${stage.toLowerCase()}`);
    },
  ]),
];

async function settled(page: Page): Promise<void> {
  await expect(page.locator('h1')).toHaveCount(1);
  await page.evaluate(() => document.fonts.ready);
}

/**
 * The drawing is hidden from assistive technology and holds no text; everything that stands on it is looked at. It is
 * taken off before, because asking which of its thousand lines lie under a word takes most of the time. Legacy mode leaves
 * out a second page that only frames from elsewhere would need; there are none here.
 */
async function axe(page: Page): Promise<AxeBuilder> {
  await page.evaluate(() => document.querySelectorAll<SVGElement>('.chart-terrain').forEach((drawing) => (drawing.style.display = 'none')));
  return new AxeBuilder({ page }).setLegacyMode().exclude('.chart-terrain');
}
/** Views whose chart is looked at whole; the others have the same chart with other marks, which takes long to walk. */
const WHOLE_CHARTS = ['Assess', 'Compose', 'Atlas', 'Find it'];

// Each has a page of its own, and together they take longer than any other file.
test.describe.configure({ mode: 'parallel' });
test.beforeEach(async ({ page }) => letIn(page));

for (const [name, open] of VIEWS)
  test(`axe finds nothing on ${name}, which has one first heading`, async ({ page }) => {
    await open(page);
    await settled(page);
    const all = await axe(page);
    const looked = WHOLE_CHARTS.includes(name) ? all : all.exclude('.chart-moving');
    const { violations } = await looked.analyze();
    expect(violations.map((v) => `${v.id} ${v.nodes.map((n) => n.target.join(' ')).slice(0, 3).join(' | ')}`)).toEqual([]);
  });

test('contrast holds in the dim room', async ({ page }) => {
  test.setTimeout(180_000);
  await page.goto('/today');
  await page.getByRole('button', { name: 'Dim room' }).click();
  for (const [name, open] of VIEWS.filter(([view]) => ['Today', 'Clients', 'New client', 'Relief', 'Screen', 'Compose', 'Guide', 'Atlas', 'Find it'].includes(view))) {
    await open(page);
    await settled(page);
    const { violations } = await (await axe(page)).withRules(['color-contrast', 'link-in-text-block']).analyze();
    expect(violations.map((v) => `${name}: ${v.id} ${v.nodes.map((n) => n.target.join(' ')).slice(0, 3).join(' | ')}`)).toEqual([]);
  }
});

test('at 200 % zoom nothing has to be scrolled sideways', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 640, height: 400 });
  for (const [name, open] of VIEWS) {
    await open(page);
    await settled(page);
    const over = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    expect(over, `${name} is wider than the window`).toBeLessThanOrEqual(1);
  }
});

test('the first stop for Tab leads past the top bar', async ({ page }) => {
  await page.goto('/today');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the work' })).toBeFocused();
});

test('places on the chart are one stop for Tab, and arrows go from place to place', async ({ page }) => {
  await page.goto('/today');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).first().click();
  await page.getByRole('link', { name: 'Assess' }).click();
  // The address changes before the page does, and Compose has places of its own.
  await expect(page.getByRole('heading', { name: 'Assess', exact: true })).toBeVisible();
  const places = page.locator('.chart-place');
  await expect(places.first()).toBeVisible();
  expect(await page.locator('.chart-place[tabindex="0"]').count()).toBe(1);
  await page.locator('.chart-place[tabindex="0"]').focus();
  const name = () => page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? '');
  const first = await name();
  const seen = new Set([first]);
  for (const key of ['ArrowDown', 'ArrowRight', 'ArrowRight', 'ArrowUp', 'ArrowLeft', 'ArrowDown']) {
    await page.keyboard.press(key);
    seen.add(await name());
  }
  expect(seen.size).toBeGreaterThan(3);
  for (const label of seen) expect(label).toMatch(/client’s (left|right)/);
});
