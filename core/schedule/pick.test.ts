import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { screenVisit } from '../limits/index.ts';
import { emptyRoutine, newStep, routineSeconds } from '../routine/index.ts';
import { atHome, HOME_STEPS_MOST } from './home-plan.ts';
import { notForHome, pickForHome } from './pick.ts';

const screening = screenVisit(CAUTIONS, {}, null, null, new Set(), []);
const NONE = new Set<never>();
const all = [...CATALOGUE.techniques.values()];

test('what is not for home is exactly what may not be done there', () => {
  const not = new Set(notForHome(screening, CATALOGUE, NONE));
  for (const t of all)
    expect(not.has(t.id), t.id).toBe(atHome(newStep(t, 'x'), screening, CATALOGUE, NONE).step === null);
  expect(all.filter((t) => t.by === 'practitioner').every((t) => not.has(t.id))).toBe(true);
  expect(not.size).toBeLessThan(all.length);
});

describe('of what was proposed', () => {
  const steps = all.map((t, i) => newStep(t, `s${i}`));
  test('never more than fits, never more than four, nothing twice, only what is for home, in its order', () => {
    for (const minutes of [1, 2, 3, 5, 8, 15]) {
      const picked = pickForHome([...steps, ...steps], new Map(), minutes, screening, CATALOGUE, NONE);
      expect(picked.length).toBeGreaterThan(0);
      expect(picked.length).toBeLessThanOrEqual(HOME_STEPS_MOST);
      expect(new Set(picked).size).toBe(picked.length);
      const done = picked.map(
        (id, i) => atHome(newStep(CATALOGUE.techniques.get(id)!, `h${i}`), screening, CATALOGUE, NONE).step!,
      );
      expect(done.every(Boolean)).toBe(true);
      expect(routineSeconds({ ...emptyRoutine('Home'), items: done })).toBeLessThanOrEqual(minutes * 60);
      const at = picked.map((id) => all.findIndex((t) => t.id === id));
      expect([...at].sort((a, b) => a - b)).toEqual(at);
    }
  });
  test('what is worth most is in, in the place that the routine gives it', () => {
    const home = steps.filter((s) => atHome(s, screening, CATALOGUE, NONE).step);
    const worth = new Map([home[20]!, home[9]!, home[30]!].map((s, i) => [s.id, 3 - i]));
    const picked = pickForHome(home, worth, 15, screening, CATALOGUE, NONE);
    expect(picked).toEqual(expect.arrayContaining([home[20]!, home[9]!, home[30]!].map((s) => s.technique)));
    expect(picked.indexOf(home[9]!.technique)).toBeLessThan(picked.indexOf(home[20]!.technique));
  });
  test('nothing where nothing is known or nothing fits', () => {
    expect(pickForHome([], new Map(), 5, screening, CATALOGUE, NONE)).toEqual([]);
    expect(pickForHome([{ ...steps[0]!, technique: 'gone' }], new Map(), 5, screening, CATALOGUE, NONE)).toEqual([]);
    expect(pickForHome(steps, new Map(), 0.01, screening, CATALOGUE, NONE)).toEqual([]);
  });
});
