import type { Browser, Page } from '@playwright/test';
import { type Machines, startMachines } from '../../scripts/lib/many/machines.ts';
import {
  addStep,
  answerAllNo,
  awake,
  colleagueOf,
  expect,
  finish,
  openPracticeByHand,
  posted,
  saved,
  test,
} from './base.ts';

/** The whole of a working day on several web processes behind one proxy, a primary database and its copy. */
const WEB = 4;
const DAY = '2030-01-15';
let machines: Machines;
test.describe.configure({ mode: 'default' });
test.use({ actionTimeout: 20_000 });
test.beforeAll(async () => {
  test.setTimeout(180_000);
  machines = await startMachines(WEB, { VELVET_NEW_PRACTICES_PER_HOUR: '100000' }, async () => {});
});
test.afterAll(() => machines?.stop());

const lane = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

/** Books a client, in a room, with somebody. */
async function book(page: Page, client: string, time: string, room: string, who: string): Promise<void> {
  await page.goto(`/today?day=${DAY}`);
  await awake(page);
  await page.keyboard.press('n');
  const panel = page.getByRole('region', { name: 'New visit' });
  await page.getByRole('combobox', { name: 'Client', exact: true }).fill(client.slice(0, 5));
  await expect(page.getByRole('option', { name: client })).toBeVisible();
  await page.keyboard.press('Enter');
  await panel.getByLabel('Time').fill(time);
  await panel.getByLabel('With').selectOption({ label: who });
  await panel.getByLabel('Room').selectOption({ label: room });
  await panel.getByRole('button', { name: /^Book/ }).click();
}

/** A practice with two rooms and three who work there, each with a client of the day. */
async function openDay(browser: Browser) {
  const owner = await (await browser.newContext({ baseURL: machines.url })).newPage();
  await openPracticeByHand(owner);
  for (const name of ['Street room', 'Yard room']) await posted(owner, '/practice/rooms', { name, changeMinutes: '5' });
  for (const name of ['Noor Halvorsen', 'Jun Castellan', 'Petr Lindqvist'])
    await posted(owner, '/clients/new', { name, 'complaints[0].kind': 'jaw', 'complaints[0].side': 'left' });
  const others = [
    await colleagueOf(owner, 'Mio Tanaka', 'practitioner'),
    await colleagueOf(owner, 'Ayla Renner', 'practitioner'),
  ];
  const [first, second, third] = [owner, ...others] as [Page, Page, Page];
  await book(first, 'Noor Halvorsen', '10:00', 'Street room', 'Rafe Oyelaran');
  await book(second, 'Jun Castellan', '10:00', 'Yard room', 'Mio Tanaka');
  await expect(lane(second, 'Yard room').getByRole('button', { name: /^Jun Castellan, 10:00/ })).toBeVisible();
  // The room is taken, by somebody who works on another process: told, and another time is chosen.
  await book(third, 'Petr Lindqvist', '10:30', 'Street room', 'Ayla Renner');
  const panel = third.getByRole('region', { name: 'New visit' });
  await expect(panel.getByRole('alert')).toContainText(
    'Street room is taken then by Rafe Oyelaran with Noor Halvorsen: 10:00 to 11:00.',
  );
  await panel.getByLabel('Time').fill('11:10');
  await panel.getByRole('button', { name: /^Book/ }).click();
  await expect(lane(third, 'Street room').getByRole('button', { name: /^Petr Lindqvist, 11:10/ })).toBeVisible();
  return [
    { page: first, client: 'Noor Halvorsen', rating: '7' },
    { page: second, client: 'Jun Castellan', rating: '5' },
    { page: third, client: 'Petr Lindqvist', rating: '6' },
  ];
}
type Working = Awaited<ReturnType<typeof openDay>>[number];

const screened = async ({ page, client }: Working): Promise<void> => {
  await page.goto(`/today?day=${DAY}`);
  await page.getByRole('link', { name: client, exact: true }).click();
  await page.waitForURL('**/screen');
  await awake(page);
  await answerAllNo(page);
  await saved(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.waitForURL('**/assess');
};
const rating = (page: Page, value: string) =>
  page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' }).getByText(value, { exact: true });
const assessed = async ({ page, rating: value }: Working): Promise<void> => {
  await rating(page, value).click();
  await page.getByRole('button', { name: /^Masseter, client’s left/ }).press('3');
  await saved(page);
  await page.getByRole('button', { name: 'Compose' }).click();
  await page.waitForURL('**/compose');
};
const composed = async ({ page }: Working): Promise<void> => {
  await addStep(page, 'warm palms jaw 10s');
  await addStep(page, 'masseter press open 5x left');
  await saved(page);
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
};
const guided = async ({ page }: Working): Promise<void> => {
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Warm palms on the chewing muscles' })).toBeVisible();
  await page.waitForTimeout(500);
  await page.keyboard.press('ArrowRight');
  await expect(
    page.getByRole('heading', { name: 'Pin a knot in the chewing muscle while the jaw drops' }),
  ).toBeVisible();
};
const recorded = async ({ page, client }: Working): Promise<void> => {
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await page.getByRole('button', { name: 'Record' }).click();
  await page.waitForURL('**/record');
  await expect(page.getByRole('row', { name: /Pin a knot/ })).toBeVisible();
  await page.getByLabel('Product used').fill(`plain oil for ${client}`);
  await saved(page);
  await finish(page);
  await expect(page.getByRole('link', { name: /Finished/ })).toBeVisible();
  await saved(page);
};

/** What the day says when it is over, to the owner. */
async function expectDayDone(day: readonly Working[]): Promise<void> {
  const owner = day[0]!.page;
  for (const { client, rating: value } of day) {
    await owner.goto('/clients');
    await owner.getByRole('link', { name: client }).first().click();
    await owner.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
    // The list that is left has a column of that name.
    await owner.getByRole('navigation', { name: 'Client' }).getByRole('link', { name: 'Visits' }).click();
    await owner.waitForURL('**/visits');
    const row = owner.getByRole('row', { name: new RegExp(`Jaw, left ${value}`) });
    // What another machine wrote a moment ago may come a moment later.
    await expect(async () => {
      await owner.reload();
      await expect(row).toBeVisible({ timeout: 3000 });
    }).toPass();
    await row.getByRole('link').first().click();
    await owner.waitForURL('**/record');
    await expect(owner.getByLabel('Product used')).toHaveValue(`plain oil for ${client}`);
    await expect(owner.getByRole('row', { name: /Pin a knot/ })).toBeVisible();
  }
  await owner.goto(`/practice/numbers?from=${DAY}&until=${DAY}`);
  for (const name of ['Rafe Oyelaran', 'Mio Tanaka', 'Ayla Renner'])
    await expect(owner.getByRole('row', { name: new RegExp(`^${name} 1 `) })).toBeVisible();
}

const STAGES = [screened, assessed, composed, guided, recorded];

test('a day of three practitioners in two rooms', async ({ browser }) => {
  test.setTimeout(240_000);
  const day = await openDay(browser);
  for (const stage of STAGES) await Promise.all(day.map(stage));
  await expectDayDone(day);
  for (const { page } of day) await page.context().close();
});

test('half of the processes are gone in the middle of the day, and nothing is', async ({ browser }) => {
  test.setTimeout(240_000);
  const day = await openDay(browser);
  const [first, second, third] = day as [Working, Working, Working];
  for (const stage of [screened, assessed]) await Promise.all(day.map(stage));
  // One composes, one is in the middle of the work, one answers for the next step.
  await Promise.all([composed(second), composed(third)]);
  await guided(third);
  machines.killWeb(0);
  machines.killWeb(1);
  await Promise.all([
    composed(first),
    guided(second),
    (async () => {
      // The guide does not wait for anybody.
      await third.page.keyboard.press('-');
      await expect(third.page.locator('.where')).toContainText('light,');
    })(),
  ]);
  await guided(first);
  await Promise.all(day.map(recorded));
  await expectDayDone(day);
  for (const { page } of day) await page.context().close();
});
