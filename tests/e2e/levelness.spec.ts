import { PHOTO_LANDMARKS } from '../../core/measures/index.ts';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { drawnFace } from '../../demo/drawn-face.ts';
import { addClient, expect, finish, openPractice, startVisit, test } from './base.ts';

const UNEVEN = { leftBrowUpMm: -3, leftLidUpMm: 0, leftMouthUpMm: 4, chinToLeftMm: 3.2, tiltDeg: 3 };
const file = async (name: string, buffer: Buffer, mimeType = 'image/png') => ({ name, mimeType, buffer });
const face = async () =>
  sharp(Buffer.from(drawnFace(UNEVEN).svg))
    .png()
    .toBuffer();
const level = (page: Page) => page.getByRole('region', { name: 'Levelness' });

test.beforeEach(async ({ page }) => {
  await openPractice(page);
  await addClient(page, 'Mireille Sato-Lund', 'jaw', 'right');
  await startVisit(page);
  await page.goto(page.url().replace('/screen', '/assess'));
  await level(page).getByRole('button', { name: 'Take from a photo' }).click();
});

async function consent(page: Page): Promise<void> {
  await level(page).getByRole('button', { name: 'Client agrees' }).click();
  await expect(level(page).getByText('Choose the photo')).toBeVisible();
}

test('without consent there is no way to a photo; what is no photo is refused and nothing is stored', async ({
  page,
}) => {
  await expect(level(page).getByText('Choose the photo')).toHaveCount(0);
  const visit = new URL(page.url()).pathname.replace('/assess', '');
  const send = (data: Buffer) =>
    page.request.post(`${visit}/photo?phase=before`, {
      headers: { origin: new URL(page.url()).origin, 'content-type': 'image/jpeg' },
      data,
    });
  expect((await send(await face())).status()).toBe(422);
  await consent(page);
  const chooser = level(page).locator('input[type=file]');
  const whole = await sharp(await face())
    .jpeg()
    .toBuffer();
  for (const [name, buffer] of [
    ['face.jpg', Buffer.from('504b03041400000008000000', 'hex')],
    [
      'face.png',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900"><script>alert(1)</script></svg>'),
    ],
    ['face.jpg', whole.subarray(0, whole.length >> 1)],
  ] as const) {
    await chooser.setInputFiles(await file(name, buffer));
    await expect(level(page).getByRole('alert')).toContainText('Not kept:');
    await expect(level(page).locator('.photo-frame')).toHaveCount(0);
  }
  expect((await send(Buffer.alloc(8_000_001))).status()).toBe(413);
  expect(
    (
      await page.request.post(`${visit}/photo?phase=during`, {
        headers: { origin: new URL(page.url()).origin },
        data: whole,
      })
    ).status(),
  ).toBe(422);
  await page.reload();
  await expect(level(page).getByRole('button', { name: 'Take from a photo' })).toBeVisible();
});

test('landmarks by clicks and keys give the unevenness that was drawn; the photo can be erased', async ({ page }) => {
  await consent(page);
  await level(page)
    .locator('input[type=file]')
    .setInputFiles(await file('face.png', await face()));
  const frame = level(page).locator('.photo-frame');
  await expect(frame).toBeVisible();
  const { marks } = drawnFace(UNEVEN);
  const box = (await frame.locator('svg').boundingBox())!;
  for (const [i, key] of PHOTO_LANDMARKS.entries()) {
    await expect(level(page).getByText(`${i + 1} of 16`, { exact: true })).toBeVisible();
    const p = marks[key]!;
    await frame.locator('svg').click({ position: { x: (p.x / 960) * box.width, y: (p.y / 1200) * box.height } });
    await frame.focus();
    // One px to and fro by the arrows; Enter goes on to the next.
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Enter');
  }
  await expect(level(page)).toContainText('16 of 16 marked');
  const row = (name: string) => level(page).getByRole('row').filter({ hasText: name });
  // A click is as exact as a px of the screen, 0.4 mm of this picture.
  for (const [name, words, mm] of [
    ['Brows', 'client’s right higher by', 3],
    ['Mouth corners', 'client’s left higher by', 4],
    ['Chin', 'to the client’s left by', 3.2],
  ] as const) {
    await expect(row(name)).toContainText(words);
    expect(Math.abs(Number(/by ([\d.]+) mm/.exec(await row(name).innerText())![1]) - mm), name).toBeLessThan(0.8);
  }
  await expect(row('Eye opening')).toContainText('none that can be told');
  await page.reload();
  await expect(row('Mouth corners')).toContainText('client’s left higher by');
  await level(page).getByRole('button', { name: 'Open the photo' }).click();
  const src = (await level(page).locator('.photo-frame image').getAttribute('href'))!;
  const stored = await page.request.get(src);
  expect(stored.headers()['content-type']).toBe('image/jpeg');
  expect((await sharp(await stored.body()).metadata()).exif).toBeUndefined();
  await level(page).getByRole('button', { name: 'Erase this photo' }).click();
  await expect(level(page).locator('.photo-frame')).toHaveCount(0);
  expect((await page.request.get(src)).status()).toBe(404);
});

test('a photo after the work is compared with the one before, and stays erasable when the visit has ended', async ({
  page,
}) => {
  await consent(page);
  const origin = new URL(page.url()).origin;
  const visit = new URL(page.url()).pathname.replace('/assess', '');
  const post = async (path: string, data: unknown, type = 'application/json') => {
    const answer = await page.request.post(path, { headers: { origin, 'content-type': type }, data: data as Buffer });
    expect(answer.status(), path).toBe(200);
    return (await answer.json()) as { photo: { id: string } };
  };
  for (const [phase, drawn] of [
    ['before', UNEVEN],
    ['after', { ...UNEVEN, leftMouthUpMm: 0.5, tiltDeg: -2 }],
  ] as const) {
    const { svg, marks } = drawnFace(drawn);
    const { photo } = await post(
      `${visit}/photo?phase=${phase}`,
      await sharp(Buffer.from(svg)).png().toBuffer(),
      'image/png',
    );
    await post(`${visit}/photo/${photo.id}`, { do: 'mark', version: 1, landmarks: marks });
  }
  await page.goto(`${visit}/record`);
  await level(page).getByRole('button', { name: 'Open the photo' }).click();
  await expect(level(page).getByRole('row').filter({ hasText: 'Mouth corners' })).toContainText(
    /more even by 3\.\d mm/,
  );
  await expect(level(page).getByRole('row').filter({ hasText: 'Brows' })).toContainText(
    'client’s right higher by 3.0 mm',
  );
  await expect(level(page).locator('.same-scale figure')).toHaveCount(2);
  await finish(page);
  await expect(page.getByText('Finished.', { exact: false })).toBeVisible();
  await level(page).getByRole('button', { name: 'Erase this photo' }).click();
  await expect(level(page).locator('.photo-frame')).toHaveCount(0);
});
