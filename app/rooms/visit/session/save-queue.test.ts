import { EMPTY_RECORD, EMPTY_SCREEN, joined, leftOf, type StoredVisit, type VisitPatch } from '../../../../core/record';
import { describe, expect, test, vi } from 'vitest';
import { FakeVisitServer, BAD_NOTE, NOW, VISIT } from '../../../../tests/support/fake-visit-server';
import { SaveQueue, type Kept, type Post, type SaveAnswer, type SaveState } from './save-queue';

const routine = (name: string): VisitPatch => ({ kind: 'routine', routine: { name } as never });
const reading = (place: string, value: number | null): VisitPatch => ({
  kind: 'readings',
  entries: [{ measure: 'tenderness', complaintId: null, place, side: 'left', phase: 'before', value }],
});
const note = (text: string): VisitPatch => ({ kind: 'record', record: { ...EMPTY_RECORD, note: text } });

/** A server that can be told to answer otherwise, one answer after the other. */
function setUp(answers: (SaveAnswer | 'lost')[] = [], kept: Kept | null = null, server = new FakeVisitServer()) {
  // Every page makes ids of its own.
  const page = kept ? 'later' : 'save';
  const sent: Parameters<Post>[0][] = [];
  const states: SaveState[] = [];
  const onDevice: Kept[] = [];
  let release: (() => void)[] = [];
  let held = false;
  const queue = new SaveQueue({
    visitId: VISIT,
    version: server.version,
    stored: structuredClone(server.state),
    retryMs: 5,
    now: () => NOW,
    makeId: (() => {
      let n = 0;
      return () => `${page}-${++n}`;
    })(),
    tell: (_shown, s) => states.push(s),
    keep: (k) => onDevice.push(structuredClone(k)),
    post: async (body) => {
      sent.push(structuredClone(body));
      if (held) await new Promise<void>((r) => release.push(r));
      const told = answers.shift();
      const answer = told && told !== 'lost' ? told : server.take(body);
      return told === 'lost' ? { result: 'unreachable' } : answer;
    },
  });
  queue.start(kept);
  const done = () => vi.waitFor(() => expect(queue.isIdle).toBe(true));
  return {
    queue,
    server,
    sent,
    states,
    onDevice,
    done,
    last: () => states[states.length - 1]!,
    hold: () => (held = true),
    letGo: () => {
      held = false;
      release.forEach((r) => r());
      release = [];
    },
  };
}

describe('joining writes that nobody has seen', () => {
  test('a later routine replaces an earlier one', () =>
    expect(joined(routine('a'), routine('b'))).toEqual(routine('b')));
  test('readings merge, the later value of the same place wins', () => {
    expect(joined(reading('masseter', 1), reading('masseter', 2))).toEqual(reading('masseter', 2));
    const both = joined(reading('masseter', 1), reading('temporalis', 2));
    expect(both?.kind === 'readings' && both.entries.map((e) => [e.place, e.value])).toEqual([
      ['masseter', 1],
      ['temporalis', 2],
    ]);
  });
  test('stages, different kinds and different measures are never joined', () => {
    expect(joined({ kind: 'stage', stage: 'assess' }, { kind: 'stage', stage: 'compose' })).toBeNull();
    expect(joined(routine('a'), reading('x', 1))).toBeNull();
    expect(
      joined(
        { kind: 'answers', measure: 'distress', answers: { i1: 1 } },
        { kind: 'answers', measure: 'stress-4', answers: { i1: 1 } },
      ),
    ).toBeNull();
  });
  test('what a later change says anew is left of an earlier one no more', () => {
    expect(leftOf(routine('a'), routine('b'))).toBeNull();
    expect(leftOf(reading('m', 1), reading('m', 2))).toBeNull();
    expect(leftOf(reading('m', 1), reading('t', 2))).toEqual(reading('m', 1));
    expect(leftOf(routine('a'), reading('m', 1))).toEqual(routine('a'));
  });
});

describe('writing in order', () => {
  test('each write stands on the version the one before made', async () => {
    const { queue, sent, done, last } = setUp();
    queue.add(routine('a'));
    queue.add(reading('m', 1));
    await done();
    expect(sent.map((s) => [s.saveId, s.expectedVersion])).toEqual([
      ['save-1', 1],
      ['save-2', 2],
    ]);
    expect(last()).toEqual({ status: 'saved', refused: [] });
  });
  test('what is on its way is not changed; what waits behind it is joined', async () => {
    const { queue, sent, hold, letGo, done } = setUp();
    hold();
    for (const name of ['first', 'second', 'third']) queue.add(routine(name));
    letGo();
    await done();
    expect(sent.map((s) => s.patch)).toEqual([routine('first'), routine('third')]);
  });
  test('a write whose answer was lost is sent again as it was, and a later edit goes by itself', async () => {
    const { queue, server, sent, done } = setUp(['lost']);
    queue.add(routine('first'));
    await vi.waitFor(() => expect(server.state.routine).toMatchObject({ name: 'first' }));
    queue.add(routine('second'));
    await done();
    expect(sent.map((s) => [s.saveId, (s.patch as { routine: { name: string } }).routine.name])).toEqual([
      ['save-1', 'first'],
      ['save-1', 'first'],
      ['save-2', 'second'],
    ]);
    expect(server.state.routine).toMatchObject({ name: 'second' });
  });
  test('an unreachable server is tried again under the same id', async () => {
    const { queue, sent, states, done } = setUp([{ result: 'unreachable' }, { result: 'unreachable' }]);
    queue.add(routine('a'));
    await done();
    expect(sent.map((s) => s.saveId)).toEqual(['save-1', 'save-1', 'save-1']);
    expect(states.map((s) => s.status)).toContain('waiting');
  });
  test('nothing goes before it is known what an earlier page left', async () => {
    const server = new FakeVisitServer();
    const queue = new SaveQueue({
      visitId: VISIT,
      version: 1,
      stored: server.state,
      makeId: () => 'save-1',
      tell: () => {},
      keep: () => {},
      post: async (body) => server.take(body),
    });
    // What an earlier page left may be other than what is shown: "saved" would be a guess.
    expect(queue.save.status).toBe('opening');
    queue.add(routine('a'));
    await new Promise((r) => setTimeout(r, 10));
    expect([server.version, queue.save.status]).toEqual([1, 'saving']);
    queue.start(null);
    await vi.waitFor(() => expect([server.version, queue.save.status]).toEqual([2, 'saved']));
  });
});

describe('a write that cannot succeed', () => {
  test('is set aside with its message; what is behind it goes on, and "saved" is not said', async () => {
    const { queue, server, last } = setUp();
    queue.add(note(BAD_NOTE));
    queue.add(reading('m', 1));
    await vi.waitFor(() => expect(server.state.readings).toHaveLength(1));
    expect(last().refused).toMatchObject([
      { message: 'This note cannot be kept.', field: 'patch.record.note', patch: note(BAD_NOTE) },
    ]);
    expect(queue.shown.record.note).toBe(BAD_NOTE);
    expect(queue.isIdle).toBe(false);
  });
  test('changed where it stands, it is written', async () => {
    const { queue, server, last, done } = setUp();
    queue.add(note(BAD_NOTE));
    await vi.waitFor(() => expect(last().refused).toHaveLength(1));
    queue.add(note('a better one'));
    await done();
    expect([server.state.record.note, last()]).toEqual(['a better one', { status: 'saved', refused: [] }]);
  });
  test('taken back, the screen shows what is stored', async () => {
    const { queue, last } = setUp();
    queue.add(note(BAD_NOTE));
    await vi.waitFor(() => expect(last().refused).toHaveLength(1));
    queue.takeBack(last().refused[0]!.saveId);
    expect([queue.shown.record.note, last(), queue.isIdle]).toEqual(['', { status: 'saved', refused: [] }, true]);
  });
  test('a step onward that was refused is not taken on the screen', async () => {
    const { queue, last } = setUp([{ result: 'refused', message: 'A red flag.' }]);
    queue.add({ kind: 'stage', stage: 'compose' });
    await vi.waitFor(() => expect(last().refused).toHaveLength(1));
    expect(queue.shown.stage).toBe('screen');
  });
});

describe('an ended session', () => {
  test('stops the queue; signed in again, it goes on', async () => {
    const { queue, server, sent, last, done } = setUp();
    server.signedIn = false;
    queue.add(routine('a'));
    await vi.waitFor(() => expect(last().status).toBe('signed-out'));
    queue.add(reading('m', 1));
    await new Promise((r) => setTimeout(r, 20));
    expect(sent).toHaveLength(1);
    server.signedIn = true;
    queue.resume();
    await done();
    expect([server.state.routine, server.state.readings.length]).toMatchObject([{ name: 'a' }, 1]);
  });
});

describe('what outlives the page', () => {
  test('is kept from the first moment and gone when it is written', async () => {
    const { queue, onDevice, done } = setUp();
    queue.add(routine('a'));
    expect(onDevice.some((k) => k.writes.some((w) => w.patch.kind === 'routine'))).toBe(true);
    await done();
    expect(onDevice[onDevice.length - 1]!.writes).toEqual([]);
  });
  test('is taken up by the next page, and never joined into: the server may have it', async () => {
    const first = setUp(Array<SaveAnswer>(500).fill({ result: 'unreachable' }));
    first.queue.add(routine('a'));
    await vi.waitFor(() => expect(first.last().status).toBe('waiting'));
    first.queue.stop();
    const second = setUp([], first.onDevice[first.onDevice.length - 1]!, first.server);
    second.queue.add(routine('b'));
    await second.done();
    expect(second.sent.map((s) => (s.patch as { routine: { name: string } }).routine.name)).toEqual(['a', 'b']);
    expect(first.server.state.routine).toMatchObject({ name: 'b' });
  });
});

test('what lies on a device may be older than what was sent: none of it is altered', async () => {
  const server = new FakeVisitServer();
  const writes = [reading('m', 1), routine('a')].map((patch, i) => ({
    saveId: `gone-${i}`,
    patch,
    state: 'waiting' as const,
  }));
  for (const [i, { saveId, patch }] of writes.entries()) server.take({ saveId, patch, expectedVersion: i + 1 });
  const { queue, sent, last, done } = setUp([], { version: 1, writes }, server);
  queue.add(routine('b'));
  await done();
  expect(sent.map((s) => s.saveId)).toEqual(['gone-0', 'gone-1', 'later-1']);
  expect([server.state.routine, last()]).toMatchObject([{ name: 'b' }, { status: 'saved', refused: [] }]);
});

describe('two windows', () => {
  const conflict = async () => {
    const all = setUp();
    all.server.foreign(routine('theirs'));
    all.queue.add(routine('mine'));
    await vi.waitFor(() => expect(all.last().status).toBe('stale'));
    return all;
  };
  test('a stale write stops everything until somebody chose', async () => {
    const { queue, sent } = await conflict();
    queue.add(reading('m', 1));
    await new Promise((r) => setTimeout(r, 20));
    expect(sent.length).toBe(1);
  });
  test('keep mine writes it on their version', async () => {
    const { queue, server, done } = await conflict();
    queue.keepMine();
    await done();
    expect([server.state.routine, server.version]).toMatchObject([{ name: 'mine' }, 3]);
  });
  test('take theirs gives mine up, shows theirs and goes on from there', async () => {
    const { queue, server, done } = await conflict();
    queue.takeTheirs();
    expect([queue.isIdle, queue.shown.routine]).toMatchObject([true, { name: 'theirs' }]);
    queue.add(routine('next'));
    await done();
    expect(server.state.routine).toMatchObject({ name: 'next' });
  });
  test('a visit that was ended elsewhere says so', async () => {
    const { queue, server, last } = setUp();
    server.state = { ...server.state, stage: 'done' };
    queue.add(routine('late'));
    await vi.waitFor(() => expect(last().status).toBe('ended'));
  });
});

describe('another screen wrote', () => {
  const stored = (version: number, note: string) =>
    ({
      visit: { version, stage: 'record', screen: EMPTY_SCREEN, routine: null, record: { ...EMPTY_RECORD, note } },
      readings: [],
      scores: [],
    }) as unknown as StoredVisit;
  test('what it wrote is shown, and what is entered next goes on from there', async () => {
    const { queue, server, sent, done } = setUp();
    const { version } = server;
    expect(queue.isBehind(version)).toBe(false);
    expect(queue.isBehind(version + 3)).toBe(true);
    expect(queue.takeNewer(stored(version + 3, 'theirs'))).toBe(true);
    expect(queue.shown.record.note).toBe('theirs');
    expect(queue.isBehind(version + 3)).toBe(false);
    server.version = version + 3;
    queue.add(note('mine'));
    await done();
    expect(sent.map((s) => s.expectedVersion)).toEqual([version + 3]);
    expect(queue.save.status).toBe('saved');
  });
  test('nothing is taken over an entry that is on its way: the server decides, and it is told', async () => {
    const { queue, server, hold, letGo } = setUp();
    const { version } = server;
    hold();
    queue.add(note('mine'));
    expect(queue.isBehind(version + 1)).toBe(false);
    expect(queue.takeNewer(stored(version + 1, 'theirs'))).toBe(false);
    expect(queue.shown.record.note).toBe('mine');
    letGo();
  });
  test('an entry that was refused stands until it is looked at, whatever comes from elsewhere', async () => {
    const { queue, server, last } = setUp([{ result: 'refused', message: 'Too long.' }]);
    queue.add(note('mine'));
    await vi.waitFor(() => expect(last().refused).toHaveLength(1));
    expect(queue.takeNewer(stored(server.version + 1, 'theirs'))).toBe(false);
    expect([queue.shown.record.note, last().refused.length]).toEqual(['mine', 1]);
  });
  test('what is older than what is known here is not shown', () => {
    const { queue, server } = setUp();
    expect(queue.takeNewer(stored(server.version, 'older'))).toBe(false);
    expect(queue.shown.record.note).not.toBe('older');
  });
});
