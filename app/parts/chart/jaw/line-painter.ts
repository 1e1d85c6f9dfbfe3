import type { CarriedDrawing } from './carried';

/** Texts of the tenths that coordinates of a sheet are written with: looked up, since writing numbers costs most of a frame. */
const LEAST = -1000;
const TENTHS = Array.from({ length: 10_000 }, (_, i) => String((i + LEAST) / 10));
const written = (v: number): string => {
  const tenths = Math.round(v * 10);
  return TENTHS[tenths - LEAST] ?? String(tenths / 10);
};

/** Text of a path of which only some places move: literals, and between them the places that are written anew. */
interface Script {
  element: Element;
  /** One more than there are coordinates. */
  literals: string[];
  /** Into the coordinates of the path. */
  coordinates: Int32Array;
  at: Float32Array;
  ends: readonly [Float32Array | null, Float32Array | null];
}

/** Places that a command takes. */
const PLACES: Record<string, number> = { M: 1, L: 1, Q: 2, Z: 0 };

/** Writes a path as literals and coordinates; places that stay become part of the literals. */
class Writer {
  readonly literals = [''];
  readonly coordinates: number[] = [];
  literal(text: string): void {
    this.literals[this.literals.length - 1] += text;
  }
  place(k: number, at: Float32Array, isMoving: boolean): void {
    if (!isMoving) return this.literal(`${written(at[2 * k]!)} ${written(at[2 * k + 1]!)} `);
    for (const c of [2 * k, 2 * k + 1]) {
      this.coordinates.push(c);
      this.literals.push(' ');
    }
  }
  get isEmpty(): boolean {
    return this.coordinates.length === 0;
  }
}

/** Where the parts of a drawing lie: what stays between the areas and the lines that move, each painted by itself. */
export interface DrawingLayers {
  areas: Element;
  base: Element;
  lines: Element;
}

/**
 * Writes the lines of one drawn profile at any opening within its reach. A frame touches only what moves: strokes are cut
 * into pieces that stay and pieces that move, once, and what moves is taken to layers of its own.
 */
export class LinePainter {
  private readonly areas: Script[] = [];
  private readonly lines: Script[] = [];

  constructor(
    { areas, base, lines }: DrawingLayers,
    private readonly drawing: CarriedDrawing,
  ) {
    const elements = [...base.querySelectorAll('path')];
    const { paths, ends } = drawing;
    // Drawn by others than these lines: nothing to carry.
    if (elements.length !== paths.length) return;
    paths.forEach((path, i) => {
      const both = [ends[0]![i] ?? null, ends[1]![i] ?? null] as const;
      if (!both[0] && !both[1]) return;
      const { at, commands } = path;
      const moves = (k: number) =>
        both.some((end) => end && (end[2 * k] !== at[2 * k] || end[2 * k + 1] !== at[2 * k + 1]));
      const element = elements[i]!;
      const isStroke =
        element.parentElement?.getAttribute('fill') === 'none' && !element.getAttribute('stroke-dasharray');
      const still = new Writer();
      const moving = isStroke ? new Writer() : still;
      write(commands, at, moves, still, moving);
      if (moving.isEmpty) return;
      const script = (writer: Writer, of: Element): Script => ({
        ...{ element: of, at, ends: both },
        ...{ literals: writer.literals, coordinates: Int32Array.from(writer.coordinates) },
      });
      if (!isStroke) {
        const isArea = !!element.closest(`clipPath, ${AREAS}`);
        (isArea ? this.areas : this.lines).push(script(still, element));
        if (!isArea) into(lines, element);
        return;
      }
      const piece = element.cloneNode(false) as Element;
      // Two pieces of one line meet: a round end on both would show.
      piece.setAttribute('stroke-linecap', 'butt');
      element.setAttribute('d', still.literals[0]!);
      into(lines, piece, element.parentElement!);
      this.lines.push(script(moving, piece));
    });
    const drawn = base.querySelector('[mask]');
    const under = drawn?.cloneNode(false) as Element | undefined;
    under?.append(...base.querySelectorAll(AREAS));
    if (under) areas.append(under);
    // A clip that is written anew makes everything around it be painted anew.
    areas.append(...base.querySelectorAll('clipPath'));
  }

  /** @param whole soft areas too, which need not be at every frame */
  paint(mm: number, whole: boolean): void {
    const { reach, atMm } = this.drawing;
    const towards = mm < atMm ? 0 : 1;
    const endMm = towards === 0 ? reach.fromMm : reach.toMm;
    const share = endMm === atMm ? 0 : Math.min(1, (mm - atMm) / (endMm - atMm));
    for (const { element, literals, coordinates, at, ends } of whole ? [...this.areas, ...this.lines] : this.lines) {
      const end = ends[towards];
      let text = literals[0]!;
      for (let i = 0; i < coordinates.length; i++) {
        const c = coordinates[i]!;
        const v = at[c]!;
        text += written(end ? v + (end[c]! - v) * share : v) + literals[i + 1]!;
      }
      element.setAttribute('d', text);
    }
  }
}

/** The skin and its shade, which lie under all lines. */
const AREAS = '.chart-skin, .chart-relief';
/** Moves an element to another layer, within a twin of the group that it is in. */
function into(layer: Element, element: Element, parent: Element = element.parentElement!): void {
  const twin = parent.cloneNode(false) as Element;
  twin.append(element);
  layer.append(twin);
}

/** Cuts a path: runs of commands whose places all stay go to one writer, the others to the other, each begun anew. */
function write(commands: string, at: Float32Array, moves: (k: number) => boolean, still: Writer, moving: Writer): void {
  const isOne = still === moving;
  let k = 0;
  let pen = 0;
  let start = 0;
  let on: Writer | null = null;
  const begin = (writer: Writer) => {
    if (on === writer) return;
    on = writer;
    writer.literal('M');
    writer.place(pen, at, moves(pen));
  };
  for (const command of commands) {
    const count = PLACES[command]!;
    if (command === 'M') {
      pen = start = k;
      k += 1;
      on = null;
      continue;
    }
    if (command === 'Z') {
      if (isOne) still.literal('Z');
      else if (moves(start) || moves(pen)) {
        begin(moving);
        moving.literal('L');
        moving.place(start, at, moves(start));
      } else {
        begin(still);
        still.literal('L');
        still.place(start, at, false);
      }
      continue;
    }
    const some = moves(pen) || Array.from({ length: count }, (_, n) => k + n).some(moves);
    const writer = some ? moving : still;
    begin(writer);
    writer.literal(command);
    for (let n = 0; n < count; n++) writer.place(k + n, at, moves(k + n));
    pen = k + count - 1;
    k += count;
  }
}
