import type { Page } from '@playwright/test';
import {
  addClient,
  addClientByHand,
  awake,
  expect,
  openPractice,
  openPracticeByHand,
  saved,
  startVisit,
  test,
  toCompose,
} from './base.ts';

/** A save either way: on its way, or refused by a network that is gone. */
const offline = (page: Page) => page.route('**/save', (route) => route.abort());
const toAssess = async (page: Page): Promise<void> => {
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  await awake(page);
};
/** Types half an emoji, as a phone's keyboard does when it is cut off; no key of the test's own sends one. */
const halfAnEmoji = (page: Page, words: string) =>
  page.getByLabel('Notes', { exact: true }).evaluate((field, text) => {
    Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!.call(field, `${text} \ud83d`);
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }, words);
const row = (page: Page, which: string) => page.getByRole('radiogroup', { name: new RegExp(`^Jaw, left, ${which}`) });

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page);
});

test('ratings typed by keys are what was typed: 10 is 10, Tab goes to the next row', async ({ page }) => {
  await toAssess(page);
  await row(page, 'now').getByRole('radio').first().focus();
  await page.keyboard.type('10');
  await expect(row(page, 'now').getByRole('radio', { name: ': 10' })).toBeChecked();
  await page.keyboard.press('Tab');
  await page.keyboard.press('8');
  await page.keyboard.press('Tab');
  await page.keyboard.press('7');
  await expect(row(page, 'now').getByRole('radio', { name: ': 10' })).toBeChecked();
  await expect(row(page, 'worst').getByRole('radio', { name: ': 8' })).toBeChecked();
  await expect(row(page, 'average').getByRole('radio', { name: ': 7' })).toBeChecked();
  await saved(page);
  await page.reload();
  await expect(row(page, 'now').getByRole('radio', { name: ': 10' })).toBeChecked();
});

test('a 1 alone is kept after a moment, and at once when Tab leaves the row; it is said aloud', async ({ page }) => {
  await toAssess(page);
  await row(page, 'now').getByRole('radio').first().focus();
  await page.keyboard.press('1');
  await expect(row(page, 'now').getByRole('status')).toHaveText('1 …');
  await expect(
    row(page, 'now').getByRole('radio', { name: ': 1', exact: false }).and(page.locator('[value="1"]')),
  ).toBeChecked();
  await expect(row(page, 'now').getByRole('status')).toHaveText('1');
  await row(page, 'worst').getByRole('radio').first().focus();
  await page.keyboard.press('1');
  await page.keyboard.press('Tab');
  await page.keyboard.press('0');
  await expect(row(page, 'worst').locator('[value="1"]')).toBeChecked();
  await expect(row(page, 'average').locator('[value="0"]')).toBeChecked();
  await page.keyboard.press('Backspace');
  await expect(row(page, 'average').getByRole('radio', { checked: true })).toHaveCount(0);
});

test('a session that ends under the work: a sign-in in place, and what was typed goes on', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await addClientByHand(page);
  await page.getByRole('button', { name: /Start visit/ }).click();
  await page.waitForURL('**/screen');
  await page.goto(page.url().replace('/screen', '/assess'));
  await awake(page);
  await page.context().clearCookies();
  await row(page, 'now').getByText('6', { exact: true }).click();
  const again = page.getByRole('form', { name: 'Sign in again' });
  await expect(again).toBeVisible();
  await expect(page.getByText('Not saved: signed out')).toBeVisible();
  await row(page, 'worst').getByText('8', { exact: true }).click();
  await again.getByLabel(/^Password of/).fill('not this one');
  await again.getByRole('button', { name: 'Sign in again' }).click();
  await expect(again.getByText('This is not the password.')).toBeVisible();
  await again.getByLabel(/^Password of/).fill(who.password);
  await again.getByRole('button', { name: 'Sign in again' }).click();
  await expect(again).toBeHidden();
  await saved(page);
  await page.reload();
  await expect(row(page, 'now').locator('[value="6"]')).toBeChecked();
  await expect(row(page, 'worst').locator('[value="8"]')).toBeChecked();
});

test('a form that is sent without a session: a sign-in in place, and then it is sent', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await addClientByHand(page);
  await page.goto(`${page.url()}/details`);
  await awake(page);
  await page.getByLabel('Note').fill('Comes by tram');
  await page.context().clearCookies();
  await page.getByRole('button', { name: 'Save' }).click();
  const again = page.getByRole('form', { name: 'Sign in again' });
  await again.getByLabel(/^Password of/).fill(who.password);
  await again.getByRole('button', { name: 'Sign in again' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  await expect(page.getByText('Comes by tram')).toBeVisible();
});

test('entries that could not be written survive a closed page; it is told on return, and they are written', async ({
  page,
  context,
}) => {
  await toAssess(page);
  await offline(page);
  await row(page, 'now').getByText('6', { exact: true }).click();
  await expect(page.getByText(/Not saved yet, kept on this device/)).toBeVisible();
  const visit = page.url();
  await page.close({ runBeforeUnload: false });

  const later = await context.newPage();
  await later.goto('/today');
  await expect(
    later.getByText(/Entries of Jun Castellan’s visit are kept on this device and not written yet/),
  ).toBeVisible();
  await later.getByRole('link', { name: 'Open the visit to write them' }).click();
  await later.waitForURL('**/visits/**');
  // The page that took them up writes them; leaving it half-way is another test.
  await saved(later);
  await later.goto(visit);
  await saved(later);
  await expect(row(later, 'now').locator('[value="6"]')).toBeChecked();
  await later.goto('/today');
  await expect(later.getByText(/kept on this device/)).toBeHidden();
});

test('what is told of unsent entries in one window ends when another has written them', async ({ page, context }) => {
  await toAssess(page);
  await offline(page);
  await row(page, 'now').getByText('6', { exact: true }).click();
  await expect(page.getByText(/Not saved yet, kept on this device/)).toBeVisible();
  const other = await context.newPage();
  await other.goto('/today');
  const told = other.getByText(/Entries of Jun Castellan’s visit are kept on this device/);
  await expect(told).toBeVisible();
  await page.unroute('**/save');
  await saved(page);
  await expect(told).toBeHidden();
});

test('an entry that is refused is told where it stands, holds up nothing, and is never called saved', async ({
  page,
}) => {
  await toAssess(page);
  await page.goto(page.url().replace('/assess', '/record'));
  await awake(page);
  const note = page.getByLabel('Notes', { exact: true });
  await halfAnEmoji(page, 'half an emoji');
  await expect(page.getByRole('alert').filter({ hasText: 'The record is not saved.' })).toContainText(
    'a character that cannot be kept',
  );
  await expect(page.locator('#note-refused')).toContainText('a character that cannot be kept');
  await expect(page.getByText('One entry is not saved')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Finish the visit' })).toBeDisabled();
  await row(page, 'now').getByText('3', { exact: true }).click();
  await expect(page.getByText('One entry is not saved')).toBeVisible();
  await note.fill('a whole one 🙂');
  await saved(page);
  await page.reload();
  await expect(note).toHaveValue('a whole one 🙂');
  await expect(row(page, 'now').locator('[value="3"]')).toBeChecked();
});

test('a refused entry can be taken back to what is stored', async ({ page }) => {
  await toAssess(page);
  await page.goto(page.url().replace('/assess', '/record'));
  await awake(page);
  const note = page.getByLabel('Notes', { exact: true });
  await note.fill('kept');
  await saved(page);
  await halfAnEmoji(page, 'not kept');
  await page.getByRole('button', { name: 'show what is stored' }).click();
  await expect(note).toHaveValue('kept');
  await saved(page);
});

test('pressing twice makes one client and one visit', async ({ page }) => {
  await page.goto('/clients/new');
  await page.getByLabel('Name', { exact: true }).fill('Pressed Twice');
  await awake(page);
  // Both presses go out before either is answered.
  await page.evaluate(() => {
    const form = document.querySelector<HTMLFormElement>('main form')!;
    const send = () =>
      fetch(location.href, {
        method: 'POST',
        body: new URLSearchParams([...new FormData(form)] as [string, string][]),
      });
    return Promise.all([send(), send(), send()]);
  });
  await page.goto('/clients?find=Pressed');
  await expect(page.getByRole('link', { name: 'Pressed Twice' })).toHaveCount(1);
  await page.getByRole('link', { name: 'Pressed Twice' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  // The address changes before the page does.
  await expect(page.getByRole('button', { name: /Start visit/ })).toBeVisible();
  await page.evaluate(() => {
    const form = [...document.querySelectorAll('form')].find((f) => f.textContent?.includes('Start visit'))!;
    const send = () =>
      fetch(location.pathname, {
        method: 'POST',
        body: new URLSearchParams([...new FormData(form)] as [string, string][]),
      });
    return Promise.all([send(), send()]);
  });
  await page.goto(`${page.url()}/visits`);
  await expect(page.locator('tbody tr')).toHaveCount(1);
});

test('what is personal is kept by no cache', async ({ page }) => {
  await startVisit(page);
  for (const path of ['/today', '/clients', '/find?q=jun', '/today.data', page.url(), '/practice/products', '/health'])
    expect((await page.request.get(path)).headers()['cache-control'], path).toBe('no-store');
});
