import { expect, openPractice, openPracticeByHand, test } from './base.ts';

test('a colleague is asked in by a link, works, becomes owner, and leaves', async ({ page, browser }) => {
  await openPracticeByHand(page);
  await page.goto('/practice');
  await page.getByRole('link', { name: 'Colleagues' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  await expect(page.getByText('Type their name.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Mio Tanaka');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = (await page.locator('code.address').textContent())!;
  expect(link).toMatch(/\/join\/[\w-]{43}$/);
  const theirs = await (await browser.newContext()).newPage();
  await theirs.goto(link);
  await expect(theirs.getByRole('heading', { name: 'Mio Tanaka, come in' })).toBeVisible();
  await theirs.getByLabel('E-mail address').fill(`mio-${Date.now()}@quay.example`);
  await theirs.getByLabel('Password').fill('qwertyuiop');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByText('This is one of the passwords tried first')).toBeVisible();
  await theirs.getByLabel('Password').fill('harbour lamps by noon');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await theirs.waitForURL('**/today');
  expect((await theirs.goto('/practice/colleagues'))!.status()).toBe(403);
  // What a word means here is the owner’s to set.
  const agreed = await theirs.request.post('/pad/words/agree', { data: { word: 'medium', do: 'let-go' } });
  expect(agreed.status()).toBe(403);
  // Used once, it opens nothing, and says what to do.
  const third = await (await browser.newContext()).newPage();
  expect((await third.goto(link))!.status()).toBe(404);
  await expect(third.getByText('ask for another')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Make owner: Mio Tanaka' }).click();
  await expect(page.getByRole('button', { name: 'Make practitioner: Mio Tanaka' })).toBeVisible();
  expect((await theirs.goto('/practice/colleagues'))!.status()).toBe(200);
  await page.getByRole('button', { name: 'End access: Mio Tanaka' }).click();
  await expect(page.getByText(/^left /)).toBeVisible();
  await theirs.goto('/today');
  await theirs.waitForURL('**/sign-in?to=**');
  await page.goto('/practice/trail');
  for (const words of ['Link for a new colleague made', 'Colleague came in by their link', 'Colleague’s access ended'])
    await expect(page.getByText(words).first()).toBeVisible();
});

test('a link that was not used is taken back', async ({ page }) => {
  await openPractice(page);
  await page.goto('/practice/colleagues');
  await page.getByLabel('Name', { exact: true }).fill('Mio Tanaka');
  await page.getByLabel('Role').selectOption('owner');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = (await page.locator('code.address').textContent())!;
  await page.getByRole('button', { name: 'Take it back: Mio Tanaka' }).click();
  await expect(page.getByText('Links not used yet')).toBeHidden();
  expect((await page.request.get(link)).status()).toBe(404);
});
