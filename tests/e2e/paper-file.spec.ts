import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { addClient, awake, expect, openPractice, signIn, startVisit, test } from './base.ts';
import { holdsAsSheet, type PrintedText, textsOf } from './pdf.ts';
import { idIn, openSheet, sheets } from './sheets.ts';

/** The sheet as it is saved: its name, and the texts of its pages. */
async function saved(page: Page, size: 'A4' | 'Letter'): Promise<{ name: string; pages: PrintedText[][] }> {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: `PDF, ${size}` }).click(),
  ]);
  return { name: file.suggestedFilename(), pages: await textsOf(await readFile(await file.path())) };
}
const joined = (texts: readonly PrintedText[]) => texts.map((t) => t.text.replace(/\s/g, '')).join('');

/** What stands on the sheet and is missing in its file. */
async function missingIn(page: Page, pages: readonly PrintedText[][]): Promise<string[]> {
  const seen = await page.locator('.paper-body').evaluate((body: HTMLElement) => {
    const told = [...body.querySelectorAll<HTMLElement>('.visually-hidden, .no-print')];
    for (const e of told) e.style.display = 'none';
    const text = body.innerText;
    for (const e of told) e.style.display = '';
    return text;
  });
  // Lines break at other places in a file, also inside a word that has a hyphen or a slash.
  const file = joined(pages.flat());
  return seen.split(/\s+/).filter((word) => !file.includes(word));
}

test('a sheet is saved as a file that says the same, with its head and number on each page', async ({ page }) => {
  test.slow();
  await signIn(page);
  for (const [path, who, says] of (await sheets(page)).filter(([path]) => !path.includes('/atlas/'))) {
    await openSheet(page, path);
    // A letter has to find room on the lower paper as well.
    for (const size of path.includes('/relief') ? (['A4', 'Letter'] as const) : (['A4'] as const)) {
      const { name, pages } = await saved(page, size);
      expect(name).toMatch(/^(Routine|Visit|Relief) .*\.pdf$/);
      expect(name).toContain(who);
      expect(pages.length, path).toBeLessThanOrEqual(path.includes('/relief') ? 1 : 3);
      expect(await missingIn(page, pages), path).toEqual([]);
      for (const texts of pages) expect(texts.map((t) => t.text).join(' '), path).toContain('Printed');
      holdsAsSheet(pages, who, says, `${path}, ${size}`);
    }
  }
});

test('on a chart in a file the client’s right stands left of the client’s left, as on the sheet', async ({ page }) => {
  await signIn(page);
  const [path] = (await sheets(page)).find(([path]) => path.startsWith('/paper/visits') && !path.endsWith('/routine'))!;
  await openSheet(page, path);
  const { pages } = await saved(page, 'A4');
  const sides = pages.flat().filter((t) => t.text === 'R' || t.text === 'L');
  expect(sides.map((t) => t.text).sort()).toEqual(['L', 'R']);
  const at = (side: string) => sides.find((t) => t.text === side)!.left;
  expect(at('R')).toBeLessThan(at('L'));
});

test('a file made on a phone is as wide as one made at a table', async ({ page }) => {
  await signIn(page);
  const of = (await sheets(page)).map(([path]) => path);
  for (const path of [of.find((p) => p.includes('for=colleague'))!, of.find((p) => p.startsWith('/paper/routines'))!]) {
    const lefts: number[][] = [];
    for (const [width, height] of [
      [1280, 800],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height });
      await openSheet(page, path);
      const texts = (await saved(page, 'A4')).pages.flat();
      lefts.push(
        ['Now', 'Change', 'What it means', 'Dose', 'Side', 'Time']
          .flatMap((head) => texts.find((t) => t.text.trim() === head) ?? [])
          .map((t) => t.left),
      );
    }
    expect(lefts[0]!.length, path).toBeGreaterThanOrEqual(2);
    expect(lefts[1]!.length, path).toBe(lefts[0]!.length);
    lefts[1]!.forEach((left, i) => expect(Math.abs(left - lefts[0]![i]!), `${path}, ${i}`).toBeLessThan(12));
  }
});

test('letters of other alphabets are carried; what no file can hold is told, and nothing is saved', async ({
  page,
}) => {
  await openPractice(page);
  for (const [name, isHeld] of [
    ['Jiřina Łuć', true],
    ['Ζωή Жанна', true],
    ['王小明', false],
  ] as const) {
    await page.goto('/clients');
    await addClient(page, name);
    await startVisit(page);
    await page.goto(`/paper/visits/${idIn(page)}`);
    await awake(page);
    if (isHeld) {
      const { pages } = await saved(page, 'A4');
      expect(joined(pages[0]!)).toContain(name.replace(' ', ''));
      continue;
    }
    await page.getByRole('button', { name: 'PDF, A4' }).click();
    await expect(page.getByRole('alert')).toHaveText('A file cannot hold 王 小 明. Print it instead.');
  }
});

test('a course is taken along as lines and as a picture, with its ratings and visits', async ({ page }) => {
  await signIn(page);
  await page.goto('/clients?find=noor');
  await page.getByRole('link', { name: 'Noor Halvorsen' }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  await awake(page);
  const jaw = page.locator('.course').filter({ hasText: 'Jaw, left' }).first();
  await jaw.getByText('Take the drawing along').click();
  const take = async (as: string) => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      jaw.getByRole('button', { name: `Course as ${as}` }).click(),
    ]);
    expect(file.suggestedFilename()).toBe(`Noor Halvorsen, Jaw, left.${as.toLowerCase()}`);
    return readFile(await file.path());
  };
  const lines = (await take('SVG')).toString();
  expect(lines).not.toContain('var(');
  for (const words of ['visit 1', 'visit 4', '2.4 better']) expect(lines).toContain(words);
  const picture = sharp(await take('PNG'));
  const { width } = await picture.metadata();
  expect(width).toBeGreaterThan(1500);
  // Drawn, not blank: ink as well as paper.
  const { channels } = await picture.stats();
  expect(channels[0]!.min).toBeLessThan(80);
  expect(channels[0]!.max).toBeGreaterThan(240);
});
