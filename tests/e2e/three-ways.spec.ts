import { addClient, addStep, awake, expect, listen, openPractice, said, saved, startVisit, test } from './base.ts';
import type { Locator, Page } from '@playwright/test';

/** How a hand does something: with a finger, or with keys on what has the focus. */
type Way = 'touch' | 'keys' | 'ear';
const doing = (page: Page, way: Way) => async (on: Locator) => {
  await expect(on).toBeVisible();
  if (way === 'touch') return on.tap();
  await on.focus();
  await page.keyboard.press('Enter');
};

const hears = (page: Page, what: RegExp) =>
  expect
    .poll(async () => (await said(page)).slice(-6).join(' | '), {
      timeout: 20_000,
    })
    .toMatch(what);

async function screenAndAssess(page: Page, way: Way): Promise<void> {
  const act = doing(page, way);
  await startVisit(page);
  await awake(page);
  for (const name of ['None of these', 'None today', 'None of these']) {
    await act(page.getByRole('button', { name }).first());
    await act(page.getByRole('group', { name: 'None applies?' }).getByRole('button').first());
  }
  await act(page.getByRole('button', { name: 'Assess', exact: true }));
  await page.waitForURL('**/assess');
  await rate(page, way, 7);
}
async function rate(page: Page, way: Way, value: number): Promise<void> {
  const row = page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' });
  if (way === 'touch') await row.getByText(String(value), { exact: true }).tap();
  else {
    await row.getByRole('radio').first().focus();
    await page.keyboard.press(String(value));
  }
  await expect(row.getByLabel(`: ${value}`)).toBeChecked();
}

async function compose(page: Page, way: Way): Promise<void> {
  const act = doing(page, way);
  await act(page.getByRole('button', { name: 'Compose', exact: true }));
  await page.waitForURL('**/compose');
  if (way !== 'touch') for (const line of ['temple circles', 'stay masseter']) await addStep(page, line);
  else
    for (const [place, technique] of [
      ['EX-HN5 Taiyang', /Two-finger circles at the temples/],
      ['Masseter', /Masseter: stay until it softens/],
    ] as const) {
      const option = page.getByRole('option', { name: technique }).first();
      // A finger covers several places: it is asked which is meant.
      const which = page.getByRole('button', { name: `${place}, left`, exact: true });
      await page
        .getByRole('button', { name: new RegExp(`^${place}, client’s left`) })
        .first()
        .tap();
      await expect(option.or(which).first()).toBeVisible();
      if (await which.isVisible()) await which.tap();
      await option.tap();
      await expect(option).toBeHidden();
    }
  await expect(page.locator('.step')).toHaveCount(2);
  await saved(page);
  await act(page.getByRole('button', { name: 'Guide', exact: true }));
  await page.waitForURL('**/guide');
}

async function guide(page: Page, way: Way): Promise<void> {
  const act = doing(page, way);
  const start = page.getByRole('button', { name: 'Start', exact: true });
  await expect(start).toBeVisible();
  if (way === 'ear') await page.getByLabel('It counts').selectOption('every');
  await act(start);
  const next = async (key: string, name: string | RegExp) => {
    if (way === 'touch') {
      await page.waitForTimeout(450);
      await page.getByRole('button', { name }).tap();
    } else await page.keyboard.press(key);
  };
  if (way === 'ear') await hears(page, /\b2$/);
  else await expect(page.getByText(/^of \d+ circles/)).toBeVisible();
  if (way !== 'ear') await page.waitForTimeout(1500);
  await next('-', 'lighter');
  if (way === 'ear') await hears(page, /\b4$/);
  else await page.waitForTimeout(2500);
  await next('ArrowRight', 'next');
  if (way === 'ear') await hears(page, /Wait until the fibres below the contact give way\.$/);
  else await expect(page.getByRole('button', { name: /Softened, go on/ })).toBeVisible();
  if (way !== 'touch') await page.waitForTimeout(600);
  await next('Enter', /Softened, go on/);
  if (way === 'ear') await hears(page, /Done\. Stay as you are for a moment\.$/);
  await act(page.getByRole('button', { name: 'Record' }));
  await page.waitForURL('**/record');
}

/** What is on record of the run: each step, how far it was done, and at which pressures. */
async function record(page: Page, way: Way): Promise<string[]> {
  const act = doing(page, way);
  await awake(page);
  await rate(page, way, 4);
  await act(page.getByRole('button', { name: 'Warmth' }));
  await act(page.getByRole('button', { name: 'Book it' }));
  await expect(page.getByText('It stands in the book.')).toBeVisible();
  await saved(page);
  await act(page.getByRole('button', { name: 'Finish the visit' }));
  await expect(page.getByRole('link', { name: /Finished/ })).toBeVisible();
  const rows = await page.locator('.run-table tbody tr').all();
  return Promise.all(
    rows.map(async (row) => {
      const cells = await row.getByRole('cell').allInnerTexts();
      return `${cells[0]} / ${cells.at(-1)!.replace(/ \d+:\d\d/g, '')}`;
    }),
  );
}

for (const way of ['touch', 'keys', 'ear'] as const)
  test.describe(way, () => {
    test.use(
      way === 'touch'
        ? { viewport: { width: 820, height: 1180 }, hasTouch: true }
        : { viewport: { width: 1280, height: 800 } },
    );
    test(`a whole visit by ${way} alone leaves the same record`, async ({ page }) => {
      test.setTimeout(180_000);
      if (way === 'ear') await listen(page);
      await openPractice(page);
      await addClient(page);
      await screenAndAssess(page, way);
      await compose(page, way);
      await guide(page, way);
      expect(await record(page, way)).toEqual([
        'Two-finger circles at the temples in part / light planned, light, feather',
        'Masseter: stay until it softens / medium',
      ]);
    });
  });
