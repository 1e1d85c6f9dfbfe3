import { readFile } from 'node:fs/promises';
import { addClient, expect, openPractice, test } from './base.ts';

const ZONES = ['Pacific/Honolulu', 'America/New_York', 'Europe/Lisbon', 'Asia/Dubai', 'Asia/Tokyo', 'Pacific/Auckland'];
const hourIn = (timeZone: string) =>
  Number(new Intl.DateTimeFormat('en-GB', { hour: '2-digit', hourCycle: 'h23', timeZone }).format(new Date()));
/** Somewhere it is day: letters go out at no other time. */
const DAYTIME = ZONES.find((z) => hourIn(z) >= 9 && hourIn(z) <= 20)!;

test('reminders: switched on with an address, to who agreed; without a mail server taken as a file', async ({
  page,
}) => {
  await openPractice(page, DAYTIME);
  await addClient(page);
  await page.goto('/practice/reminders');
  await page.getByLabel('Write to clients who agreed').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Type the address that letters come from.')).toBeVisible();
  await page.getByLabel('Letters come from').fill('studio@quay.example');
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  await expect(page.getByText('Nothing was due yet')).toBeVisible();

  await page.goto('/clients');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  const client = page.url();
  await page.goto(`${client}/details`);
  await page.getByLabel('E-mail').fill('no address');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('An address such as noor@post.example is accepted.')).toBeVisible();
  await page.getByLabel('E-mail').fill('jun@post.example');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(client);
  await page.goto(`${client}/visits`);
  await page.getByRole('button', { name: 'Book a visit' }).click();
  const tomorrow = new Intl.DateTimeFormat('sv-SE', { timeZone: DAYTIME }).format(new Date(Date.now() + 86_400_000));
  await page.getByLabel('Day').fill(tomorrow);
  await page.getByLabel('Time', { exact: true }).fill('10:30');
  await page.getByRole('button', { name: 'Book it' }).click();
  await expect(page.getByRole('link', { name: /10:30/ })).toBeVisible();

  await page.goto('/practice/reminders');
  await expect(page.getByText('Nothing was due yet')).toBeVisible();
  await page.goto(`${client}/details`);
  const consent = page.locator('.consent-line', { hasText: 'Consent to reminders' });
  await consent.getByRole('button', { name: 'Client agrees' }).click();
  await expect(consent).toContainText('given');
  await page.goto('/practice/reminders');
  const row = page.locator('.outbox li', { hasText: 'Jun Castellan' });
  await expect(row).toContainText('waits');
  await row.getByText('Your visit tomorrow, Quay Street Hands').click();
  await expect(row).toContainText(', 10:30, 60 minutes');
  const saved = page.waitForEvent('download');
  await row.getByRole('button', { name: 'Take as a file' }).click();
  const file = await readFile((await (await saved).path())!, 'utf8');
  expect(file).toContain('To: jun@post.example');
  expect(file).not.toContain('Castellan');
  await expect(row).toContainText('taken as a file');
});
