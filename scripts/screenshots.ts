/** Refreshes docs/screenshots from the demo practice: `npm run screenshots`. One picture per main view, 1280 × 800. */
import { chromium, type Page } from '@playwright/test';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { DEMO_SIGN_IN, seedDemo } from '../demo/seed.ts';
import { CHROMIUM_FLAGS } from '../playwright.config.ts';
import { closeDatabase, database } from '../server/db/connection.ts';
import { migrate } from '../server/db/migrate.ts';
import { ensureBuild } from './lib/build.ts';
import { CHROMIUM, ensureChromium } from './lib/debian.ts';
import { ROOT } from './lib/paths.ts';
import { throwAwayCluster } from './lib/postgres.ts';
import { serve } from './lib/server.ts';

const folder = join(ROOT, 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });
ensureChromium();
ensureBuild();
const cluster = await throwAwayCluster();
process.env.DATABASE_URL = cluster.url;
await migrate(database());
await seedDemo(new Date());
await closeDatabase();
const served = await serve(cluster.url);
const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });

async function shot(page: Page, name: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => document.fonts.ready);
  await page.waitForTimeout(400);
  await page.screenshot({ path: join(folder, `${name}.png`) });
  console.log(name);
}
const visitOf = async (page: Page, name: string): Promise<string> => {
  await page.goto('/today');
  await page.getByRole('link', { name }).first().click();
  await page.waitForURL(/\/visits\/[^/]+\/\w+$/);
  return page.url().replace(/\/\w+$/, '');
};

try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: served.url });
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill(DEMO_SIGN_IN.email);
  await page.getByLabel('Password').fill(DEMO_SIGN_IN.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
  await shot(page, 'today');
  await page.goto('/clients');
  await shot(page, 'clients');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]+$/);
  await shot(page, 'relief');
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Left jaw, before rehearsal' }).click();
  await page.waitForURL(/\/routines\/[0-9a-f-]+$/);
  await shot(page, 'routine');

  const petr = await visitOf(page, 'Petr Lindqvist');
  await page.goto(`${petr}/screen`);
  await page.locator('.question').filter({ hasText: 'thyroid condition' }).getByText('Yes', { exact: true }).click();
  await page.locator('.question').filter({ hasText: 'thyroid condition' }).scrollIntoViewIfNeeded();
  await shot(page, 'screen');

  const noor = await visitOf(page, 'Noor Halvorsen');
  await page.goto(`${noor}/assess`);
  await shot(page, 'assess');
  await page.goto(`${noor}/compose`);
  await shot(page, 'compose');
  await page.goto(`${noor}/guide`);
  await page.getByRole('button', { name: 'Dim room' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  await page.waitForTimeout(22_000);
  await page.keyboard.press('Space');
  await shot(page, 'guide');
  await page.keyboard.press('x');
  await page.getByRole('button', { name: 'Out of time' }).click();
  await page.getByRole('button', { name: 'Day room' }).click();
  await page.goto(`${noor}/record`);
  await page.getByRole('radiogroup', { name: 'Masseter, client’s left, 0 to 3' }).getByText('0', { exact: true }).click();
  await shot(page, 'record');
} finally {
  await browser.close();
  await served.stop();
  await cluster.stop();
}
