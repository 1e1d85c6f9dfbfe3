import type { Page } from '@playwright/test';

/** A page with its charts drawn, so that they are on the paper too. */
export async function openSheet(page: Page, path: string): Promise<void> {
  await page.goto(path);
  await page.waitForLoadState('networkidle');
  if (await page.locator('.face-chart').count())
    await page.locator('.chart-terrain path').first().waitFor({ state: 'attached' });
}
export const idIn = (page: Page) => /[0-9a-f-]{36}/.exec(page.url())![0];

/** Every sheet of the demo practice: its address, who it is for, and what has to stand on it. */
export async function sheets(page: Page): Promise<[path: string, who: string, says: RegExp[]][]> {
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Left jaw, before rehearsal' }).click();
  await page.waitForURL(/routines\/[0-9a-f-]{36}/);
  const routine = idIn(page);
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  const client = idIn(page);
  await page.goto(`/clients/${client}/visits`);
  const first = (await page.locator('a[href*="/visits/"]').last().getAttribute('href'))!.match(/[0-9a-f-]{36}/)![0];
  return [
    [`/paper/routines/${routine}`, '', [/Left jaw, before rehearsal/, /17:57 of 20 min/, /client’s right/]],
    [`/paper/visits/${first}/routine`, 'Noor Halvorsen', [/Old neck strain/, /more than medium/]],
    [`/paper/visits/${first}`, 'Noor Halvorsen', [/With Imke Dahl/, /Masseter left/, /Hands on/]],
    [
      `/paper/clients/${client}/relief`,
      'Noor Halvorsen',
      [/Jaw, left: better by/, /What was done/, /Yawn without thinking/, /no diagnosis/],
    ],
    [
      `/paper/clients/${client}/relief?for=colleague`,
      'Noor Halvorsen',
      [/Jaw, left: better by/, /To whoever treats Noor/, /What is minded/, /Old neck strain/, /no diagnosis/],
    ],
    ['/paper/atlas/point/GB20', '', [/GB20/]],
    ['/paper/atlas/muscle/masseter-superficial', '', [/Masseter/, /Pain is often felt/]],
    ['/paper/atlas/technique/masseter-pin-open', '', [/Pin a knot/]],
  ];
}
