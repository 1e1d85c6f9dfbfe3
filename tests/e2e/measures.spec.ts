import { addClient, awake, expect, openPractice, saved, startVisit, test, toCompose } from './base.ts';

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
  await expect(page.getByText('A whole number from 1 to 28 is accepted.')).toBeVisible();
  await expect(days).toHaveValue('12');
  await page.getByLabel('Days recorded, of 28').fill('10');
  await expect(page.getByText('Not kept: 12 days with headache cannot be more than 10 days recorded.')).toBeVisible();
  await page.getByLabel('Days recorded, of 28').fill('26');
  await expect(
    page.getByRole('status').filter({ hasText: '12.9 per 28 days (29 to 65 % of days), frequent' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();

  await page.getByLabel('Add a measure').selectOption({ label: 'Perceived stress, 10 items (3 min)' });
  for (let item = 1; item <= 10; item++)
    await page
      .getByRole('radiogroup', { name: `Item ${item}, 0 to 4` })
      .getByText('2', { exact: true })
      .click();
  await expect(page.getByRole('status').filter({ hasText: /20 of 40, moderate.*check them/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await saved(page);

  await page.reload();
  await expect(page.getByText('12.9 per 28 days (29 to 65 % of days), frequent')).toBeVisible();
  // The next visit shows what it was, and asks anew.
  await startVisit(page);
  await page.goto(page.url().replace('/screen', '/assess'));
  await expect(page.getByText('12.9 per 28 days (29 to 65 % of days), frequent')).toBeVisible();
  await page.getByRole('button', { name: 'Take: Headache days' }).click();
  await expect(page.getByLabel('Days with headache')).toHaveValue('');
});

test('a questionnaire left unfinished keeps every answer, names what is missing, goes on later and can be taken back', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page, 'Jun Castellan', 'stress', 'both');
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  await page.getByLabel('Add a measure').selectOption({ label: 'Perceived stress, 4 items (1 min)' });
  const item = (n: number) => page.getByRole('radiogroup', { name: `Item ${n}, 0 to 4` });
  for (const n of [1, 2, 4]) await item(n).getByText('3', { exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Not finished: Item 3 is missing.' })).toBeVisible();
  await expect(page.locator('fieldset').filter({ hasText: 'Item 3' }).getByText('not answered')).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText('Not finished: Item 3 is missing.')).toBeVisible();
  await page.getByRole('button', { name: 'Go on: Perceived stress, 4 items' }).click();
  await expect(item(1).getByRole('radio', { name: '3' })).toBeChecked();
  await item(3).getByText('0', { exact: true }).click();
  await expect(page.getByRole('status').filter({ hasText: /\d+ of 16/ })).toBeVisible();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await page.getByRole('button', { name: 'Take back: Perceived stress, 4 items' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByText(/of 16/)).toBeHidden();
});

test('the overlap is added up and moves with what was measured; the jaw to the sides is judged', async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Jun Castellan', 'jaw', 'left');
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  const enter = async (label: string, value: string) => {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press('Enter');
  };
  await enter('Comfortable opening, mm', '37');
  await expect(page.getByText('Below 40 mm: taken as limited.')).toBeVisible();
  await enter('Overlap of the teeth, mm', '3');
  await expect(page.getByText('37 + 3 = 40 mm. 40 mm or more: not limited.')).toBeVisible();
  await enter('Overlap of the teeth, mm', '16');
  await expect(page.getByRole('alert').filter({ hasText: '-15 to 15 mm is accepted' })).toBeVisible();
  await expect(page.getByLabel('Overlap of the teeth, mm')).toHaveValue('16');
  await enter('Overlap of the teeth, mm', '3');
  await enter('Furthest alone, mm', '30');
  await expect(page.getByText('These openings do not go together')).toBeVisible();
  await enter('Furthest alone, mm', '42');
  await expect(page.getByText('These openings do not go together')).toBeHidden();

  await page.getByText('Sideways, forward, path and clicks').click();
  await enter('Sideways, client’s right, mm', '9');
  await enter('Sideways, client’s left, mm', '5');
  await enter('Lower midline off at rest, client’s left, mm', '2');
  // Only one side of the midline can hold.
  await enter('Lower midline off at rest, client’s right, mm', '1');
  await expect(page.getByLabel('Lower midline off at rest, client’s left, mm')).toHaveValue('');
  await expect(
    page.getByText('Sideways 8 mm to the right, 6 mm, under the usual 7 to the left, the resting midline taken off.'),
  ).toBeVisible();
  await enter('Furthest off while opening, client’s left, mm', '3');
  await expect(page.getByText('Swings to the client’s left and stays off at full opening.')).toBeVisible();
  await page.getByLabel('Back on the midline at full opening').check();
  await expect(page.getByText('Swings to the client’s left and comes back to the midline.')).toBeVisible();
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Comfortable opening, mm')).toHaveValue('37');
  await expect(page.getByText('Sideways 8 mm to the right')).toBeVisible();
});

test('a press is counted, and what it brings up can be the pain the client knows', async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Jun Castellan', 'jaw', 'left');
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  // It stands there for a second: looked for before it is pressed.
  const counting = page.getByText('Press, 2 s left').waitFor();
  await page.getByRole('button', { name: 'Count 2 s' }).click();
  await counting;
  await expect(page.getByText('Let go and ask.')).toBeVisible();
  const asked = page.getByRole('button', { name: 'Your pain? Masseter, client’s left' });
  await expect(asked).toHaveCount(0);
  const grade = page.getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' });
  await grade.getByText('2', { exact: true }).click();
  await asked.click();
  await expect(page.getByText('Saved')).toBeVisible();
  await page.reload();
  await expect(asked).toHaveAttribute('aria-pressed', 'true');
  // Where nothing hurts, nothing is familiar.
  await grade.getByText('0', { exact: true }).click();
  await expect(asked).toHaveCount(0);
  await grade.getByText('1', { exact: true }).click();
  await expect(asked).toHaveAttribute('aria-pressed', 'false');
});

test('a worst of the week below its average is refused at the field with both named, and nothing is kept', async ({
  page,
}) => {
  await openPractice(page);
  await addClient(page, 'Jun Castellan', 'headache', 'both');
  await toCompose(page);
  await page.goto(page.url().replace('/compose', '/assess'));
  await awake(page);
  const scale = (of: string) => page.getByRole('radiogroup', { name: `Headache, ${of}, past week, 0 to 10` });
  await scale('average').getByText('6', { exact: true }).click();
  await scale('worst').getByText('3', { exact: true }).click();
  await expect(
    page.getByText('Not kept: The worst of the past week (3) cannot lie below its average (6).'),
  ).toBeVisible();
  await expect(scale('worst').getByRole('radio', { checked: true })).toHaveCount(0);
  await scale('worst').getByText('8', { exact: true }).click();
  await expect(page.getByText('Not kept:')).toBeHidden();
  await saved(page);
});
