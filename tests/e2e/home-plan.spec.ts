import { addClient, addStep, expect, openPractice, saved, signIn, test, toCompose, yes } from './base.ts';
import { printed } from './pdf.ts';

test.beforeEach(async ({ page }) => {
  await signIn(page);
});

test('a plan is made of what is for home, checked, kept as the next one, noted and ended', async ({ page }) => {
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await expect(page.getByText('plan 1 is in force')).toBeVisible();
  await expect(page.getByText('31 of 40')).toBeVisible();
  await expect(page.getByText('62 to 88 %')).toBeVisible();
  // Nothing chosen is no plan; a promise in the words is refused at its field, and what was typed stays.
  const steps = page.getByRole('group', { name: /^Steps/ });
  for (let left = 3; left > 0; left--) await steps.getByRole('checkbox', { checked: true }).first().uncheck();
  await expect(steps).toContainText('0 chosen');
  await page.getByRole('button', { name: 'Keep as plan 2' }).click();
  await expect(steps.getByRole('alert')).toHaveText('Choose one to four steps.');
  await steps.getByRole('checkbox').first().check();
  const words = page.getByRole('group', { name: 'In the client’s words' }).getByRole('textbox');
  await words.fill('This cures the jaw, on your left and right.');
  await page.getByRole('button', { name: 'Keep as plan 2' }).click();
  await expect(page.getByText('“cures” promises what nobody can promise.')).toBeVisible();
  await expect(words).toHaveValue('This cures the jaw, on your left and right.');
  await words.fill('Slowly, on your left and right.');
  // By keys: another number of times, one weekday less.
  await page.getByRole('radio', { name: '1', exact: true }).press('Space');
  await page.getByRole('checkbox', { name: 'Sunday' }).press('Space');
  await expect(page.getByRole('group', { name: /^Rhythm/ })).toContainText('12 times in all');
  await page.getByRole('button', { name: 'Keep as plan 2' }).click();
  await expect(page.getByText('plan 2 is in force')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Plan 1/ })).toBeVisible();

  const second = page.locator('.how-it-went').first();
  await second.getByText('Note what was done on a day').click();
  await second.getByLabel('Times').fill('12');
  await second.getByRole('button', { name: 'Note' }).click();
  await expect(second.getByText('A whole number from 0 to 9 is accepted.')).toBeVisible();
  await second.getByLabel('Day', { exact: true }).fill('2199-01-01');
  await second.getByLabel('Times').fill('1');
  await second.getByRole('button', { name: 'Note' }).click();
  await expect(second.getByText('A day up to today is accepted.')).toBeVisible();

  await page.getByRole('button', { name: 'End plan 2' }).click();
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('none is in force')).toBeVisible();
});

test('the hand-out is one page with sides, days to tick, when to stop and whom to ask', async ({ page }) => {
  await page.goto('/clients?find=odile');
  await page.getByRole('link', { name: 'Odile Brandt' }).click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await page.getByRole('link', { name: 'Print the hand-out' }).click();
  await expect(page.getByRole('heading', { name: 'Home plan for Odile Brandt' })).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  for (const format of ['A4', 'Letter'] as const) {
    const pages = await printed(page, format);
    expect(pages).toHaveLength(1);
    const said = pages[0]!.map((t) => t.text).join(' ');
    for (const words of [
      'Home plan for Odile Brandt',
      'Tick each time',
      'Stop, and ask',
      'emergency services',
      'your left',
    ])
      expect(said).toContain(words);
  }
});

test('what was given up is told with its day', async ({ page }) => {
  await page.goto('/clients?find=lena');
  await page.getByRole('link', { name: 'Lena Marchetti' }).click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await expect(page.getByText(/^Given up after/)).toBeVisible();
});

test('what is answered later takes a plan away: it is told, and its page is no longer given', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await addStep(page, 'hegu');
  await saved(page);
  const visit = page.url().replace(/compose$/, '');
  await page.getByRole('link', { name: 'Jun Castellan' }).first().click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await expect(page.getByText('none is in force')).toBeVisible();
  await page
    .getByRole('group', { name: /^Steps/ })
    .getByRole('checkbox')
    .check();
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page.getByText('plan 1 is in force')).toBeVisible();
  const plan = page.url();
  const paper = plan.replace('/clients/', '/paper/clients/');
  await page.goto(paper);
  await expect(page.getByRole('heading', { name: 'Tick each time you did it' })).toBeVisible();

  await page.goto(`${visit}screen`);
  await yes(page, /Pregnant, possibly pregnant/);
  await saved(page);
  await page.goto(plan);
  await expect(page.getByRole('alert')).toContainText('Plan 1 may no longer be given as it stands.');
  await expect(page.getByRole('link', { name: 'Print the hand-out' })).toHaveCount(0);
  await page.goto(paper);
  await expect(page.getByText('This plan may not be given any more.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Tick each time you did it' })).toHaveCount(0);
});

test('steps are proposed for own hands in so many minutes, no more than fit and no more than four', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await page.goto('/clients?find=jun');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.getByRole('link', { name: 'Home plan' }).click();
  await expect(page.getByText('none is in force')).toBeVisible();
  const minutes = page.getByLabel('Or proposed for own hands, in minutes');
  await minutes.fill('40');
  await page.getByRole('button', { name: 'Propose' }).click();
  await expect(page.getByText('A whole number from 1 to 15 is accepted.')).toBeVisible();
  await expect(minutes).toHaveValue('40');
  await minutes.fill('4');
  await page.getByRole('button', { name: 'Propose' }).click();
  const chosen = page.locator('.home-steps .is-chosen');
  await expect(chosen).not.toHaveCount(0);
  expect(await chosen.count()).toBeLessThanOrEqual(4);
  const [, m, s] = /(\d+):(\d\d)\s*each time/.exec((await page.locator('.home-steps').textContent())!)!;
  expect(Number(m) * 60 + Number(s)).toBeLessThanOrEqual(240);
  await page.getByRole('button', { name: 'Keep the plan' }).click();
  await expect(page.getByText('plan 1 is in force')).toBeVisible();
});
