import { readNumber } from './line-number.ts';

/**
 * The open line protocol of a microcurrent unit: one message a line, described in docs/formats/microcurrent-unit.md. It
 * is read, and switched off; its level is set on the unit itself, by whoever holds it. Unknown lines are ignored.
 */

/** What a unit is. */
export interface CurrentUnit {
  /** Most that it gives, µA. */
  mostUa: number;
  /** Its figures are made up. */
  isStandIn: boolean;
  name: string;
}
/** One reading of a unit. */
export interface CurrentReading {
  /** Milliseconds of the unit's own clock. */
  atMs: number;
  /** What is set, µA; 0 is off. */
  levelUa: number;
  /** What flows, µA. */
  flowsUa: number;
  /** The skin is touched at both ends. */
  hasContact: boolean;
}
export type CurrentMessage =
  ({ kind: 'hello' } & CurrentUnit) | ({ kind: 'reading' } & CurrentReading) | { kind: 'end'; why: string };

/** Nothing above a milliampere is microcurrent. */
const MOST_UA = 1000;
const named = (words: readonly string[]) => Object.fromEntries(words.map((r) => r.split('=', 2) as [string, string]));

/** @throws InputError for a line that begins like a message and does not go on like one; null for any other line. */
export function readCurrentLine(line: string): CurrentMessage | null {
  const [word, ...rest] = line.trim().split(/\s+/);
  switch (word) {
    case 'CURRENT': {
      const said = named(rest);
      readNumber(said.protocol, 'protocol', 1, 1);
      return {
        kind: 'hello',
        mostUa: readNumber(said.most, 'most', 1, MOST_UA),
        isStandIn: said['stand-in'] === 'yes',
        name: (said.name ?? 'unit').replaceAll('_', ' ').slice(0, 60),
      };
    }
    case 'C': {
      const said = named(rest.slice(1));
      return {
        kind: 'reading',
        atMs: readNumber(rest[0], 'time', 0, 1e9),
        levelUa: readNumber(said.level, 'level', 0, MOST_UA),
        flowsUa: readNumber(said.flows, 'flows', 0, MOST_UA),
        hasContact: said.contact === 'yes',
      };
    }
    case 'END':
      return { kind: 'end', why: rest.join(' ') };
    default:
      return null;
  }
}
export const currentHelloLine = ({ mostUa, isStandIn, name }: CurrentUnit): string =>
  `CURRENT protocol=1 most=${mostUa} stand-in=${isStandIn ? 'yes' : 'no'} name=${name.replaceAll(' ', '_')}`;
export const currentReadingLine = ({ atMs, levelUa, flowsUa, hasContact }: CurrentReading): string =>
  `C ${atMs} level=${levelUa} flows=${flowsUa} contact=${hasContact ? 'yes' : 'no'}`;

/** Contact that is gone for less is a hand that moves on. Our choice. */
const LOST_AFTER_MS = 700;
/** What flows may pass what is set by so much before it is told: a tenth, and 5 µA for what is read unevenly. Our choice. */
const OVER_SHARE = 1.1;
const OVER_UA = 5;

export type CurrentState = 'off' | 'flows' | 'no-contact' | 'too-much';
/** What a unit does, from its readings, oldest first; null before the first. */
export function currentState(readings: readonly CurrentReading[]): CurrentState | null {
  const last = readings.at(-1);
  if (!last) return null;
  if (last.levelUa === 0) return 'off';
  if (last.flowsUa > last.levelUa * OVER_SHARE + OVER_UA) return 'too-much';
  if (last.hasContact) return 'flows';
  const touched = readings.findLast((r) => r.hasContact);
  return !touched || last.atMs - touched.atMs >= LOST_AFTER_MS ? 'no-contact' : 'flows';
}
