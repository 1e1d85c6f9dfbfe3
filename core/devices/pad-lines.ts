import { InputError } from '../words/index.ts';
import { readNumber } from './line-number.ts';

/**
 * The open line protocol of a force pad: one message a line, described in docs/formats/force-pad.md. Unknown lines are
 * ignored, so that a device may say more.
 */

/** What a pad is: cells in rows, counted from its upper left corner, row after row. */
export interface PadShape {
  rows: number;
  columns: number;
  /** Width and height of one cell, mm. */
  cellMm: number;
  ratePerSecond: number;
  /** What a cell reads at most, kPa. */
  fullKpa: number;
  /** Its figures are made up, and are kept apart from those of a pad. */
  isStandIn: boolean;
  name: string;
}
/** One reading of all cells. */
export interface PadFrame {
  /** Counts up by one: what is missing was lost on the way. */
  sequence: number;
  /** Milliseconds of the pad's own clock. */
  atMs: number;
  /** kPa of each cell that bears anything, by its index. */
  cells: readonly (readonly [index: number, kpa: number])[];
}
export type PadMessage = ({ kind: 'hello' } & PadShape) | ({ kind: 'frame' } & PadFrame) | { kind: 'end'; why: string };

/** @throws InputError for a line that begins like a message and does not go on like one; null for any other line. */
export function readPadLine(line: string): PadMessage | null {
  const [word, ...rest] = line.trim().split(/\s+/);
  switch (word) {
    case 'PAD': {
      const named = Object.fromEntries(rest.map((r) => r.split('=', 2) as [string, string]));
      readNumber(named.protocol, 'protocol', 1, 1);
      return {
        kind: 'hello',
        rows: readNumber(named.rows, 'rows', 2, 64),
        columns: readNumber(named.columns, 'columns', 2, 64),
        cellMm: readNumber(named.cell, 'cell', 1, 20),
        ratePerSecond: readNumber(named.rate, 'rate', 10, 1000),
        fullKpa: readNumber(named.full, 'full', 50, 5000),
        isStandIn: named['stand-in'] === 'yes',
        name: (named.name ?? 'pad').replaceAll('_', ' ').slice(0, 60),
      };
    }
    case 'F':
      return {
        kind: 'frame',
        sequence: readNumber(rest[0], 'sequence', 0, 1e9),
        atMs: readNumber(rest[1], 'time', 0, 1e9),
        cells: rest.slice(2).map((cell) => {
          const [index, kpa] = cell.split(':', 2);
          return [readNumber(index, 'cell', 0, 64 * 64 - 1), readNumber(kpa, 'pressure', 0, 5000)] as const;
        }),
      };
    case 'END':
      return { kind: 'end', why: rest.join(' ') };
    default:
      return null;
  }
}

export const padHelloLine = (shape: PadShape): string =>
  `PAD protocol=1 rows=${shape.rows} columns=${shape.columns} cell=${shape.cellMm} rate=${shape.ratePerSecond} full=${shape.fullKpa} stand-in=${shape.isStandIn ? 'yes' : 'no'} name=${shape.name.replaceAll(' ', '_')}`;
export const padFrameLine = ({ sequence, atMs, cells }: PadFrame): string =>
  ['F', sequence, atMs, ...cells.map(([index, kpa]) => `${index}:${kpa.toFixed(1)}`)].join(' ');

/** How a stand-in's hand works by itself. */
export const HAND_SCRIPTS = ['steady', 'hard', 'slow', 'fast', 'uneven'] as const;
export type HandScript = (typeof HAND_SCRIPTS)[number];
/** What one try asks of a hand, as far as a pad's stand-in needs to know it. */
export interface AskedOfHand {
  kpa: number;
  areaCm2: number;
  motion: string;
  /** How long each press lasts and how long it is let go. */
  pressMs: number;
  restMs: number;
  count: number;
  /** Two press side by side, each on that area; one where nothing is said. */
  hands?: 1 | 2;
}
/**
 * What may be sent to a pad: stop. The others are for a stand-in only: its hand goes down as hard as is
 * said, goes up, works through a try by a script, or a weight is put on it.
 */
export type PadCommand =
  | { kind: 'stop' }
  | { kind: 'down'; kpa: number; areaCm2: number }
  | { kind: 'up' }
  | ({ kind: 'work'; script: HandScript } & AskedOfHand)
  | { kind: 'weight'; grams: number };

const command = (word: string, said: Record<string, string | number>): string =>
  [word, ...Object.entries(said).map(([key, value]) => `${key}=${value}`)].join(' ');
export function padCommandLine(of: PadCommand): string {
  const { kind, ...said } = of;
  return command(kind.toUpperCase(), said);
}
/** @throws InputError where a command is not one; null for a line that is none at all. */
export function readPadCommand(line: string): PadCommand | null {
  const [word, ...rest] = line.trim().split(/\s+/);
  const said = Object.fromEntries(rest.map((r) => r.split('=', 2) as [string, string]));
  const kpa = () => readNumber(said.kpa, 'kpa', 0, 400);
  const areaCm2 = () => readNumber(said.areaCm2, 'areaCm2', 0.2, 40);
  switch (word) {
    case 'STOP':
      return { kind: 'stop' };
    case 'UP':
      return { kind: 'up' };
    case 'DOWN':
      return { kind: 'down', kpa: kpa(), areaCm2: areaCm2() };
    case 'WEIGHT':
      return { kind: 'weight', grams: readNumber(said.grams, 'grams', 0, 5000) };
    case 'WORK': {
      const script = HAND_SCRIPTS.find((s) => s === said.script);
      if (!script) throw new InputError('script', `${HAND_SCRIPTS.join(', ')} are accepted`);
      return {
        kind: 'work',
        script,
        kpa: kpa(),
        areaCm2: areaCm2(),
        motion: (said.motion ?? 'hold').slice(0, 20),
        pressMs: readNumber(said.pressMs, 'pressMs', 50, 60_000),
        restMs: readNumber(said.restMs, 'restMs', 0, 60_000),
        count: readNumber(said.count, 'count', 1, 200),
        hands: said.hands === '2' ? 2 : 1,
      };
    }
    default:
      return null;
  }
}
