import { readNumber } from './line-number.ts';

/**
 * The open line protocol of a pressure gauge: one message a line, words and numbers separated by spaces, described in
 * docs/formats/algometer.md. Numbers use a point. Unknown lines are ignored, so that a device may say more.
 */
export type GaugeMessage =
  | { kind: 'hello'; protocol: number; tipCm2: number; name: string }
  | { kind: 'sample'; atMs: number; kpa: number }
  | { kind: 'mark'; atMs: number; kpa: number }
  | { kind: 'end'; why: string };

/** @throws InputError for a line that begins like a message and does not go on like one; null for any other line. */
export function readGaugeLine(line: string): GaugeMessage | null {
  const [word, ...rest] = line.trim().split(/\s+/);
  switch (word) {
    case 'GAUGE': {
      const named = Object.fromEntries(rest.map((r) => r.split('=', 2) as [string, string]));
      return {
        kind: 'hello',
        protocol: readNumber(named.protocol, 'protocol', 1, 1),
        tipCm2: readNumber(named.tip, 'tip', 0.1, 5),
        name: (named.name ?? 'gauge').replaceAll('_', ' ').slice(0, 60),
      };
    }
    case 'P':
    case 'MARK':
      return {
        kind: word === 'P' ? 'sample' : 'mark',
        atMs: readNumber(rest[0], 'time', 0, 1e9),
        kpa: readNumber(rest[1], 'pressure', 0, 5000),
      };
    case 'END':
      return { kind: 'end', why: rest.join(' ') };
    default:
      return null;
  }
}

/** What may be sent to a device: begin a press (a stand-in presses by itself), zero it, stop. */
export type GaugeCommand = { kind: 'press'; target: string; trial: number } | { kind: 'stop' };
export const gaugeCommandLine = (command: GaugeCommand): string =>
  command.kind === 'press' ? `PRESS target=${command.target} trial=${command.trial}` : 'STOP';
