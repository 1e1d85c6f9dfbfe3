import { InputError, type Side, SIDES } from '../words/index.ts';
import { readSideCompare, type SideCompare } from './side-compare.ts';

/** What can be pressed with nothing more to say. */
const PLAIN = [
  'start',
  'pause',
  'resume',
  'next',
  'back',
  'repeat',
  'extend',
  'lighter',
  'firmer',
  /** What was waited for has come: on to what follows the open dose. */
  'go-on',
  /** A stopped run goes on where it stopped. */
  'take-up',
] as const;
export type PlainKind = (typeof PLAIN)[number];

/** What happened, with what belongs to it. */
export type GuideMoment =
  | { kind: PlainKind }
  | { kind: 'stop'; reason: string }
  | { kind: 'note'; words: string }
  | { kind: 'compare'; compare: SideCompare }
  /** To the beginning of a step, from 0; before the start it begins there. */
  | { kind: 'go-to'; step: number }
  /** From here finding a place and changing hands or sides wait until they are said to be done, or no longer. */
  | { kind: 'wait-for-hands'; on: boolean }
  /** A reading that a test asked for. */
  | { kind: 'reading'; measure: string; place: string; side: Side; value: number };

/** One entry of a run's log. Its id is made on the device; the server takes each id once. */
export type GuideEvent = GuideMoment & {
  id: string;
  /** Milliseconds of the clock that is also handed to `stateAt`. */
  atMs: number;
};

const MOST_LETTERS = 500;

function text(value: unknown, field: string): string {
  if (typeof value !== 'string' || value.length > MOST_LETTERS || value.includes('\0') || !value.isWellFormed())
    throw new InputError(field, `text of at most ${MOST_LETTERS} characters is accepted`);
  return value;
}

/** Earlier logs said "lighten" and "harden", and kept everything that belongs to an event as one text. */
function upgraded(v: Record<string, unknown>): Record<string, unknown> {
  const { kind, text: said, ...rest } = v;
  if (kind === 'lighten') return { ...rest, kind: 'lighter' };
  if (kind === 'harden') return { ...rest, kind: 'firmer' };
  if (said === undefined || said === null) return kind === 'stop' && v.reason === undefined ? { ...v, reason: '' } : v;
  if (kind === 'stop') return { ...rest, kind, reason: said };
  if (kind === 'note') return { ...rest, kind, words: said };
  if (kind !== 'compare') return { ...rest, kind };
  try {
    return { ...rest, kind, compare: JSON.parse(String(said)) as unknown };
  } catch {
    throw new InputError('event.compare', 'a comparison of sides is accepted');
  }
}

/**
 * Read an unknown value as an event of a run; earlier forms are brought up to the present one.
 * @throws InputError naming the field and what is accepted there.
 */
export function readGuideEvent(value: unknown): GuideEvent {
  if (!value || typeof value !== 'object' || Array.isArray(value)) throw new InputError('event', 'must be an object');
  const v = upgraded(value as Record<string, unknown>);
  const { id, atMs, kind } = v;
  if (typeof id !== 'string' || !/^[A-Za-z0-9-]{8,64}$/.test(id))
    throw new InputError('event.id', 'must be 8 to 64 letters, digits or dashes');
  if (typeof atMs !== 'number' || !Number.isFinite(atMs) || atMs < 0)
    throw new InputError('event.atMs', 'must be milliseconds, 0 or more');
  return { ...readMoment(kind, v), id, atMs };
}

/** What belongs to an event of its kind, and nothing else. @throws InputError */
function readMoment(kind: unknown, v: Record<string, unknown>): GuideMoment {
  switch (kind) {
    case 'stop':
      return { kind, reason: text(v.reason, 'event.reason') };
    case 'note':
      return { kind, words: text(v.words, 'event.words') };
    case 'compare':
      return { kind, compare: readSideCompare(v.compare) };
    case 'go-to':
      if (!Number.isInteger(v.step) || (v.step as number) < 0)
        throw new InputError('event.step', 'a whole number, 0 or more, is accepted');
      return { kind, step: v.step as number };
    case 'wait-for-hands':
      if (typeof v.on !== 'boolean') throw new InputError('event.on', 'true or false is accepted');
      return { kind, on: v.on };
    case 'reading': {
      const side = SIDES.find((s) => s === v.side);
      if (!side) throw new InputError('event.side', `one of ${SIDES.join(', ')} is accepted`);
      if (typeof v.value !== 'number' || !Number.isFinite(v.value))
        throw new InputError('event.value', 'a number is accepted');
      return {
        kind,
        measure: text(v.measure, 'event.measure'),
        place: text(v.place, 'event.place'),
        side,
        value: v.value,
      };
    }
    default: {
      const plain = PLAIN.find((k) => k === kind);
      if (!plain)
        throw new InputError(
          'event.kind',
          `one of ${[...PLAIN, 'stop', 'note', 'compare', 'go-to', 'wait-for-hands', 'reading'].join(', ')} is accepted`,
        );
      return { kind: plain };
    }
  }
}

/** What an event says beside its id, kind and time, for storing; null when nothing. */
export function payloadOf(event: GuideEvent): Record<string, unknown> | null {
  const { id: _id, kind: _kind, atMs: _atMs, ...payload } = event;
  return Object.keys(payload).length ? payload : null;
}
