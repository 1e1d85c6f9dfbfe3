import { awake, expect, openPractice, test } from './base.ts';
import type { Page } from '@playwright/test';

// One stand-in has one hand.
test.describe.configure({ mode: 'serial' });

async function atThePad(page: Page): Promise<void> {
  await openPractice(page);
  await page.goto('/pad');
  await awake(page);
  await expect(page.getByText('Stand-in sensor')).toBeVisible();
}
const tries = (page: Page) => page.locator('.pad-tries tbody tr:not(.is-now)');

/** A try that the stand-in’s made-up hand works through, quickly. */
async function tryWith(page: Page, hand: string): Promise<void> {
  const before = await tries(page).count();
  await page.getByLabel('A made-up hand').selectOption({ label: hand });
  await page.getByRole('button', { name: 'Let it work' }).click();
  await expect(tries(page)).toHaveCount(before + 1, { timeout: 60_000 });
  await expect(page.getByText('Kept.')).toBeVisible();
}

test('a hand that presses a fifth too hard is told so within five tries, and the week’s line shows the change', async ({
  page,
}) => {
  await atThePad(page);
  await page.getByLabel('Another technique').selectOption({ label: 'Puffed cheeks tapped' });
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Puffed cheeks tapped');
  await expect(page.getByText('The first try begins the line.')).toBeVisible();
  const verdict = page.locator('.pad-verdict');
  let told = 0;
  for (let n = 1; n <= 5 && !told; n++) {
    await tryWith(page, 'a hand that presses a fifth too hard');
    if (/harder than asked/.test(await verdict.innerText())) told = n;
  }
  expect(told).toBeGreaterThan(0);
  const line = page.locator('.pad-weeks .value');
  const hard = Number.parseInt((await line.textContent())!, 10);
  // The same hand a little later, as it was asked: the week goes up.
  for (let n = 0; n < told + 1; n++) await tryWith(page, 'a steady hand');
  expect(Number.parseInt((await line.textContent())!, 10)).toBeGreaterThan(hard);
  await page.reload();
  await expect(tries(page)).toHaveCount(Math.min(6, 2 * told + 1));
});

test('the stand-in is led by keys: as hard as the arrows say, told softer, good or harder; blind shows nothing', async ({
  page,
}) => {
  await atThePad(page);
  const now = page.locator('.pad-now');
  // As somebody comes here: by the link, which has the focus then.
  await page.goto('/today');
  await page.getByRole('link', { name: 'Practice pad' }).click();
  await expect(page.getByText('Stand-in sensor')).toBeVisible();
  await page.keyboard.down('Space');
  await expect(now).toContainText('Good, hold');
  for (let n = 0; n < 4; n++) await page.keyboard.press('ArrowUp');
  await expect(now).toContainText('Softer');
  for (let n = 0; n < 7; n++) await page.keyboard.press('ArrowDown');
  await expect(now).toContainText('Harder');
  await page.keyboard.up('Space');
  await expect(now).toContainText(/^0 kPa/);
  // Begun by a button, the space bar presses and does not begin once more.
  await page.getByRole('button', { name: 'Start' }).click();
  await page.waitForTimeout(2200);
  for (let n = 0; n < 3; n++) await page.keyboard.press('ArrowUp');
  await page.keyboard.down('Space');
  await expect(page.locator('.is-now')).toContainText(/^now1 of 10/);
  await page.keyboard.up('Space');
  await page.keyboard.press('x');
  await expect(page.locator('.is-now')).toHaveCount(0);
  await page.keyboard.press('b');
  await expect(page.getByLabel('blind: hide the trace until it is over')).toBeChecked();
  await page.keyboard.press('r');
  await expect(now).toContainText('blind');
  await expect(now).not.toContainText('kPa0');
  await page.keyboard.press('x');
  await expect(now).toContainText('kPa');
  await expect(tries(page)).toHaveCount(0);
});

test('a try that cannot be kept is told, stays, and is kept when it is asked again', async ({ page }) => {
  await atThePad(page);
  await page.getByLabel('Another technique').selectOption({ label: 'Puffed cheeks tapped' });
  await page.route('**/pad/tries', (route) => route.abort(), { times: 1 });
  await page.getByLabel('A made-up hand').selectOption({ label: 'a fast hand' });
  await page.getByRole('button', { name: 'Let it work' }).click();
  const again = page.getByRole('button', { name: 'Try to keep it again' });
  await expect(again).toBeVisible({ timeout: 60_000 });
  await expect(tries(page)).toHaveCount(0);
  await again.click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(tries(page)).toHaveCount(1);
});

test('a pad that is lost in the middle of a try is told, the try ends, and the pad comes back by itself', async ({
  page,
}) => {
  // So that the test can break what the page hears by.
  await page.addInitScript(() => {
    const streams: EventSource[] = ((window as { streams?: EventSource[] }).streams = []);
    const Own = window.EventSource;
    window.EventSource = class extends Own {
      constructor(address: string | URL) {
        super(address);
        streams.push(this);
      }
    };
  });
  await atThePad(page);
  await page.getByLabel('A made-up hand').selectOption({ label: 'a steady hand' });
  await page.getByRole('button', { name: 'Let it work' }).click();
  await expect(page.locator('.is-now')).toContainText(/[1-9] of 10/);
  // Whatever is asked next finds no way either.
  await page.route('**/devices/pad?*', (route) => route.abort());
  await page.evaluate(() => (window as { streams?: EventSource[] }).streams!.at(-1)!.dispatchEvent(new Event('error')));
  await expect(page.getByText('Pad lost')).toBeVisible();
  await expect(page.getByText(/The pad was lost after press \d+ of 10: this try is not kept/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeDisabled();
  await page.unroute('**/devices/pad?*');
  await expect(page.getByText('Stand-in sensor')).toBeVisible();
  await expect(tries(page)).toHaveCount(0);
});
