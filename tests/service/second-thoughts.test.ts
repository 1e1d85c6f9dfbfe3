import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, test } from 'vitest';
import { EMPTY_FINDINGS, EMPTY_RECORD, type VisitPatch } from '../../core/record/index.ts';
import { emptyRoutine } from '../../core/routine/index.ts';
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
  test('takes the answers of its screening and what was found, in words; the reading keeps the time it was taken at', async () => {
    await asOwner(`update readings set taken_at = '2026-01-05T09:00:00Z' where visit_id = :visitId`, { visitId });
    await asOwner(
      `update visits set starts_at = '2026-01-05T08:30:00Z', ended_at = '2026-01-05T09:30:00Z' where id = :visitId`,
      { visitId },
    );
    expect(await write(tender(2, 'Misread'))).toBe('saved');
    const other: VisitPatch = {
      kind: 'readings',
      entries: [{ ...(tender(1) as Extract<VisitPatch, { kind: 'readings' }>).entries[0]!, side: 'right' }],
      because: 'Left out',
    };
    expect(await write(other)).toBe('saved');
    // A slip that is mended weeks later is no rating of today.
    expect((await readingsOfVisit(own.tenant.practiceId, visitId)).map((r) => [r.side, r.value, r.takenAt])).toEqual([
      ['left', 2, '2026-01-05T09:00:00.000Z'],
      ['right', 1, '2026-01-05T09:30:00.000Z'],
    ]);
    const screen = { answers: { pregnancy: 'yes' as const }, preparation: ['hands'] };
    expect(await write({ kind: 'screen', screen, because: 'She wears them' })).toBe('saved');
    const findings = {
      ...EMPTY_FINDINGS,
      feltElsewhere: [{ muscle: 'masseter-superficial', side: 'left', to: 'temple', toSide: 'left' } as const],
    };
    expect(await write({ kind: 'findings', findings, because: 'Forgotten' })).toBe('saved');
    expect((await findVisit(own.tenant.practiceId, visitId))!.screen.answers).toEqual(screen.answers);
    expect((await amendmentsOf(own.tenant.practiceId, visitId)).slice(2).map((a) => a.changes)).toEqual([
      [
        { what: 'Pregnancy', before: '', after: 'Yes' },
        { what: 'Preparation', before: '', after: 'Hands washed and warm, nails short, rings off' },
      ],
      [{ what: 'Felt elsewhere', before: '', after: 'Masseter, left, felt in temple, left' }],
    ]);
  });
  test('takes nothing without a reason, and nothing of what was planned or how it ended', async () => {
    expect(await write(tender(2))).toBe('ended');
    const screen: VisitPatch = { kind: 'screen', screen: { answers: {}, preparation: [] } };
    expect(await write(screen)).toBe('ended');
    expect(await write({ ...screen, because: '' })).toBe('ended');
    expect(await write({ kind: 'routine', routine: emptyRoutine('R'), because: 'x' } as VisitPatch)).toBe('ended');
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
