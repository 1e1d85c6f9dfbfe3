import { describe, expect, test, vi } from 'vitest';
import type { VisitPatch } from '../../server/db/queries/save-visit.server';
import { joined, SaveQueue, type Post, type SaveAnswer, type SaveState } from './save-queue';

const routine = (name: string): VisitPatch => ({ kind: 'routine', routine: { name } as never });
const reading = (place: string, value: number | null): VisitPatch => ({ kind: 'readings', entries: [{ measure: 'tenderness', complaintId: null, place, side: 'left', phase: 'before', value }] });

/** A server that answers as told, one answer after the other; by default it saves. */
function setUp(answers: SaveAnswer[] = []) {
  const sent: Parameters<Post>[0][] = [];
  const states: SaveState['status'][] = [];
  let version = 1;
  let release: (() => void)[] = [];
  let held = false;
  const queue = new SaveQueue({
    version: 1,
    retryMs: 5,
    makeId: (() => { let n = 0; return () => `save-${++n}`; })(),
    tell: (s) => states.push(s.status),
    post: async (body) => {
      sent.push(structuredClone(body));
      if (held) await new Promise<void>((r) => release.push(r));
      return answers.shift() ?? { result: 'saved', version: ++version };
    },
  });
  return { queue, sent, states, hold: () => (held = true), letGo: () => { held = false; release.forEach((r) => r()); release = []; } };
}

describe('joining writes that have not gone yet', () => {
  test('a later routine replaces an earlier one', () => expect(joined(routine('a'), routine('b'))).toEqual(routine('b')));
  test('readings merge, the later value of the same place wins', () => {
    expect(joined(reading('masseter', 1), reading('masseter', 2))).toEqual(reading('masseter', 2));
    const both = joined(reading('masseter', 1), reading('temporalis', 2));
    expect(both?.kind === 'readings' && both.entries.map((e) => [e.place, e.value])).toEqual([['masseter', 1], ['temporalis', 2]]);
  });
  test('stages and different kinds are never joined', () => {
    expect(joined({ kind: 'stage', stage: 'assess' }, { kind: 'stage', stage: 'compose' })).toBeNull();
    expect(joined(routine('a'), reading('x', 1))).toBeNull();
  });
});

describe('writing in order', () => {
  test('each write stands on the version the one before made', async () => {
    const { queue, sent, states } = setUp();
    queue.add(routine('a'));
    queue.add(reading('m', 1));
    await vi.waitFor(() => expect(queue.isIdle).toBe(true));
    expect(sent.map((s) => [s.saveId, s.expectedVersion])).toEqual([['save-1', 1], ['save-2', 2]]);
    expect(states.at(-1)).toBe('saved');
  });
  test('what is on its way is not changed; what waits behind it is joined', async () => {
    const { queue, sent, hold, letGo } = setUp();
    hold();
    queue.add(routine('first'));
    queue.add(routine('second'));
    queue.add(routine('third'));
    letGo();
    await vi.waitFor(() => expect(queue.isIdle).toBe(true));
    expect(sent.map((s) => s.patch)).toEqual([routine('first'), routine('third')]);
  });
  test('an unreachable server is tried again under the same id', async () => {
    const { queue, sent, states } = setUp([{ result: 'unreachable' }, { result: 'unreachable' }]);
    queue.add(routine('a'));
    await vi.waitFor(() => expect(queue.isIdle).toBe(true));
    expect(sent.map((s) => s.saveId)).toEqual(['save-1', 'save-1', 'save-1']);
    expect(states).toContain('waiting');
  });
  test('a refusal is told and the rest goes on', async () => {
    const { queue, sent, states } = setUp([{ result: 'refused', message: 'Off limits.' }]);
    queue.add(routine('a'));
    queue.add(reading('m', 1));
    await vi.waitFor(() => expect(sent.length).toBe(2));
    expect(states).toContain('refused');
  });
});

describe('two windows', () => {
  const stale: SaveAnswer = { result: 'stale', visit: { version: 9 } as never };
  test('a stale write stops everything until somebody chose', async () => {
    const { queue, sent, states } = setUp([stale]);
    queue.add(routine('mine'));
    await vi.waitFor(() => expect(states.at(-1)).toBe('stale'));
    queue.add(reading('m', 1));
    await new Promise((r) => setTimeout(r, 20));
    expect(sent.length).toBe(1);
  });
  test('keep mine writes it on their version', async () => {
    const { queue, sent, states } = setUp([stale]);
    queue.add(routine('mine'));
    await vi.waitFor(() => expect(states.at(-1)).toBe('stale'));
    queue.keepMine(9);
    await vi.waitFor(() => expect(queue.isIdle).toBe(true));
    expect(sent.at(-1)).toMatchObject({ expectedVersion: 9, patch: routine('mine') });
  });
  test('take theirs gives mine up and goes on from there', async () => {
    const { queue, sent, states } = setUp([stale]);
    queue.add(routine('mine'));
    await vi.waitFor(() => expect(states.at(-1)).toBe('stale'));
    queue.takeTheirs(9);
    expect(queue.isIdle).toBe(true);
    queue.add(routine('next'));
    await vi.waitFor(() => expect(queue.isIdle).toBe(true));
    expect(sent.at(-1)).toMatchObject({ expectedVersion: 9, patch: routine('next') });
  });
});
