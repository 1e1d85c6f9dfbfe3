/** Refreshes docs/screenshots from the demo practice: `npm run screenshots`. One picture per main view, 1280 × 800. */
import type { Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { openDemo } from './lib/open-demo.ts';
import { ROOT } from './lib/paths.ts';

const folder = join(ROOT, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
const { page, close } = await openDemo();

async function shot(page: Page, name: string): Promise<void> {
  // A visit's page hears of others all along: the way to the server is never idle.
  await page.waitForLoadState('load');
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(800);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(name);
}
/** The page of a private link, as its client has it in the hand. */
async function phoneShot(link: string): Promise<void> {
  const context = await page
    .context()
    .browser()!
    .newContext({ viewport: { width: 390, height: 844 }, isMobile: true });
  const phone = await context.newPage();
  await phone.goto(link);
  await phone.locator('.steps-today .chart-terrain').first().waitFor();
  await phone.getByRole('button', { name: '4', exact: true }).click();
  await shot(phone, 'home-phone');
  await context.close();
}
const visitOf = async (page: Page, name: string): Promise<string> => {
  await page.goto('/today');
  await page.getByRole('link', { name }).first().click();
  await page.waitForURL(/\/visits\/[^/]+\/\w+$/);
  return page.url().replace(/\/\w+$/, '');
};

try {
  await shot(page, 'today');
  await page.goto('/clients');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]+$/);
  await shot(page, 'relief');
  await page.getByRole('link', { name: 'Home plan' }).click();
  await page.getByRole('button', { name: 'Make a private link' }).click();
  const link = (await page.locator('.give-link .address').textContent())!;
  await phoneShot(link);
  await page.reload();
  await shot(page, 'home-plan');
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await page.getByRole('link', { name: 'Measure' }).click();
  await page.getByLabel('Across the jaw angles').focus();
  await shot(page, 'measure');
  await page.goto('/atlas/muscle/masseter-superficial?q=masseter&jaw=25');
  for (const layer of ['Muscles', 'Fibres']) await page.getByRole('button', { name: layer, exact: true }).click();
  await shot(page, 'atlas-profile');
  await page.goto('/atlas/point/GB14?complaint=headache&kind=point');
  await shot(page, 'atlas-front');
  await page.goto('/atlas/point/LI4?caution=pregnancy');
  await shot(page, 'atlas-hand');
  await page.goto('/atlas/find-it');
  await page.locator('.chart-terrain path').first().waitFor({ state: 'attached' });
  await page.mouse.click(262, 305);
  await shot(page, 'find-it');
  await page.goto('/pad');
  await page.getByText('Stand-in sensor').waitFor();
  await page.getByLabel('A made-up hand').selectOption('hard');
  await page.getByRole('button', { name: 'Let it work' }).click();
  await page.waitForTimeout(16_000);
  await shot(page, 'pad');
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Left jaw, before rehearsal' }).focus();
  await shot(page, 'routine');

  const petr = await visitOf(page, 'Petr Lindqvist');
  await page.goto(`${petr}/screen`);
  await page.locator('.question').filter({ hasText: 'thyroid condition' }).getByText('Yes', { exact: true }).click();
  await page.locator('.question').filter({ hasText: 'thyroid condition' }).scrollIntoViewIfNeeded();
  await shot(page, 'screen');

  const noor = await visitOf(page, 'Noor Halvorsen');
  await page.goto(`${noor}/assess`);
  await page.getByLabel('Furthest alone, mm').focus();
  await page.locator('.chart-terrain.is-lines .is-on path').first().waitFor({ state: 'attached' });
  await shot(page, 'assess');
  const threshold = page
    .locator('section.section')
    .filter({ has: page.getByRole('heading', { name: 'Pressure threshold' }) });
  await threshold.getByRole('button', { name: 'Measure' }).click();
  await threshold.getByRole('button', { name: 'Press 1 with the gauge' }).click();
  await page.waitForTimeout(2600);
  await threshold.evaluate((section) => section.scrollIntoView({ block: 'start' }));
  // The press goes on: no waiting for a quiet network.
  await page.screenshot({ path: join(folder, 'threshold.png') });
  console.log('threshold');
  await page.goto('/practice');
  await shot(page, 'practice');
  await page.goto(`${noor}/compose`);
  await shot(page, 'compose');
  await page.getByRole('button', { name: 'Propose' }).click();
  await page
    .getByText(/of what an hour could do/)
    .first()
    .waitFor({ timeout: 90_000 });
  await shot(page, 'propose');
  await page.keyboard.press('Escape');
  await page.goto(`${noor}/guide`);
  await page.getByRole('button', { name: 'Dim room' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.locator('.guide-count').waitFor();
  for (let i = 0; i < 40 && !(await page.getByRole('heading', { name: 'while the jaw drops' }).count()); i++) {
    await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(550);
  }
  await page.getByText(/^of \d+ openings/).waitFor();
  // The first opening, nearly as far as it goes.
  await page.waitForFunction(() => Number(document.querySelector('.jaw-mm')?.textContent) > 15);
  await page.keyboard.press('Space');
  await shot(page, 'guide');
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Stop the run' }).click();
  await page.getByRole('button', { name: 'Day room' }).click();
  await page.locator('[data-bs-theme=light]').waitFor();
  await page.goto(`${noor}/record`);
  await page
    .getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' })
    .getByText('0', { exact: true })
    .click();
  await shot(page, 'record');
} finally {
  await close();
}
