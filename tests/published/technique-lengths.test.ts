import { describe, expect, test } from 'vitest';
import { emptyRoutine, expandRoutine, newStep, readRoutine, stepsOf, totalsOf } from '../../core/routine/index.ts';
import { RENAMED_TECHNIQUES } from '../../core/routine/renamed.ts';
import { screen } from '../../core/limits/index.ts';
import { checkRoutine } from '../../core/rules/index.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';

const alone = (id: string) => ({
  ...emptyRoutine('alone'),
  items: [newStep(CATALOGUE.techniques.get(id)!, 'a')],
});

/**
 * Lengths of techniques as they come from the library, summed by hand from the tables: 4 s to find the place, 2 s to
 * the next one, 1 s to turn to the other way, 2 s between rounds, 4 s to the other side.
 */
describe('seconds of one step, by hand', () => {
  test.each([
    // Massage: ten at 18 a minute; fifteen at 30 a minute one way, then the other.
    ['forehead-sweep-to-temples', 4 + (10 * 60) / 18],
    ['temple-circles', 4 + 30 + 1 + 30],
    // Breath: six of four and six seconds.
    ['belly-breath-two-hands', 4 + 6 * 10],
    // Gloves: three at 12 a minute both ways, on each side; eight pumps at 24 a minute on each side.
    ['glove-under-eye-sweep', 4 + (15 + 1 + 15) + 4 + (15 + 1 + 15)],
    ['glove-jaw-node-pump', 4 + 20 + 4 + 20],
    // Exercise: ten at 24 a minute, then a hold; a look and a hold, left, right, left, right; four at 8 a minute, twice.
    ['lower-lid-lift', 4 + 25 + 10],
    ['slanted-jaw-eye-lift-smile', 4 + 16 + 4 + 16 + 4 + 16 + 4 + 16],
    ['brow-raise-against-hand', 4 + 30 + 2 + 30],
    // Taps: ninety at 150 a minute.
    ['eye-area-tapping', 4 + 36],
    // Drainage: three at 15 a minute on each side.
    ['temple-to-neck-drain', 4 + 12 + 4 + 12],
    // Probe: fifteen there and back at 30 a minute on each side; there and back is one count.
    ['probe-ear-surround', 4 + 30 + 4 + 30],
    // Balls: eight rolls and seven circles at 30 a minute; five twists at 30 a minute at each of two places.
    ['ball-masseter-roll', 4 + 16 + 14],
    ['ball-temple-twist', 4 + 10 + 2 + 10],
    // Presses: six seconds and ten shakes at 120 a minute at each of three places, on each side.
    ['under-jaw-press-shake', 4 + 37 + 4 + 37],
    // Points: ten seconds at each of four places; two breaths and ten pulses at 40 a minute.
    ['under-eye-four-point-hold', 4 + 10 + 2 + 10 + 2 + 10 + 2 + 10],
    ['brow-center-hold-pulse', 4 + 20 + 15],
    // Fascia: eight there and back at 40 a minute, one way and across.
    ['crown-interlaced-shear', 4 + 12 + 12],
    // Stretches: ten seconds three ways, on each side.
    ['three-way-neck-stretch', 4 + 34 + 4 + 34],
  ])('%s: %d s', (id, seconds) =>
    expect(totalsOf(1, expandRoutine(alone(id))).totalSeconds, id).toBeCloseTo(seconds, 6),
  );
  test.each([
    // Fifteen to thirty there and back on each side.
    ['probe-ear-surround', 68, 128],
    // Until the fold turns slack: ten seconds, six to twenty.
    ['mid-brow-pinch-head-drop', 10, 24],
  ])('%s: from %d to %d s', (id, least, most) =>
    expect(totalsOf(1, expandRoutine(alone(id))).rangeSeconds).toEqual({ least, most }),
  );
});

describe('a technique alone, as it comes', () => {
  const nothing = screen(CAUTIONS, Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c) => [c.key, 'no'])));
  /** Said of the order of a routine; a step alone cannot keep to an order. */
  const OF_ORDER = ['close-in-reverse', 'open-before-draining', 'light-before-firm'];
  /** What the published table of limits says of these for everyone; no default can take it away. */
  const STAYS: Readonly<Record<string, 'screening' | 'screening-care'>> = {
    // Current over the vessels of the neck: stopped for everyone, done by the bare hand instead.
    'glove-scm-split': 'screening',
    'glove-platysma-split': 'screening',
    // Current near the vessels of the neck, the chest or the rim of the eye.
    'glove-trapezius-glide': 'screening-care',
    'glove-chest-to-armpit-drain': 'screening-care',
    'glove-pectoral-spread': 'screening-care',
    'glove-under-eye-sweep': 'screening-care',
    'glove-eye-corner-stretch': 'screening-care',
    'glove-node-to-collarbone-drain': 'screening-care',
    'glove-ear-v-pump': 'screening-care',
    'glove-upper-face-drain': 'screening-care',
    // The weight of the head on a fingertip beside the eye; skin below the rim picked up.
    'inner-eye-head-drop': 'screening-care',
    'orbit-pinch-roll': 'screening-care',
  };
  test.each(TECHNIQUES.map((t) => t.id))('%s raises no stop and no warning', (id) => {
    const told = checkRoutine(alone(id), CATALOGUE, nothing)
      .filter((f) => f.severity !== 'hint' && !OF_ORDER.includes(f.rule))
      .filter((f) => STAYS[id] !== f.rule && !(STAYS[id] === 'screening' && f.rule === 'screening-care'));
    expect(told.map((f) => `${f.rule}: ${f.title}`)).toEqual([]);
  });
});

describe('names of older routines', () => {
  test.each(Object.entries(RENAMED_TECHNIQUES))('%s is read as %s', (old, now) => {
    expect(CATALOGUE.techniques.has(old)).toBe(false);
    expect(CATALOGUE.techniques.has(now)).toBe(true);
    const step = { ...alone(now).items[0]!, technique: old };
    const read = readRoutine(JSON.parse(JSON.stringify({ ...alone(now), items: [step] })));
    expect(stepsOf(read)[0]!.technique).toBe(now);
  });
});
