import {
  addClient,
  addStep,
  answerAllNo,
  awake,
  expect,
  noneApplies,
  openPractice,
  question,
  saved,
  startVisit,
  test,
  yes,
} from './base.ts';
import type { Page } from '@playwright/test';

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Arno Vasquez', 'headache', 'right');
  await startVisit(page);
});

test('a red flag stops the visit, says who to see, and is followed up on Today', async ({ page }) => {
  await yes(page, /headache come on within seconds/);
  await expect(page.getByText('The visit stops here. See: Emergency services now.')).toBeVisible();
  await expect(page.locator('.stage-tape').getByText('Compose')).toHaveAttribute('aria-disabled', 'true');
  await saved(page);
  await page.getByRole('button', { name: 'Stop and refer out' }).click();
  await expect(page.getByText('Stopped and referred.')).toBeVisible();
  await saved(page);
  const note = page.getByRole('article', { name: 'Note to take along' });
  await expect(note).toContainText('headache come on within seconds');
  await expect(note).toContainText('Emergency services now.');
  // On paper there is the note and nothing around it.
  await page.emulateMedia({ media: 'print' });
  await expect(note).toBeVisible();
  await expect(page.getByText('Red flags')).toBeHidden();
  await expect(page.getByRole('button', { name: 'Print the note' })).toBeHidden();
  await page.emulateMedia({ media: 'screen' });
  await page.goto('/today');
  await expect(page.getByText('Refer out, outcome not known')).toBeVisible();
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await expect(page.getByText('Type what came of it.')).toBeVisible();
  await page.getByLabel('What came of it').fill('Seen the same day; may come again.');
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await expect(page.getByText('Nothing today.')).toBeVisible();
});

test('the server holds the line: a stopped visit does not go on by a typed address', async ({ page }) => {
  await yes(page, /headache come on within seconds/);
  await saved(page);
  const id = /visits\/([^/]+)/.exec(page.url())![1]!;
  const answer = await page.request.post(`/visits/${id}/save`, {
    data: { saveId: 'forced-0001', expectedVersion: 2, patch: { kind: 'stage', stage: 'guide' } },
    headers: { origin: new URL(page.url()).origin },
  });
  expect(answer.status()).toBe(422);
  expect(await answer.json()).toMatchObject({ result: 'refused' });
});

test('fever postpones', async ({ page }) => {
  await yes(page, /temperature or feeling unwell/);
  await page.getByRole('button', { name: 'Postpone this visit' }).click();
  await expect(page.getByText('Postponed.', { exact: false })).toBeVisible();
});

test('each yes shows what it takes away, on the list and on the chart', async ({ page }) => {
  await yes(page, /thyroid condition/);
  await expect(question(page, /thyroid condition/)).toContainText('Takes away front of the neck');
  await expect(page.locator('.result-list')).toContainText('Thyroid condition');
  await expect(page.locator('.chart-keep-word')).toContainText(['thyroid condition']);
});

test('what screening bans cannot be added, by any way', async ({ page }) => {
  await yes(page, /Pregnant, possibly pregnant/);
  await answerAllNoOther(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('hegu');
  const option = page.getByRole('option', { name: /Press LI4 Hegu/ });
  await expect(option).toContainText('Off limits.');
  await box.press('Enter');
  await expect(box).toHaveValue('hegu');
  await option.click({ force: true });
  await expect(page.getByText('No steps yet')).toBeVisible();
  await page.keyboard.press('Escape');
  await addStep(page, 'masseter press open firm');
  await expect(page.getByLabel(/Pressure of Pin a knot/)).toHaveValue('light');

  const id = /visits\/([^/]+)/.exec(page.url())![1]!;
  await saved(page);
  const version = await page.evaluate(
    async (url) =>
      (
        (await (
          await fetch(url, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({
              saveId: 'probe-00001',
              expectedVersion: 1,
              patch: { kind: 'stage', stage: 'compose' },
            }),
          })
        ).json()) as { visit: { version: number; routine: object } }
      ).visit,
    `/visits/${id}/save`,
  );
  const smuggled = await page.request.post(`/visits/${id}/save`, {
    headers: { origin: new URL(page.url()).origin },
    data: {
      saveId: 'smuggle-0001',
      expectedVersion: version.version,
      patch: {
        kind: 'routine',
        routine: {
          ...version.routine,
          items: [
            {
              ...((version.routine as { items: object[] }).items[0] as object),
              id: 'x',
              technique: 'hegu-web-massage',
              path: [{ kind: 'point', id: 'LI4' }],
            },
          ],
        },
      },
    },
  });
  expect(smuggled.status()).toBe(422);
  expect(((await smuggled.json()) as { message: string }).message).toContain('Massage the thumb web cannot be added');
});

test('a template comes without what this client may not have, and says so', async ({ page }) => {
  await answerAllNo(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  await addStep(page, 'hegu');
  await addStep(page, 'temple circles');
  await page.getByRole('button', { name: 'Keep as a template' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByText(/Kept as/)).toBeVisible();

  await addClient(page, 'Sunniva Adeyemi', 'jaw', 'both');
  await startVisit(page);
  await yes(page, /Pregnant, possibly pregnant/);
  await answerAllNoOther(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  await page.getByRole('button', { name: 'Start from a template' }).click();
  const row = page.locator('.template-row', { hasText: '1 of 2 steps' });
  await expect(row).toContainText('Falls out today: Press LI4 Hegu');
  await row.click();
  await expect(page.getByText('Left out for this client: Press LI4 Hegu.')).toBeVisible();
  await expect(page.locator('.step')).toHaveCount(1);
  await saved(page);
});

test('a new yes after composing blocks the guide until the step is out', async ({ page }) => {
  await answerAllNo(page);
  await page.getByRole('button', { name: 'Assess' }).click();
  await page.getByRole('button', { name: 'Compose' }).click();
  await addStep(page, 'hegu');
  await expect(page.getByRole('button', { name: 'Guide', exact: true })).toBeEnabled();
  await page.getByRole('link', { name: 'Screen' }).click();
  await yes(page, /Pregnant, possibly pregnant/);
  await page.getByRole('link', { name: 'Compose' }).click();
  await expect(page.locator('.finding.is-stop')).toContainText(/^Off limits/);
  await expect(page.getByRole('button', { name: 'Guide', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Take it out' }).click();
  await expect(page.getByText('No steps yet')).toBeVisible();
});

test('y, n and u answer the question that has the focus; not sure counts as yes until it is cleared up', async ({
  page,
}) => {
  const first = question(page, /headache come on within seconds/);
  await first.getByRole('radio', { name: 'No', exact: true }).focus();
  await page.keyboard.press('y');
  await expect(first.getByRole('radio', { name: 'Yes' })).toBeChecked();
  await page.keyboard.press('n');
  await expect(first.getByRole('radio', { name: 'No', exact: true })).toBeChecked();
  await page.keyboard.press('u');
  await expect(first.getByRole('radio', { name: 'Not sure' })).toBeChecked();
  await expect(first).toContainText('Not sure counts as yes until it is cleared up.');
  await expect(page.getByRole('button', { name: 'Stop and refer out' })).toBeVisible();
});

test('a yes for one side leaves the other: on the chart, in the words, and for the step that is composed', async ({
  page,
}) => {
  const pain = question(page, /shock-like pain in the face/);
  await pain.getByRole('radio', { name: 'No', exact: true }).focus();
  await page.keyboard.press('y');
  await page.keyboard.press('l');
  await expect(pain.getByRole('radio', { name: 'Client’s left' })).toBeChecked();
  await expect(pain.getByRole('radio', { name: 'Yes', exact: true })).toBeChecked();
  await expect(page.locator('.result-list')).toContainText('Electric face pain, left');
  await expect(page.getByRole('group', { name: 'None applies?' })).toBeHidden();
  for (const group of ['None of these', 'None today', /No to the other/]) await noneApplies(page, group);
  await page.getByRole('button', { name: 'Assess', exact: true }).click();
  await page.waitForURL('**/assess');
  await page.goto(page.url().replace('/assess', '/compose'));
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill('cheek to ear glide right');
  await page.getByRole('option').first().waitFor();
  await box.press('Enter');
  await expect(page.locator('.step')).toHaveCount(1);
  await expect(page.locator('.step')).toContainText('right');
  await expect(page.getByText(/off limits/)).toBeHidden();
  await box.fill('cheek to ear glide left');
  await page.getByRole('option').first().waitFor();
  await box.press('Enter');
  await expect(page.locator('.step')).toHaveCount(1);
});

test('when nothing changed, a few keys are the whole of it', async ({ page }) => {
  await awake(page);
  await yes(page, /Pregnant, possibly pregnant/);
  for (const key of ['r', 'd', 'l']) {
    await page.keyboard.press(key);
    await expect(page.getByRole('group', { name: 'None applies?' })).toBeVisible();
    await page.keyboard.press('Enter');
  }
  await saved(page);
  await expect(page.getByRole('button', { name: 'Assess' })).toBeEnabled();
  // A second visit of the same client: standing answers come back only when they are asked for.
  await page.request.post(`/visits/${/visits\/([^/]+)/.exec(page.url())![1]}/save`, {
    headers: { origin: new URL(page.url()).origin },
    data: { saveId: 'finish-0001', expectedVersion: await versionOf(page), patch: { kind: 'stage', stage: 'done' } },
  });
  await startVisit(page);
  await awake(page);
  await expect(page.getByText('yes last time, still so?')).toBeVisible();
  await page.keyboard.press('g');
  await expect(page.getByRole('heading', { name: 'Screen' })).toBeVisible();
  for (const key of ['r', 'Enter', 'd', 'Enter', 'l', 'g']) await page.keyboard.press(key);
  // The address changes before the page does; a press between the two would fall between two stages of the tape.
  await expect(page.getByRole('heading', { level: 1, name: 'Assess' })).toBeVisible();
  await page.getByRole('link', { name: 'Screen' }).click();
  await expect(question(page, /Pregnant, possibly pregnant/).getByRole('radio', { name: 'Yes' })).toBeChecked();
});

/** The version of the visit, as the server tells whoever is behind. */
async function versionOf(page: Page): Promise<number> {
  const answer = await page.request.post(`/visits/${/visits\/([^/]+)/.exec(page.url())![1]}/save`, {
    headers: { origin: new URL(page.url()).origin },
    data: { saveId: 'which-version', expectedVersion: 999, patch: { kind: 'stage', stage: 'screen' } },
  });
  return ((await answer.json()) as { visit: { version: number } }).visit.version;
}

test('one press for a whole group asks first and can be taken back; on a first visit there is no last time', async ({
  page,
}) => {
  await awake(page);
  await page.keyboard.press('l');
  const asked = page.getByRole('group', { name: 'None applies?' });
  await expect(asked).toContainText(/\d+ questions, none applies\?/);
  await page.keyboard.press('Escape');
  await expect(asked).toBeHidden();
  await expect(page.getByRole('button', { name: 'Same as last time' })).toBeHidden();
  await yes(page, /Pregnant, possibly pregnant/);
  await noneApplies(page, /No to the other/);
  await expect(page.getByText(/\d+ answered with No\./)).toBeVisible();
  await page.getByRole('button', { name: 'Take that back' }).click();
  await expect(question(page, /Pregnant, possibly pregnant/).getByRole('radio', { name: 'Yes' })).toBeChecked();
  await expect(page.getByRole('button', { name: /No to the other/ })).toBeVisible();
  await saved(page);
});

test('single keys can be switched off, and stay off on this device', async ({ page }) => {
  await awake(page);
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByLabel(/Single keys act/).uncheck();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('r');
  await page.keyboard.press('?');
  await page.reload();
  await awake(page);
  await page.keyboard.press('r');
  await expect(page.getByRole('group', { name: 'None applies?' })).toBeHidden();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.getByRole('button', { name: 'Help' }).click();
  await page.getByLabel(/Single keys act/).check();
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('r');
  await expect(page.getByRole('group', { name: 'None applies?' })).toBeVisible();
});

/** No to everything that is still open. */
async function answerAllNoOther(page: Page): Promise<void> {
  for (const name of [/None of these/, /None today/, /No to the other/]) await noneApplies(page, name);
}
