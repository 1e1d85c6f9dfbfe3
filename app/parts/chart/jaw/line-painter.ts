import { movingPath, type MovingText, textAt } from '../../../../core/drawing';
import type { CarriedDrawing } from './carried';

/** Where the parts of a drawing lie: what stays between the areas and the lines that move, each painted by itself. */
export interface DrawingLayers {
  areas: Element;
  base: Element;
  lines: Element;
}
interface Moving {
  element: Element;
  text: MovingText;
}

/** The skin and its shade, which lie under all lines. */
const AREAS = '.chart-skin, .chart-relief';
/** Moves an element to another layer, within a twin of the group that it is in. */
function into(layer: Element, element: Element, parent: Element = element.parentElement!): void {
  const twin = parent.cloneNode(false) as Element;
  twin.append(element);
  layer.append(twin);
}

/**
 * Writes the lines of one drawn profile at any opening within its reach. A frame touches only what moves: strokes are cut
 * into pieces that stay and pieces that move, once, and what moves is taken to layers of its own.
 */
export class LinePainter {
  private readonly areas: Moving[] = [];
  private readonly lines: Moving[] = [];

  constructor(
    { areas, base, lines }: DrawingLayers,
    private readonly drawing: CarriedDrawing,
  ) {
    const elements = [...base.querySelectorAll('path')];
    drawing.paths.forEach((path, i) => {
      const element = elements[i]!;
      const isArea = !!element.closest(`clipPath, ${AREAS}`);
      const cut = element.parentElement!.getAttribute('fill') === 'none' && !element.hasAttribute('stroke-dasharray');
      const { still, moving } = movingPath(path, [drawing.ends[0]![i] ?? null, drawing.ends[1]![i] ?? null], cut);
      if (!moving) return;
      if (isArea) this.areas.push({ element, text: moving });
      else if (!cut) {
        into(lines, element);
        this.lines.push({ element, text: moving });
      } else {
        const piece = element.cloneNode(false) as Element;
        // Two pieces of one line meet: a round end on both would show.
        piece.setAttribute('stroke-linecap', 'butt');
        element.setAttribute('d', still);
        into(lines, piece, element.parentElement!);
        this.lines.push({ element: piece, text: moving });
      }
    });
    const under = base.querySelector('[mask]')?.cloneNode(false) as Element | undefined;
    if (under) {
      under.append(...base.querySelectorAll(AREAS));
      areas.append(under);
    }
    // A clip that is written anew makes everything around it be painted anew.
    areas.append(...base.querySelectorAll('clipPath'));
  }

  /** @param whole soft areas too, which need not be at every frame */
  paint(mm: number, whole: boolean): void {
    const { reach, atMm } = this.drawing;
    const towards = mm < atMm ? 0 : 1;
    const endMm = towards === 0 ? reach.fromMm : reach.toMm;
    const share = endMm === atMm ? 0 : Math.min(1, (mm - atMm) / (endMm - atMm));
    for (const { element, text } of whole ? [...this.areas, ...this.lines] : this.lines)
      element.setAttribute('d', textAt(text, towards, share));
  }
}
