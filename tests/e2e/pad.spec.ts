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
  // The line comes a little after the word that the try is kept.
  await expect.poll(async () => Number.parseInt((await line.textContent())!, 10)).toBeGreaterThan(hard);
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

test('words are pressed blind: nothing is shown until both are done, what was pressed is told and kept', async ({
  page,
}) => {
  await atThePad(page);
  await page.getByRole('link', { name: 'Words, blind' }).click();
  await expect(page.locator('.pad-asked')).toHaveText('feather, then light');
  await page.route('**/pad/words/keep', (route) => route.abort(), { times: 1 });
  await page.getByRole('button', { name: 'Begin' }).click();
  for (const word of ['feather', 'light']) {
    await expect(page.locator('.pad-asked')).toContainText(`Press ${word}`);
    await expect(page.locator('.pad-result')).toHaveCount(0);
    await page.keyboard.down('Space');
    await page.waitForTimeout(1300);
    await page.keyboard.up('Space');
  }
  // The network was cut just then: nothing is lost, and what was pressed is told as soon as it is kept.
  await page.getByRole('button', { name: 'Try to keep it again' }).click();
  await expect(page.locator('.pad-result')).toHaveCount(2);
  await expect(page.locator('.pad-result').nth(1)).toContainText(
    /light.* kPa, (in the aim|within the word|(hard|soft)er than the word)/,
  );
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(page.locator('.pad-who tbody tr').first()).toContainText(/[01] of 1/);
  // What comes next is what was not asked yet.
  await page.keyboard.press('n');
  await expect(page.locator('.pad-asked')).toContainText('Press medium');
  await page.keyboard.press('x');
  const shown = page.waitForResponse('**/pad/words/show');
  await page.getByLabel('show mine to colleagues, by name').check();
  expect((await shown).ok()).toBe(true);
  await page.reload();
  await expect(page.getByLabel('show mine to colleagues, by name')).toBeChecked();
});

test('a pad is checked against weights, and scores of before are marked', async ({ page }) => {
  await atThePad(page);
  await page.getByLabel('Another technique').selectOption({ label: 'Puffed cheeks tapped' });
  await tryWith(page, 'a steady hand');
  await expect(page.getByText('Never checked.')).toBeVisible();
  await page.getByRole('link', { name: 'Check it' }).click();
  const row = page.getByRole('row', { name: /^500 g/ }).first();
  await row.getByRole('button', { name: 'Put 500 g on' }).click();
  await expect(page.getByText(/stands at 4\.\d+ N/)).toBeVisible();
  await row.getByRole('button', { name: 'Read 500 g' }).click();
  await expect(row).toContainText(/[+−]\d\.\d %/);
  await expect(page.getByText('nothing on it')).toBeVisible();
  await page.getByRole('button', { name: 'Keep this check' }).click();
  await expect(page.getByText(/Checked .*: 500 g read 4\.\d\d N/)).toBeVisible();
  await page.getByRole('link', { name: 'A technique' }).click();
  await expect(tries(page).first()).toContainText('≈');
  await expect(page.getByText('≈ the pad had not been checked')).toBeVisible();
});

test('two hands of which one presses harder are told so', async ({ page }) => {
  await atThePad(page);
  await page.getByLabel('Another technique').selectOption({ label: 'Puffed cheeks tapped' });
  await page.getByLabel('both hands, left and right of the middle').check();
  await tryWith(page, 'two hands, the left a third harder');
  await expect(tries(page).first()).toContainText(/your left hand \d+ % harder/);
});

test('a tempo is tapped without a pad: along with the beat, then alone; how true it stayed is told', async ({
  page,
}) => {
  await openPractice(page);
  await page.goto('/pad/tempo');
  await awake(page);
  const faster = page.getByRole('button', { name: 'Faster' });
  for (let n = 0; n < 60; n++) await faster.click();
  await expect(page.locator('.pad-tempo')).toContainText('120 / min');
  await page.getByRole('button', { name: 'Start r' }).click();
  await page.waitForTimeout(1500);
  for (let n = 0; n < 30 && (await page.getByText('Kept.').count()) === 0; n++) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(480);
  }
  await expect(page.locator('.pad-tempos li')).toContainText(/120 \/ min.*Alone \d+\.\d a minute/);
});

test('a routine is rehearsed on the pad, guided as on a client, with nothing kept', async ({ page }) => {
  await atThePad(page);
  await page.goto('/pad/rehearse');
  await page.locator('main li a').first().click();
  await expect(page.getByText('Nobody is worked on, and nothing is kept.')).toBeVisible();
  await awake(page);
  await page.keyboard.press('Space');
  const beside = page.getByRole('region', { name: 'On the pad' });
  await expect(beside).toContainText(/aim [\d.]+ to [\d.]+ kPa/);
  await beside.getByLabel('let the stand-in’s hand press along').check();
  await expect(beside).toContainText(/this step \d+ % in the aim/);
  await page.getByRole('button', { name: 'stop' }).click();
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(beside.getByRole('row')).toHaveCount(2);
  expect(await page.evaluate(() => Object.keys(localStorage).filter((k) => k.startsWith('velvet-run-')))).toEqual([]);
});
