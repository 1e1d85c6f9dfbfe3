import type { Page } from '@playwright/test';
import {
  addClient,
  addStep,
  answerAllNo,
  awake,
  expect,
  noneApplies,
  openPractice,
  openPracticeByHand,
  saved,
  startVisit,
  test,
  toCompose,
} from './base.ts';

const question = (page: Page, text: RegExp) => page.locator('.question').filter({ hasText: text });

test('a rule of the practice is asked, takes away, and can be switched off', async ({ page }) => {
  await openPracticeByHand(page);
  await page.getByRole('link', { name: 'Practice', exact: true }).click();
  await page.getByRole('button', { name: 'Add the rule' }).click();
  await expect(page.getByText('Type a short name.')).toBeVisible();
  await page.getByLabel('Short name').fill('Performs tonight');
  await page.getByLabel('What a yes means').selectOption({ label: 'Avoid: it is off' });
  await page.getByLabel('Question').fill('Playing or singing tonight?');
  await page.getByLabel('Asked about').selectOption('today');
  await page.getByRole('button', { name: 'jaw', exact: true }).click();
  await page.getByRole('button', { name: 'Add the rule' }).click();
  await expect(page.getByText('Say what to do instead.')).toBeVisible();
  await expect(page.getByLabel('Short name')).toHaveValue('Performs tonight');
  await page.getByLabel('What to do instead').fill('Work beside the jaw.');
  await page.getByRole('button', { name: 'Add the rule' }).click();
  await expect(page.locator('.rule-row')).toContainText('Takes away jaw. Work beside the jaw.');

  await addClient(page, 'Odile Brandt', 'jaw', 'both');
  await startVisit(page);
  await question(page, /Playing or singing tonight/)
    .getByText('Yes', { exact: true })
    .click();
  for (const name of [/None of these/, /No to the other/, /None of these/]) await noneApplies(page, name);
  await expect(page.locator('.result-list')).toContainText('Performs tonight');
  await expect(page.locator('.chart-keep-word')).toContainText(['performs tonight']);
  await saved(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('masseter press open');
  await expect(
    page.getByRole('option', { name: /Pin a knot in the chewing muscle while the jaw drops/ }),
  ).toContainText('Off limits.');

  await page.goto('/practice');
  await page.getByRole('button', { name: 'Switch off: Performs tonight' }).click();
  await expect(page.locator('.rule-row')).toContainText('switched off');
});

test('an override needs a reason and the own password, frees its caution only, and stays in the trail', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const who = await openPracticeByHand(page);
  await addClient(page, 'Sunniva Adeyemi', 'jaw', 'both');
  await startVisit(page);
  await question(page, /Pregnant, possibly pregnant/)
    .getByText('Yes', { exact: true })
    .click();
  for (const name of [/None of these/, /None today/, /No to the other/]) await noneApplies(page, name);
  await saved(page);
  await page.getByRole('button', { name: 'Override in writing: Pregnancy' }).click();
  const form = page.getByRole('group', { name: 'Override: Pregnancy' });
  await form.getByRole('button', { name: 'Sign the override' }).click();
  await expect(form).toContainText('Type why the work is done all the same.');
  await form.getByLabel('Why is it done').fill('because');
  await form.getByLabel('Your password').fill('not mine');
  await form.getByRole('button', { name: 'Sign the override' }).click();
  await expect(form).toContainText('At least 15 letters');
  await form.getByLabel('Why is it done').fill('Past the sixth week, agreed with her midwife.');
  await form.getByRole('button', { name: 'Sign the override' }).click();
  await expect(form).toContainText('This is not your password.');
  await expect(form.getByLabel('Why is it done')).toHaveValue('Past the sixth week, agreed with her midwife.');
  await form.getByLabel('Your password').fill(who.password);
  await form.getByRole('button', { name: 'Sign the override' }).click();
  await expect(page.locator('.override')).toContainText('Overridden by Rafe Oyelaran');

  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  await addStep(page, 'hegu');
  await expect(page.getByText(/Overridden in writing\. Pregnancy/).first()).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.locator('.step')).toHaveCount(1);

  await page.goto('/practice/trail');
  await expect(page.getByRole('row').filter({ hasText: 'Caution overridden' })).toContainText('caution pregnancy');
  await expect(page.getByText(/every one fits the one before it/)).toBeVisible();
  expect(await page.content()).not.toContain('midwife');
});

test('what may not be overridden is refused by the server too', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await addClient(page, 'Arno Vasquez', 'headache', 'right');
  await startVisit(page);
  await question(page, /headache come on within seconds/)
    .getByText('Yes', { exact: true })
    .click();
  await saved(page);
  await expect(page.getByRole('button', { name: /Override in writing/ })).toHaveCount(0);
  const id = /visits\/([^/]+)/.exec(page.url())![1]!;
  const ask = (caution: string) =>
    page.request.post(`/visits/${id}/override`, {
      headers: { origin: new URL(page.url()).origin },
      data: { caution, reason: 'A reason that is long enough.', password: who.password },
    });
  for (const caution of ['thunderclap', 'thyroid', 'no-such-caution'])
    expect((await ask(caution)).status(), caution).toBe(422);
});

test('a product is held against allergies, patch tests and dilution', async ({ page }) => {
  await openPracticeByHand(page);
  await page.goto('/practice/products');
  await awake(page);
  const add = async (name: string, ingredients: string, percent = '') => {
    await page.getByLabel('Name on the label').fill(name);
    await page.getByLabel('Ingredients').fill(ingredients);
    await page.getByLabel('Essential oil in it').fill(percent);
    await page.getByRole('button', { name: 'Add the product' }).click();
  };
  await add('Silk glide', 'Prunus amygdalus dulcis oil', '200');
  await expect(page.getByText('0 to 100 percent is accepted.')).toBeVisible();
  await add('Silk glide', 'Prunus amygdalus dulcis oil');
  await expect(page.locator('.rule-row')).toHaveCount(1);
  await add('silk GLIDE', 'water');
  await expect(page.getByText('There is a product of this name already.')).toBeVisible();
  await add('Plain jojoba', 'Simmondsia chinensis seed oil');
  await expect(page.locator('.rule-row')).toHaveCount(2);

  await addClient(page, 'Noor Halvorsen', 'jaw', 'left');
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.getByRole('link', { name: 'Details' }).click();
  await awake(page);
  await page.getByLabel('Skin reacts to').fill('nuts');
  await page.getByLabel('Instrument or phone held on').selectOption('left');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}$/);
  await startVisit(page);
  await awake(page);
  await page.getByLabel('Product today').selectOption({ label: 'Silk glide (not for this client)' });
  await expect(page.locator('.product-choice')).toContainText(
    '“Prunus amygdalus dulcis oil”: the client reacts to nuts.',
  );
  await page.getByLabel('Product today').selectOption({ label: 'Plain jojoba (not for this client)' });
  await expect(page.locator('.product-choice')).toContainText('test on the forearm first');
  await page.getByRole('button', { name: 'Patch test today: nothing seen' }).click();
  await expect(page.locator('.product-choice')).not.toContainText('Avoid.');
  await expect(page.getByLabel('Product today').locator('option:checked')).toHaveText('Plain jojoba');
  await answerAllNo(page);
  await saved(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await expect(page.getByText('Client holds instrument or phone on the left')).toBeVisible();
});

test('consent is kept with its wording; a new wording asks anew', async ({ page }) => {
  await openPracticeByHand(page);
  await addClient(page, 'Jun Castellan', 'stress', 'midline');
  await startVisit(page);
  const line = page.locator('.consent-line').first();
  await expect(line).toContainText('not on file yet');
  await line.getByRole('button', { name: 'Read the wording' }).click();
  await expect(line).toContainText('I can stop at any moment');
  await line.getByRole('button', { name: 'Client agrees' }).click();
  await expect(line).toContainText('the first wording');
  const visit = page.url();
  await page.goto('/practice/texts');
  await awake(page);
  const work = page.locator('form').filter({ hasText: 'Consent to the work and its record' });
  await work.getByRole('textbox').fill('short');
  await work.getByRole('button', { name: /Keep as version 1/ }).click();
  await expect(work).toContainText('At least 20 characters are accepted.');
  await work.getByRole('textbox').fill('I agree to be worked on and that it is written down.');
  await work.getByRole('button', { name: /Keep as version 1/ }).click();
  await expect(work).toContainText('Version 1');
  await page.goto(visit);
  await expect(line).toContainText('given to an older wording');
  await line.getByRole('button', { name: 'Client agrees' }).click();
  await expect(line).toContainText('version 1');
  await line.getByRole('button', { name: 'Client takes it back' }).click();
  await expect(line).toContainText('taken back by the client');
  // The client's own page tells the same, and asks without a visit.
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.getByRole('region', { name: 'Consent' })).toContainText('taken back by the client');
});

test('days and times are written in the way that the practice chose, on every page and on paper', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await startVisit(page);
  const visit = page.url().replace(/\/screen$/, '');
  await page.goto('/practice/school');
  await awake(page);
  await page.getByLabel('Nov 29, 2026, 2:30 PM').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  const american = /^[A-Z][a-z]{2} \d{1,2}, \d{4}/;
  await page.goto(visit.replace('/visits/', '/paper/visits/'));
  await expect(page.locator('.paper-head span').last()).toHaveText(american);
  await page.goto('/clients');
  await expect(
    page
      .getByRole('row', { name: /Jun Castellan/ })
      .getByRole('cell')
      .last(),
  ).toHaveText(american);
  await page.goto('/practice/school');
  await awake(page);
  await page.getByLabel('2026-11-29, 14:30').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.goto('/clients');
  await expect(
    page
      .getByRole('row', { name: /Jun Castellan/ })
      .getByRole('cell')
      .last(),
  ).toHaveText(/^\d{4}-\d\d-\d\d/);
});

test('the school of the practice is what a new routine begins with', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await page.goto('/practice/school');
  await page.getByLabel('From the top down').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('From the top down')).toBeChecked();
  await toCompose(page);
  await expect(page.getByRole('button', { name: 'Order: From the top down' })).toBeVisible();
  await page.goto('/practice/trail');
  await expect(
    page
      .getByText('school-chosen')
      .or(page.getByText(/school/i))
      .first(),
  ).toBeVisible();
});
