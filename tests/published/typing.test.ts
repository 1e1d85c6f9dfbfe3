import isEqual from 'fast-deep-equal';
import { describe, expect, test } from 'vitest';
import {
  readRoutine,
  readTypedLine,
  stepFromLine,
  stepsOf,
  techniquesForLine,
  type Step,
} from '../../core/routine/index.ts';
import { InputError } from '../../core/words/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { STARTING_ROUTINES } from '../../reference/routines/index.ts';

/**
 * Keys to type each of the routines that come with the application from nothing, without the mouse: for every step the
 * words of its line, the arrows down to it in the list, Enter; for every block the rows taken into it and its key. The
 * prose of the notes is not counted. Three keys a second is an unhurried typist (about 36 words a minute; common
 * practice, no source), so three minutes are 540 keys.
 */
const KEYS_MOST = 540;
const ROWS_LOOKED_AT = 5;
/** Enter, Tab along the values, a letter or two, Escape: no step has more of them. */
const KEYS_IN_SENTENCE = 30;
const techniques = [...CATALOGUE.techniques.values()].filter((t) => !t.retired);

/** Beginnings of the words of a name, short ones first: alone, by twos, by threes. */
function beginnings(name: string): string[] {
  const words = [...new Set(name.toLowerCase().match(/[\p{L}\d]+/gu) ?? [])].filter((w) => w.length > 2);
  const short = words.map((w) => w.slice(0, 4));
  const pairs = short.flatMap((a, i) => short.slice(i + 1).map((b) => `${a} ${b}`));
  const threes = short.flatMap((a, i) =>
    short.slice(i + 1).flatMap((b, j) => short.slice(i + j + 2).map((c) => `${a} ${b} ${c}`)),
  );
  return [
    ...words.flatMap((w) => [w.slice(0, 4), w.slice(0, 6), w]),
    ...pairs,
    ...threes,
    name.toLowerCase().replace(/[,:]/g, ''),
  ].sort((a, b) => a.length - b.length);
}

const plain = ({ id: _id, note: _note, ...step }: Step) => step;
/** What has to be said of a step beside its name. */
function additions(step: Step, usual: Step): string {
  const said: string[] = [];
  if (!isEqual(step.pressure, usual.pressure) && step.pressure) said.push(step.pressure.there);
  if (step.contact !== usual.contact) said.push(step.contact.replace('-', ' '));
  if (step.sides.mode !== usual.sides.mode) said.push(step.sides.mode === 'together' ? 'both' : step.sides.mode);
  if (step.sides.sets !== usual.sides.sets) said.push(`${step.sides.sets} sets`);
  return said.map((s) => ` ${s}`).join('');
}

function namesSomething(words: string): boolean {
  try {
    readTypedLine(words);
    return true;
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return false;
  }
}

/** Keys of one step, found by trying; null where no line gives it. */
function keysFor(step: Step): number | null {
  const technique = CATALOGUE.techniques.get(step.technique)!;
  let best: number | null = null;
  for (const words of beginnings(technique.name)) {
    if (best !== null && words.length >= best) break;
    // "Firm" and "palm" alone name no technique.
    if (!namesSomething(words)) continue;
    const rank = techniquesForLine(readTypedLine(words), techniques).indexOf(technique);
    if (rank < 0 || rank >= ROWS_LOOKED_AT) continue;
    const usual = stepFromLine(readTypedLine(words), technique, step.id).step;
    // A contact the technique is not usually done with is chosen in the open step: there, along its fields, and back.
    const isRare = !technique.contacts.includes(step.contact);
    const asked = isRare ? { ...step, contact: usual.contact } : step;
    const line = `${words}${additions(asked, usual)}`;
    const typed = readTypedLine(line);
    const at = techniquesForLine(typed, techniques).indexOf(technique);
    if (at < 0 || at >= ROWS_LOOKED_AT) continue;
    if (!isEqual(plain(stepFromLine(typed, technique, step.id).step), plain(asked))) continue;
    const keys = line.length + at + 1 + (isRare ? KEYS_IN_SENTENCE : 0);
    if (best === null || keys < best) best = keys;
  }
  return best;
}

describe('typing a routine from nothing, by keys alone', () => {
  test.each(STARTING_ROUTINES.map((s) => [s.id, s] as const))('%s', (_, { routine }) => {
    const read = readRoutine(routine);
    const keys = stepsOf(read).map((s) => [s.technique, keysFor(s)] as const);
    expect(keys.filter(([, k]) => k === null)).toEqual([]);
    const blocks = read.items.flatMap((i) => (i.kind === 'block' ? [i.steps.length + 2] : []));
    const all = [...keys.map(([, k]) => k!), ...blocks].reduce((a, b) => a + b, 0);
    expect(all).toBeLessThanOrEqual(KEYS_MOST);
  });
});
