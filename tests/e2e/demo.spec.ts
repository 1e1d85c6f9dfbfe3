import { awake, expect, noneApplies, signIn, test } from './base.ts';

test.beforeEach(async ({ page }) => signIn(page));

test('Today: five visits, and who needs a look', async ({ page }) => {
  await expect(page.locator('.visit-list > li:not(.gap)')).toHaveCount(5);
  await expect(page.locator('.visit-list > li:not(.gap)').nth(1)).toContainText('Noor Halvorsen');
  const aside = page.getByRole('complementary', { name: 'Needs a look' });
  await expect(aside.getByText('Petr Lindqvist: think of licensed care')).toBeVisible();
  await expect(aside.getByText(/Review due/)).toBeVisible();
  await expect(aside.getByText('Lena Marchetti, eye strain.')).toBeVisible();
  await expect(aside.getByText('Refer out, outcome not known')).toBeVisible();
});

test('Relief of the worked example, by values that the data gives', async ({ page }) => {
  await page.getByLabel('Find a client, a routine, a place or a technique').fill('noor');
  await page
    .locator('.find-list')
    .getByRole('link', { name: /Noor Halvorsen/ })
    .click();
  await expect(
    page.getByRole('heading', { name: /^Jaw, left: better by \d\.\d \(\d\.\d to \d\.\d\) than before the work$/ }),
  ).toBeVisible();
  await expect(
    page.getByRole('heading', { name: /^Headache: cannot tell yet; about \d+ more ratings? would$/ }),
  ).toBeVisible();
  await expect(page.getByRole('img', { name: 'Opening, comfortable (mm): 31, 35, 38, 41' })).toBeVisible();
  await page.getByText('The same as a table, with the source of each error').click();
  const opening = page.getByRole('row', { name: /Opening, comfortable/ });
  await expect(opening).toContainText('31 mm');
  await expect(opening).toContainText('41 mm');
  await expect(opening).toContainText('more than the measure’s own error (9 mm');
  await expect(page.getByRole('row', { name: /Masseter, left 3/ })).toContainText('better');
  await expect(page.locator('.course .band').first()).toBeVisible();
});

test('worse is said with a word and a sign, and sends to licensed care', async ({ page }) => {
  await page.goto('/clients?find=petr');
  await page.getByRole('link', { name: 'Petr Lindqvist' }).click();
  await expect(
    page.getByRole('heading', { name: /Jaw, both sides: worse by \d\.\d \(\d\.\d to \d\.\d\) than before the work/ }),
  ).toBeVisible();
  await expect(page.getByText('Suggest licensed care before more firm work.').first()).toBeVisible();
});

test('a course that is worse is told in the strip of the visit; a fact finds its client', async ({ page }) => {
  await page.getByRole('link', { name: 'Petr Lindqvist' }).first().click();
  await page.waitForURL(/\/visits\//);
  await expect(page.locator('.client-strip')).toContainText('▲ worse');
  await page.goto('/clients?find=thyroid');
  await expect(page.getByRole('link', { name: 'Caspian Holt' })).toBeVisible();
  await page.getByRole('link', { name: 'Caspian Holt' }).click();
  await expect(page.locator('.client-strip')).toContainText('Last time: thyroid condition');
});

test('clients sort and are found; the find box knows routines too', async ({ page }) => {
  await page.goto('/clients');
  await expect(page.locator('tbody tr')).toHaveCount(12);
  await expect(page.locator('tbody tr').first()).toContainText('Arno Vasquez');
  await page.getByRole('link', { name: /^Name/ }).click();
  await expect(page.locator('tbody tr').first()).toContainText('Yannick Bello');
  await awake(page);
  await page.getByLabel('Find a client', { exact: true }).fill('oboe');
  await expect(page.locator('tbody tr')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await page.locator('h1').click();
  await page.keyboard.press('/');
  await page.keyboard.type('evening');
  await page.getByRole('link', { name: /Evening headache/ }).click();
  await expect(page.getByRole('heading', { name: 'Evening headache' })).toBeVisible();
});

test('? shows the keys of the screen', async ({ page }) => {
  await expect(page.locator('.visit-list > li:not(.gap)')).toHaveCount(5);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('find a client or a routine');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).first().click();
  await page.waitForURL('**/compose');
  await expect(page.getByRole('combobox', { name: 'Add a step' })).toBeVisible();
  await page.locator('.work-head').click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('undo, redo');
});

test('the dim room is remembered and changes every colour', async ({ page }) => {
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  expect(await ground()).toBe('rgb(245, 244, 246)');
  await page.getByRole('button', { name: 'Dim room' }).click();
  await expect(page.getByRole('button', { name: 'Day room' })).toBeVisible();
  expect(await ground()).toBe('rgb(23, 18, 27)');
  await page.goto('/clients');
  expect(await ground()).toBe('rgb(23, 18, 27)');
});

test('the capped client: firm cannot be added, and the cap is told', async ({ page }) => {
  await page.goto('/clients?find=tobias');
  await page.getByRole('link', { name: 'Tobias Achterberg' }).click();
  await page.getByRole('button', { name: /Start visit/ }).click();
  await expect(page.getByText('Pressure stays at light or below for this client.')).toBeVisible();
  await page.getByRole('button', { name: 'Same as last time' }).click();
  for (const name of [/None of these|No to the other/, /None today/]) await noneApplies(page, name);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('temple circles firm');
  await expect(page.getByRole('option').first()).toContainText('light at most');
  await box.press('Enter');
  await expect(page.getByLabel('Pressure of Two-finger circles at the temples')).toHaveValue('light');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('button', { name: 'pause', exact: true })).toBeVisible();
  await expect(page.locator('.where')).toContainText('light,');
  await page.keyboard.press('=');
  await expect(page.getByText(/Not firmer. This client is worked at light at most/)).toBeVisible();
  await expect(page.locator('.where')).toContainText('light,');
});

test('the chart: views, mirror with its letters, layers', async ({ page }) => {
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.waitForURL('**/compose');
  const chart = page.getByRole('region', { name: 'Face chart' });
  await expect(chart.locator('.chart-contours')).toBeVisible();
  const edges = () => chart.locator('.chart-edge').allTextContents();
  expect(await edges()).toEqual(['R', 'L']);
  await chart.getByRole('button', { name: 'Mirror' }).click();
  expect(await edges()).toEqual(['L', 'R']);
  await chart.getByRole('button', { name: 'Back', exact: true }).click();
  await chart.getByRole('button', { name: 'Mirror on' }).click();
  expect(await edges()).toEqual(['L', 'R']);
  await chart.getByRole('button', { name: 'Left', exact: true }).click();
  await expect(chart.getByText('client’s left')).toBeVisible();
  expect(await chart.locator('.chart-disc').count()).toBeGreaterThan(3);
  await chart.getByRole('button', { name: 'Route', exact: true }).click();
  await expect(chart.locator('.chart-disc')).toHaveCount(0);
});

test('a rating told by telephone is written down, checked, corrected and taken away; the course says so', async ({
  page,
}) => {
  await page.goto('/clients?find=jun');
  await page.getByRole('link', { name: 'Jun Castellan' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  await awake(page);
  await expect(page.getByRole('heading', { name: 'Stress: not rated yet' })).toBeVisible();
  await page.getByText('Ratings between visits: write one down').click();
  await expect(page.locator('.kept-ratings')).toContainText('None yet.');
  const form = page.getByRole('group', { name: 'Write down a rating of Stress' });
  const write = form.getByRole('button', { name: 'Write down' });
  await form.getByLabel('Now, 0 to 10').fill('11');
  await write.click();
  await expect(form.getByText('A whole number from 0 to 10 is accepted.')).toBeVisible();
  await form.getByLabel('Now, 0 to 10').fill('6');
  await form.getByLabel('Day').fill('2199-01-01');
  await write.click();
  await expect(form.getByText('A day and time up to now are accepted.')).toBeVisible();
  await form.getByLabel('Day').fill('2020-01-15');
  await write.click();
  await expect(form.getByText('A day within the past year is accepted.')).toBeVisible();
  const yesterday = new Date(Date.now() - 86_400_000).toISOString().slice(0, 10);
  await form.getByLabel('Day').fill(yesterday);
  await form.getByLabel('Said').selectOption('by telephone');
  await write.click();
  await expect(page.getByRole('heading', { name: 'Stress: before the work, 1 rating' })).toBeVisible();
  await expect(page.getByText('3 ratings on different days before the work tell most: 2 more.')).toBeVisible();
  const kept = page.locator('.kept-ratings li').first();
  await expect(kept).toContainText('by telephone, written down by Imke Dahl');
  await kept.getByRole('button', { name: /^Correct/ }).click();
  const correction = page.getByRole('group', { name: /^Correct the rating of/ });
  await correction.getByLabel('Now, 0 to 10').fill('7');
  await correction.getByRole('button', { name: 'Correct' }).click();
  await expect(kept.locator('strong')).toHaveText('7');
  await kept.getByRole('button', { name: /^Take away/ }).click();
  await kept.getByRole('button', { name: 'Take away', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Stress: not rated yet' })).toBeVisible();
  await page.goto('/practice/trail');
  await expect(page.getByText('Rating between visits corrected').first()).toBeVisible();
});

test('what to do next is proposed, decided another way only with a reason, and kept', async ({ page }) => {
  await page.goto('/clients?find=tobias');
  await page.locator('tbody').getByRole('link').first().click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  const next = page.locator('.what-next');
  await expect(next.getByText('proposed')).toBeVisible();
  await expect(next).toContainText('Nothing decided yet.');
  // By keys: the arrows of the group choose.
  await next.getByRole('radio', { name: /Go on/ }).focus();
  const proposed = await next.getByRole('radio', { checked: true }).getAttribute('value');
  await next.getByText('Refer', { exact: true }).click();
  await next.getByRole('button', { name: 'Keep: refer' }).click();
  await expect(next.getByText('Say why another way is chosen')).toBeVisible();
  await next.getByLabel(/^Why refer and not/).fill('Asked for a second look');
  await next.getByRole('button', { name: 'Keep: refer' }).click();
  await expect(next).toContainText('refer, Imke Dahl. Asked for a second look');
  await expect(next.getByRole('radio', { checked: true })).toHaveAttribute('value', proposed!);
  await page.goto('/practice/trail');
  await expect(page.getByRole('row', { name: /What to do next decided/ }).first()).toContainText('choice refer');
});

test('days are looked at closer by typing and by drawing; two complaints stand beside each other', async ({ page }) => {
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  const course = page.getByRole('img', { name: /^Jaw, left: better by/ });
  const all = (await course.getAttribute('aria-label'))!.split(',').length;
  const strip = page.getByRole('group', { name: 'Days that are shown' });
  await strip.scrollIntoViewIfNeeded();
  const svg = (await strip.locator('svg').boundingBox())!;
  await page.mouse.move(svg.x + svg.width * 0.45, svg.y + svg.height / 2);
  await page.mouse.down();
  await page.mouse.move(svg.x + svg.width * 0.7, svg.y + svg.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(strip.getByRole('button', { name: 'All days' })).toBeVisible();
  const some = (await course.getAttribute('aria-label'))!.split(',').length;
  expect(some).toBeLessThan(all);
  // The judgement is that of the whole course.
  await expect(page.getByRole('heading', { name: /^Jaw, left: better by/ })).toBeVisible();
  await strip.getByRole('button', { name: 'All days' }).click();
  await expect(strip.getByRole('button', { name: 'All days' })).toHaveCount(0);
  const from = strip.getByLabel('From');
  const first = await from.inputValue();
  const later = new Date(Date.parse(first) + 14 * 86_400_000).toISOString().slice(0, 10);
  await from.fill(later);
  await from.blur();
  await expect(strip.getByRole('button', { name: 'All days' })).toBeVisible();
  expect((await course.getAttribute('aria-label'))!.split(',').length).toBeLessThan(all);
  await page.getByLabel('Drawn beside each').selectOption('Headache');
  await expect(page.getByText(/^Rated within half a day of each other \d+ times: jaw, left higher in/)).toBeVisible();
  await expect(page.locator('.beside')).toHaveCount(1);
});

test('what was done at a visit opens its record; what came before easier days says that it is too few to tell', async ({
  page,
}) => {
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  await expect(page.getByText(/techniques: too few to tell/).first()).toBeVisible();
  await expect(page.getByText('Seen together, not proof.')).toBeVisible();
  await page.getByRole('link', { name: /^visit 1, .*\d\d:\d\d done/ }).click();
  await page.waitForURL('**/record');
});

test('across clients: how they stand from five clients up, who stopped coming, which ratings are due', async ({
  page,
}) => {
  await page.goto('/practice/across');
  await expect(page.getByRole('row', { name: /^Left jaw, before rehearsal/ })).toContainText('too few to tell');
  const told = page.getByRole('row', { name: /of \d better \(\d+ to \d+ %\)/ }).first();
  await expect(told).toBeVisible();
  expect(Number(await told.locator('td.num').textContent())).toBeGreaterThanOrEqual(5);
  await expect(page.getByRole('complementary').getByText('Eye strain: last rated')).toBeVisible();
});
