import { addClient, addStep, expect, listen, openPractice, said, saved, test, toCompose } from './base.ts';
import type { Page } from '@playwright/test';

async function ready(page: Page, ...lines: string[]): Promise<void> {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  for (const line of lines) await addStep(page, line);
  await saved(page);
  await page.getByRole('button', { name: 'Guide', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeVisible();
}

/** So that one touch is not taken for the second of another. */
const aWhile = (page: Page) => page.waitForTimeout(450);

test('counts by itself, pauses on space, and survives a reload in the middle of a run', async ({ page }) => {
  await ready(page, 'warm palms jaw 40s', 'temple circles');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Warm palms on the chewing muscles' })).toBeVisible();
  await expect(page.getByTestId('count')).toHaveText('3');
  await expect(page.getByText('hold, seconds left')).toBeVisible();
  const before = Number(await page.getByTestId('count').innerText());
  await page.reload();
  await expect(page.getByText('hold, seconds left')).toBeVisible();
  const after = Number(await page.getByTestId('count').innerText());
  expect(after).toBeLessThan(before + 1);
  expect(after).toBeGreaterThan(before - 12);
  await page.keyboard.press('Space');
  await expect(page.getByText('paused')).toBeVisible();
  const still = await page.getByTestId('count').innerText();
  await page.waitForTimeout(1500);
  expect(await page.getByTestId('count').innerText()).toBe(still);
  await page.keyboard.press('e');
  await expect(page.getByTestId('count')).toHaveText(String(Number(still) + 10));
});

test('codes of points keep their capitals in what the hands are told', async ({ page }) => {
  await ready(page, 'press BL4');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.feel')).toContainText('Mark GV24 and ST8');
});

test('plays to its end by the clock and stores what was done', async ({ page }) => {
  await ready(page, 'warm palms jaw 3s');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  // It has begun: what is awaited next is the clock.
  await expect(page.locator('.player-bar')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible({ timeout: 40_000 });
  await expect(page.getByText('0:07 by the clock, planned 0:07.')).toBeVisible();
  await page.getByRole('button', { name: 'Record' }).click();
  const row = page.getByRole('row', { name: /Warm palms on the chewing muscles/ });
  await expect(row.getByRole('cell').nth(1)).toHaveText('0:07');
  await expect(row.getByRole('cell').nth(2)).toHaveText('0:07');
});

test('the other side is announced, the ring is drawn at the place, the ribbon has its playhead', async ({ page }) => {
  await ready(page, 'masseter press open 2x 20/min each');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.where')).toContainText('Client’s left');
  await expect(page.locator('.contact-ring')).toHaveCount(1);
  await expect(page.getByRole('group', { name: 'Left view' })).toBeVisible();
  await expect(page.locator('.playhead')).toHaveCount(1);
  await expect(page.getByText('Same step, client’s right')).toBeVisible();
  await expect(page.locator('.where')).toContainText('Client’s right');
  await expect(page.getByRole('group', { name: 'Right view' })).toBeVisible();
});

test('between the sides they are compared, by itself when asked for, and it is kept with the run', async ({ page }) => {
  await ready(page, 'masseter press open 2x 20/min each');
  await page.getByLabel('Hands washed').click();
  await expect(page.getByLabel('Hands washed')).toHaveCount(0);
  await saved(page);
  await page.getByLabel('Stop between the sides to compare them').check();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const panel = page.getByRole('form', { name: 'Compare the sides' });
  await expect(panel).toBeVisible();
  await expect(page.getByText('paused')).toBeVisible();
  await expect(panel.getByRole('button', { name: 'client’s left is done' })).toHaveAttribute('aria-pressed', 'true');
  await panel.getByLabel('Head held as before').check();
  await panel.getByRole('button', { name: 'Jaw easier' }).click();
  await panel.getByRole('button', { name: 'No difference' }).click();
  await panel.getByRole('button', { name: 'Jaw easier' }).click();
  await panel.getByRole('button', { name: 'Keep the comparison' }).click();
  await expect(panel).toBeHidden();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Done' })).toBeVisible();
  await page.getByRole('button', { name: 'Record' }).click();
  await expect(
    page.getByText('Sides compared: After the client’s left: jaw easier (light differed, so it counts little).'),
  ).toBeVisible();
});

test('keys of a run: next, back, repeat, lighten, firmer, and stop asks why', async ({ page }) => {
  await ready(page, 'warm palms jaw 60s', 'temple circles', 'jiache');
  await page.keyboard.press('Space');
  await expect(page.locator('.player-bar').getByText('step 1 of 3')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('.player-bar').getByText('step 2 of 3')).toBeVisible();
  await page.keyboard.press('=');
  await expect(page.locator('.where')).toContainText('medium');
  await page.keyboard.press('-');
  await page.keyboard.press('-');
  await expect(page.locator('.where')).toContainText('feather');
  await page.keyboard.press('ArrowLeft');
  await expect(page.locator('.player-bar').getByText('step 1 of 3')).toBeVisible();
  await page.keyboard.press('x');
  await expect(page.getByText('paused')).toBeVisible();
  await page.getByRole('button', { name: 'Go back' }).click();
  await page.keyboard.press('Space');
  await expect(page.getByText('paused')).toBeHidden();
});

test('with the network gone the run goes on and is written afterwards', async ({ page, context }) => {
  await ready(page, 'warm palms jaw 30s', 'temple circles');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.player-bar').getByText('step 1 of 2')).toBeVisible();
  await context.setOffline(true);
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('.player-bar').getByText('step 2 of 2')).toBeVisible();
  await expect(page.getByText(/\d+ not written yet, kept on this device/)).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('Not everything is written yet.')).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('Not everything is written yet.')).toBeHidden();
  await page.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('rowheader', { name: 'In all' })).toBeVisible();
});

test('a run that began with an earlier form of the routine says so, a fresh one does not', async ({ page }) => {
  await ready(page, 'warm palms jaw 60s', 'temple circles');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.player-bar').getByText('step 1 of 2')).toBeVisible();
  await expect(page.getByText('the routine was changed since this run began')).toBeHidden();
  await page.getByRole('button', { name: 'To the plan' }).click();
  await addStep(page, 'jiache');
  await saved(page);
  await page.getByRole('link', { name: 'Guide' }).click();
  await expect(page.getByText('the routine was changed since this run began')).toBeVisible();
});

test('stopped it is asked once, taken up again in place and after a reload, and only what was done is done', async ({
  page,
}) => {
  await ready(page, 'warm palms jaw 40s', 'temple circles', 'jiache');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.getByRole('button', { name: 'next' }).click();
  await expect(page.getByText('step 2 of 3')).toBeVisible();
  await aWhile(page);
  await page.getByRole('button', { name: 'stop' }).click();
  await page.getByRole('button', { name: 'Out of time' }).click();
  await expect(page.getByText('step 2 of 3')).toBeVisible();
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(page.getByRole('heading', { name: 'Stopped' })).toBeVisible();
  await expect(page.getByText('Out of time.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it up again' }).click();
  await expect(page.getByText('step 2 of 3')).toBeVisible();
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(page.getByRole('button', { name: 'Record' })).toBeEnabled();
  await page.reload();
  await page.getByRole('button', { name: /^Go on at step 2 of 3/ }).click();
  await expect(page.locator('.player-bar')).toContainText('step 2 of 3');
  await expect(page.getByText(/of \d+ circles/)).toBeVisible();
  await aWhile(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('heading', { name: 'At the end' })).toBeVisible();
  await expect(page.getByText('Steps: 0 done, 1 in part, 2 skipped.')).toBeVisible();
  await page.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByRole('row', { name: /Warm palms on the chewing muscles/ })).toContainText('skipped');
});

test('a stopped run tells where it stopped by its own routine, and a note half written outlives a question', async ({
  page,
}) => {
  await ready(page, 'warm palms jaw 40s', 'temple circles');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText('step 1 of 2')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('step 2 of 2')).toBeVisible();
  await page.getByRole('button', { name: 'note' }).click();
  await page.getByLabel('Note at this moment').fill('half a thought');
  await aWhile(page);
  await page.getByRole('button', { name: 'pause' }).click();
  await expect(page.getByLabel('Note at this moment')).toHaveValue('half a thought');
  await aWhile(page);
  await page.getByRole('button', { name: 'stop' }).click();
  await expect(page.getByRole('button', { name: 'note' })).toHaveAttribute('aria-disabled', 'true');
  await page.getByRole('button', { name: 'Go back' }).click();
  await aWhile(page);
  await page.getByRole('button', { name: 'note' }).click();
  await expect(page.getByLabel('Note at this moment')).toHaveValue('half a thought');
  await page.getByRole('button', { name: 'Keep the note' }).click();
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(page.getByRole('button', { name: 'Record' })).toBeEnabled();
  await page.getByRole('link', { name: 'Compose' }).click();
  await addStep(page, 'jiache');
  await saved(page);
  await page.getByRole('link', { name: 'Guide' }).click();
  await page.getByRole('button', { name: /^Go on at step 2 of 2/ }).click();
  await expect(page.locator('.player-bar')).toContainText('step 2 of 2');
});

test('by touch: begins at a step, a second touch of a wet finger is let go, softened goes on', async ({ page }) => {
  await ready(page, 'temple circles', 'stay masseter', 'jiache');
  await page.getByLabel('at step').selectOption({ index: 1 });
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText('step 2 of 3')).toBeVisible();
  const softened = page.getByRole('button', { name: /Softened, go on/ });
  await expect(softened).toBeVisible();
  await expect(page.getByText('wait until the fibres below the contact give way')).toBeVisible();
  expect((await softened.boundingBox())!.height).toBeGreaterThanOrEqual(64);
  for (const name of ['back', 'pause', 'next', 'lighter', 'firmer', 'seconds', 'note', 'stop']) {
    const box = (await page.getByRole('group', { name: 'Run' }).getByRole('button', { name }).boundingBox())!;
    expect(Math.min(box.width, box.height), name).toBeGreaterThanOrEqual(64);
  }
  await page.getByRole('button', { name: 'lighter' }).dblclick();
  await expect(page.locator('.where')).toContainText('light');
  await aWhile(page);
  await softened.click();
  await expect(page.getByText('step 3 of 3')).toBeVisible();
  await aWhile(page);
  await page.getByRole('button', { name: 'note' }).click();
  await page.getByRole('button', { name: 'Softer' }).click();
  await page.getByRole('button', { name: 'next' }).click();
  await page.getByRole('button', { name: 'Record' }).click();
  await expect(page.getByText('Note: Softer')).toBeVisible();
});

test('hands are waited for when that is wanted: the work begins when they are there', async ({ page }) => {
  await ready(page, 'warm palms jaw 40s', 'temple circles');
  await page.getByLabel(/^Wait for my hands/).check();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const there = page.getByRole('button', { name: /There, begin/ });
  await expect(there).toBeVisible();
  await expect(page.getByTestId('count')).toHaveText('5s');
  await there.click();
  await expect(there).toBeHidden();
  await expect(page.getByText('hold, seconds left')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(there).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/of \d+ circles/)).toBeVisible();
});

test('on a phone on its side the count, the side and what is waited for stay in sight; near a hand it says whose', async ({
  page,
}) => {
  await ready(page, 'LI4 press each', 'stay masseter');
  await page.getByLabel(/^Wait for my hands/).check();
  await page.setViewportSize({ width: 844, height: 390 });
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const seen = async (locator: ReturnType<typeof page.locator>) => {
    await expect(locator).toBeVisible();
    const box = (await locator.boundingBox())!;
    const controls = (await page.getByRole('group', { name: 'Run' }).boundingBox())!;
    expect(box.y).toBeGreaterThanOrEqual(0);
    expect(box.y + box.height).toBeLessThanOrEqual(controls.y + 1);
  };
  const there = page.getByRole('button', { name: /There, begin/ });
  for (const part of [page.getByTestId('count'), page.locator('.where'), there]) await seen(part);
  expect((await there.boundingBox())!.height).toBeGreaterThanOrEqual(64);
  await expect(page.locator('.chart-corner-word').first()).toHaveText('client’s left hand');
  await aWhile(page);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  const softened = page.getByRole('button', { name: /Softened, go on/ });
  for (const part of [page.getByTestId('count'), softened]) await seen(part);
});

test('by ear: every step is said, also the first, and after a key; the side before it comes; the last count', async ({
  page,
}) => {
  await listen(page);
  await ready(page, 'warm palms jaw 40s', 'masseter press open 5x 20/min each');
  await page.getByLabel('The voice is for').selectOption('practitioner');
  await page.getByLabel('It counts').selectOption('every');
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect.poll(() => said(page)).toHaveLength(1);
  await page.evaluate(() => (window as unknown as { said: string[] }).said.splice(0));
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect
    .poll(async () => (await said(page)).at(-1))
    .toMatch(/^Warm palms on the chewing muscles\. Both sides\. Light pressure/);
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => (await said(page)).at(-1)).toMatch(/Client’s left\. \w+ pressure/);
  await expect.poll(() => said(page), { timeout: 30_000 }).toContain('Change. Client’s right.');
  const all = await said(page);
  expect(all.indexOf('Soon the client’s right.')).toBeGreaterThan(0);
  expect(all.indexOf('Soon the client’s right.')).toBeLessThan(all.indexOf('Change. Client’s right.'));
  expect(all).toEqual(expect.arrayContaining(['1', '2', '3', '4', 'last one']));
  // What is chosen here is kept on the device.
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await expect(page.getByRole('button', { name: 'Record' })).toBeEnabled();
  await page.reload();
  await expect(page.getByLabel('The voice is for')).toHaveValue('practitioner');
});

test('another key for a command, in the help of the run; the old one does nothing any more', async ({ page }) => {
  await ready(page, 'warm palms jaw 40s', 'temple circles');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByText('step 1 of 2')).toBeVisible();
  await page.keyboard.press('Space');
  await page.getByRole('button', { name: 'Help' }).click();
  const help = page.getByRole('dialog');
  await help.getByRole('button', { name: 'Another key for: next step' }).click();
  await page.keyboard.press('j');
  await expect(help.getByRole('row', { name: /next step/ })).toContainText('j');
  await help.getByRole('button', { name: 'Close' }).click();
  await expect(help).toBeHidden();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText('step 1 of 2')).toBeVisible();
  await page.keyboard.press('j');
  await expect(page.getByText('step 2 of 2')).toBeVisible();
});

test('without a routine it says what to do first', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await page.getByRole('link', { name: 'Guide' }).click();
  await expect(page.getByText('There is no routine to guide yet')).toBeVisible();
});

test('a test inside a routine asks for its reading and keeps it', async ({ page }) => {
  await openPractice(page);
  await addClient(page);
  await toCompose(page);
  await addStep(page, 'temple circles');
  await saved(page);
  const save = page.url().replace('/compose', '/save');
  const headers = { origin: new URL(page.url()).origin };
  const stored = async () => {
    const answer = await page.request.post(save, {
      headers,
      data: { saveId: 'which-version', expectedVersion: 999, patch: { kind: 'stage', stage: 'screen' } },
    });
    const { visit, readings } = (await answer.json()) as {
      visit: { version: number; routine: { items: { dose: { parts: object[] } }[] } };
      readings: { measure: string; side: string; phase: string; value: number }[];
    };
    return { ...visit, readings };
  };
  const { version, routine } = await stored();
  routine.items[0]!.dose.parts = [{ kind: 'test', measure: 'opening-mm', place: '', seconds: 60 }];
  const put = await page.request.post(save, {
    headers,
    data: { saveId: 'with-a-test', expectedVersion: version, patch: { kind: 'routine', routine } },
  });
  expect(put.status()).toBe(200);
  await page.goto(page.url().replace('/compose', '/guide'));
  await page.getByRole('button', { name: 'Start' }).click();
  const field = page.getByLabel('Opening, comfortable, mm');
  await field.fill('91');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('0 to 90 mm is accepted')).toBeVisible();
  await field.fill('41,5');
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByText('Kept: 41.5 mm')).toBeVisible();
  await expect
    .poll(async () => (await stored()).readings.map((r) => [r.measure, r.side, r.phase, r.value]))
    .toEqual([['opening-mm', 'midline', 'after', 41.5]]);
});

test('a microcurrent unit is read while its step runs: lost contact is told, and comes back; the current is switched off', async ({
  page,
}) => {
  await ready(page, 'set up conductive gloves');
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const unit = page.getByRole('region', { name: 'Microcurrent' });
  await expect(unit).toContainText(/Stand-in unit.*Contact\. \d+ µA of 200 set/);
  await expect(unit.getByRole('alert')).toContainText('No contact: the current does not reach the skin.');
  await expect(unit).toContainText(/Contact\. \d+ µA of 200 set/);
  await expect(unit.getByRole('alert')).toHaveCount(0);
  await unit.getByRole('button', { name: 'Current off' }).click();
  await expect(unit).toContainText('Current off.');
});
