import type { Content, ContentText, CustomTableLayout, TableCell } from 'pdfmake/interfaces';
import { asSvg, chartAsSvg } from '../picture';
import { inFaces } from './drawing';
import type { Letters } from './letters';

const SOFT = '#444444';
/** Points of a file to a pixel of the page. */
export const POINTS = 0.75;

/**
 * What a person sees of a sheet: neither what is hidden, nor what only a screen reader is told, nor its tools, nor its
 * last line, which is at the foot of every page of a file.
 */
const shows = (e: Element): boolean =>
  !e.matches('.no-print, .visually-hidden, .paper-foot') && getComputedStyle(e).display !== 'none';
const isFolded = (e: Element) => e.parentElement?.matches('details:not([open])') === true && !e.matches('summary');
const isInline = (node: Node): boolean =>
  node.nodeType === Node.TEXT_NODE ||
  (node instanceof Element && !(node instanceof SVGElement) && getComputedStyle(node).display.startsWith('inline'));
const isMark = (node: Node): node is SVGSVGElement => node instanceof SVGSVGElement && node.width.baseVal.value <= 20;

type Sides = [number, number, number, number];
interface Look {
  bold?: boolean;
  color?: string;
}
/** Points between the words of two columns. */
const PADDING = 6;
const NAME_WIDTH = 90;
/** Letters that surely fit beside each other with their marks. */
const SHORT_LINE = 50;
/** Marks that are explained beside each other. */
const KEYS = 3;
/** Of a chart, and of a course or a ribbon, so that what it is about still stands on the same page. */
const CHART_HIGHEST = 290;
const STRIP_HIGHEST = 96;
const PLAIN: CustomTableLayout = {
  hLineWidth: () => 0,
  vLineWidth: () => 0,
  paddingLeft: () => 0,
  paddingRight: () => PADDING,
  paddingTop: () => 1.5,
  paddingBottom: () => 1.5,
};
const RULED: CustomTableLayout = {
  ...PLAIN,
  hLineWidth: (i, { table }) => (i === table.headerRows ? 0.8 : i === 0 ? 0 : 0.3),
  hLineColor: (i, { table }) => (i === table.headerRows ? '#000000' : '#999999'),
};

interface Ways {
  letters: Letters;
  /** Points between the margins. */
  width: number;
  /** To a pixel of the page; fewer where it is made smaller. */
  points: number;
}

/** What stands on a sheet as the content of a file, in the order in which it is read. */
export function contentOf(within: Element, ways: Ways): Content[] {
  const nodes = [...within.childNodes];
  const side = nodes.findIndex((n) => n instanceof Element && getComputedStyle(n).float === 'right' && shows(n));
  if (side < 0) return contentOfAll(nodes, ways);
  const beside = nodes[side] as Element;
  const width = beside.getBoundingClientRect().width * ways.points;
  return [
    ...contentOfAll(nodes.slice(0, side), ways),
    {
      columns: [
        { width: '*', stack: contentOfAll(nodes.slice(side + 1), { ...ways, width: ways.width - width - PADDING }) },
        { width, stack: contentOf(beside, { ...ways, width }) },
      ],
      columnGap: PADDING,
    },
  ];
}

function contentOfAll(nodes: readonly Node[], ways: Ways): Content[] {
  const out: Content[] = [];
  let line: Node[] = [];
  const endLine = () => {
    const said = lineOf(line, ways);
    if (said) out.push(said);
    line = [];
  };
  for (const node of nodes) {
    if (isInline(node) || isMark(node)) line.push(node);
    else if (node instanceof Element && shows(node) && !isFolded(node)) {
      endLine();
      out.push(...blockOf(node, ways));
    }
  }
  endLine();
  return out;
}

function blockOf(e: Element, ways: Ways): Content[] {
  if (e.matches('.face-chart')) return figureOf(chartAsSvg(e as HTMLElement), e, CHART_HIGHEST, ways);
  if (e instanceof SVGSVGElement) return figureOf(asSvg([e], '--chart-paper'), e, STRIP_HIGHEST, ways);
  if (e instanceof HTMLImageElement) return [{ image: e.src, width: e.width * ways.points, margin: [0, 4, 0, 4] }];
  if (e.matches('.paper-charts')) {
    const each = [...e.children].filter(shows);
    const width = (ways.width - 10 * (each.length - 1)) / each.length;
    return [{ columns: each.map((chart) => ({ width, stack: blockOf(chart, { ...ways, width }) })), columnGap: 10 }];
  }
  if (e instanceof HTMLTableElement) return [tableOf(e, ways)];
  if (e.matches('dl')) return factsOf(e, ways);
  if (e.matches('ul, ol')) {
    const points = [...e.children].filter(shows).map((point) => ({ stack: contentOf(point, ways) }));
    return [e.matches('ol') ? { ol: points, margin: [0, 0, 0, 4] } : { ul: points, margin: [0, 0, 0, 4] }];
  }
  const inside = contentOf(e, ways);
  const level = /^H([1-4])$/.exec(e.tagName)?.[1];
  if (level) return [{ stack: inside, style: `h${level}`, headlineLevel: Number(level) }];
  if (e.matches('p')) return [{ stack: inside, margin: [0, 0, 0, 4] }];
  return inside;
}

/** A drawing is never wider than what holds it. */
function figureOf(drawing: string | null, e: Element, highest: number, ways: Ways): Content[] {
  if (!drawing) return [];
  const svg = inFaces(drawing, ways.letters);
  const width = Math.min(ways.width, e.getBoundingClientRect().width * ways.points);
  return [{ svg, fit: [width, (highest * ways.points) / POINTS], alignment: 'center', margin: [0, 3, 0, 5] }];
}

/** One line of words; a mark among them is drawn before the words that follow it. */
function lineOf(nodes: readonly Node[], ways: Ways): Content | null {
  const parts: { mark: SVGSVGElement | null; words: ContentText[] }[] = [{ mark: null, words: [] }];
  const within = nodes[0]?.parentElement;
  const size = within ? { fontSize: parseFloat(getComputedStyle(within).fontSize) * ways.points } : {};
  const say = (text: string, look: Look) => {
    const { words } = parts.at(-1)!;
    // As on the page: one space between words, none at the beginning.
    const opens = words.length === 0 || /\s$/.test(words.at(-1)!.text as string);
    for (const run of ways.letters.runs(opens ? text.replace(/^\s+/, '') : text)) words.push({ ...run, ...look });
  };
  const read = (node: Node, look: Look): void => {
    if (isMark(node)) parts.push({ mark: node, words: [] });
    else if (node.nodeType === Node.TEXT_NODE) say(node.textContent!, look);
    else if (node instanceof HTMLBRElement) parts.at(-1)!.words.push({ text: '\n' });
    else if (node instanceof Element && shows(node)) {
      const bold = Number(getComputedStyle(node).fontWeight) >= 600;
      const inside = { ...look, ...(bold && { bold }), ...(node.matches('.soft') && { color: SOFT }) };
      node.childNodes.forEach((child) => read(child, inside));
    }
  };
  nodes.forEach((node) => read(node, {}));
  const said = parts.filter((p) => p.mark || p.words.length);
  if (!said.some((p) => p.mark)) return said.length ? { text: said[0]!.words, ...size } : null;
  const marked = said.map(({ mark, words }) => [
    ...(mark ? [{ svg: asSvg([mark], '--chart-paper')!, width: 8, margin: [0, 2, 0, 0] as Sides }] : []),
    { width: 'auto' as const, text: words, ...size },
  ]);
  if (nodes.reduce((sum, n) => sum + n.textContent!.length, 0) <= SHORT_LINE)
    return { columns: marked.flat(), columnGap: 4 };
  const rows = Array.from({ length: Math.ceil(marked.length / KEYS) }, (_, i) =>
    marked.slice(i * KEYS, (i + 1) * KEYS),
  );
  return {
    stack: rows.map((some) => ({ columns: some.map((columns) => ({ columns, columnGap: 4 })), columnGap: 10 })),
  };
}

/** A table with the widths that its columns have on the page. */
function tableOf(table: HTMLTableElement, ways: Ways): Content {
  const rows = [...table.rows].filter(shows);
  const all = Math.max(...rows.map((r) => [...r.cells].reduce((sum, c) => sum + c.colSpan, 0)));
  const even = rows.find((r) => r.cells.length === all);
  // What stands between the words of two columns belongs to none of them.
  const free = ways.width - all * PADDING;
  const px = [...(even?.cells ?? [])].map((c) => c.getBoundingClientRect().width);
  const whole = px.reduce((a, b) => a + b, 0);
  const widths = px.length ? px.map((w) => (w / whole) * ways.width - PADDING) : Array<number>(all).fill(free / all);
  const body = rows.map((r) => [...r.cells].flatMap((cell) => cellOf(cell, ways)));
  return {
    table: { headerRows: table.tHead?.rows.length ?? 0, widths, body, dontBreakRows: true, keepWithHeaderRows: 1 },
    layout: RULED,
    margin: [0, 3, 0, 8],
  };
}

function cellOf(cell: HTMLTableCellElement, ways: Ways): TableCell[] {
  const { textAlign } = getComputedStyle(cell);
  return [
    {
      stack: contentOf(cell, ways),
      colSpan: cell.colSpan,
      bold: cell.tagName === 'TH',
      ...(cell.matches('.soft') && { color: SOFT }),
      ...((textAlign === 'right' || textAlign === 'end') && { alignment: 'right' as const }),
    },
    // The place of each further column that a wide cell covers.
    ...Array.from({ length: cell.colSpan - 1 }, () => ({})),
  ];
}

/** Names and what is said of them, beside each other. */
function factsOf(list: Element, ways: Ways): Content[] {
  const body = [...list.querySelectorAll('dt')].map((name) => [
    { stack: contentOf(name, ways), bold: true },
    { stack: contentOf(name.nextElementSibling!, ways) },
  ]);
  if (!body.length) return [];
  return [
    {
      table: { widths: [NAME_WIDTH, ways.width - NAME_WIDTH - 2 * PADDING], body, dontBreakRows: true },
      layout: PLAIN,
    },
  ];
}
