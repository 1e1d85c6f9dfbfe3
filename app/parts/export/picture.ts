/** Properties that the sheet's style gives to its marks; written into the copy, so that it looks the same anywhere. */
const KEPT = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'opacity',
  'font-size',
  'font-weight',
  'font-family',
  'text-anchor',
  'dominant-baseline',
  'paint-order',
];

/** In the units of a drawing. */
type Box = Record<'x' | 'y' | 'width' | 'height', number>;

/**
 * Drawings that lie on each other on the screen as one self-contained SVG text.
 * @param ground Custom property of the paper's colour.
 * @param words What the page writes over the drawing: which side is which, what it is.
 * @param box What is shown of it; its own box where nothing is said.
 */
export function asSvg(
  sheets: readonly SVGSVGElement[],
  ground: '--chart-paper' | '--sheet',
  { words = [], box }: { words?: Iterable<Element>; box?: Box } = {},
): string | null {
  const first = sheets[0];
  if (!first) return null;
  const out = first.cloneNode(false) as SVGSVGElement;
  const { x, y, width, height } = box ?? first.viewBox.baseVal;
  out.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  out.setAttribute('viewBox', [x, y, width, height].join(' '));
  out.setAttribute('width', String(Math.round(width)));
  out.setAttribute('height', String(Math.round(height)));
  for (const name of ['class', 'style', 'aria-hidden']) out.removeAttribute(name);
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({
    x,
    y,
    width,
    height,
    fill: getComputedStyle(first).getPropertyValue(ground).trim() || '#fff',
  }))
    paper.setAttribute(name, String(value));
  out.append(paper);
  for (const sheet of sheets)
    for (const child of sheet.children) {
      const copy = child.cloneNode(true) as SVGElement;
      copyLook(child, copy);
      copy.querySelectorAll('.chart-place').forEach((place) => place.remove());
      out.append(copy);
    }
  for (const word of words) out.append(...written(word, first));
  return new XMLSerializer().serializeToString(out);
}

/** Words of the page at the place of the drawing where they are seen, line by line as the page breaks them. */
function written(word: Element, drawing: SVGSVGElement): SVGTextElement[] {
  const toPage = drawing.getScreenCTM()!;
  const look = getComputedStyle(word);
  const letters = parseFloat(look.fontSize) / toPage.a;
  return linesOf(word).map(({ words, box: { left, right, bottom } }) => {
    const at = new DOMPoint((left + right) / 2, bottom).matrixTransform(toPage.inverse());
    const text = document.createElementNS('http://www.w3.org/2000/svg', 'text');
    for (const [name, value] of Object.entries({
      x: at.x,
      // Letters stand a quarter of their size above the lower edge of their line.
      y: at.y - letters / 4,
      'text-anchor': 'middle',
      'font-size': letters,
      'font-family': look.fontFamily,
      'font-weight': look.fontWeight,
      fill: look.color,
    }))
      text.setAttribute(name, String(value));
    text.textContent = words;
    return text;
  });
}

/** Each line of an element that holds words alone. */
function linesOf(element: Element): { words: string; box: DOMRect }[] {
  const node = element.firstChild!;
  const lines: { start: number; end: number; top: number }[] = [];
  const range = document.createRange();
  const over = (start: number, end: number) => {
    range.setStart(node, start);
    range.setEnd(node, end);
    return range.getBoundingClientRect();
  };
  for (const { index, 0: word } of node.textContent!.matchAll(/\S+/g)) {
    const { top } = over(index, index + word.length);
    const last = lines.at(-1);
    if (last && Math.abs(last.top - top) < 1) last.end = index + word.length;
    else lines.push({ start: index, end: index + word.length, top });
  }
  return lines.map(({ start, end }) => ({ words: node.textContent!.slice(start, end), box: over(start, end) }));
}

/** What the page shows of a drawing: its own box, what stands beside it where there is more room, and the words there. */
function asShown(drawing: SVGSVGElement, words: readonly Element[]): Box {
  const own = drawing.viewBox.baseVal;
  const toDrawing = drawing.getScreenCTM()!.inverse();
  const corners = [drawing, ...words].flatMap((e) => {
    const { left, top, right, bottom } = e.getBoundingClientRect();
    return [new DOMPoint(left, top), new DOMPoint(right, bottom)].map((p) => p.matrixTransform(toDrawing));
  });
  const [x, y] = [Math.min(own.x, ...corners.map((p) => p.x)), Math.min(own.y, ...corners.map((p) => p.y))];
  const right = Math.max(own.x + own.width, ...corners.map((p) => p.x));
  const bottom = Math.max(own.y + own.height, ...corners.map((p) => p.y));
  return { x, y, width: right - x, height: bottom - y };
}

function copyLook(from: Element, to: Element): void {
  const look = getComputedStyle(from);
  for (const name of KEPT) {
    const value = look.getPropertyValue(name);
    if (value && from.tagName !== 'defs') to.setAttribute(name, value);
  }
  for (const name of ['class', 'style', 'tabindex', 'role', 'aria-label']) to.removeAttribute(name);
  [...from.children].forEach((child, i) => copyLook(child, to.children[i]!));
}

/** The chart that is on the screen, with what is written over it. */
export function chartAsSvg(chart: HTMLElement): string | null {
  const sheets = [...chart.querySelectorAll<SVGSVGElement>('.chart-moving > svg')];
  if (!sheets[0]) return null;
  const words = [...chart.querySelectorAll('.chart-edge, .chart-edge-word, .chart-corner-word')];
  return asSvg(sheets, '--chart-paper', { words, box: asShown(sheets[0], words) });
}

/** A drawing as a PNG of three times its size. */
export async function asPng(svg: string): Promise<Blob | null> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const canvas = document.createElement('canvas');
  canvas.width = picture.naturalWidth * 3;
  canvas.height = picture.naturalHeight * 3;
  const pen = canvas.getContext('2d');
  if (!pen) return null;
  pen.scale(3, 3);
  pen.drawImage(picture, 0, 0);
  return new Promise((done) => canvas.toBlob(done, 'image/png'));
}

/** A name without the signs that a file system takes for its own. */
export const fileName = (words: string): string => words.replace(/[\\/:*?"<>|]/g, '-');

/** Hand a file to the person in front of the screen. */
export function saveFile(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
