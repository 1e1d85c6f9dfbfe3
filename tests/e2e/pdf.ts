import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { expect, type Page } from '@playwright/test';

/** One run of letters on a printed page, in points from its lower left corner. */
export interface PrintedText {
  text: string;
  left: number;
  right: number;
  bottom: number;
  top: number;
}

/** What the browser prints of a page, as the printer would get it: the texts of each sheet with their boxes. */
export const printed = async (page: Page, format: 'A4' | 'Letter' = 'A4'): Promise<PrintedText[][]> =>
  textsOf(await page.pdf({ format, printBackground: false }));

/** The texts of each page of a file with their boxes. */
export async function textsOf(bytes: Uint8Array): Promise<PrintedText[][]> {
  const file = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages: PrintedText[][] = [];
  for (let number = 1; number <= file.numPages; number++) {
    const sheet = await file.getPage(number);
    const { items } = await sheet.getTextContent();
    pages.push(
      items.flatMap((item) => {
        if (!('str' in item) || !item.str.trim()) return [];
        const [, , , size, left, base] = item.transform as number[];
        // Letters reach about so far above and below the line that they stand on.
        return [
          {
            text: item.str,
            left: left!,
            right: left! + item.width,
            bottom: base! - 0.12 * size!,
            top: base! + 0.68 * size!,
          },
        ];
      }),
    );
  }
  await file.destroy();
  return pages;
}

/** Whatever sheet it is: its head and its number on each page, nothing over anything, and in all of it what it is to say. */
export function holdsAsSheet(pages: readonly PrintedText[][], who: string, says: readonly RegExp[], of: string): void {
  const told = (texts: readonly PrintedText[]) =>
    texts
      .map((t) => t.text)
      .join(' ')
      .replace(/\s+/g, ' ');
  pages.forEach((texts, i) => {
    const all = told(texts);
    for (const words of ['Harbour Row Face Studio', who]) expect(all, `${of}, page ${i + 1}`).toContain(words);
    expect(all, `${of}, page ${i + 1}`).toMatch(new RegExp(`\\b${i + 1} of ${pages.length}\\b`));
    expect(all, `${of}, page ${i + 1}`).toMatch(/\d{1,2} \w{3} \d{4}/);
    expect(overlaps(texts), `${of}, page ${i + 1}`).toEqual([]);
  });
  for (const words of says) expect(told(pages.flat()), of).toMatch(words);
}

/** Pairs of texts that lie over each other by more than a hair. */
export function overlaps(texts: readonly PrintedText[], hair = 0.8): string[] {
  const out: string[] = [];
  texts.forEach((a, i) => {
    for (const b of texts.slice(i + 1)) {
      const across = Math.min(a.right, b.right) - Math.max(a.left, b.left);
      const up = Math.min(a.top, b.top) - Math.max(a.bottom, b.bottom);
      if (across > hair && up > hair) out.push(`“${a.text}” over “${b.text}”`);
    }
  });
  return out;
}
