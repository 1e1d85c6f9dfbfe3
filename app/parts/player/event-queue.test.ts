import type { GuideEvent } from '../../../core/guide';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { EventQueue } from './event-queue';

const store = new Map<string, string>();
beforeEach(() => {
  store.clear();
  vi.stubGlobal('localStorage', {
    getItem: (k: string) => store.get(k) ?? null,
    setItem: (k: string, v: string) => void store.set(k, v),
    removeItem: (k: string) => void store.delete(k),
  });
});
const event = (id: string, atMs = 1): GuideEvent => ({ id, kind: 'next', atMs });

describe('events of a run', () => {
  test('are kept on the device until the server has them', async () => {
    const taken: string[][] = [];
    const queue = new EventQueue(
      'run-1',
      async (events) => (taken.push(events.map((e) => e.id)), events.map((e) => e.id)),
      () => {},
    );
    queue.add(event('event-00a'));
    expect(JSON.parse(store.get('velvet-run-run-1')!)).toMatchObject({ events: [{ id: 'event-00a' }] });
    await vi.waitFor(() => expect(queue.unsent).toEqual([]));
    expect(taken).toEqual([['event-00a']]);
  });
  test('survive a reload: a new queue of the same run finds them', async () => {
    const silent = new EventQueue(
      'run-1',
      async () => null,
      () => {},
    );
    silent.add(event('event-00a'));
    await silent.flush();
    silent.alive(77);
    const after = new EventQueue(
      'run-1',
      async (events) => events.map((e) => e.id),
      () => {},
    );
    expect([after.unsent.map((e) => e.id), after.aliveMs]).toEqual([['event-00a'], 77]);
    await after.flush();
    expect(after.unsent).toEqual([]);
  });
  test('what an earlier form of the application left is read in the present one', () => {
    store.set(
      'velvet-run-run-1',
      JSON.stringify({
        aliveMs: 5,
        events: [
          { id: 'event-001', kind: 'harden', atMs: 1 },
          { id: 'event-002', kind: 'note', atMs: 2, text: 'warm' },
          7,
        ],
      }),
    );
    const queue = new EventQueue(
      'run-1',
      async () => null,
      () => {},
    );
    expect(queue.unsent).toEqual([
      { id: 'event-001', kind: 'firmer', atMs: 1 },
      { id: 'event-002', kind: 'note', atMs: 2, words: 'warm' },
    ]);
  });
  test('only what the server took is forgotten', async () => {
    let first = true;
    const queue = new EventQueue(
      'run-1',
      async (events) => (first ? ((first = false), [events[0]!.id]) : events.map((e) => e.id)),
      () => {},
    );
    queue.add(event('event-00a'));
    queue.add(event('event-00b'));
    await vi.waitFor(() => expect(queue.unsent).toEqual([]));
  });
  test('to flush while a sending is under way waits for its answer', async () => {
    let answer: (taken: string[]) => void = () => {};
    const queue = new EventQueue(
      'run-1',
      () => new Promise((done) => (answer = done)),
      () => {},
    );
    queue.add(event('event-00a'));
    let settled = false;
    const flushed = queue.flush().then(() => (settled = true));
    await Promise.resolve();
    expect([settled, queue.unsent.length]).toEqual([false, 1]);
    answer(['event-00a']);
    await flushed;
    expect(queue.unsent).toEqual([]);
  });
  test('runs do not mix', () => {
    new EventQueue(
      'run-1',
      async () => null,
      () => {},
    ).add(event('event-00a'));
    expect(
      new EventQueue(
        'run-2',
        async () => null,
        () => {},
      ).unsent,
    ).toEqual([]);
  });
  test('a store that is damaged or forbidden costs nothing but the safety net', () => {
    store.set('velvet-run-run-1', 'not json');
    expect(
      new EventQueue(
        'run-1',
        async () => null,
        () => {},
      ).unsent,
    ).toEqual([]);
    vi.stubGlobal('localStorage', {
      getItem: () => null,
      setItem: () => {
        throw new Error('full');
      },
      removeItem: () => {},
    });
    expect(() =>
      new EventQueue(
        'run-1',
        async () => [],
        () => {},
      ).add(event('event-00a')),
    ).not.toThrow();
  });
  test('forgetting waits until all is sent', async () => {
    const queue = new EventQueue(
      'run-1',
      async () => null,
      () => {},
    );
    queue.add(event('event-00a'));
    await queue.flush();
    queue.forget();
    expect(store.has('velvet-run-run-1')).toBe(true);
  });
});
