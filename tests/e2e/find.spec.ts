import { addClient, awake, expect, openPractice, test } from './base.ts';

test('the find box: clients in spite of a slip, places and techniques, by arrows and Enter', async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Mirela Castellan');
  await page.goto('/today');
  await awake(page);
  await page.keyboard.press('/');
  const box = page.getByRole('combobox', { name: /^Find a client/ });
  await expect(box).toBeFocused();
  await box.fill('Mirla');
  await expect(page.getByRole('option', { name: /^Mirela Castellan/ })).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}/);
  // The box is empty again once the page is there.
  await expect(box).toHaveValue('');

  await box.fill('maseter');
  const options = page.getByRole('listbox').getByRole('option');
  await expect(options.first()).toContainText('Masseter');
  await page.keyboard.press('ArrowUp');
  await expect(options.last()).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(options.nth(1)).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/atlas\/(muscle|technique)\//);
  await expect(box).toHaveValue('');
  await box.fill('zzzzzz');
  await expect(page.getByText('Nothing of that name')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(box).toHaveValue('');
});
