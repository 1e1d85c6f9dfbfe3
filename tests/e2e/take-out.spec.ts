import { readFile } from 'node:fs/promises';
import { addClient, expect, openPractice, signIn, test } from './base.ts';

test('tables are taken out in the way that is chosen; never with one sign for two things', async ({ page }) => {
  await openPractice(page);
  await addClient(page, '=Jun Castellan');
  await page.goto('/practice/out');
  await page.getByLabel('In numbers').selectOption({ label: 'comma: 4,5' });
  await expect(page.getByLabel('Between cells')).toHaveValue(';');
  await page.getByLabel(/Days and times/).selectOption({ label: 'day first: 26.11.2026 14:30' });
  const taken = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Clients', exact: true }).last().click();
  const text = await readFile((await (await taken).path())!, 'utf8');
  expect(text).toMatch(/^\ufeffclient_id;name;/);
  expect(text).toContain(";'=Jun Castellan;stage manager;");
  const url = (what: string) => `/practice/out/${what}?delimiter=%2C&decimal=%2C`;
  expect((await page.request.get(url('readings'))).status()).toBe(422);
  expect((await page.request.get('/practice/out/readings?delimiter=x')).status()).toBe(422);
  expect((await page.request.get('/practice/out/everything')).status()).toBe(404);
  await page.goto('/practice/trail');
  await expect(page.getByText('Table taken out').first()).toBeVisible();
});

test('only the owner takes tables out', async ({ page }) => {
  await signIn(page, { email: 'rafe@harbour-row.example', password: 'velvet-harbour' });
  expect((await page.request.get('/practice/out')).status()).toBe(403);
  expect((await page.request.get('/practice/out/readings')).status()).toBe(403);
});
