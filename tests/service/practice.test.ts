import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { FIRST_TEXTS } from '../../reference/facts/practice-texts.ts';
import { cleanPhoto } from '../../server/photo-file.server.ts';
import { auditTrail, checkTrail } from '../../server/db/queries/audit.server.ts';
import { besideVisit } from '../../server/db/queries/beside-visit.server.ts';
import { consentsOf, giveConsent, notePatchTest, withdrawConsent } from '../../server/db/queries/consents.server.ts';
import { isOwnPassword } from '../../server/db/queries/accounts.server.ts';
import { overridesOf, signOverride } from '../../server/db/queries/overrides.server.ts';
import { erasePhoto, keepPhoto, markPhoto, photoBytes } from '../../server/db/queries/photos.server.ts';
import {
  addProduct,
  addRule,
  cautionsOf,
  changeProduct,
  changeRule,
  localRules,
  practiceTexts,
  productsOf,
  writeText,
} from '../../server/db/queries/practice.server.ts';
import { readingsBefore } from '../../server/db/queries/readings.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { ReadingModel } from '../../server/db/models/index.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { inPractice } from '../../server/db/scope.ts';
import { addClient, addVisit, asOwner, closeDatabase, openTwoPractices, type Tenant } from './database.ts';

let mine: Tenant;
let theirs: Tenant;
beforeAll(async () => {
  ({ mine, theirs } = await openTwoPractices());
});
afterAll(closeDatabase);

const RULE = {
  title: 'Performs tonight',
  question: 'Playing tonight?',
  group: 'today' as const,
  severity: 'adapt' as const,
  regions: ['jaw' as const],
  pressures: ['firm' as const],
  works: [],
  advice: 'Medium at most.',
  seeWho: '',
};
const OIL = {
  name: 'Plain jojoba',
  kind: 'oil' as const,
  ingredients: ['Simmondsia chinensis'],
  essentialPercent: null,
};

describe('texts', () => {
  test('begin with the wording that comes along, then every change is a version', async () => {
    expect((await practiceTexts(mine.practiceId)).scope).toEqual({
      kind: 'scope',
      version: 0,
      body: FIRST_TEXTS.scope,
    });
    expect(await writeText(mine, 'scope', 0, FIRST_TEXTS.scope)).toBe('saved');
    expect((await practiceTexts(mine.practiceId)).scope.version).toBe(0);
    expect(await writeText(mine, 'scope', 0, 'We work with our hands and send on what is not ours.')).toBe('saved');
    expect(await writeText(mine, 'scope', 0, 'Another wording from another window.')).toBe('stale');
    expect((await practiceTexts(mine.practiceId)).scope).toMatchObject({
      version: 1,
      body: 'We work with our hands and send on what is not ours.',
    });
    expect((await practiceTexts(theirs.practiceId)).scope.version).toBe(0);
  });
  test('two windows at once make one version', async () => {
    const both = await Promise.all([
      writeText(mine, 'consent-work', 0, 'The first of two wordings.'),
      writeText(mine, 'consent-work', 0, 'The second of two wordings.'),
    ]);
    expect(both.sort()).toEqual(['saved', 'stale']);
  });
});

describe('rules', () => {
  test('are screened for while they are switched on, by their own practice only', async () => {
    const id = await addRule(mine, RULE);
    expect((await cautionsOf(mine.practiceId)).some((c) => c.key === `local-${id}`)).toBe(true);
    expect((await cautionsOf(theirs.practiceId)).some((c) => c.key === `local-${id}`)).toBe(false);
    expect(await changeRule(theirs, id, 1, { active: false })).toBe('missing');
    expect(await changeRule(mine, id, 1, { active: false })).toBe('saved');
    expect((await cautionsOf(mine.practiceId)).some((c) => c.key === `local-${id}`)).toBe(false);
    expect(await changeRule(mine, id, 1, { body: RULE })).toBe('stale');
    expect(await changeRule(mine, 'nonsense', 1, { body: RULE })).toBe('missing');
    expect(await changeRule(mine, id, 2, { body: { ...RULE, title: 'Sings tonight' } })).toBe('saved');
    expect(await localRules(mine.practiceId)).toEqual([
      { ...RULE, title: 'Sings tonight', id, active: false, version: 3 },
    ]);
  });
});

describe('products and patch tests', () => {
  test('a name is there once, whatever its letters', async () => {
    expect(await addProduct(mine, OIL)).toBe('saved');
    expect(await addProduct(mine, { ...OIL, name: 'PLAIN jojoba' })).toBe('name-taken');
    expect(await addProduct(theirs, OIL)).toBe('saved');
    const [product] = await productsOf(mine.practiceId);
    expect(await changeProduct(mine, product!.id, 1, { body: { ...OIL, essentialPercent: 0.5 } })).toBe('saved');
    expect(await changeProduct(mine, product!.id, 1, { retired: true })).toBe('stale');
    expect(await changeProduct(theirs, product!.id, 2, { retired: true })).toBe('missing');
    expect((await productsOf(mine.practiceId))[0]).toMatchObject({ essentialPercent: 0.5, retired: false, version: 2 });
  });
  test('a form that was refused and corrected is not taken for the same press', async () => {
    const key = randomUUID();
    expect(await addProduct(mine, OIL, key)).toBe('name-taken');
    expect(await addProduct(mine, { ...OIL, name: 'Almond glide' }, key)).toBe('saved');
    expect(await addProduct(mine, { ...OIL, name: 'Almond glide' }, key)).toBe('saved');
    expect((await productsOf(mine.practiceId)).filter((p) => p.name === 'Almond glide')).toHaveLength(1);
  });
  test('the latest test counts, and belongs to one client of one practice', async () => {
    const client = await addClient(mine, 'Wilma Okonjo');
    const [product] = await productsOf(mine.practiceId);
    expect(await notePatchTest(mine, client.id, product!.id, { testedOn: '2026-11-02', reacted: true })).toBe(true);
    expect(await notePatchTest(mine, client.id, product!.id, { testedOn: '2026-11-01', reacted: false })).toBe(true);
    const visit = { id: await addVisit(mine, client.id), clientId: client.id };
    const beside = await besideVisit(mine.practiceId, visit);
    expect(beside.patchTests).toEqual({ [product!.id]: { testedOn: '2026-11-02', reacted: true } });
    expect(beside.products).toEqual(await productsOf(mine.practiceId));
    expect(await notePatchTest(theirs, client.id, product!.id, { testedOn: '2026-11-03', reacted: false })).toBe(false);
    expect((await besideVisit(theirs.practiceId, visit)).patchTests).toEqual({});
  });
});

describe('consent', () => {
  test('is kept with the version it was given to, and can be taken back', async () => {
    const client = await addClient(mine, 'Jun Castellan');
    expect(await giveConsent(theirs, client.id, 'work', 0)).toBeNull();
    await giveConsent(mine, client.id, 'work', 1);
    await giveConsent(mine, client.id, 'photo', 0);
    expect(await withdrawConsent(theirs, client.id, 'work')).toBe(false);
    expect(await withdrawConsent(mine, client.id, 'work')).toBe(true);
    expect(await withdrawConsent(mine, client.id, 'work')).toBe(false);
    const kept = await consentsOf(mine.practiceId, client.id);
    expect(kept.map((c) => [c.kind, c.textVersion, c.withdrawnAt !== null])).toEqual([
      ['work', 1, true],
      ['photo', 0, false],
    ]);
    expect(await consentsOf(theirs.practiceId, client.id)).toEqual([]);
    expect((await besideVisit(mine.practiceId, { id: client.id, clientId: client.id })).consents).toEqual(kept);
  });
});

describe('overrides', () => {
  test('are signed once, for one open visit of the own practice', async () => {
    const client = await addClient(mine, 'Sunniva Adeyemi');
    const visit = await addVisit(mine, client.id);
    const who = { ...mine, name: 'Rafe Oyelaran' };
    const reason = 'Past the sixth week, agreed with her midwife.';
    expect(await signOverride({ ...theirs, name: 'X' }, visit, 'pregnancy', reason)).toBe('missing');
    expect(await signOverride(who, visit, 'pregnancy', reason)).toMatchObject({
      caution: 'pregnancy',
      reason,
      signedName: 'Rafe Oyelaran',
    });
    expect(await signOverride(who, visit, 'pregnancy', 'Another reason, said later on.')).toBe('signed-before');
    expect((await overridesOf(mine.practiceId, visit)).map((o) => o.reason)).toEqual([reason]);
    expect(await overridesOf(theirs.practiceId, visit)).toEqual([]);
    const beside = await besideVisit(mine.practiceId, { id: visit, clientId: client.id });
    expect(beside.overrides).toEqual(await overridesOf(mine.practiceId, visit));
    expect(beside.texts).toEqual(await practiceTexts(mine.practiceId));
    expect(beside.rules.map((r) => r.key)).toEqual(
      (await cautionsOf(mine.practiceId)).filter((c) => c.key.startsWith('local-')).map((c) => c.key),
    );
    await saveVisit(mine, visit, {
      saveId: 'end-visit-01',
      expectedVersion: 1,
      patch: { kind: 'stage', stage: 'done' },
    });
    expect(await signOverride(who, visit, 'thyroid', reason)).toBe('ended');
  });
  test('the signature is the own password', async () => {
    expect(await isOwnPassword(mine, 'wrong')).toBe(false);
    expect(await isOwnPassword({ ...mine, practitionerId: theirs.practitionerId }, 'a long enough one')).toBe(false);
  });
});

describe('photos', () => {
  const picture = async () =>
    cleanPhoto(
      await sharp({ create: { width: 400, height: 500, channels: 3, background: '#998877' } })
        .png()
        .toBuffer(),
    );
  test('one before and one after; marks with a version; erased as a whole', async () => {
    const client = await addClient(mine, 'Odile Brandt');
    const visit = await addVisit(mine, client.id);
    const first = await keepPhoto(mine, visit, 'before', await picture());
    const second = await keepPhoto(mine, visit, 'before', await picture());
    if (typeof first === 'string' || typeof second === 'string') throw new Error('not kept');
    const photos = async (who = mine) => (await besideVisit(who.practiceId, { id: visit, clientId: client.id })).photos;
    expect(await photos()).toEqual([second]);
    expect(await photos(theirs)).toEqual([]);
    expect(await photoBytes(mine.practiceId, visit, first.id)).toBeNull();
    expect((await photoBytes(mine.practiceId, visit, second.id))!.subarray(0, 2).toString('hex')).toBe('ffd8');
    expect(await photoBytes(theirs.practiceId, visit, second.id)).toBeNull();
    expect(await markPhoto(mine.practiceId, visit, second.id, 1, { chin: { x: 3, y: 4 } })).toMatchObject({
      version: 2,
      landmarks: { chin: { x: 3, y: 4 } },
    });
    expect(await markPhoto(mine.practiceId, visit, second.id, 1, {})).toBe('stale');
    expect(await markPhoto(theirs.practiceId, visit, second.id, 2, {})).toBe('missing');
    expect(await erasePhoto(theirs, visit, second.id)).toBe(false);
    expect(await erasePhoto(mine, visit, second.id)).toBe(true);
    expect(await photos()).toEqual([]);
    expect(await keepPhoto(theirs, visit, 'before', await picture())).toBe('missing');
  });
});

describe('readings before a visit', () => {
  test('are the latest few of each thing and its very first, oldest first, without re-tests and without the visit’s own', async () => {
    const client = await addClient(mine, 'Caspian Holt');
    const visit = (await findVisit(mine.practiceId, await addVisit(mine, client.id)))!;
    const at = (daysAgo: number) => new Date(Date.parse(visit.startsAt) - daysAgo * 86_400_000);
    const one = (value: number, daysAgo: number, more: object = {}) => ({
      practiceId: mine.practiceId,
      clientId: client.id,
      visitId: null,
      complaintId: null,
      measure: 'opening-mm' as const,
      place: '',
      side: 'midline' as const,
      phase: 'between' as const,
      value,
      source: 'home' as const,
      takenBy: null,
      takenAt: at(daysAgo),
      ...more,
    });
    await inPractice(mine.practiceId, () =>
      ReadingModel.bulkCreate([
        ...Array.from({ length: 9 }, (_, i) => one(30 + i, 20 - i)),
        one(99, 2, { phase: 'after' }),
        one(98, -1),
        one(97, 1, { visitId: visit.id, phase: 'before' }),
        one(2, 3, { measure: 'tenderness', place: 'masseter-superficial', side: 'left' }),
      ]),
    );
    const before = await readingsBefore(mine.practiceId, visit);
    const key = { complaintId: null, place: '', side: 'midline' };
    expect(before).toHaveLength(2);
    expect(before).toContainEqual({ ...key, measure: 'opening-mm', values: [33, 34, 35, 36, 37, 38], first: 30 });
    expect(before).toContainEqual({
      ...key,
      measure: 'tenderness',
      place: 'masseter-superficial',
      side: 'left',
      values: [2],
      first: 2,
    });
    expect(await readingsBefore(theirs.practiceId, visit)).toEqual([]);
  });
});

describe('the audit trail', () => {
  test('tells who did what, without what was said, and every entry fits the one before', async () => {
    const { rows, entries } = await auditTrail(mine.practiceId, null, 500);
    expect(await checkTrail(mine.practiceId, 0)).toEqual({
      upTo: entries,
      brokenAt: null,
      whole: true,
      headFits: true,
    });
    expect(rows.length).toBe(entries);
    expect(rows.map((r) => r.what)).toEqual(
      expect.arrayContaining([
        'rule-added',
        'text-changed',
        'consent-withdrawn',
        'caution-overridden',
        'photo-erased',
        'visit-done',
      ]),
    );
    expect(JSON.stringify(rows)).not.toMatch(/midwife|Sunniva|Performs/);
    expect((await auditTrail(theirs.practiceId, null, 500)).rows.some((r) => r.what === 'caution-overridden')).toBe(
      false,
    );
  });
  test('cannot be changed or cut, not even by its owner', async () => {
    await expect(asOwner("update audit set what = 'nothing'")).rejects.toThrow('append-only');
    await expect(asOwner('delete from audit')).rejects.toThrow('append-only');
  });
  test('is read page by page', async () => {
    const { rows, entries } = await auditTrail(mine.practiceId, null, 2);
    expect(rows.map((r) => r.seq)).toEqual([entries, entries - 1]);
    expect((await auditTrail(mine.practiceId, entries - 1, 2)).rows.map((r) => r.seq)).toEqual([
      entries - 2,
      entries - 3,
    ]);
  });
  test('many writers at once leave no gap', async () => {
    const client = await addClient(mine, 'Lena Marchetti');
    await Promise.all(Array.from({ length: 8 }, (_, i) => giveConsent(mine, client.id, 'work', i)));
    expect(await checkTrail(mine.practiceId, 0)).toMatchObject({ brokenAt: null, headFits: true });
  });
  test('consent given six times at once is one consent', async () => {
    const client = await addClient(mine, 'Wilma Okonjo');
    const all = await Promise.all(Array.from({ length: 6 }, () => giveConsent(mine, client.id, 'photo', 0)));
    expect(new Set(all.map((c) => c!.id)).size).toBe(1);
    expect(await consentsOf(mine.practiceId, client.id)).toHaveLength(1);
  });
  test('is checked from any entry on, and one that is not there is told', async () => {
    const { entries } = await auditTrail(mine.practiceId, null, 1);
    expect(await checkTrail(mine.practiceId, 3)).toEqual({
      upTo: entries,
      brokenAt: null,
      whole: true,
      headFits: true,
    });
    expect(await checkTrail(mine.practiceId, entries + 5)).toMatchObject({ headFits: false });
  });
  const byHand = async (sql: string) => {
    await asOwner('alter table audit disable trigger audit_append_only');
    await asOwner(sql, { id: mine.practiceId });
    await asOwner('alter table audit enable trigger audit_append_only');
  };
  test('cutting off the newest entry is seen, also with the head set back to fit', async () => {
    const { entries } = await auditTrail(mine.practiceId, null, 1);
    await byHand(`delete from audit where practice_id = :id and seq = ${entries}`);
    expect(await checkTrail(mine.practiceId, 0)).toEqual({
      upTo: entries - 1,
      brokenAt: null,
      whole: true,
      headFits: false,
    });
    await asOwner(
      'update trail_heads h set entries = a.seq, hash = a.hash from audit a where a.practice_id = h.practice_id and h.practice_id = :id and a.seq = :seq',
      { id: mine.practiceId, seq: entries - 1 },
    );
    expect((await checkTrail(mine.practiceId, 0)).headFits).toBe(false);
    await asOwner('delete from trail_heads where practice_id = :id', { id: mine.practiceId });
    expect((await checkTrail(mine.practiceId, 0)).headFits).toBe(false);
  });
  test('what is changed behind its back is seen', async () => {
    await byHand(`update audit set about = '{"client":"x"}' where practice_id = :id and seq = 2`);
    expect((await checkTrail(mine.practiceId, 0)).brokenAt).toBe(2);
  });
});
