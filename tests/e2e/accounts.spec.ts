import { addClient, addClientByHand, awake, expect, openPractice, openPracticeByHand, test } from './base.ts';

test('bad input is answered at the field, and what was typed stays', async ({ page }) => {
  await page.goto('/new-practice');
  await page.getByLabel('Name of the practice').fill('Quay Street');
  await page.getByLabel('Time zone').fill('Mars/Olympus');
  await page.getByLabel('E-mail address').fill('nobody');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Open the practice' }).click();
  await expect(page.getByText('A zone such as Europe/Lisbon is accepted.')).toBeVisible();
  await expect(page.getByText('Type your name.')).toBeVisible();
  await expect(page.getByText('An e-mail address such as name@example.org is accepted.')).toBeVisible();
  await expect(page.getByText('At least 10 characters are accepted.')).toBeVisible();
  await expect(page.getByLabel('Name of the practice')).toHaveValue('Quay Street');
  await expect(page.getByLabel('E-mail address')).toHaveValue('nobody');
});

test('sign out, sign in, and back to where one wanted to go', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.waitForURL('**/sign-in');
  await page.goto('/clients?sort=last');
  await page.waitForURL('**/sign-in?to=**');
  await page.getByLabel('E-mail address').fill(who.email);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/clients?sort=last');
});

test('after five wrong passwords the address waits, and the message says how long', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await page.getByLabel('E-mail address').fill(who.email);
  for (let i = 0; i < 5; i++) {
    await page.getByLabel('Password').fill(`wrong ${i}`);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await expect(page.getByText('This e-mail address and password do not belong together.')).toBeVisible();
  }
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText(/Too many wrong tries from here. Try again in 1[45] minutes./)).toBeVisible();
  await expect(page.getByLabel('E-mail address')).toHaveValue(who.email);
});

test('a password that everybody tries first is refused', async ({ page }) => {
  await page.goto('/new-practice');
  await page.getByLabel('Name of the practice').fill('Quay Street Hands');
  await page.getByLabel('Time zone').fill('Europe/Lisbon');
  await page.getByLabel('Your name').fill('Rafe Oyelaran');
  await page.getByLabel('E-mail address').fill('rafe@quay.example');
  for (const password of ['1234567890', 'qwertyuiop', 'password12']) {
    await page.getByLabel('Password').fill(password);
    await page.getByRole('button', { name: 'Open the practice' }).click();
    await expect(page.getByText('This is one of the passwords tried first')).toBeVisible();
    await expect(page.getByLabel('Your name')).toHaveValue('Rafe Oyelaran');
  }
});

test('the own password is changed with the present one; elsewhere one is signed out then', async ({
  page,
  browser,
}) => {
  const who = await openPracticeByHand(page);
  const elsewhere = await (await browser.newContext()).newPage();
  const signInThere = async (password: string) => {
    await elsewhere.goto('/sign-in');
    await elsewhere.getByLabel('E-mail address').fill(who.email);
    await elsewhere.getByLabel('Password').fill(password);
    await elsewhere.getByRole('button', { name: 'Sign in' }).click();
  };
  await signInThere(who.password);
  await elsewhere.waitForURL('**/today');
  await page.getByRole('link', { name: 'Rafe Oyelaran' }).click();
  await page.waitForURL('**/you');
  await expect(page.getByRole('row')).toHaveCount(3);
  const change = async (present: string, password: string) => {
    await page.getByLabel('Password now').fill(present);
    await page.getByLabel('New password').fill(password);
    await page.getByRole('button', { name: 'Change it' }).click();
  };
  await change('not this one', 'harbour lamps by noon');
  await expect(page.getByText('This is not your password.')).toBeVisible();
  await change(who.password, 'qwertyuiop');
  await expect(page.getByText('This is one of the passwords tried first')).toBeVisible();
  await change(who.password, 'short');
  await expect(page.getByText('At least 10 characters are accepted.')).toBeVisible();
  await elsewhere.goto('/clients');
  await expect(elsewhere.getByRole('heading', { name: 'Clients' })).toBeVisible();
  await change(who.password, 'harbour lamps by noon');
  await expect(page.getByText('Your password is changed.')).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(2);
  await elsewhere.goto('/clients');
  await elsewhere.waitForURL('**/sign-in?to=**');
  await signInThere(who.password);
  await expect(elsewhere.getByText('do not belong together')).toBeVisible();
  await signInThere('harbour lamps by noon');
  await elsewhere.waitForURL('**/today');
  // One of them is ended from the other.
  await page.reload();
  await page.getByRole('button', { name: /^Sign out where you signed in/ }).click();
  await expect(page.getByText('Signed out there.')).toBeVisible();
  await elsewhere.goto('/clients');
  await elsewhere.waitForURL('**/sign-in?to=**');
});

test.describe('without any script', () => {
  test.use({ javaScriptEnabled: false });
  test('a practice is opened, a client added, refused and corrected, its details changed', async ({ page }) => {
    await page.goto('/new-practice');
    await page.getByLabel('Name of the practice').fill('Quay Street Hands');
    await page.getByLabel('Time zone').fill('Europe/Lisbon');
    await page.getByLabel('Your name').fill('Rafe Oyelaran');
    await page.getByLabel('E-mail address').fill('nobody');
    await page.getByLabel('Password').fill('a long enough one');
    await page.getByRole('button', { name: 'Open the practice' }).click();
    await expect(page.getByLabel('Your name')).toHaveValue('Rafe Oyelaran');
    await expect(page.getByLabel('Password')).toHaveValue('');
    await page.getByLabel('E-mail address').fill(`plain-${Date.now()}@quay.example`);
    await page.getByLabel('Password').fill('a long enough one');
    await page.getByRole('button', { name: 'Open the practice' }).click();
    await page.waitForURL('**/today');
    await page.goto('/clients/new');
    await page.getByLabel('Name', { exact: true }).fill('Jun Castellan');
    await page.getByLabel('What').selectOption({ label: 'Jaw' });
    await page.getByLabel('Own finger widths, mm').fill('wide');
    await page.getByRole('button', { name: 'Add the client' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Jun Castellan');
    await page.getByLabel('Own finger widths, mm').fill('17 18 17 15');
    await page.getByRole('button', { name: 'Add the client' }).click();
    await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
    await page.getByRole('link', { name: 'Details' }).click();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue('Jun Castellan');
    await page.getByLabel('Note').fill('Comes by tram');
    await page.getByRole('button', { name: 'Save' }).click();
    await page.getByRole('link', { name: 'Details' }).click();
    await expect(page.getByLabel('Note')).toHaveValue('Comes by tram');
    await expect(page.getByLabel('Own finger widths, mm')).toHaveValue('17 18 17 15');
    await expect(page.getByLabel('What')).toHaveValue('jaw');
  });
});

test('a practice is opened once, also when the button is pressed twice', async ({ request }) => {
  const headers = { origin: new URL(process.env.VELVET_URL!).origin };
  const form = {
    practice: 'Quay Street Hands',
    timeZone: 'Europe/Lisbon',
    name: 'Rafe Oyelaran',
    email: `twice-${Date.now()}@quay.example`,
    password: 'a long enough one',
  };
  const answers = await Promise.all(
    [1, 2].map(() => request.post('/new-practice', { form, headers, maxRedirects: 0 })),
  );
  expect(answers.map((a) => [a.status(), a.headers().location])).toEqual([
    [302, '/today'],
    [302, '/today'],
  ]);
  expect(
    (
      await request.post('/new-practice', { form: { ...form, password: 'another long one' }, headers, maxRedirects: 0 })
    ).status(),
  ).toBe(422);
});

test('an address that is taken is told, the rest stays typed', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await page.context().clearCookies();
  await page.goto('/new-practice');
  await page.getByLabel('Name of the practice').fill('Another');
  await page.getByLabel('Your name').fill('Somebody');
  await page.getByLabel('E-mail address').fill(who.email);
  await page.getByLabel('Password').fill('another long enough one');
  await page.getByRole('button', { name: 'Open the practice' }).click();
  await expect(page.getByText('This address is in use already.')).toBeVisible();
  await expect(page.getByLabel('Your name')).toHaveValue('Somebody');
});

test('no page sends anybody elsewhere after signing in', async ({ page }) => {
  const who = await openPracticeByHand(page);
  await page.context().clearCookies();
  await page.goto('/sign-in?to=//evil.example/');
  await page.getByLabel('E-mail address').fill(who.email);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
});

test.describe('requests that do not come from a page of this host', () => {
  test('are refused, with and without a session', async ({ page, request }) => {
    await openPracticeByHand(page);
    for (const headers of [{ origin: 'http://evil.example' }, {}] as Record<string, string>[]) {
      const answer = await page.request.post('/room', {
        form: { room: 'dim', to: '/today' },
        headers,
        maxRedirects: 0,
      });
      expect(answer.status()).toBe(403);
    }
    expect((await request.post('/sign-in', { form: { email: 'a@b.example', password: 'x' } })).status()).toBe(403);
  });
  test('headers forbid framing, sniffing and foreign scripts', async ({ request }) => {
    const headers = (await request.get('/sign-in')).headers();
    expect(headers['content-security-policy']).toContain("frame-ancestors 'none'");
    expect(headers['content-security-policy']).toMatch(/script-src 'self' 'nonce-[^']+'(;|$)/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
  });
});

test('hostile markup in a name is shown as text', async ({ page }) => {
  await openPracticeByHand(page);
  const name = `<img src=x onerror="document.title='owned'">`;
  await addClientByHand(page, name);
  await expect(page.getByRole('link', { name })).toBeVisible();
  await page.goto('/clients');
  await expect(page.getByRole('link', { name })).toBeVisible();
  expect(await page.title()).not.toBe('owned');
});

test('details half typed come back from another page, are told when they are outdated, and go when they are saved', async ({
  page,
  context,
}) => {
  await openPractice(page);
  await addClient(page);
  await page.goto(page.url());
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.getByRole('link', { name: 'Details' }).click();
  await awake(page);
  await page.getByLabel('Note', { exact: true }).fill('sits left of the pit');
  await page.getByRole('link', { name: 'Measure' }).click();
  await page.waitForURL('**/measure');
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.getByText('What you typed here before is back; it is not saved yet.')).toBeVisible();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('sits left of the pit');
  // Meanwhile somebody else changes them.
  const other = await context.newPage();
  await other.goto(page.url());
  await awake(other);
  await other.getByLabel('Known by').fill('lights');
  await other.getByRole('button', { name: 'Save' }).click();
  await other.waitForURL(/clients\/[0-9a-f-]{36}$/);
  await page.reload();
  await expect(page.getByText('You had written: sits left of the pit.')).toBeVisible();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('');
  await awake(page);
  await page.getByLabel('Note', { exact: true }).fill('sits left of the pit');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}$/);
  await page.getByRole('link', { name: 'Details' }).click();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('sits left of the pit');
  await expect(page.getByText('it is not saved yet')).toBeHidden();
  // A new client begins empty, also after one that was added.
  await page.goto('/clients/new');
  await awake(page);
  await page.getByLabel('Name', { exact: true }).fill('Odile Brandt');
  await page.getByRole('button', { name: 'Add the client' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}$/);
  await page.goto('/clients/new');
  await awake(page);
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('');
});

test('a stale second tab of the details is told, and keeps what was typed', async ({ page, context }) => {
  await openPracticeByHand(page);
  await addClientByHand(page);
  await page.getByRole('link', { name: 'Details' }).click();
  await page.waitForURL('**/details');
  const second = await context.newPage();
  await second.goto(page.url());
  await page.getByLabel('Note').fill('first');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
  await second.getByLabel('Note').fill('second');
  await second.getByRole('button', { name: 'Save' }).click();
  await expect(second.getByText('These details were changed in another window meanwhile.')).toBeVisible();
  await expect(second.getByLabel('Note')).toHaveValue('second');
});

test('unknown pages and unknown ids answer 404 in the application’s own look', async ({ page }) => {
  await openPracticeByHand(page);
  for (const path of [
    '/nowhere',
    '/clients/00000000-0000-4000-8000-000000000000',
    '/visits/not-an-id/compose',
    '/routines/1',
  ]) {
    const answer = await page.goto(path);
    expect(answer!.status(), path).toBe(404);
    await expect(page.getByRole('heading', { name: 'Not here' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Go to Today' })).toBeVisible();
  }
});
