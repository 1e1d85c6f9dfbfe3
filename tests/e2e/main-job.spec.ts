import {
  addClientByHand,
  addStep,
  answerAllNo,
  expect,
  finish,
  openPracticeByHand,
  saved,
  startVisitByHand,
  test,
} from './base.ts';

/** The whole job on a practice that has only what was typed in: screen, assess, compose, guide, record, relief. */
test('a new practitioner does one visit from end to end', async ({ page }) => {
  test.setTimeout(120_000);
  await openPracticeByHand(page);
  await expect(page.getByText('Nobody is booked for today')).toBeVisible();
  await addClientByHand(page);
  await expect(page.getByRole('heading', { name: 'Jaw, left: not rated yet' })).toBeVisible();
  await startVisitByHand(page);

  await test.step('screen', async () => {
    await expect(page.getByRole('button', { name: /to answer$/ })).toBeDisabled();
    await page.getByLabel('Hands washed').check();
    await answerAllNo(page);
    await saved(page);
    await page.getByRole('button', { name: 'Assess' }).click();
    await page.waitForURL('**/assess');
  });

  await test.step('assess, by pointer and by keys', async () => {
    await page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' }).getByText('7', { exact: true }).click();
    const worst = page.getByRole('radiogroup', { name: 'Jaw, left, worst, past week, 0 to 10' });
    await worst.getByRole('radio').first().focus();
    await page.keyboard.press('9');
    await expect(worst.getByLabel(': 9')).toBeChecked();
    const masseterLeft = page.getByRole('button', { name: /^Masseter, client’s left/ });
    await masseterLeft.focus();
    await page.keyboard.press('3');
    await expect(masseterLeft).toHaveAccessibleName(/tenderness 3/);
    await expect(
      page.getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' }).getByLabel(': 3'),
    ).toBeChecked();
    const masseterRight = page.getByRole('button', { name: /^Masseter, client’s right/ });
    // A press lays the four values round the finger.
    await masseterRight.click();
    await page.getByRole('button', { name: '1, mild' }).click();
    await expect(masseterRight).toHaveAccessibleName(/tenderness 1/);
    await page.getByLabel('Comfortable opening').fill('31');
    await page.getByLabel('Comfortable opening').press('Enter');
    await expect(page.getByText('Below 40 mm: taken as limited')).toBeVisible();
    await saved(page);
    await page.getByRole('button', { name: 'Compose' }).click();
    await page.waitForURL('**/compose');
  });

  await test.step('compose: typed line, chart, and the ribbon', async () => {
    await expect(page.getByText('No steps yet')).toBeVisible();
    await addStep(page, 'warm palms jaw 10s');
    await addStep(page, 'masseter press open 5x left');
    await expect(page.getByTestId('total')).toHaveText('0:43');
    await page.getByRole('button', { name: 'Left', exact: true }).click();
    await page.getByRole('button', { name: /^EX-HN5 Taiyang/ }).click();
    await page.getByRole('option', { name: /Two-finger circles at the temples/ }).click();
    await expect(
      page.getByRole('button', { name: /Two-finger circles at the temples, both sides/ }).first(),
    ).toBeVisible();
    await expect(page.getByText(/Client’s left side gets 25 s more/)).toBeVisible();
    await saved(page);
  });

  await test.step('guide: keys, pressure, note, stop', async () => {
    await page.getByRole('button', { name: 'Guide', exact: true }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Warm palms on the chewing muscles' })).toBeVisible();
    await page.keyboard.press('ArrowRight');
    await expect(
      page.getByRole('heading', { name: 'Pin a knot in the chewing muscle while the jaw drops' }),
    ).toBeVisible();
    await expect(page.locator('.where')).toContainText('Client’s left');
    await expect(page.getByText(/^of 5 /)).toBeVisible();
    await page.keyboard.press('-');
    await expect(page.locator('.where')).toContainText('light,');
    await page.keyboard.press('n');
    await page.getByLabel('Note at this moment').fill('clicks near full opening');
    await page.getByRole('button', { name: 'Keep the note' }).click();
    await page.waitForTimeout(1000);
    await expect(page.getByRole('dialog')).toBeHidden();
    await page.keyboard.press('x');
    await page.getByRole('button', { name: 'Out of time' }).click();
    await page.getByRole('button', { name: 'Stop the run' }).click();
    await expect(page.getByRole('heading', { name: 'Stopped' })).toBeVisible();
    await page.getByRole('button', { name: 'Record' }).click();
    await page.waitForURL('**/record');
  });

  await test.step('record: planned against done, rate again, finish', async () => {
    await expect(page.getByRole('rowheader', { name: 'Stopped early' })).toBeVisible();
    await expect(page.getByRole('row', { name: /Pin a knot/ })).toContainText(/medium planned, (medium \S+, )?light/);
    await expect(page.getByText('clicks near full opening')).toBeVisible();
    await page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' }).getByText('5', { exact: true }).click();
    await page
      .getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' })
      .getByText('2', { exact: true })
      .click();
    await expect(page.locator('.chart-change')).toHaveText('3 → 2');
    await page.getByRole('button', { name: 'Warmth' }).click();
    await page.getByLabel('Product used').fill('plain oil');
    await page.getByLabel('Review').fill('2030-01-15');
    await saved(page);
    await finish(page);
    await page.getByRole('link', { name: /Finished/ }).click();
  });

  await test.step('relief: one rating is too early to judge, and nothing is promised', async () => {
    await expect(page.getByRole('heading', { name: 'Jaw, left: before the work, 1 rating' })).toBeVisible();
    await expect(page.getByText('3 ratings on different days before the work tell most: 2 more. Go on.')).toBeVisible();
    await page.getByRole('link', { name: 'Visits', exact: true }).click();
    await expect(page.getByRole('row', { name: /Jaw, left 7 → 5/ })).toContainText('Warmth');
  });

  await test.step('a finished visit is kept as it was', async () => {
    await page
      .getByRole('row', { name: /Jaw, left 7 → 5/ })
      .getByRole('link')
      .click();
    await page.waitForURL('**/record');
    await expect(page.getByLabel('Product used')).toBeDisabled();
    await expect(page.getByLabel('Product used')).toHaveValue('plain oil');
  });
});

test('what is entered in Assess is there after the browser was closed', async ({ page, context }) => {
  await openPracticeByHand(page);
  await addClientByHand(page);
  await startVisitByHand(page);
  await answerAllNo(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' }).getByText('6', { exact: true }).click();
  await page.getByRole('button', { name: /^Masseter, client’s left/ }).press('2');
  await saved(page);
  const url = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(url);
  await expect(again.getByRole('radiogroup', { name: 'Jaw, left, now, 0 to 10' }).getByLabel(': 6')).toBeChecked();
  await expect(
    again.getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' }).getByLabel(': 2'),
  ).toBeChecked();
});
