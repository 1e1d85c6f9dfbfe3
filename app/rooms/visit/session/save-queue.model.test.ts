import { EMPTY_RECORD, type VisitPatch, type Working } from '../../../../core/record';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { BAD_NOTE, FakeVisitServer, NOW, VISIT } from '../../../../tests/support/fake-visit-server';
import { SaveQueue, type Kept, type SaveState } from './save-queue';

/** What a network does with one request. */
type Fate = 'arrives' | 'lost on the way' | 'answer lost' | 'slow';
type Act =
  | { do: 'edit'; patch: VisitPatch }
  | { do: 'wait' | 'restart' | 'session ends' | 'sign in' | 'keep mine' | 'take theirs' | 'take back' }
  | { do: 'other window'; patch: VisitPatch };

const reading = (place: string, value: number | null): VisitPatch => ({
  kind: 'readings',
  entries: [{ measure: 'tenderness', complaintId: null, place, side: 'left', phase: 'before', value }],
});
const patch: fc.Arbitrary<VisitPatch> = fc.oneof(
  fc.nat(9).map((n): VisitPatch => ({ kind: 'routine', routine: { name: `routine ${n}` } as never })),
  fc
    .tuple(fc.constantFrom('masseter', 'temporalis', 'neck'), fc.option(fc.nat(3)))
    .map(([place, value]) => reading(place, value)),
  fc
    .constantFrom('one', 'two', 'three', BAD_NOTE)
    .map((note): VisitPatch => ({ kind: 'record', record: { ...EMPTY_RECORD, note } })),
  fc.nat(10).map((i1): VisitPatch => ({ kind: 'answers', measure: 'distress', answers: { i1 } })),
  fc
    .constantFrom('assess', 'compose', 'guide')
    .map((stage): VisitPatch => ({ kind: 'stage', stage: stage as 'assess' })),
);
const acts: fc.Arbitrary<Act[]> = fc.array(
  fc.oneof(
    { weight: 6, arbitrary: patch.map((p): Act => ({ do: 'edit', patch: p })) },
    { weight: 4, arbitrary: fc.constant<Act>({ do: 'wait' }) },
    {
      weight: 2,
      arbitrary: fc.constantFrom<Act>(
        { do: 'restart' },
        { do: 'session ends' },
        { do: 'sign in' },
        { do: 'keep mine' },
        { do: 'take theirs' },
        { do: 'take back' },
      ),
    },
    {
      weight: 1,
      arbitrary: patch.filter((p) => p.kind !== 'record').map((p): Act => ({ do: 'other window', patch: p })),
    },
  ),
  { maxLength: 40 },
);
const fates = fc.array(
  fc.oneof(
    { weight: 4, arbitrary: fc.constant<Fate>('arrives') },
    { weight: 3, arbitrary: fc.constantFrom<Fate>('lost on the way', 'answer lost', 'slow') },
  ),
  { maxLength: 60 },
);

const turn = () => new Promise((r) => setTimeout(r, 0));
/** What can be compared: the order of readings and the moment of an entry say nothing. */
const plain = (w: Working) =>
  JSON.parse(
    JSON.stringify({
      ...w,
      readings: [...w.readings].map((r) => ({ ...r, takenAt: '' })).sort((a, b) => a.place.localeCompare(b.place)),
      scores: w.scores.map((s) => ({ ...s, takenAt: '' })),
    }),
  ) as unknown;

class Device {
  kept: Kept | null = null;
  queue!: SaveQueue;
  save: SaveState = { status: 'opening', refused: [] };
  ids = 0;
  /** Somebody else wrote, and this device was not told yet. */
  behind = false;
  private readonly server: FakeVisitServer;
  private readonly fates: Fate[];
  readonly late: (() => void)[] = [];
  constructor(server: FakeVisitServer, fates: readonly Fate[]) {
    this.server = server;
    this.fates = [...fates];
    this.open();
  }
  open(): void {
    this.behind = false;
    const queue = new SaveQueue({
      visitId: VISIT,
      version: this.server.version,
      stored: structuredClone(this.server.state),
      retryMs: 0,
      now: () => NOW,
      makeId: () => `id-${++this.ids}`,
      keep: (k) => {
        if (this.queue === queue) this.kept = structuredClone(k);
      },
      tell: (shown, save) => {
        if (this.queue !== queue) return;
        this.save = save;
        if ('theirs' in save) this.behind = false;
        // The promise of the screen: "saved" is said only of what is stored.
        if (save.status === 'saved' && !save.refused.length && !this.behind)
          expect(plain(shown)).toEqual(plain(this.server.state));
      },
      post: async (body) => {
        const fate = this.fates.shift() ?? 'arrives';
        const sent = structuredClone(body);
        await turn();
        if (fate === 'lost on the way') return { result: 'unreachable' };
        if (fate === 'slow') await new Promise<void>((r) => this.late.push(r));
        const answer = structuredClone(this.server.take(sent));
        return fate === 'answer lost' ? { result: 'unreachable' } : answer;
      },
    });
    this.queue = queue;
    queue.start(structuredClone(this.kept));
  }
  restart(): void {
    this.queue.stop();
    this.open();
  }
}

async function play(script: readonly Act[], how: readonly Fate[]): Promise<void> {
  const server = new FakeVisitServer();
  const device = new Device(server, how);
  const edited = new Map<string, unknown>();
  let alone = true;
  for (const act of script) {
    switch (act.do) {
      case 'edit':
        if (device.save.status === 'ended') break;
        device.queue.add(structuredClone(act.patch));
        edited.set(
          act.patch.kind === 'readings' ? `readings ${act.patch.entries[0]!.place}` : act.patch.kind,
          act.patch,
        );
        break;
      case 'wait':
        await turn();
        await turn();
        break;
      case 'restart':
        device.restart();
        break;
      case 'session ends':
        server.signedIn = false;
        break;
      case 'sign in':
        server.signedIn = true;
        device.queue.resume();
        break;
      case 'keep mine':
        device.queue.keepMine();
        break;
      case 'take theirs':
        device.queue.takeTheirs();
        break;
      case 'take back':
        for (const w of device.save.refused) device.queue.takeBack(w.saveId);
        break;
      case 'other window':
        server.foreign(act.patch);
        device.behind = true;
        alone = false;
        break;
    }
  }
  // At rest: a network that works, somebody signed in, every conflict decided.
  server.signedIn = true;
  device.queue.resume();
  for (let i = 0; i < 400 && (device.late.length || device.save.status !== 'saved'); i++) {
    device.late.splice(0).forEach((go) => go());
    device.queue.keepMine();
    device.queue.resume();
    await turn();
  }
  expect(device.save.status).toBe('saved');
  const shown = device.queue.shown;
  if (!device.save.refused.length && !device.behind) expect(plain(shown)).toEqual(plain(server.state));
  for (const w of device.save.refused) expect(w.message).toBeTruthy();
  // What is not reported is written: nothing that was typed is gone without a word.
  if (alone && !device.save.refused.length && !script.some((a) => a.do === 'take back' || a.do === 'take theirs')) {
    const last = edited.get('record') as Extract<VisitPatch, { kind: 'record' }> | undefined;
    if (last) expect(server.state.record.note).toBe(last.record.note);
    const routine = edited.get('routine') as Extract<VisitPatch, { kind: 'routine' }> | undefined;
    if (routine) expect(server.state.routine).toEqual(routine.routine);
    for (const [key, p] of edited)
      if (key.startsWith('readings ')) {
        const entry = (p as Extract<VisitPatch, { kind: 'readings' }>).entries[0]!;
        expect(server.state.readings.find((r) => r.place === entry.place)?.value ?? null).toBe(entry.value);
      }
  }
  expect(device.kept?.writes.filter((w) => w.state !== 'refused') ?? []).toEqual([]);
  device.queue.stop();
}

test('over edits, lost answers, delays, other windows, ended sessions and restarts the screen shows what is stored, or says what is not', async () => {
  await fc.assert(fc.asyncProperty(acts, fates, play), { numRuns: 400, seed: 20_261_128 });
});
