import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import { EMPTY_RECORD, type VisitPatch } from '../../core/record/index.ts';
import { addToVisit, amendmentsOf } from '../../server/db/queries/amendments.server.ts';
import { readingsOfVisit } from '../../server/db/queries/readings.server.ts';
import { saveVisit } from '../../server/db/queries/save-visit.server.ts';
import { findVisit } from '../../server/db/queries/visits.server.ts';
import { addClient, addVisit, asOwner, openPractice, ownPractice } from './database.ts';

const own = ownPractice();
let visitId: string;
let version: number;
const write = async (patch: VisitPatch) => {
  const result = await saveVisit(own.tenant, visitId, { saveId: randomUUID(), expectedVersion: version, patch });
  if (result.result === 'saved') version = result.version;
  return result.result;
};
const tender = (value: number | null, because?: string): VisitPatch => ({
  kind: 'readings',
  entries: [
    { measure: 'tenderness', complaintId: null, place: 'masseter-superficial', side: 'left', phase: 'after', value },
  ],
  ...(because ? { because } : {}),
});
beforeEach(async () => {
  visitId = await addVisit(own.tenant, (await addClient(own.tenant)).id);
  version = 1;
  await write({ kind: 'record', record: { ...EMPTY_RECORD, note: 'As it was' } });
  await write(tender(3));
  await write({ kind: 'stage', stage: 'done' });
});

describe('an ended visit', () => {
  test('takes a correction that says why; the old value stays beside it, with who and when, and in the trail', async () => {
    expect(await write(tender(2, 'Misread'))).toBe('saved');
    expect(await write({ kind: 'record', record: { ...EMPTY_RECORD, note: 'As it is' }, because: 'A slip' })).toBe(
      'saved',
    );
    expect((await readingsOfVisit(own.tenant.practiceId, visitId)).map((r) => r.value)).toEqual([2]);
    expect((await findVisit(own.tenant.practiceId, visitId))!.record!.note).toBe('As it is');
    expect(await amendmentsOf(own.tenant.practiceId, visitId)).toMatchObject([
      {
        words: 'Misread',
        by: 'Imke Dahl',
        changes: [{ what: 'Tenderness, Masseter, client’s left, after', before: '3 of 3', after: '2 of 3' }],
      },
      { words: 'A slip', changes: [{ what: 'Notes', before: 'As it was', after: 'As it is' }] },
    ]);
    const trail = await asOwner(
      `select about->>'values' as values from audit where what = 'visit-corrected' and about->>'visit' = :visitId`,
      { visitId },
    );
    expect(trail).toEqual([{ values: '1' }, { values: '1' }]);
  });
  test('takes nothing without a reason, and nothing that is no record or reading', async () => {
    expect(await write(tender(2))).toBe('ended');
    expect(await write({ kind: 'screen', screen: { answers: {}, preparation: [] } })).toBe('ended');
    expect(await write({ kind: 'screen', screen: { answers: {}, preparation: [] }, because: 'x' } as VisitPatch)).toBe(
      'ended',
    );
    expect(await write({ kind: 'stage', stage: 'record' })).toBe('ended');
    expect(await amendmentsOf(own.tenant.practiceId, visitId)).toEqual([]);
  });
  test('what changes nothing leaves no entry', async () => {
    expect(await write(tender(3, 'Looked again'))).toBe('saved');
    expect(await amendmentsOf(own.tenant.practiceId, visitId)).toEqual([]);
  });
  test('takes words that are added, once for a key; one that goes on does not, nor another practice’s', async () => {
    const key = randomUUID();
    await Promise.all([
      addToVisit(own.tenant, visitId, 'She rang: easier since', key),
      addToVisit(own.tenant, visitId, 'She rang: easier since', key),
    ]);
    expect((await amendmentsOf(own.tenant.practiceId, visitId)).map((a) => a.words)).toEqual([
      'She rang: easier since',
    ]);
    await expect(addToVisit(own.tenant, visitId, '   ')).rejects.toThrow('words');
    const open = await addVisit(own.tenant, (await addClient(own.tenant)).id);
    expect(await addToVisit(own.tenant, open, 'x')).toBe('open');
    const other = await openPractice();
    expect(await addToVisit(other, visitId, 'x')).toBe('missing');
    expect(await amendmentsOf(other.practiceId, visitId)).toEqual([]);
  });
});
