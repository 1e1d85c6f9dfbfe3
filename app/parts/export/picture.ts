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

/**
 * Drawings that lie on each other on the screen as one self-contained SVG text.
 * @param ground Custom property of the paper's colour.
 */
export function asSvg(sheets: readonly SVGSVGElement[], ground: '--chart-paper' | '--sheet'): string | null {
  const first = sheets[0];
  if (!first) return null;
  const out = first.cloneNode(false) as SVGSVGElement;
  const { width, height } = first.viewBox.baseVal;
  out.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  out.setAttribute('width', String(Math.round(width)));
  out.setAttribute('height', String(Math.round(height)));
  for (const name of ['class', 'style', 'aria-hidden']) out.removeAttribute(name);
  const paper = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  const { x, y } = first.viewBox.baseVal;
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
  return new XMLSerializer().serializeToString(out);
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

/** The chart that is on the screen. */
export const chartAsSvg = (chart: HTMLElement): string | null =>
  asSvg([...chart.querySelectorAll<SVGSVGElement>('.chart-moving > svg')], '--chart-paper');

/** The same as a PNG of three times its size. */
export async function chartAsPng(svg: string): Promise<Blob | null> {
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

/** Hand a file to the person in front of the screen. */
export function saveFile(name: string, content: Blob): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}
