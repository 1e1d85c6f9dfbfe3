import { addClient, awake, expect, finish, openPractice, saved, startVisit, test, toCompose } from './base.ts';
import type { Page } from '@playwright/test';

const toRecord = async (page: Page) => {
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/record'));
  await expect(page.getByRole('heading', { level: 1, name: 'Record' })).toBeVisible();
  await awake(page);
};

test('finishing says what is open and asks once; corrected afterwards, the old value stays beside the new one', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await toRecord(page);
  await page.getByLabel('Notes').fill('Jaw eased');
  await page.getByRole('button', { name: 'Sore spot' }).click();
  await page.getByRole('button', { name: 'Where? Sore spot' }).click();
  await page
    .getByRole('button', { name: /^Masseter, client’s left/ })
    .first()
    .click();
  await expect(page.getByText('Sore spot: Masseter, left')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Sore spot: not pointed to')).toBeVisible();
  await saved(page);

  await page.getByRole('button', { name: 'Finish the visit' }).click();
  const question = page.getByRole('alertdialog', { name: 'Finish the visit?' });
  await expect(question).toContainText('No run is on record');
  await expect(question).toContainText('No next visit is booked');
  await question.getByRole('button', { name: 'Go on recording' }).click();
  await expect(page.getByLabel('Notes')).toBeEnabled();
  await finish(page);
  await expect(page.getByLabel('Notes')).toBeDisabled();

  await page.getByRole('button', { name: 'Open for correction' }).click();
  await expect(page.getByText('Say why: it stands beside each value that is changed.')).toBeVisible();
  await page.getByLabel('Correct what was recorded, because').fill('Wrong word');
  await page.getByRole('button', { name: 'Open for correction' }).click();
  await page.getByLabel('Notes').fill('Jaw eased, neck not');
  await saved(page);
  await page.getByRole('button', { name: 'Close again' }).click();
  const afterwards = page.locator('.amendments');
  await expect(afterwards.getByText('Wrong word')).toBeVisible();
  await expect(afterwards.locator('del')).toHaveText('Jaw eased');
  await expect(afterwards.locator('ins')).toHaveText('Jaw eased, neck not');
  await expect(page.getByLabel('Notes')).toBeDisabled();

  await page.getByLabel('Add to this visit').fill('Rang: slept well');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(afterwards.getByText('Rang: slept well')).toBeVisible();
  // What was asked is corrected where it was asked, and each place is opened for itself.
  await afterwards.getByRole('link', { name: 'Screen' }).click();
  await page.waitForURL('**/screen');
  const neck = page.getByRole('radiogroup', { name: /Pregnant, possibly pregnant/ });
  await expect(neck.getByLabel('Yes')).toBeDisabled();
  await page.getByLabel('Correct what was asked, because').fill('She told it later');
  await page.getByRole('button', { name: 'Open for correction' }).click();
  await neck.getByLabel('Yes').check();
  await saved(page);
  await page.goto(page.url().replace('/screen', '/record'));
  await expect(afterwards).toContainText('Pregnancy: No Yes');

  await page.goto('/practice/trail');
  await expect(page.getByText('Ended visit corrected').first()).toBeVisible();
  await expect(page.getByText('Added to an ended visit').first()).toBeVisible();
});

test('the next visit is booked in Record, asked about where it looks like a slip, moved and cancelled', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await toRecord(page);
  const form = page.getByRole('form', { name: 'Book it' });
  await form.getByLabel('Day').fill('2020-01-15');
  await form.getByLabel('Time').fill('10:00');
  await form.getByLabel('Minutes').fill('2');
  await form.getByRole('button', { name: 'Book it' }).click();
  await expect(form.getByText('5 to 480 minutes are accepted.')).toBeVisible();
  await form.getByLabel('Minutes').fill('50');
  await form.getByRole('button', { name: 'Book it' }).click();
  await expect(form.getByRole('alert')).toContainText('This day is before today.');
  await form.getByLabel('Day').fill('2030-01-15');
  await form.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByText('50 minutes, with Rafe Oyelaran. It stands in the book.')).toBeVisible();
  await saved(page);

  // Another client at the same time is asked about, by the name of who has it.
  await addClient(page, 'Mirela Castellan');
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Mirela Castellan' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  await page.getByRole('link', { name: 'Visits', exact: true }).click();
  await awake(page);
  await page.getByRole('button', { name: 'Book a visit' }).click();
  const other = page.getByRole('form', { name: 'Book it' });
  await other.getByLabel('Day').fill('2030-01-15');
  await other.getByLabel('Time').fill('10:30');
  await other.getByRole('button', { name: 'Book it' }).click();
  await expect(other.getByRole('alert')).toContainText('Jun Castellan then already: 10:00 to 10:50');
  await other.getByRole('button', { name: 'Book it, it is meant so' }).click();
  const row = page.getByRole('row', { name: /15 Jan 2030/ });
  await expect(row).toContainText('Booked');
  await row.getByRole('button', { name: 'Move: Mirela Castellan' }).click();
  await page.getByRole('form', { name: 'Move' }).getByLabel('Time').fill('11:00');
  await page.getByRole('form', { name: 'Move' }).getByRole('button', { name: 'Move' }).click();
  await expect(row).toContainText('11:00');

  await page.goto('/today?day=2030-01-15');
  await expect(page.getByRole('link', { name: 'Jun Castellan' })).toBeVisible();
  await page.getByRole('button', { name: /^Mirela Castellan, 11:00/ }).click();
  await page.getByRole('button', { name: 'Did not come: Mirela Castellan' }).click();
  await page.getByRole('button', { name: 'Yes' }).click();
  await expect(page.getByRole('button', { name: 'Mirela Castellan, 11:00, did not come' })).toBeVisible();
  await page.getByRole('link', { name: 'The day after' }).click();
  await expect(page.getByText('Nobody is booked for this day')).toBeVisible();
});

test('who is booked for today and comes takes the booking along', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  // Twice asked for on one day it is the same visit, with its one booking.
  await startVisit(page);
  const first = page.url();
  await startVisit(page);
  expect(page.url()).toBe(first);
});
