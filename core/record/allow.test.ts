import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { routineFrom, routineOf, stepOf } from '../../tests/support/routines.ts';
import { screen } from '../limits/index.ts';
import { referralOf, refusalOf } from './allow.ts';
import type { VisitPatch } from './patch.ts';

const yes = (...keys: string[]) => screen(CAUTIONS, Object.fromEntries(keys.map((k) => [k, 'yes' as const])));
const refused = (patch: VisitPatch, screening = yes(), routine = null as ReturnType<typeof routineOf> | null) =>
  refusalOf({ routine }, patch, screening, CATALOGUE);

describe('what may be done to a visit', () => {
  test('a red flag ends it, and nothing else stops one', () => {
    const flagged = yes('thunderclap');
    expect(refused({ kind: 'stage', stage: 'assess' })).toBeNull();
    expect(refused({ kind: 'stage', stage: 'stopped' })).toBe('Only a red flag stops a visit.');
    expect(refused({ kind: 'stage', stage: 'stopped' }, flagged)).toBeNull();
    for (const stage of ['assess', 'compose', 'guide', 'record', 'done'] as const)
      expect(refused({ kind: 'stage', stage }, flagged)).toContain('does not go on');
    for (const stage of ['screen', 'postponed'] as const) expect(refused({ kind: 'stage', stage }, flagged)).toBeNull();
  });
  test('what screening bans is not added; what was there before stays until somebody takes it out', () => {
    const hegu = routineFrom(['hegu-web-massage']);
    const pregnant = yes('pregnancy');
    expect(refused({ kind: 'routine', routine: hegu })).toBeNull();
    expect(refused({ kind: 'routine', routine: hegu }, pregnant)).toContain('cannot be added');
    expect(refused({ kind: 'routine', routine: hegu }, pregnant, hegu)).toBeNull();
  });
  test('a technique nobody knows is named', () =>
    expect(
      refused({ kind: 'routine', routine: routineOf([{ ...stepOf('temple-circles'), technique: 'levitation' }]) }),
    ).toContain('"levitation"'));
  test('what stopped a visit is kept with who to see, each once', () => {
    const referral = referralOf(yes('thunderclap', 'neuro-deficit'));
    expect(referral.cautions.sort()).toEqual(['neuro-deficit', 'thunderclap']);
    expect(referral).toMatchObject({ outcome: null, outcomeOn: null });
    expect(referral.seeWho.length).toBeGreaterThan(5);
  });
});
