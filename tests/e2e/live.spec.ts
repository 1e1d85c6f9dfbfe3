import type { Page } from '@playwright/test';
import {
  addStep,
  answerAllNo,
  awake,
  expect,
  openPractice,
  addClient,
  saved,
  startVisit,
  test,
  toCompose,
} from './base.ts';

const rating = (page: Page) => page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' });
async function second(page: Page, path: string): Promise<Page> {
  const other = await page.context().newPage();
  await other.goto(path);
  await awake(other);
  return other;
}

test('two screens on one visit show what either writes', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await startVisit(page);
  await answerAllNo(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.waitForURL('**/assess');
  await saved(page);
  const other = await second(page, page.url());

  await rating(page).getByText('7', { exact: true }).click();
  await saved(page);
  await expect(rating(other).getByLabel(': 7')).toBeChecked();
  await expect(other.getByText('Changed on another screen just now')).toBeVisible();
  // And back: what is entered there goes on from it, without a question.
  await other.getByRole('button', { name: /^Masseter, client’s left/ }).press('2');
  await saved(other);
  await expect(other.getByText('Changed on another screen just now')).toBeHidden();
  await expect(page.getByRole('button', { name: /^Masseter, client’s left/ })).toHaveAccessibleName(/tenderness 2/);
  await expect(page.getByText('Changed on another screen just now')).toBeVisible();
});

test('the room screen shows the guide that another device drives', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await addStep(page, 'warm palms jaw 60s');
  await addStep(page, 'masseter press open 9x left');
  await saved(page);
  const room = await second(page, page.url().replace('/compose', '/room'));
  await expect(room.getByText('The guide has not begun yet')).toBeVisible();

  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(room.getByRole('heading', { name: 'Warm palms on the chewing muscles' })).toBeVisible();
  await expect(room.getByText(/step 1 of 2/)).toBeVisible();
  // The same second on both, give or take one.
  const left = async (of: Page) => {
    const [minutes, seconds] = (await of.locator('.left .num, .room-screen p.soft').first().textContent())!
      .match(/(\d+):(\d\d)/)!
      .slice(1)
      .map(Number);
    return minutes! * 60 + seconds!;
  };
  await expect.poll(async () => Math.abs((await left(page)) - (await left(room)))).toBeLessThanOrEqual(1);
  await page.keyboard.press(' ');
  await expect(room.getByText('Paused')).toBeVisible();
  await page.waitForTimeout(500);
  await page.keyboard.press(' ');
  await page.waitForTimeout(500);
  await page.keyboard.press('ArrowRight');
  await expect(
    room.getByRole('heading', { name: 'Pin a knot in the chewing muscle while the jaw drops' }),
  ).toBeVisible();
  await expect(room.locator('.where')).toContainText('Client’s left');
  await page.waitForTimeout(500);
  await page.keyboard.press('-');
  await expect(page.locator('.where')).toContainText('light');
  await expect(room.locator('.where')).toContainText('light');
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(room.getByRole('heading', { name: 'Stopped' })).toBeVisible();
  // Nothing can be pressed there.
  await expect(room.getByRole('region', { name: 'What is done now' }).getByRole('button')).toHaveCount(0);
});
