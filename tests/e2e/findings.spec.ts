import type { Page } from '@playwright/test';
import {
  addClient,
  answerAllNo,
  awake,
  expect,
  hearingNothing,
  openPractice,
  saved,
  startVisit,
  test,
} from './base.ts';

const section = (page: Page, heading: string) =>
  page.locator('section.section').filter({ has: page.getByRole('heading', { name: heading, exact: true }) });

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Petr Lindqvist', 'jaw', 'both');
  await startVisit(page);
  await answerAllNo(page);
  await saved(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.waitForURL('**/assess');
});

test('where a press is felt is chosen from the list or on the chart, drawn, kept, and taken away', async ({ page }) => {
  await page.getByRole('button', { name: /^Masseter, client’s left/ }).focus();
  await page.keyboard.press('2');
  await page.getByRole('button', { name: 'Felt elsewhere? Masseter, client’s left' }).click();
  await page.getByLabel('Where is it felt? Masseter, client’s left').selectOption('temple, left');
  // The chart asks for regions now; a tap is the same as the list.
  await page.getByRole('button', { name: 'forehead', exact: true }).click();
  await expect(page.locator('.chart-felt > g')).toHaveCount(2);
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /^Masseter, client’s right/ })).toBeVisible();
  await saved(page);
  await page.reload();
  await awake(page);
  await expect(page.locator('.chart-felt > g')).toHaveCount(2);
  await page.getByRole('button', { name: /Take away: Masseter, client’s left, felt in forehead/ }).click();
  await expect(page.locator('.chart-felt > g')).toHaveCount(1);
});

test('on the chart alone: a press, where it was felt, the sides against each other, a spot, each by one touch', async ({
  page,
}) => {
  const chart = page.getByRole('region', { name: 'Face chart' });
  const numbers = page.getByRole('group', { name: 'What the numbers tell' });
  await expect(numbers.getByRole('button', { name: 'Since first' })).toBeDisabled();
  await expect(numbers.getByRole('button', { name: 'Left against right' })).toBeDisabled();
  const press = async (side: string, word: string) => {
    await chart.getByRole('button', { name: new RegExp(`^Masseter, client’s ${side}`) }).click();
    await page
      .getByRole('group', { name: `Masseter, client’s ${side}: tenderness` })
      .getByText(word)
      .click();
  };
  await press('left', 'severe');
  await press('right', 'mild');
  await chart.getByRole('button', { name: /^Masseter, client’s left/ }).click();
  await page.getByRole('button', { name: 'Felt elsewhere …' }).click();
  await expect(page.getByText('Touch where the press on the client’s left Masseter was felt.')).toBeVisible();
  await chart.getByRole('button', { name: 'temple, client’s left', exact: true }).click();
  await expect(page.locator('.chart-felt > g')).toHaveCount(1);
  const touch = page.getByRole('group', { name: 'What a touch means' });
  await touch.getByRole('button', { name: 'Pin a spot' }).click();
  const box = (await page.locator('.chart-drawing').boundingBox())!;
  await page.locator('.chart-drawing').click({ position: { x: box.width * 0.62, y: box.height * 0.5 } });
  await expect(page.locator('.chart-spots > g')).toHaveCount(1);
  await touch.getByRole('button', { name: 'Press', exact: true }).click();
  await numbers.getByRole('button', { name: 'Left against right' }).click();
  await expect(page.getByText('Left more tender: Masseter by 2.')).toBeVisible();
  await expect(page.locator('.chart-gap')).toHaveText(['+2']);
  await expect(page.locator('.chart-sounding')).toHaveCount(0);
  // Record shows the same findings, and what is still to be pressed again with its old number.
  await saved(page);
  await page.goto(page.url().replace(/assess$/, 'record'));
  await awake(page);
  await expect(page.locator('.chart-sounding')).toHaveCount(2);
  await expect(page.locator('.chart-spots > g')).toHaveCount(1);
  await expect(page.locator('.chart-felt > g')).toHaveCount(1);
  await press('left', 'mild');
  await expect(page.locator('.chart-change')).toHaveText(['3 → 1']);
  await page.getByRole('button', { name: 'Left against right' }).click();
  await expect(page.getByText('The same: Masseter.')).toBeVisible();
});

test('tight spots are pinned by a tap and by keys, described, and closing the browser loses nothing that was acknowledged', async ({
  page,
  context,
}) => {
  await page.getByRole('button', { name: 'Pin on the chart' }).click();
  const chart = page.locator('.chart-drawing');
  const box = (await chart.boundingBox())!;
  await chart.click({ position: { x: box.width * 0.62, y: box.height * 0.5 } });
  await expect(section(page, 'Tight spots').getByRole('listitem')).toHaveCount(1);
  await page.keyboard.press('w');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('m');
  await expect(section(page, 'Tight spots').getByRole('listitem')).toHaveCount(2);
  await page.getByRole('radiogroup', { name: 'Tenderness of spot 1' }).getByText('3', { exact: true }).click();
  await page.getByLabel('Words for spot 1').fill('hard band');
  await page.getByLabel('Words for spot 1').blur();
  await saved(page);
  const url = page.url();
  await page.close();
  const again = await context.newPage();
  await again.goto(url);
  const spots = section(again, 'Tight spots').getByRole('listitem');
  await expect(spots).toHaveCount(2);
  await expect(spots.first()).toContainText(/\d+ mm (above|below|to the client’s left of)/);
  await expect(again.getByLabel('Words for spot 1')).toHaveValue('hard band');
  await expect(again.locator('.chart-spots > g')).toHaveCount(2);
  await again.getByRole('button', { name: 'Take spot 2 away' }).click();
  await expect(spots).toHaveCount(1);
});

test('two windows on one visit end in a choice, and no write is lost in silence', async ({ page, context }) => {
  await hearingNothing(context);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: 'Assess' })).toBeVisible();
  await page.getByRole('button', { name: /^Masseter, client’s left/ }).focus();
  await page.keyboard.press('3');
  await saved(page);
  await other.getByRole('button', { name: 'Scan', exact: true }).click();
  await other.getByRole('button', { name: 'forehead: tense' }).click();
  await expect(other.getByText('This visit was changed in another window.')).toBeVisible();
  await other.getByRole('button', { name: 'write mine over it' }).click();
  await saved(other);
  await other.reload();
  // Both are there: the choice was about the one entry, not about everything.
  await expect(other.getByRole('button', { name: /^Masseter, client’s left/ })).toHaveAccessibleName(/tenderness 3/);
  await expect(section(other, 'Scan from inside')).toContainText('Tense: forehead.');
  await other.close();
});

test('the scan from inside goes by tap and by keys', async ({ page }) => {
  await page.getByRole('button', { name: 'Scan', exact: true }).click();
  const jaw = page
    .locator('.chart-place')
    .filter({ has: page.locator('xpath=self::*[contains(@aria-label, "jaw, client’s left")]') })
    .first();
  await jaw.focus();
  await page.keyboard.press('e');
  await expect(jaw).toHaveAccessibleName(/at ease/);
  await jaw.click();
  await page.getByRole('button', { name: 'n, nothing noticed' }).click();
  await expect(jaw).toHaveAccessibleName(/nothing noticed/);
  await page
    .getByRole('button', { name: 'neck-front: tense' })
    .or(page.getByRole('button', { name: 'front of the neck: tense' }))
    .click();
  await expect(section(page, 'Scan from inside')).toContainText('2 of 22 told, 1 tense');
  await saved(page);

  // After the work it is asked again, with what was felt before beside it.
  await page.goto(page.url().replace('/assess', '/record'));
  await awake(page);
  await expect(page.getByText('2 tested before, not again yet:')).toBeVisible();
  await page.getByRole('group', { name: 'What a touch means' }).getByText('From inside').click();
  const again = section(page, 'Scan again from inside');
  await expect(again).toContainText('was tense');
  await again
    .getByRole('button', { name: /neck.*: at ease/ })
    .first()
    .click();
  await expect(again).toContainText('1 of 22 told, 0 tense');
  await expect(page.getByText('1 tested before, not again yet:')).toBeVisible();
});

test('three presses with the gauge give a threshold in three units; what is typed is checked', async ({ page }) => {
  test.setTimeout(90_000);
  const threshold = section(page, 'Pressure threshold');
  await threshold.getByRole('button', { name: 'Measure' }).click();
  for (const n of [1, 2, 3]) {
    await threshold.getByRole('button', { name: `Press ${n} with the gauge` }).click();
    await expect(threshold.getByRole('img', { name: 'Pressure over time' })).toBeVisible();
    // The client of the second press speaks by word: the space bar marks it.
    if (n === 2) {
      await expect(threshold.getByText(/[5-9]\d kPa$/)).toBeVisible();
      await page.keyboard.press(' ');
    }
    await expect(threshold.locator('.trials li').nth(n - 1)).toContainText(/\d kPa.*at \d+ kPa\/s/);
  }
  await expect(threshold.getByText('Masseter, client’s right')).toBeVisible();
  const line = await threshold.locator('p').filter({ hasText: 'client’s right' }).first().innerText();
  const [kpa, newton, kgf] = /([\d.]+) kPa, ([\d.]+) N, ([\d.]+) kgf/.exec(line)!.slice(1).map(Number) as [
    number,
    number,
    number,
  ];
  const trials = (await threshold.locator('.trials li').allInnerTexts()).map((t) => Number(/([\d.]+) kPa/.exec(t)![1]));
  expect(kpa).toBeCloseTo((trials[1]! + trials[2]!) / 2, 0);
  // Each is shown rounded: N to a tenth, kgf to a hundredth.
  expect(Math.abs(newton - kpa / 10)).toBeLessThan(0.06);
  expect(Math.abs(kgf - kpa / 98.0665)).toBeLessThan(0.006);
  // The second press was stopped early, so the two that count differ: that is told.
  await expect(threshold).toContainText('differ by more than a fifth');
  await saved(page);

  await threshold.getByRole('button', { name: 'client’s left' }).click();
  await threshold.getByText('Type it from a dial instead').click();
  await threshold.getByLabel('Unit').selectOption('kgf');
  const field = threshold.getByLabel('Press 1, kgf');
  await field.fill('300');
  await field.press('Enter');
  await expect(threshold.getByRole('alert')).toContainText('1 to 2000 kPa is accepted');
  await expect(field).toHaveValue('300');
  for (const [i, typed] of ['2', '1,9', '2.1'].entries()) {
    await threshold.getByLabel(`Press ${i + 1}, kgf`).fill(typed);
    await threshold.getByLabel(`Press ${i + 1}, kgf`).press('Enter');
  }
  await expect(threshold.locator('p').filter({ hasText: 'Masseter, client’s left' })).toContainText(
    '196.1 kPa, 19.6 N, 2.00 kgf',
  );
  await saved(page);
  await page.reload();
  await expect(threshold.locator('p').filter({ hasText: 'Masseter, client’s left' })).toContainText('196.1 kPa');
});

test.describe('with a fingertip', () => {
  test.use({ hasTouch: true });
  test('a newcomer marks masseter and both sides of the neck on the first picture, each at the first touch', async ({
    page,
  }) => {
    for (const [name, value, word] of [
      ['Masseter, client’s left', 2, 'moderate'],
      ['Masseter, client’s right', 0, 'nothing'],
      ['Sternomastoid, client’s left', 3, 'severe'],
      ['Sternomastoid, client’s right', 1, 'mild'],
    ] as const) {
      const place = page.getByRole('button', { name: new RegExp(`^${name}`) });
      // Beside its middle, as a finger comes down: still on its drawing.
      const box = (await place.boundingBox())!;
      await page.touchscreen.tap(box.x + box.width / 2 + 3, box.y + box.height / 2 - 3);
      await page
        .getByRole('group', { name: `${name}: tenderness` })
        .getByRole('button', { name: `${value}, ${word}` })
        .tap();
      await expect(place).toHaveAccessibleName(new RegExp(`tenderness ${value}$`));
    }
    // Taken away again, and left as it was by Escape.
    const masseter = page.getByRole('button', { name: /^Masseter, client’s left/ });
    await masseter.tap();
    await page.keyboard.press('Escape');
    await expect(masseter).toHaveAccessibleName(/tenderness 2/);
    await masseter.tap();
    await page.getByRole('button', { name: 'Take away' }).tap();
    await expect(masseter).toHaveAccessibleName(/not pressed/);
    await saved(page);
    // A point under the same finger, on the map of the atlas.
    await page.goto('/atlas');
    await page.getByRole('button', { name: /^ST6 Jiache, client’s right/ }).tap();
    await expect(page.getByRole('article').getByRole('heading', { level: 2 })).toContainText('ST6');
  });
});
