import { addClient, expect, openPractice, saved, signIn, startVisit, test } from './base.ts';
import { holdsAsSheet, overlaps, printed } from './pdf.ts';
import { idIn, openSheet, sheets } from './sheets.ts';

test('every sheet prints with its head and number on each page, and nothing over anything', async ({ page }) => {
  test.slow();
  await signIn(page);
  for (const [path, who, says] of await sheets(page)) {
    await openSheet(page, path);
    for (const format of ['A4', 'Letter'] as const) {
      const pages = await printed(page, format);
      // A letter is one page.
      expect(pages.length, path).toBeLessThanOrEqual(path.includes('/relief') ? 1 : 4);
      holdsAsSheet(pages, who, says, `${path}, ${format}`);
    }
  }
});

test('in the dim room the paper stays white and the ink black', async ({ page }) => {
  await signIn(page);
  await page.getByRole('button', { name: 'Dim room' }).click();
  await expect(page.locator('[data-bs-theme="dark"]').first()).toBeAttached();
  for (const [path] of (await sheets(page)).slice(0, 4)) {
    await openSheet(page, path);
    const look = await page.locator('.paper').evaluate((paper) => {
      const of = (e: Element) => getComputedStyle(e);
      const inks = [...paper.querySelectorAll('h1, h2, td, th, p, li, text')].map((e) =>
        e.tagName === 'text' ? of(e).fill : of(e).color,
      );
      const dark = (c: string) => (c.match(/\d+/g) ?? ['255']).slice(0, 3).every((v) => Number(v) <= 0x59);
      return { ground: of(paper).backgroundColor, light: inks.filter((c) => !dark(c) && c !== 'rgb(255, 255, 255)') };
    });
    expect(look.ground, path).toBe('rgb(255, 255, 255)');
    expect(look.light, path).toEqual([]);
  }
});

test('the note of a stopped visit goes on paper, a visit without one has none', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await startVisit(page);
  const visit = idIn(page);
  expect((await page.request.get(`/paper/visits/${visit}/referral`)).status()).toBe(404);
  expect((await page.request.get(`/paper/visits/${visit}/routine`)).status()).toBe(404);
  const flag = page.locator('.question').filter({ hasText: 'headache come on within seconds' });
  await flag.getByText('Yes', { exact: true }).click();
  await saved(page);
  await page.getByRole('button', { name: 'Stop and refer out' }).click();
  await expect(page.getByText('Stopped and referred.')).toBeVisible();
  await saved(page);
  await page.getByRole('link', { name: 'Print the note' }).click();
  await page.waitForURL('**/referral');
  await expect(page.getByRole('heading', { name: 'Note to take along' })).toBeVisible();
  const [texts, ...more] = await printed(page);
  expect(more).toEqual([]);
  expect(overlaps(texts!)).toEqual([]);
  const all = texts!.map((t) => t.text).join(' ');
  for (const words of ['Quay Street Hands', 'Jun Castellan', 'No hands-on work was done', '1 of 1'])
    expect(all).toContain(words);
});
