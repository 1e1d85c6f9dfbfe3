import { describe, expect, test } from 'vitest';
import { TECHNIQUE_LENGTHS, type Technique } from '../../core/routine/index.ts';
import { COMPLAINT_KINDS } from '../../core/words/index.ts';
import { CATALOGUE, TECHNIQUES } from '../../reference/catalogue.ts';
import { ROWS } from '../../reference/facts/techniques/index.ts';
import { DOSES, listed, partsOf, place, TECHNIQUE_ROWS, type TableRow } from './technique-tables/table.ts';

/** Every row of the library against the tables beside this file, field by field. */

/** Where the library departs from the table on purpose. */
const DEPARTS: Readonly<Record<string, { fields: readonly string[]; because: string }>> = {
  'jaw-cream-glide': {
    fields: ['sides.mode'],
    because: 'strokes past the artery of the neck: never on both sides at once',
  },
  'neck-back-hand-massage': {
    fields: ['pressure.there', 'most'],
    because: 'light is the most at the upper neck, for everyone',
  },
  'spine-side-push-down': { fields: ['pressure.there', 'most'], because: 'light is the most at the upper neck' },
  'trapezius-spread': { fields: ['pressure.there'], because: 'usual is light beside the neck; medium may be chosen' },
  'glove-trapezius-glide': {
    fields: ['pressure.there', 'least'],
    because: 'the fixed glove lies at the upper neck, where light is the most; firmer lower down may be chosen',
  },
  'shoulder-blade-massage': { fields: ['heed'], because: 'medium there is free with fragile bones, firmer is capped' },
  'brow-center-hold-pulse': { fields: ['heed'], because: 'a light hold is free after a peel, more is capped' },
  'heart-palms-rest': { fields: ['heed'], because: 'hands laid down without weight are free beside an implant' },
  'inner-brow-thumb-press': { fields: ['name'], because: 'medium is the most there, so it is not called firm' },
};
const BREATH_WORDS: Readonly<Record<string, string>> = {
  nose: 'through the nose',
  'in-nose out-mouth': 'in through the nose, out through the mouth',
  'in-nose hiss out': 'in through the nose, out with a hiss',
};
/** The table tells breathing apart from having no contact, and a contraction against resistance by a longer word. */
const contactOf = (word: string) => (word === 'breath' ? 'none' : word);
const motionOf = (word: string) => (word === 'contract-against-resistance' ? 'resist' : word);
const GLIDES: Readonly<Record<string, string>> = { '': 'either', gel: 'water-based' };
/** Work on nothing but neck, shoulder and chest stands with the neck, wherever the table put it. */
const LOWER = ['neck-front', 'neck-side', 'neck-back', 'shoulder', 'chest'];
const EDGE_OF_NECK = ['skull-base-thumb-circles', 'below-ear-skull-edge-massage'];
function phaseOf(d: TableRow, t: TableRow): string {
  const regions = listed(t.regions!);
  const onNeck = regions.some((r) => r.startsWith('neck')) && regions.every((r) => LOWER.includes(r));
  const moves = ['release', 'warm-up', 'press'].includes(t.phase!);
  return moves && (onNeck || EDGE_OF_NECK.includes(d.id!)) ? 'neck' : t.phase!;
}
const text = (cell: string): string => cell.replaceAll("'", '’');

/** What a row must say, by the name of the field. */
function expected(d: TableRow, t: TableRow): Record<string, unknown> {
  const complaints = listed(t.complaints!);
  const known = complaints.filter((c) => (COMPLAINT_KINDS as readonly string[]).includes(c));
  const [stillContact, stillPlace] = d.still_contact ? d.still_contact.split(' on ') : [];
  return {
    name: text(t.name!),
    phase: phaseOf(d, t),
    craft: t.school,
    regions: listed(t.regions!),
    muscles: listed(t.muscles!),
    points: listed(t.points!),
    contact: contactOf(t.contact!),
    motion: motionOf(t.motion!),
    direction: text(t.direction!),
    still: stillContact ? { contact: stillContact, place: place(stillPlace!) } : null,
    stroke: d.stroke,
    parts: partsOf(text(d.dose!)),
    perPlace: d.per_place === 'yes',
    path: d.path!.split(' > ').map(place),
    'sides.mode': d.sides === 'each-alternate' ? 'each' : d.sides,
    'sides.sequence': d.sides === 'each-alternate' ? 'alternate' : 'side-complete',
    'sides.sets': Number(d.sets),
    swap: d.swap,
    body: { head: d.head, jaw: d.jaw, eyes: d.eyes, tongue: d.tongue },
    breath: d.breath_during ? { phases: null, words: BREATH_WORDS[d.breath_during] } : null,
    least: d.pressure_least || null,
    most: d.pressure_most || null,
    'pressure.there': d.pressure_usual || null,
    'pressure.back': d.pressure_back || null,
    glide: GLIDES[t.glide!] ?? t.glide,
    equipment: t.equipment!.toLowerCase(),
    perDayMost: t.per_day_max ? Number(t.per_day_max) : null,
    serves: known,
    soughtFor: complaints.filter((c) => !known.includes(c)),
    cue: text(d.cue!),
    clientCue: text(d.client_cue!),
    feelFor: text(d.feel_for!),
    avoid: text(d.avoid!),
    heed: [...new Set([...listed(d.heed!), ...listed(t.cautions!)])].sort(),
    grounds: d.grounds,
    observedSeconds: d.observed_s ? Number(d.observed_s) : null,
  };
}

/** What the library says, by the same names. */
function found(technique: Technique): Record<string, unknown> {
  const { defaults: step } = technique;
  return {
    ...technique,
    contact: step.contact,
    still: step.still,
    stroke: step.stroke,
    parts: step.dose.parts,
    perPlace: step.dose.perPlace,
    path: step.path,
    'sides.mode': step.sides.mode,
    'sides.sequence': step.sides.sequence,
    'sides.sets': step.sides.sets,
    swap: step.swap,
    body: step.body,
    breath: step.breath,
    least: technique.pressure?.least ?? null,
    most: technique.pressure?.most ?? null,
    'pressure.there': step.pressure?.there ?? null,
    'pressure.back': step.pressure?.back ?? null,
    equipment: technique.equipment.toLowerCase(),
    heed: [...technique.heed].sort(),
  };
}

test('the tables have their rows', () => {
  expect(DOSES).toHaveLength(247);
  expect(new Set(DOSES.map((d) => d.id))).toEqual(new Set(TECHNIQUE_ROWS.keys()));
});

test.each(DOSES.map((d) => [d.id!, d] as const))('%s', (id, d) => {
  const technique = CATALOGUE.techniques.get(id);
  expect(technique, id).toBeDefined();
  const want = expected(d, TECHNIQUE_ROWS.get(id)!);
  const have = found(technique!);
  const departs = DEPARTS[id]?.fields ?? [];
  for (const [field, value] of Object.entries(want))
    if (departs.includes(field)) expect(have[field], `${field} departs no more`).not.toEqual(value);
    else expect(have[field], field).toEqual(value);
});

describe('the library as a whole', () => {
  test('what no row of the tables covers is ours and marked so', () => {
    const own = ROWS.filter((t) => !TECHNIQUE_ROWS.has(t.id));
    expect(own.map((t) => t.id).sort()).toEqual([
      'compare-sides',
      'retest-opening',
      'slow-opening-stretch',
      'terminus-close',
    ]);
    expect(own.every((t) => t.grounds === 'choice')).toBe(true);
  });
  test('no two share dose, path and cue', () => {
    const seen = new Map<string, string>();
    for (const t of TECHNIQUES) {
      const key = JSON.stringify([t.defaults.dose, t.defaults.path, t.cue]);
      expect(seen.get(key), `${t.id} says what another says`).toBeUndefined();
      seen.set(key, t.id);
    }
  });
  test.each(Object.entries(TECHNIQUE_LENGTHS))('no %s is over %i letters', (field, most) => {
    for (const t of TECHNIQUES) {
      const text = t[field as keyof typeof TECHNIQUE_LENGTHS];
      expect(text.length, `${t.id}: ${text}`).toBeLessThanOrEqual(most);
    }
  });
  test('every one says what to do, what to feel for and what to avoid', () => {
    for (const t of TECHNIQUES)
      for (const field of ['name', 'cue', 'feelFor', 'avoid'] as const)
        expect(t[field].length, `${t.id}: ${field}`).toBeGreaterThan(5);
  });
  test('no remark of a curator is left', () => {
    for (const t of TECHNIQUES)
      expect(`${t.cue} ${t.feelFor} ${t.avoid} ${t.posture} ${t.direction}`, t.id).not.toMatch(
        /not stated|assumed|unclear|\?|likely/i,
      );
  });
});
