import { addClient, expect, openPractice, signIn, test } from './base.ts';

const SHEET = [
  'Date;Name;Pain;Remark',
  '3.4.2026;Jun Castellan;4;wet day',
  '4.4.2026;Jun Castellan;3;',
  '5.4.2026;Somebody Else;3;',
].join('\r\n');

test('a sheet is looked at, then brought in by keys; its columns are known the next time; a second time nothing is new', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  const choose = (text: string, name = 'sheet.csv') =>
    page
      .getByLabel('A table (.csv) or the archive')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  const column = (name: string) => page.getByLabel(`${name}: in the file`, { exact: true });
  await page.goto('/practice/in');
  await choose(SHEET);
  await expect(page.getByLabel('Between cells')).toHaveValue(';');
  // Numbers and days are asked for, never guessed.
  await expect(page.getByText('Still to say: how numbers are written, how days are written')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Look at it' })).toBeDisabled();
  await page.getByLabel('In numbers').selectOption(',');
  await page.getByLabel(/Days and times/).selectOption('day-first');
  await column('Client').selectOption('Name');
  await column('When').selectOption('Date');
  await column('Number').selectOption('Pain');
  await expect(page.getByRole('row', { name: /^Number/ })).toContainText('4 · 3 · 3');
  await page.getByRole('button', { name: 'Look at it' }).press('Enter');
  // A day without a time is refused until it is said what it means.
  await expect(page.getByText('3 rows are refused')).toBeVisible();
  await page.getByLabel(/noon/).press('Space');
  await expect(page.getByText('3 rows are refused')).toBeHidden();
  await page.getByRole('button', { name: 'Look at it' }).press('Enter');
  await expect(page.getByText('Nothing is kept yet')).toBeVisible();
  await expect(page.getByText('line 4 client: Somebody Else')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 2 rows' }).press('Enter');
  await expect(page.getByRole('status').filter({ hasText: 'Brought in' })).toBeVisible();

  await page.goto('/practice/in');
  await choose(SHEET);
  await expect(page.getByLabel('In numbers')).toHaveValue(',');
  await expect(column('Client')).toHaveValue('Name');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('Nothing in it is new')).toBeVisible();
  await expect(page.getByRole('button', { name: /Bring in/ })).toBeHidden();
  await choose('not;a\u0000sheet');
  await expect(page.getByText(/Still to say: the column for “When”/)).toBeVisible();
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await expect(page.getByText(/2 ratings|3 of 10|of 10/).first()).toBeVisible();
});

test('the practice as one file, brought back: all of it is here already; a file that is none is refused with its place', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await page.goto('/practice/out');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'One file with everything' }).click();
  const file = (await (await download).path())!;
  await page.goto('/practice/in');
  const field = page.getByLabel('A table (.csv) or the archive');
  const { readFile } = await import('node:fs/promises');
  const bytes = await readFile(file);
  await field.setInputFiles({ name: 'practice.zip', mimeType: 'application/zip', buffer: bytes });
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByText('Nothing in it is new')).toBeVisible();
  await expect(page.getByRole('row', { name: /^Clients/ })).toContainText('1');
  await field.setInputFiles({ name: 'other.zip', mimeType: 'application/zip', buffer: bytes.subarray(0, 400) });
  await page.getByRole('button', { name: 'Look at it' }).click();
  await expect(page.getByRole('alert')).toContainText('file cannot be unpacked');
});

test('how long records are kept: said by the owner, nothing goes by itself', async ({ page }) => {
  await openPractice(page);
  await page.goto('/practice/retention');
  await page.getByLabel('Visits, years').fill('200');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Whole years, 1 to 50, or nothing.')).toBeVisible();
  await page.getByLabel('Visits, years').fill('10');
  await page.getByLabel('Photos, months').fill('24');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Nothing is older than that')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Visits, years')).toHaveValue('10');
});

test('only the owner brings in, takes everything out, and says how long records are kept', async ({ page }) => {
  await signIn(page, { email: 'rafe@harbour-row.example', password: 'velvet-harbour' });
  for (const path of ['/practice/in', '/practice/archive', '/practice/retention'])
    expect((await page.request.get(path)).status(), path).toBe(403);
  await page.goto('/practice');
  await expect(page.getByRole('link', { name: 'Bring in' })).toBeHidden();
});
