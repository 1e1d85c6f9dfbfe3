import pdfmake from 'pdfmake/build/pdfmake';
import type { ContextPageSize, TDocumentDefinitions, TVirtualFileSystem } from 'pdfmake/interfaces';
import { contentOf, POINTS } from './content';
import { FIRST_FACE, lettersFor } from './letters';

export { LettersMissing } from './letters';
export type PaperSize = 'A4' | 'LETTER';

/** Points, as the sheet is printed: left and right, head and foot. */
const MARGIN = 42;
const HEAD = 56;
const SMALLER = [0.94, 0.88];
const WIDTHS: Record<PaperSize, number> = { A4: 595.28, LETTER: 612 };

/**
 * A sheet as a file: its words, tables and drawings as they stand on the page, its head and the count on every page.
 * @throws LettersMissing where a letter of it cannot be shown in a file.
 */
export async function sheetFile(paper: HTMLElement, size: PaperSize): Promise<Blob> {
  const body = paper.querySelector('.paper-body')!;
  const head = [...paper.querySelectorAll('.paper-head > *')].map((e) => e.textContent.trim());
  const foot = body.querySelector('.paper-foot')?.textContent ?? '';
  const letters = await lettersFor(`${head.join('')}${body.textContent}0123456789 of`);
  const width = WIDTHS[size] - 2 * MARGIN;
  const [practice = '', title = '', day = ''] = head;
  const at = (words: string, alignment: 'left' | 'center' | 'right', bold = false) => ({
    text: letters.runs(words),
    alignment,
    bold,
    width: alignment === 'center' ? ('*' as const) : ('auto' as const),
  });
  let pageCount = 0;
  const made = (scale: number): TDocumentDefinitions => ({
    pageSize: size,
    pageMargins: [MARGIN, HEAD, MARGIN, 36],
    info: { title: [title, day].join(', '), author: practice },
    language: 'en',
    defaultStyle: { font: FIRST_FACE, fontSize: 10, lineHeight: 1.1 },
    styles: {
      h1: { bold: true, margin: [0, 0, 0, 5] },
      h2: { bold: true, margin: [0, 5, 0, 2] },
      h3: { bold: true, margin: [0, 6, 0, 3] },
    },
    header: (_page: number, _pages: number, { width: wide }: ContextPageSize) => [
      {
        margin: [MARGIN, 28, MARGIN, 0],
        columnGap: 12,
        columns: [at(practice, 'left', true), at(title, 'center'), at(day, 'right')],
      },
      { canvas: [{ type: 'line', x1: MARGIN, x2: wide - MARGIN, y1: 4, y2: 4, lineWidth: 1.1 }] },
    ],
    footer: (page: number, pages: number) => {
      pageCount = pages;
      const count = { text: `${page} of ${pages}`, alignment: 'right' as const };
      return { margin: [MARGIN, 9, MARGIN, 0], fontSize: 9, columns: [at(foot, 'left'), count] };
    },
    // A heading stays with what it heads.
    pageBreakBefore: (node, nodes) => node.headlineLevel !== undefined && nodes.getFollowingNodesOnPage().length === 0,
    content: asOnPaper(paper, () => contentOf(body, { letters, width, points: POINTS * scale })),
  });
  // Bytes as they came; its types know only those written as text.
  const files = Object.entries(letters.files).map(([name, data]) => [name, { data }]);
  pdfmake.addVirtualFileSystem(Object.fromEntries(files) as TVirtualFileSystem);
  pdfmake.addFonts(letters.fonts);
  // A letter is one page where a little smaller makes it one; what is longer keeps its size.
  for (const scale of body.querySelector('.letter') ? [1, ...SMALLER] : []) {
    const letter = await pdfmake.createPdf(made(scale)).getBlob();
    if (pageCount === 1) return letter;
  }
  return pdfmake.createPdf(made(1)).getBlob();
}

/** A sheet on a phone is narrow, its file is not: it is measured as wide as it prints, and is narrow again before anybody sees. */
function asOnPaper<T>(paper: HTMLElement, work: () => T): T {
  paper.style.minWidth = '180mm';
  try {
    return work();
  } finally {
    paper.style.minWidth = '';
  }
}
