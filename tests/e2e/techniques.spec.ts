import { CATALOGUE } from '../../reference/catalogue.ts';
import { addClient, addStep, expect, openPractice, saved, test, toCompose } from './base.ts';

test('a technique of one’s own: refused at its field, its path picked on the chart, offered, screened, retired, taken out and in', async ({
  page,
}) => {
  await openPractice(page);
  await page.goto('/practice/techniques');
  await expect(page.getByText('None yet.')).toBeVisible();
  await page.getByRole('link', { name: 'New technique' }).click();
  await page.waitForURL('**/practice/techniques/new');

  // What is missing is told at its field, one after the other, and what was typed stays.
  const keep = page.getByRole('button', { name: 'Keep' }).first();
  await page.getByLabel('What to do', { exact: true }).fill('Rest two fingers there and follow the breath.');
  await keep.click();
  await expect(page.locator('[data-refused="name"]')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toBeFocused();
  await page.getByLabel('Name', { exact: true }).fill('Nostril rest <b>ours</b>');
  await keep.click();
  await expect(page.locator('[data-refused="feelFor"]')).toBeVisible();
  await page.getByLabel('What to feel for').fill('Breath under the fingers');
  await page.getByLabel('What to avoid').fill('Pushing the cheek up');
  await keep.click();
  await expect(page.locator('[data-refused="work.path"]')).toBeVisible();

  // On the chart and by name; the order can be changed.
  await page
    .getByRole('button', { name: /^LI20 Yingxiang/ })
    .first()
    .click();
  await page.getByLabel('Add a place by name').fill('ST2 Sibai');
  await page.getByLabel('Add a place by name').press('Enter');
  const path = page.getByRole('list', { name: 'Path, in working order' }).getByRole('listitem');
  await expect(path).toContainText(['LI20 Yingxiang', 'ST2 Sibai']);
  await page.getByRole('button', { name: 'Earlier: ST2 Sibai' }).click();
  await expect(path).toContainText(['ST2 Sibai', 'LI20 Yingxiang']);

  // A dose out of bounds and a pressure that nobody may use there are refused.
  await page.getByLabel('Circles', { exact: true }).fill('999');
  await keep.click();
  await expect(page.getByText('Not kept: a figure lies outside its range; see there')).toBeVisible();
  await page.getByLabel('Circles', { exact: true }).fill('12');
  await page.getByLabel('Most', { exact: true }).selectOption('deep');
  await keep.click();
  await expect(page.locator('[data-refused="pressure.most"]')).toContainText('Nerves that come out of the bone');
  await page.getByLabel('Most', { exact: true }).selectOption('medium');
  await page.getByRole('button', { name: 'scent or essential oil' }).click();
  await keep.click();
  await page.waitForURL('**/practice/techniques');
  await expect(page.getByText('Nostril rest <b>ours</b>')).toBeVisible();

  // Offered in Compose and marked as own; what it comes with is held against the screening.
  await addClient(page);
  await toCompose(page);
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('nostril rest');
  await expect(page.getByRole('option').first().locator('.own-mark')).toBeVisible();
  await page.keyboard.press('Escape');
  await addStep(page, 'nostril rest 8x');
  await expect(page.locator('.step')).toHaveCount(1);
  await saved(page);
  await page.reload();
  await expect(page.locator('.step .name')).toContainText('Nostril rest <b>ours</b>');

  const file = await page.request.get('/practice/techniques/file');
  const text = await file.text();
  expect(JSON.parse(text)).toMatchObject({ format: 'velvet-compass/techniques', techniques: [{ perDayMost: null }] });

  // Retired it is offered no more; the routine that holds it keeps it.
  const visit = page.url();
  await page.goto('/practice/techniques');
  await page.getByRole('button', { name: /^Retire: Nostril rest/ }).click();
  await expect(page.getByText('no longer offered')).toBeVisible();
  await page.goto(visit);
  await expect(page.locator('.step .name')).toContainText('Nostril rest <b>ours</b>');
  await box.fill('nostril rest');
  await expect(page.getByText('Nothing answers to that.')).toBeVisible();

  // Into another practice: a broken file is refused by its field and nothing is kept, the whole one is taken in.
  await page.context().clearCookies();
  await openPractice(page);
  await page.goto('/practice/techniques');
  const take = (content: string) =>
    page
      .getByLabel('Take in a file')
      .setInputFiles({ name: 'techniques.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await take('{ no json');
  await expect(page.getByText('The file is no JSON. Nothing was taken in.')).toBeVisible();
  await take(text.replace('"LI20"', '"LI99"'));
  await expect(page.getByText(/techniques\[0\]\.work\.path\[1\].*Nothing was taken in/)).toBeVisible();
  await expect(page.getByText('None yet.')).toBeVisible();
  await take(text);
  await expect(page.getByText('1 taken in.')).toBeVisible();
  await expect(page.getByText('Nostril rest <b>ours</b>')).toBeVisible();
  await take(text);
  await expect(page.getByText('0 taken in, 1 were there already.')).toBeVisible();
});

test('a technique of the library is copied from its sheet and changed; the library stays as it is', async ({
  page,
}) => {
  await openPractice(page);
  await page.goto('/atlas/technique/masseter-pin-open');
  await page.getByRole('link', { name: 'Copy it and make it your own' }).click();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue(
    'Pin a knot in the chewing muscle while the jaw drops, ours'.slice(0, 70),
  );
  await page.getByLabel('What to do', { exact: true }).fill('Our own words for it.');
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await page.waitForURL('**/practice/techniques');
  await expect(page.getByText('Our own words for it.')).toBeVisible();
  await page.goto('/atlas/technique/masseter-pin-open');
  await expect(page.getByText('Our own words for it.')).toBeHidden();
});

test('a copy keeps the cautions that hold for everyone when those that are asked are changed', async ({ page }) => {
  await openPractice(page);
  const from = 'neck-side-drain-pads';
  await page.goto(`/practice/techniques/new?from=${from}`);
  await page.getByRole('button', { name: 'Pregnancy', exact: true }).click();
  await page.getByRole('button', { name: 'Keep' }).first().click();
  await page.waitForURL('**/practice/techniques');
  const file = (await (await page.request.get('/practice/techniques/file')).json()) as {
    techniques: { heed: string[] }[];
  };
  const before = CATALOGUE.techniques.get(from)!.heed;
  expect(before).toContain('carotid');
  expect(new Set(file.techniques[0]!.heed)).toEqual(new Set([...before, 'pregnancy']));
});
