import { EMPTY_RECORD } from '../../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import { ROUTINES } from '../../../demo/routines.ts';
import { CAUTIONS } from '../../../reference/facts/cautions/index.ts';
import type { Visitor } from '../visitor.ts';

/** What is asked of the service. */
export type Kind = 'page' | 'save' | 'guide';
export interface Asked {
  kind: Kind;
  ms: number;
  ok: boolean;
}

const NO_TO_ALL = Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c) => [c.key, 'no' as const]));
const opening = (value: number) => ({
  kind: 'readings',
  entries: [{ measure: 'opening-mm', complaintId: null, place: '', side: 'midline', phase: 'before', value }],
});
const record = (note: string) => ({ kind: 'record', record: { ...EMPTY_RECORD, note } });
const stage = (to: string) => ({ kind: 'stage', stage: to });

/**
 * One visit from the day's list to its end, as a browser asks for it: pages, every entry as a write, the guide's events
 * as they happen. What the device works out itself, such as a proposal, asks nothing; its page is among them.
 */
export function visitSteps(who: Visitor, clientId: string, visitId: string): (() => Promise<Asked>)[] {
  let version = 1;
  let runId = '';
  const timed = async (kind: Kind, ask: () => Promise<boolean>): Promise<Asked> => {
    const began = performance.now();
    const ok = await ask().catch(() => false);
    return { kind, ok, ms: performance.now() - began };
  };
  const page = (path: string) => () =>
    timed('page', async () => {
      const answer = await who.send(path);
      await answer.arrayBuffer();
      return answer.status === 200;
    });
  const save = (patch: object) => () =>
    timed('save', async () => {
      const answer = await who.json(`/visits/${visitId}/save`, {
        saveId: randomUUID(),
        expectedVersion: version,
        patch,
      });
      const said = (await answer.json()) as { version?: number };
      version = said.version ?? version;
      return answer.ok;
    });
  const open = () =>
    timed('guide', async () => {
      runId = randomUUID();
      return (await who.json(`/visits/${visitId}/run`, { kind: 'open', runId })).ok;
    });
  const event = (of: object) => () =>
    timed('guide', async () => {
      const nowMs = Date.now();
      const events = [{ id: randomUUID(), atMs: nowMs, ...of }];
      return (await who.json(`/visits/${visitId}/run`, { kind: 'events', runId, events, nowMs })).ok;
    });
  const at = `/visits/${visitId}`;
  return [
    ...[page('/today'), page(`/clients/${clientId}`), page(`${at}/screen`)],
    ...[save({ kind: 'screen', screen: { answers: NO_TO_ALL, preparation: [] } }), save(stage('assess'))],
    page(`${at}/assess`),
    ...[31, 32, 33, 31].map((mm) => save(opening(mm))),
    ...[save(stage('compose')), page(`${at}/compose`)],
    // The proposal is worked out on the device, with what its page was given; taken, it is one write.
    ...[page(`/clients/${clientId}/measure`), save({ kind: 'routine', routine: ROUTINES.jaw, origin: null })],
    ...[save({ kind: 'routine', routine: ROUTINES.jaw, origin: null }), save(stage('guide')), page(`${at}/guide`)],
    ...[open, event({ kind: 'start' })],
    ...['next', 'lighter', 'next', 'extend', 'next', 'pause', 'resume', 'next'].map((kind) => event({ kind })),
    event({ kind: 'stop', reason: 'Out of time' }),
    ...[save(stage('record')), page(`${at}/record`)],
    ...['looser', 'looser, warmer', 'looser, warmer, tired'].map((note) => save(record(note))),
    ...[save(stage('done')), page(`/clients/${clientId}`)],
  ];
}
