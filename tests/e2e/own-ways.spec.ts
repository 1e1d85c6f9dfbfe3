import { TOTP, Secret } from 'otpauth';
import { awake, expect, openPracticeByHand, posted, test } from './base.ts';

test('a second factor is set up, asked for at the door, opened with once, and taken away', async ({
  page,
  browser,
  baseURL,
}) => {
  const { email, password } = await openPracticeByHand(page);
  await page.goto('/you');
  await page.getByRole('link', { name: 'Set one up' }).click();
  await awake(page);
  await page.getByLabel('Your password').fill('not the password');
  await page.getByRole('button', { name: 'Set it up' }).click();
  await expect(page.getByText('This is not your password.')).toBeVisible();
  await page.getByLabel('Your password').fill(password);
  await page.getByRole('button', { name: 'Set it up' }).click();
  const letters = (await page.locator('code.address').textContent())!.replace(/ /g, '');
  const totp = new TOTP({ secret: Secret.fromBase32(letters) });
  await expect(page.getByRole('img', { name: 'The secret as a code' })).toBeVisible();
  await page.getByLabel('Six digits of the app').fill('000000');
  await page.getByRole('button', { name: 'Ask for it from now on' }).click();
  await expect(page.getByText('This code does not belong to the secret.')).toBeVisible();
  await page.getByLabel('Six digits of the app').fill(totp.generate());
  await page.getByRole('button', { name: 'Ask for it from now on' }).click();
  await expect(page.locator('.spare-codes li')).toHaveCount(8);
  const spares = await page.locator('.spare-codes li').allTextContents();

  const door = await (await browser.newContext({ baseURL })).newPage();
  await door.goto('/sign-in');
  await door.getByLabel('E-mail address').fill(email);
  await door.getByLabel('Password').fill(password);
  await door.getByRole('button', { name: 'Sign in' }).click();
  await expect(door.getByText('Type the six digits that your authenticator app shows now')).toBeVisible();
  // What was typed is still there.
  await expect(door.getByLabel('Password')).toHaveValue(password);
  await door.getByLabel('Code').fill('123');
  await door.getByRole('button', { name: 'Sign in' }).click();
  await expect(door.getByText('This code does not open, or did once already.')).toBeVisible();
  await door.getByLabel('Code').fill(spares[0]!);
  await door.getByRole('button', { name: 'Sign in' }).click();
  await door.waitForURL('**/today');
  await door.goto('/you');
  await expect(door.getByText('7 spare codes left.')).toBeVisible();

  await page.goto('/you/second-factor');
  await awake(page);
  await page.getByLabel('Your password').fill(password);
  await page.getByRole('button', { name: 'Take it away' }).click();
  await expect(page.getByText('Whoever knows your password comes in.')).toBeVisible();
});

test('the own calendar is read by a link, without names unless they are meant to leave', async ({ page, request }) => {
  await openPracticeByHand(page);
  const made = await posted(page, '/clients/new', { name: 'Noor Halvorsen' });
  const clientId = /clients\/([0-9a-f-]{36})/.exec(made)![1]!;
  const origin = new URL(page.url()).origin;
  const soon = new Date(Date.now() + 3 * 86_400_000).toISOString().slice(0, 10);
  await page.request.post('/bookings', {
    headers: { origin },
    data: { clientId, day: soon, time: '10:00', minutes: 60 },
  });
  await page.goto('/you');
  await awake(page);
  await page.getByRole('button', { name: 'Make a link', exact: true }).click();
  const link = (await page.locator('code.address').textContent())!;
  const told = await request.get(link);
  expect(told.headers()['content-type']).toContain('text/calendar');
  const plain = await told.text();
  expect(plain).toContain('SUMMARY:Visit');
  expect(plain).not.toContain('Noor');
  await page.getByLabel('With the names of clients').check();
  await page.getByRole('button', { name: 'Make a new link' }).click();
  await expect(page.locator('code.address')).not.toHaveText(link);
  const named = (await page.locator('code.address').textContent())!;
  expect(await (await request.get(named)).text()).toContain('SUMMARY:Noor Halvorsen');
  expect((await request.get(link)).status()).toBe(404);
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByText('A link lets a calendar read when you work and where')).toBeVisible();
  expect((await request.get(named)).status()).toBe(404);
});

test('hands: the own strength is said, Today draws the load, a swap is taken and put back', async ({ page }) => {
  await openPracticeByHand(page);
  await page.goto('/you/hands');
  await awake(page);
  await page.getByLabel('thumb, N').fill('5');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('10 to 600 N are accepted, or nothing.')).toBeVisible();
  for (const part of ['thumb', 'fingers', 'knuckles', 'palm', 'pinch']) await page.getByLabel(`${part}, N`).fill('12');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  // A visit begun with one of the practice's routines asks something of the hands.
  const made = await posted(page, '/clients/new', { name: 'Petr Lindqvist' });
  const client = /clients\/[0-9a-f-]{36}/.exec(made)![0];
  const routines = await (await page.request.get('/routines')).text();
  const ids = [...new Set([...routines.matchAll(/routines\/([0-9a-f-]{36})/g)].map((m) => m[1]!))];
  expect(ids.length).toBeGreaterThan(0);
  await posted(page, `/${client}`, { with: ids[0]! });
  await page.goto('/today');
  const hands = page.getByRole('region', { name: 'Your hands' });
  await expect(hands).toContainText('%');
  const swap = hands.getByRole('button', { name: 'Swap', exact: true });
  if (await swap.isVisible()) {
    const before = await hands.locator('.hands-ends').textContent();
    await hands.getByRole('button', { name: 'Show the steps' }).click();
    await expect(hands.locator('.hands-swap li').first()).toContainText('instead of');
    await swap.click();
    await expect(hands.getByText('Swapped in the routine of Petr Lindqvist, and in no other.')).toBeVisible();
    await expect(hands.locator('.hands-ends')).not.toHaveText(before!);
    await hands.getByRole('button', { name: 'Put it back' }).click();
    await expect(hands.locator('.hands-ends')).toHaveText(before!);
  } else await expect(hands.getByText(/A rest may spare/)).toBeVisible();
});
