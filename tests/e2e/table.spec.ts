import type { Page } from '@playwright/test';
import { addClient, addStep, expect, openPractice, saved, signIn, test, toCompose } from './base.ts';

const names = (page: Page) =>
  page.locator('.step .name').evaluateAll((all) => all.map((b) => b.getAttribute('title') ?? ''));
const TEMPLE = 'Two-finger circles at the temples';
const PALMS = 'Warm palms on the chewing muscles';
const JIACHE = 'Press ST6 Jiache';

test.describe('a table of one’s own', () => {
  test.beforeEach(async ({ page }) => {
    await openPractice(page);
    await addClient(page);
    await toCompose(page);
  });

  test('a new step goes behind the open one, or where it is typed, and says so before', async ({ page }) => {
    await addStep(page, 'temple circles');
    await addStep(page, 'warm palms jaw');
    expect(await names(page)).toEqual([TEMPLE, PALMS]);
    const box = page.getByRole('combobox', { name: 'Add a step' });
    await box.fill('jiache hold after 1');
    await expect(page.locator('.add-foot')).toContainText('after 1');
    await box.press('Alt+ArrowUp');
    await expect(page.locator('.add-foot')).toContainText('first');
    await box.press('Alt+ArrowDown');
    await box.press('Enter');
    await expect.poll(() => names(page)).toEqual([TEMPLE, JIACHE, PALMS]);
    await expect(box).toHaveAttribute('placeholder', /^Add after 2/);
    await box.fill('hegu first');
    await box.press('Enter');
    await expect.poll(async () => (await names(page))[0]).toMatch(/LI4|Hegu/);
  });

  test('rows by keys: arrows, choice, one side wholly, softer, moved, taken back in one step', async ({ page }) => {
    for (const line of ['warm palms jaw', 'temple circles', 'jiache hold']) await addStep(page, line);
    await page.keyboard.press('Escape');
    await page.locator('.step .name').first().focus();
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('x');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('x');
    const bar = page.getByRole('toolbar', { name: 'For the chosen steps' });
    await expect(bar).toContainText('2 chosen');
    await page.keyboard.press('b');
    const block = page.getByRole('group', { name: 'all of the left, then the right' });
    await expect(block.locator('.step')).toHaveCount(2);
    await expect(page.getByLabel(`Sides of ${TEMPLE}`)).toHaveValue('each');
    await block.getByRole('combobox', { name: 'Which side of the block comes first' }).selectOption('dissolve');
    await expect(block).toBeHidden();
    // What are no neighbours is told, and stays as it is. A touch of its number takes a step into the choice.
    await page.getByRole('button', { name: `Move ${PALMS}`, exact: true }).click();
    await page.getByRole('button', { name: `Move ${JIACHE}`, exact: true }).click();
    await page.locator('.step .name').first().focus();
    await page.keyboard.press('b');
    await expect(bar.getByRole('status')).toContainText('only neighbours can go side by side');
    await expect(page.locator('.step-block')).toHaveCount(0);
    await page.getByRole('button', { name: 'Let go (Esc)' }).click();

    await page
      .locator('.step .name')
      .nth(1)
      .click({ modifiers: ['Control'] });
    await page
      .locator('.step .name')
      .nth(2)
      .click({ modifiers: ['Shift'] });
    const before = await page.getByLabel(`Pressure of ${TEMPLE}`).inputValue();
    await bar.getByRole('button', { name: 'Softer' }).click();
    await expect(bar.getByRole('status')).toContainText('1 of 2 stayed: nothing softer is taken there.');
    await bar.getByRole('button', { name: 'Firmer' }).click();
    await bar.getByRole('button', { name: 'Firmer' }).click();
    await expect(page.getByLabel(`Pressure of ${TEMPLE}`)).not.toHaveValue(before);
    await page.getByRole('button', { name: 'Let go (Esc)' }).click();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await expect(page.getByLabel(`Pressure of ${TEMPLE}`)).toHaveValue(before);

    await page
      .locator('.step .name')
      .nth(2)
      .click({ modifiers: ['Control'] });
    await bar.getByLabel('Move to after step').fill('9');
    await bar.getByRole('button', { name: 'Move to after' }).click();
    await expect(bar).toContainText('After which step: 0 to 3.');
    await bar.getByLabel('Move to after step').fill('0');
    await bar.getByLabel('Move to after step').press('Enter');
    await expect.poll(async () => (await names(page))[0]).toBe(JIACHE);
    await saved(page);
  });

  test('a step is one sentence: parts, most, places, pauses; the sum is that of the cues', async ({ page }) => {
    await addStep(page, 'temple circles 10x 30/min');
    await expect(page.getByTestId('step-sum')).toHaveText('2 × 10 ÷ 30 a min = 0:40, with changes 0:45');
    await page.getByRole('button', { name: 'Up to a most' }).click();
    await page.getByLabel('Up to', { exact: true }).fill('9');
    await expect(page.getByText('Whole, 10 to 200')).toBeVisible();
    await expect(page.getByLabel('Up to', { exact: true })).toHaveValue('9');
    await page.getByLabel('Up to', { exact: true }).fill('30');
    await page.getByRole('button', { name: 'Add a part to the dose' }).click();
    await page.getByRole('button', { name: 'waiting' }).click();
    await expect(page.getByTestId('step-sum')).toContainText('2 × 10 ÷ 30 a min + 30 s = 1:10');
    await page.getByLabel('Until', { exact: true }).fill('the jaw lets go');
    await page.getByRole('button', { name: 'Take part 2 out' }).click();
    await expect(page.getByTestId('step-sum')).toHaveText('2 × 10 ÷ 30 a min = 0:40, with changes 0:45');
    await page.getByRole('button', { name: 'More', exact: true }).click();
    await page.getByLabel('Pause to find the place, s').fill('10');
    await expect(page.getByTestId('total')).toHaveText('0:51');
    await page.getByLabel('The client’s jaw').selectOption('slightly-open');
    await page.getByLabel('Own name of the step').fill('Temples, slowly');
    await page.getByLabel('Note', { exact: true }).fill('warm hands first');
    await expect.poll(() => names(page)).toEqual(['Temples, slowly']);
    // Places are picked on the chart, in order.
    await page.getByRole('button', { name: 'pick places …' }).click();
    await page.getByRole('button', { name: /^GB14 Yangbai, client’s left/ }).press('Enter');
    await expect(page.locator('.say-places')).toContainText('GB14');
    await page.getByRole('button', { name: 'Take GB14 Yangbai out of the path' }).click();
    await expect(page.locator('.say-places')).not.toContainText('GB14');
    await saved(page);
    await page.reload();
    await expect.poll(() => names(page)).toEqual(['Temples, slowly']);
  });

  test('a place of the chart: the list beside it, and the side that was touched', async ({ page }) => {
    await page.getByRole('button', { name: /^Masseter, client’s left/ }).press('Enter');
    const list = page.getByRole('listbox', { name: 'Techniques' });
    await expect(list).toBeVisible();
    await expect(page.getByText('client’s left only')).toBeVisible();
    const box = page.getByRole('combobox', { name: /Add a step at Masseter/ });
    await box.fill('knuckle slide');
    await page.keyboard.press('Enter');
    await expect(page.locator('.step select[aria-label^="Sides of"]').first()).toHaveValue('left');
  });

  test('fitted to minutes, with what gives shown before', async ({ page }) => {
    for (const line of ['warm palms jaw 120s', 'temple circles 60x']) await addStep(page, line);
    await page.getByRole('button', { name: 'Fit to minutes …' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Minutes to fit to').fill('500');
    await expect(dialog.getByRole('alert')).toHaveText('1 to 120 minutes is accepted.');
    await dialog.getByLabel('Minutes to fit to').fill('3');
    await expect(dialog.getByRole('listitem')).toHaveCount(2);
    await expect(dialog).toContainText(`${PALMS}: 120 s →`);
    await dialog.getByRole('button', { name: 'Take it' }).click();
    const [minutes, seconds] = (await page.getByTestId('total').innerText()).split(':').map(Number);
    expect(minutes! * 60 + seconds!).toBeLessThanOrEqual(180);
    expect(minutes! * 60 + seconds!).toBeGreaterThan(165);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('button', { name: /^Dose of Warm palms/ })).toHaveText('120 s');
  });
});

test('at least twelve of fifteen steps are in sight, findings under their step, and a key leads to the next', async ({
  page,
}) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Noor Halvorsen' }).first().click();
  await page.getByRole('link', { name: 'Compose' }).click();
  await expect(page.locator('.step').first()).toBeVisible();
  const { count, inSight } = await page.locator('.step').evaluateAll((rows) => {
    const ribbon = document.querySelector('.ribbon')!.getBoundingClientRect().top;
    return { count: rows.length, inSight: rows.filter((r) => r.getBoundingClientRect().bottom <= ribbon).length };
  });
  expect(count).toBeGreaterThanOrEqual(14);
  expect(inSight).toBeGreaterThanOrEqual(12);
  const findings = page.locator('.finding:not(.is-hint)');
  await page.getByRole('button', { name: /to look at/ }).click();
  await expect(findings.nth(0)).toBeFocused();
  // From a row the next one below it, and round again.
  await page.locator('.step .name').nth(9).focus();
  await page.keyboard.press('f');
  await expect(findings.nth(1)).toBeFocused();
  await page.keyboard.press('f');
  await expect(findings.nth(0)).toBeFocused();
  // Each stands under the step it is about.
  expect(await page.locator('[data-step] .finding:not(.is-hint)').count()).toBe(await findings.count());
});
