import { chromium, type Page } from '@playwright/test';
import { seedDemo } from '../../demo/seed.ts';
import { DEMO_SIGN_IN } from '../../demo/sign-in.ts';
import { CHROMIUM_FLAGS } from '../../playwright.config.ts';
import { startStandIns } from '../../devices/stand-ins.ts';
import { closeDatabase } from '../../server/db/connection.ts';
import { ensureBuild } from './build.ts';
import { CHROMIUM, ensureChromium } from './debian.ts';
import { DATA } from './paths.ts';
import { throwAwayCluster } from './postgres.ts';
import { prepare } from './prepare.ts';
import { serve } from './server.ts';
import { ensureTrailKey } from './trail-key.ts';

/**
 * A browser that is signed in to the demo practice, on a server and a database of its own.
 * @param devices named in place of the stand-ins
 */
export async function openDemo({ devices }: { devices?: string } = {}): Promise<{
  page: Page;
  url: string;
  practiceId: string;
  close: () => Promise<void>;
}> {
  ensureChromium();
  ensureBuild();
  const cluster = await throwAwayCluster();
  ensureTrailKey(DATA);
  await prepare(cluster.url);
  const { practiceId } = await seedDemo(new Date());
  await closeDatabase();
  const standIns = await startStandIns();
  const served = await serve(cluster.url, { VELVET_DEVICES: devices ?? standIns.setting });
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_FLAGS });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: served.url });
  await page.goto('/sign-in');
  await page.getByLabel('E-mail address').fill(DEMO_SIGN_IN.email);
  await page.getByLabel('Password').fill(DEMO_SIGN_IN.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL('**/today');
  return {
    page,
    url: served.url,
    practiceId,
    close: async () => {
      await browser.close();
      await served.stop();
      await standIns.close();
      await cluster.stop();
    },
  };
}
