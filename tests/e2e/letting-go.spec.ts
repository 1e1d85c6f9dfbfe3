import { readFile } from 'node:fs/promises';
import { addClient, expect, openPractice, signIn, startVisit, test } from './base.ts';

test('the whole record taken along, then a client let go with the own password; what must be kept is a closed file', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page);
  await startVisit(page);
  await page.locator('.client-strip').getByRole('link', { name: 'Jun Castellan' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  const client = page.url();
  await page.goto(`${client}/details`);
  const taken = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take the whole record along' }).click();
  const file = await readFile((await (await taken).path())!);
  expect(file.subarray(0, 2).toString()).toBe('PK');
  await page.getByRole('link', { name: 'Let this client go' }).click();
  await expect(page.getByRole('heading', { name: 'Let Jun Castellan go' })).toBeVisible();
  await expect(page.getByText('1 visit, 0 ratings and measures')).toBeVisible();

  await page.getByRole('button', { name: 'Erase' }).click();
  await expect(page.getByText('Choose one of the two.')).toBeVisible();
  await page.getByLabel('Close the record and keep what must be kept').check();
  await page.getByLabel('Kept until').fill('2020-01-01');
  await page.getByLabel('What asks for it').fill('Local code, ten years');
  await page.getByLabel('Your own password').fill('a long enough one');
  await page.getByRole('button', { name: 'Close and keep' }).click();
  await expect(page.getByText('A day after today is accepted.')).toBeVisible();
  await expect(page.getByLabel('What asks for it')).toHaveValue('Local code, ten years');
  await page.getByLabel('Kept until').fill('2040-01-01');
  await page.getByLabel('Your own password').fill('another one');
  await page.getByRole('button', { name: 'Close and keep' }).click();
  await expect(page.getByText('This is not your password.')).toBeVisible();
  await page.getByLabel('Your own password').fill('a long enough one');
  await page.getByRole('button', { name: 'Close and keep' }).click();
  await page.waitForURL('**/practice/kept');
  const record = page.locator('.outbox li', { hasText: 'Jun Castellan' });
  await expect(record).toContainText('Local code, ten years');
  expect((await page.request.get(client)).status()).toBe(404);
  expect(await (await page.request.get('/find?q=castellan')).text()).not.toContain('Jun Castellan');

  const opened = page.waitForEvent('download');
  await record.getByRole('link', { name: 'Open the file' }).click();
  expect((await readFile((await (await opened).path())!)).subarray(0, 2).toString()).toBe('PK');
  await record.getByRole('button', { name: 'Erase it' }).click();
  await record.getByLabel('Your own password').fill('wrong');
  await record.getByRole('button', { name: 'Erase for good' }).click();
  await expect(record.getByText('This is not your password.')).toBeVisible();
  await record.getByLabel('Your own password').fill('a long enough one');
  await record.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page.getByText('No closed record')).toBeVisible();
  await page.goto('/practice/trail');
  await expect(page.getByText('A client let go, record closed and kept')).toBeVisible();
  await expect(page.locator('body')).not.toContainText('Castellan');
});

test('only the owner lets go', async ({ page }) => {
  await signIn(page, { email: 'rafe@harbour-row.example', password: 'velvet-harbour' });
  // Found by name: what stands in the day's list depends on the hour.
  await page.goto('/clients?find=tobias');
  await page.getByRole('link', { name: 'Tobias Achterberg' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  const client = page.url();
  await page.goto(`${client}/details`);
  await expect(page.getByRole('link', { name: 'Take the whole record along' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Let this client go' })).toHaveCount(0);
  expect((await page.request.get(`${client}/let-go`)).status()).toBe(403);
  expect((await page.request.get('/practice/kept')).status()).toBe(403);
  const answer = await page.request.post(`${client}/let-go`, {
    headers: { origin: new URL(client).origin },
    form: { how: 'erase', password: 'velvet-harbour' },
  });
  expect(answer.status()).toBe(403);
  expect((await page.request.get(client)).status()).toBe(200);
});
