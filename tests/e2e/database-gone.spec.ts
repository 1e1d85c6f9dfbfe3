import { throwAwayCluster } from '../../scripts/lib/postgres.ts';
import { serve } from '../../scripts/lib/server.ts';
import { addClientByHand, expect, openPracticeByHand, test } from './base.ts';

/** Its own database and server: the others must not notice. */
test('with the database gone a plain page says so, and it recovers without a restart', async ({ browser }) => {
  test.setTimeout(120_000);
  const cluster = await throwAwayCluster();
  const served = await serve(cluster.url);
  try {
    const context = await browser.newContext({ baseURL: served.url });
    const page = await context.newPage();
    await openPracticeByHand(page);
    await addClientByHand(page);
    const client = page.url();

    await cluster.suspend();
    const answer = await page.goto(client);
    expect(answer!.status()).toBe(503);
    await expect(page.getByRole('heading', { name: 'The records cannot be reached' })).toBeVisible();
    await expect(page.getByText('Nothing that was saved is lost.')).toBeVisible();

    await cluster.resume();
    await page.getByRole('link', { name: 'Try again' }).click();
    await expect(page.getByRole('heading', { name: 'Jaw, left: not rated yet' })).toBeVisible();
    await context.close();
  } finally {
    await served.stop();
    await cluster.stop();
  }
});
