import { expandRoutine, readRoutine } from '../core/routine/index.ts';
import { factsOf, SEVERITIES } from '../core/limits/index.ts';
import { CLIENT_POSITIONS, COMES_WITH, PHASES, pressureRank, REGIONS, TECHNIQUE_TOOLS } from '../core/words/index.ts';
import { describe, expect, test } from 'vitest';
import { at, routineOf, stepOf } from '../tests/support/routines.ts';
import { CATALOGUE, TECHNIQUES } from './catalogue.ts';
import { CAUTIONS } from './facts/cautions/index.ts';
import { MUSCLES } from './facts/muscles/index.ts';
import { POINTS } from './facts/points/index.ts';
import { PREPARATION } from './facts/preparation.ts';

const unique = (ids: readonly string[]) => expect(ids.length).toBe(new Set(ids).size);

describe('ids', () => {
  test('no two rows of a table share one', () => {
    unique(TECHNIQUES.map((row) => row.id));
    unique(CAUTIONS.map((c) => c.key));
    unique(PREPARATION.map((p) => p.key));
  });
});

describe('techniques', () => {
  test('there are enough for every complaint, opening and closing', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(24);
    for (const kind of ['jaw', 'headache', 'eye-strain', 'stress'] as const)
      expect(TECHNIQUES.filter((t) => t.serves.includes(kind)).length, kind).toBeGreaterThanOrEqual(6);
    for (const phase of ['breathe', 'open-drainage', 'neck', 'release', 'press', 'close-drainage', 'settle'] as const)
      expect(
        TECHNIQUES.some((t) => t.phase === phase),
        phase,
      ).toBe(true);
  });
  test.each(TECHNIQUES.map((t) => [t.id, t] as const))('%s is whole', (id, t) => {
    const step = stepOf(id, 'a');
    expect(() => readRoutine(routineOf([step]))).not.toThrow();
    expect(expandRoutine(routineOf([step])).length).toBeGreaterThan(1);
    expect(PHASES).toContain(t.phase);
    for (const region of t.regions) expect(REGIONS).toContain(region);
    for (const place of step.path)
      expect(CATALOGUE.placeName(place), `${id}: ${place.kind}:${place.id}`).not.toBeNull();
    for (const muscle of t.muscles)
      expect(
        MUSCLES.some((m) => m.id === muscle),
        muscle,
      ).toBe(true);
    for (const point of t.points)
      expect(
        POINTS.some((p) => p.id === point),
        point,
      ).toBe(true);
    if (t.pressure) expect(pressureRank(t.pressure.least)).toBeLessThanOrEqual(pressureRank(t.pressure.most));
    expect(t.pressure === null).toBe(step.pressure === null);
    expect(t.contacts).toContain(step.contact);
    expect(t.cue.length).toBeGreaterThan(5);
    expect(`${t.name} ${t.cue} ${t.clientCue}`).not.toMatch(/detox|cure|toxin|heal/i);
  });
});

describe('cautions', () => {
  test.each(CAUTIONS.map((c) => [c.key, c] as const))('%s is whole', (_key, c) => {
    expect(SEVERITIES).toContain(c.severity);
    // Regions, kinds of work, tools and pressures are checked by the compiler; points and muscles here.
    for (const clause of c.appliesTo) {
      for (const id of clause.point ?? []) expect(POINTS.map((p) => p.id)).toContain(id);
      for (const id of clause.muscle ?? []) expect(MUSCLES.map((m) => m.id)).toContain(id);
      expect(Object.keys(clause).length, 'a clause names something').toBeGreaterThan(0);
    }
    expect(c.who.length).toBeGreaterThan(5);
    expect(c.source.length).toBeGreaterThan(5);
    expect(c.advice.length).toBeGreaterThan(5);
    if (c.group === 'red-flag') expect(c.seeWho, 'a red flag says who to see').not.toBe('');
    expect(c.group === 'everyone').toBe(c.question === null);
    if (c.question) expect(c.question).toMatch(/\?$/);
    expect(`${c.title} ${c.advice}`).not.toMatch(/diagnos|you have/i);
  });
});

/** What a step can be by its path, its still hand and its skin, with no technique of the library doing so by itself. */
const OF_STEPS = [
  'dry-slide',
  'lid',
  'lid-pinched',
  'mental-nerve',
  'oil-under-current',
  'on-eye',
  'on-joint',
  'on-spine',
  'scent-at-eye',
  'shields-eye',
];
test('every word by which a caution closes work is brought by the library, by a practice’s own techniques, or by a step', () => {
  const brought = new Set<string>([...COMES_WITH, ...TECHNIQUE_TOOLS, ...CLIENT_POSITIONS, ...OF_STEPS, 'any']);
  for (const t of TECHNIQUES)
    for (const p of [t.pressure?.least, t.pressure?.most]) {
      const facts = factsOf(stepOf(t.id, 'x', p ? at(p) : (s) => s), CATALOGUE);
      for (const word of [...facts.work, ...facts.tool, ...facts.position]) brought.add(word);
    }
  const said = CAUTIONS.flatMap((c) =>
    c.appliesTo.flatMap((x) => [...(x.work ?? []), ...(x.tool ?? []), ...(x.position ?? []), ...(x.not ?? [])]),
  );
  expect([...new Set(said)].filter((word) => !brought.has(word))).toEqual([]);
});
