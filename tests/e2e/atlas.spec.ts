import { readFileSync } from 'node:fs';
import { expect, openPractice, signIn, test } from './base.ts';

test.beforeEach(async ({ page }) => signIn(page));

test('somebody new finds the masseter, GB20 and the collarbone nodes by words, and one on the chart', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Atlas', exact: true }).click();
  const search = page.getByRole('searchbox', { name: 'Search the atlas' });
  const sheet = page.getByRole('article');
  for (const [words, link, heading, told] of [
    ['masseter', 'Masseter', 'Masseter', 'Bite: the bulge in front of and above the jaw angle.'],
    ['gb20', 'GB20 Fengchi', 'GB20 Fengchi', 'Thumbs slide up the outer edge of the nape muscles'],
    [
      'collarbone nodes',
      'Nodes: hollow above the collarbone',
      'Nodes: hollow above the collarbone',
      'Last group before the veins',
    ],
  ] as const) {
    await search.fill(words);
    await page.getByRole('link', { name: link }).first().click();
    await expect(sheet.getByRole('heading', { level: 2 })).toContainText(heading);
    await expect(page.getByText(told)).toBeVisible();
  }
  await expect(page.getByRole('button', { name: 'Chest', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('button', { name: 'Front', exact: true }).click();
  await page.getByRole('button', { name: 'GB14 Yangbai, client’s left' }).press('Enter');
  await expect(sheet.getByRole('heading', { level: 2 })).toContainText('GB14');
  await expect(page.getByText('18 mm ± 5 above the middle of the brow')).toBeVisible();
});

test('filters stand in the address; a caution lists what it closes; two points are compared', async ({ page }) => {
  await page.goto('/atlas');
  await page.getByLabel('Off limits with …').selectOption({ label: 'Pregnancy' });
  await page.getByLabel('Everything').selectOption({ label: 'Points' });
  await expect(page).toHaveURL(/kind=point.*caution=pregnancy/);
  await expect(page.getByRole('link', { name: /off limits/ })).toHaveText([/GB21/, /ST12/, /LI4/, /LR3/]);
  await page.goto('/atlas/point/GB20');
  await page.getByLabel('Compare with another point').selectOption('BL10');
  await expect(page.getByText(/\d+ mm apart, a tape over the skin/)).toBeVisible();
  await page.reload();
  await expect(page.getByText('BL10 Tianzhu').first()).toBeVisible();
  await page.goto('/atlas/point/XX9');
  await expect(page.getByText('The atlas has no such sheet')).toBeVisible();
});

test('the chart is taken as SVG and PNG, and comes nearer by keys', async ({ page }) => {
  await page.goto('/atlas/point/ST6');
  await expect(page.locator('.map-labels text').first()).toBeVisible();
  const files: string[] = [];
  for (const as of ['SVG', 'PNG']) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `Chart as ${as}` }).click(),
    ]);
    files.push(await download.path());
  }
  const svg = readFileSync(files[0]!, 'utf8');
  expect(svg).toContain('ST6');
  expect(svg).toContain('http://www.w3.org/2000/svg');
  expect(svg).not.toMatch(/var\(--|<script|class=/);
  expect([...readFileSync(files[1]!).subarray(0, 4)]).toEqual([0x89, 0x50, 0x4e, 0x47]);
  const sheet = page.locator('.chart-moving > svg').last();
  const before = await sheet.getAttribute('viewBox');
  await page.getByRole('button', { name: 'Nearer' }).click();
  await expect(sheet).not.toHaveAttribute('viewBox', before!);
  await page.getByRole('button', { name: 'Whole' }).click();
  await expect(sheet).toHaveAttribute('viewBox', before!);
});

test('the trainer asks, is answered by keys, tells the error and keeps it', async ({ page }) => {
  await openPractice(page); // somebody who has never been asked
  await page.goto('/atlas/find-it?set=nodes');
  await expect(page.getByText(/Mark the nodes: in front of the ear/)).toBeVisible();
  await page.getByRole('button', { name: 'Left', exact: true }).click();
  // The keys answer as soon as the page has come to life.
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await expect(page.locator('.trainer-marks path')).toBeVisible({ timeout: 500 });
  }).toPass();
  await page.keyboard.press('m');
  await expect(page.getByText(/\d+ mm off/)).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByText(/Mark the nodes: below the ear lobe/)).toBeVisible();
  await page.reload();
  await expect(page.getByText('1 of 15 begun')).toBeVisible();
});

test('ten places against the clock: how far off and how long is told at the end, and kept', async ({ page }) => {
  await openPractice(page);
  await page.goto('/atlas/find-it?set=face');
  await page.keyboard.press('t');
  const round = page.locator('.trainer-round');
  for (let n = 1; n <= 10; n++) {
    await expect(round).toContainText(`${n} of 10`);
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('m');
    await expect(page.locator('.trainer-answer')).toContainText(/\d+ mm off/);
    await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
    if (n < 10) await page.keyboard.press('n');
  }
  await expect(round).toContainText(/Round over: [\d.]+ s, median \d+ mm off/);
  await page.reload();
  await expect(page.getByText(/Against the clock, the last 10: [\d.]+ s a place\./)).toBeVisible();
});

test('the border of a muscle is asked for, and any place of it counts', async ({ page }) => {
  await openPractice(page);
  await page.goto('/atlas/find-it?set=edges');
  await expect(page.getByText(/Mark any place on the border of/)).toBeVisible();
  await page.getByRole('button', { name: 'Left', exact: true }).click();
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('m');
    await expect(page.getByText(/\d+ mm off the border/)).toBeVisible({ timeout: 1500 });
  }).toPass();
  await expect(page.getByRole('status').filter({ hasText: 'Kept' })).toBeVisible();
});

test('a client’s measures: impossible ones are refused at their field, good ones move the points', async ({ page }) => {
  await page.goto('/clients?find=odile');
  await page.getByRole('link', { name: 'Odile Brandt' }).click();
  await page.getByRole('link', { name: 'Measure' }).click();
  await page.getByLabel('Hairline to between the brows').fill('-4');
  await page.getByLabel('Pupil to pupil').fill('62,5');
  await page.getByRole('button', { name: 'Keep these measures' }).click();
  await expect(page.getByText('Hairline to between the brows: 25 to 95 mm is accepted.')).toBeVisible();
  await expect(page.getByLabel('Pupil to pupil')).toHaveValue('62,5');
  await page.getByLabel('Hairline to between the brows').fill('66');
  await page.getByLabel('Hairline to chin').fill('150');
  await page.getByLabel('Between the brows to chin').fill('160');
  await page.getByRole('button', { name: 'Keep these measures' }).click();
  await expect(page.getByText(/The brow would lie above the hairline/)).toBeVisible();
  await page.getByLabel('Hairline to chin').fill('');
  await page.getByLabel('Between the brows to chin').fill('');
  await page.getByRole('button', { name: 'Keep these measures' }).click();
  await expect(page.getByRole('heading', { name: 'Taken so far' })).toBeVisible();
  await page.getByRole('link', { name: 'Open in the atlas' }).click();
  await page.getByRole('searchbox').fill('GB14');
  await page.getByRole('link', { name: 'GB14 Yangbai' }).click();
  await expect(page.getByText('22 mm ± 2 above the middle of the brow')).toBeVisible();
  await expect(page.getByText('on Odile Brandt')).toBeVisible();
});
