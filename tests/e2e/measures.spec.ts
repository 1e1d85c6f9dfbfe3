import { addClient, expect, openPractice, startVisit, test, toCompose } from './base.ts';

test('a measure is taken by keys, refused where it cannot be, kept, and not carried over', async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Jun Castellan', 'headache', 'both');
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  await page.getByRole('button', { name: 'Take: Headache days' }).click();
  const days = page.getByLabel('Days with headache');
  await expect(days).toBeFocused();
  await days.fill('12');
  await page.getByLabel('Days recorded, of 28').fill('40');
  await page.getByRole('button', { name: 'Score and keep' }).click();
  await expect(page.getByText('Days recorded, of 28: a whole number from 1 to 28 is accepted.')).toBeVisible();
  await expect(days).toHaveValue('12');
  await page.getByLabel('Days recorded, of 28').fill('10');
  await page.getByRole('button', { name: 'Score and keep' }).click();
  await expect(page.getByText('headacheDays: a whole number from 0 to 10 is accepted')).toBeVisible();
  await page.getByLabel('Days recorded, of 28').fill('26');
  await page.getByRole('button', { name: 'Score and keep' }).click();
  await expect(page.getByText('12.9 per 28 days, frequent')).toBeVisible();

  await page.getByLabel('Add a measure').selectOption({ label: 'Perceived stress, 10 items (3 min)' });
  for (let item = 1; item <= 10; item++) await page.getByRole('radiogroup', { name: `Item ${item}, 0 to 4` }).getByText('2', { exact: true }).click();
  await page.getByRole('button', { name: 'Score and keep' }).click();
  await expect(page.getByText(/20 of 40, moderate.*check them/)).toBeVisible();

  await page.reload();
  await expect(page.getByText('12.9 per 28 days, frequent')).toBeVisible();
  // The next visit shows what it was, and asks anew.
  await startVisit(page);
  await page.goto(page.url().replace('/screen', '/assess'));
  await expect(page.getByText('12.9 per 28 days, frequent')).toBeVisible();
  await page.getByRole('button', { name: 'Take: Headache days' }).click();
  await expect(page.getByLabel('Days with headache')).toHaveValue('');
});
