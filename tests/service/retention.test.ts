import { beforeEach, describe, expect, test } from 'vitest';
import type { Client } from '../../core/record/index.ts';
import { eraseOld, retentionOf, setRetention, whatIsOld } from '../../server/db/queries/retention.server.ts';
import { addClient, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let noor: Client;
const visit = async (client: Client, ago: string, who = own.tenant): Promise<string> => {
  const [row] = await asOwner<{ id: string }>(`select gen_random_uuid() as id`);
  await asOwner(
    `insert into visits (id, practice_id, client_id, practitioner_id, starts_at, stage, screen) values (:id, :practiceId, :client, :practitionerId, now() - interval '${ago}', 'done', '{"answers":{},"preparation":[]}')`,
    { id: row!.id, ...who, client: client.id },
  );
  await asOwner(
    `insert into readings (id, practice_id, client_id, visit_id, complaint_id, measure, place, side, phase, value, source, taken_at) values (gen_random_uuid(), :practiceId, :client, :visit, :complaint, 'nrs-now', '', 'left', 'before', 5, 'studio', now() - interval '${ago}')`,
    { ...who, client: client.id, visit: row!.id, complaint: client.complaints[0]!.id },
  );
  return row!.id;
};
const photo = (client: Client, visitId: string, ago: string) =>
  asOwner(
    `insert into photos (id, practice_id, client_id, visit_id, phase, bytes, width_px, height_px, taken_at) values (gen_random_uuid(), :practiceId, :client, :visitId, 'before', 'x', 1, 1, now() - interval '${ago}')`,
    { practiceId: own.tenant.practiceId, client: client.id, visitId },
  );
const counts = async () => {
  const [row] = await asOwner<{ visits: number; readings: number; photos: number }>(
    `select (select count(*)::int from visits where practice_id = :id) as visits, (select count(*)::int from readings where practice_id = :id) as readings, (select count(*)::int from photos where practice_id = :id) as photos`,
    { id: own.tenant.practiceId },
  );
  return row;
};

beforeEach(async () => {
  await asOwner('delete from clients where practice_id = :id', { id: own.tenant.practiceId });
  await setRetention(own.tenant, { visitsYears: null, photosMonths: null });
  noor = await addClient(own.tenant);
});

describe('how long records are kept', () => {
  test('nothing is old while nobody said how long; then what is older is listed, by client', async () => {
    const old = await visit(noor, '11 years');
    await photo(noor, old, '11 years');
    await photo(noor, await visit(noor, '9 years 11 months'), '2 months');
    expect(await whatIsOld(own.tenant.practiceId)).toEqual([]);
    await setRetention(own.tenant, { visitsYears: 10, photosMonths: 3 });
    expect(await retentionOf(own.tenant.practiceId)).toEqual({ visitsYears: 10, photosMonths: 3 });
    expect(await whatIsOld(own.tenant.practiceId)).toEqual([
      expect.objectContaining({ name: noor.name, visits: 1, photos: 1, isAll: false }),
    ]);
    // A list erases nothing.
    expect(await counts()).toEqual({ visits: 2, readings: 2, photos: 2 });
    await setRetention(own.tenant, { visitsYears: 1, photosMonths: 1 });
    expect(await whatIsOld(own.tenant.practiceId)).toEqual([
      expect.objectContaining({ visits: 2, photos: 2, isAll: true }),
    ]);
  });
  test('erased is what is older, with its readings; the rest stays, the trail tells how many', async () => {
    await visit(noor, '11 years');
    const newer = await visit(noor, '2 years');
    await photo(noor, newer, '2 years');
    await photo(noor, await visit(noor, '1 day'), '1 day');
    expect(await eraseOld(own.tenant, noor.id, 'visits')).toBe(0);
    expect(await eraseOld(own.tenant, noor.id, 'photos')).toBe(0);
    await setRetention(own.tenant, { visitsYears: 10, photosMonths: 12 });
    expect(await eraseOld(own.tenant, noor.id, 'photos')).toBe(1);
    expect(await counts()).toEqual({ visits: 3, readings: 3, photos: 1 });
    expect(await eraseOld(own.tenant, noor.id, 'visits')).toBe(1);
    expect(await counts()).toEqual({ visits: 2, readings: 2, photos: 1 });
    expect(await whatIsOld(own.tenant.practiceId)).toEqual([]);
    const trail = await asOwner<{ what: string; about: object }>(
      `select what, about from audit where practice_id = :id and what like 'old-%' order by seq`,
      { id: own.tenant.practiceId },
    );
    expect(trail).toEqual([
      { what: 'old-photos-erased', about: { client: noor.id, photos: 1 } },
      { what: 'old-visits-erased', about: { client: noor.id, visits: 1 } },
    ]);
  });
  test('another practice’s client is out of reach', async () => {
    const other = await openPractice('Elsewhere');
    const theirs = await addClient(other);
    await visit(theirs, '20 years', other);
    await setRetention(own.tenant, { visitsYears: 1, photosMonths: 1 });
    expect(await eraseOld(own.tenant, theirs.id, 'visits')).toBe(0);
    expect(await whatIsOld(own.tenant.practiceId)).toEqual([]);
    const [row] = await asOwner<{ n: number }>('select count(*)::int as n from visits where practice_id = :id', {
      id: other.practiceId,
    });
    expect(row!.n).toBe(1);
  });
});
