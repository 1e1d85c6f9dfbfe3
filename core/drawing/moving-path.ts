import type { PathPoints } from './path.ts';

/** Texts of the tenths that coordinates of a sheet are written with: looked up, since writing numbers costs most of a frame. */
const LEAST = -1000;
const TENTHS = Array.from({ length: 10_000 }, (_, i) => String((i + LEAST) / 10));
const written = (v: number): string => {
  const tenths = Math.round(v * 10);
  return TENTHS[tenths - LEAST] ?? String(tenths / 10);
};
/** Where the places of a path are carried to, towards less and towards more opening; null where they stay. */
export type CarriedEnds = readonly [less: Float32Array | null, more: Float32Array | null];

/** Path data of which only some coordinates move: literals, and between them those that are written anew. */
export interface MovingText {
  /** One more than there are coordinates. */
  literals: string[];
  /** Into the coordinates of the path. */
  coordinates: Int32Array;
  at: Float32Array;
  ends: CarriedEnds;
}

/** Writes path data; places that stay become part of the literals. */
class Writer {
  readonly literals = [''];
  readonly coordinates: number[] = [];
  private last = '';
  constructor(
    private readonly at: Float32Array,
    private readonly moves: (k: number) => boolean,
  ) {}
  command(letter: string): void {
    this.literals[this.literals.length - 1] += letter;
    this.last = letter;
  }
  place(k: number): void {
    // Two places of one command are parted by a space.
    if (this.last === '') this.literals[this.literals.length - 1] += ' ';
    this.last = '';
    for (const c of [2 * k, 2 * k + 1]) {
      if (c % 2) this.literals[this.literals.length - 1] += ' ';
      if (this.moves(k)) {
        this.coordinates.push(c);
        this.literals.push('');
      } else this.literals[this.literals.length - 1] += written(this.at[c]!);
    }
  }
}

const PLACES: Record<string, number> = { L: 1, Q: 2 };

/**
 * A path as what stays of it and what moves.
 * @param cut a stroke is cut into pieces that stay and pieces that move; an area is one, and moves wholly
 * @returns `moving` null where nothing moves
 */
export function movingPath(
  { commands, at }: PathPoints,
  ends: CarriedEnds,
  cut: boolean,
): { still: string; moving: MovingText | null } {
  const moves = (k: number): boolean =>
    ends.some((end) => end !== null && (end[2 * k] !== at[2 * k] || end[2 * k + 1] !== at[2 * k + 1]));
  const still = new Writer(at, moves);
  const moving = cut ? new Writer(at, moves) : still;
  let next = 0;
  let pen = 0;
  let start = 0;
  let on: Writer | null = null;
  const begin = (writer: Writer): void => {
    if (on === writer) return;
    on = writer;
    writer.command('M');
    writer.place(pen);
  };
  for (const command of commands) {
    if (command === 'M') {
      pen = start = next++;
      on = null;
    } else if (command === 'Z' && !cut) {
      begin(still);
      still.command('Z');
    } else if (command === 'Z') {
      // Cut open, the last side is a line back to where it began.
      const writer = moves(pen) || moves(start) ? moving : still;
      begin(writer);
      writer.command('L');
      writer.place(start);
    } else {
      const places = Array.from({ length: PLACES[command]! }, (_, i) => next + i);
      const writer = [pen, ...places].some(moves) ? moving : still;
      begin(writer);
      writer.command(command);
      for (const k of places) writer.place(k);
      pen = places.at(-1)!;
      next += places.length;
    }
  }
  const isMoved = moving.coordinates.length > 0;
  return {
    still: cut || !isMoved ? still.literals[0]! : '',
    moving: isMoved ? { literals: moving.literals, coordinates: Int32Array.from(moving.coordinates), at, ends } : null,
  };
}

/** Path data a share of the way towards one of the ends. */
export function textAt({ literals, coordinates, at, ends }: MovingText, towards: 0 | 1, share: number): string {
  const end = ends[towards];
  let text = literals[0]!;
  for (let i = 0; i < coordinates.length; i++) {
    const c = coordinates[i]!;
    const v = at[c]!;
    text += written(end ? v + (end[c]! - v) * share : v) + literals[i + 1]!;
  }
  return text;
}
