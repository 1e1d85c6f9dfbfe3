import { emptyRoutine } from '../../../../core/routine';
import {
  EMPTY_FINDINGS,
  EMPTY_RECORD,
  EMPTY_SCREEN,
  inverseOf,
  type VisitPatch,
  withPatch,
  type Working,
} from '../../../../core/record';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { nextRedo, nextUndo, noted, redone, undone, type History } from './history';

const NOTHING = emptyRoutine('Routine');
const start: Working = {
  stage: 'screen',
  screen: EMPTY_SCREEN,
  readings: [],
  routine: NOTHING,
  origin: null,
  record: EMPTY_RECORD,
  findings: EMPTY_FINDINGS,
  scores: [],
};
const anyPatch: fc.Arbitrary<VisitPatch> = fc.oneof(
  fc
    .record({ answers: fc.dictionary(fc.constantFrom('a', 'b'), fc.constantFrom('yes' as const, 'no' as const)) })
    .map((s): VisitPatch => ({ kind: 'screen', screen: { ...s, preparation: [] } })),
  fc.string().map((note): VisitPatch => ({ kind: 'record', record: { ...EMPTY_RECORD, note } })),
  fc
    .tuple(fc.string(), fc.constantFrom(undefined, null, { template: 'a', version: 2 }))
    .map(([name, origin]): VisitPatch => ({ kind: 'routine', routine: { ...NOTHING, name }, origin })),
  fc
    .array(
      fc.record({
        measure: fc.constantFrom('nrs-now' as const, 'opening-mm' as const),
        complaintId: fc.constantFrom(null, 'c1'),
        place: fc.constant(''),
        side: fc.constantFrom('left' as const, 'right' as const),
        phase: fc.constantFrom('before' as const, 'after' as const),
        value: fc.option(fc.integer({ min: 0, max: 10 }), { nil: null }),
      }),
      { minLength: 1, maxLength: 3 },
    )
    // One write names a thing once.
    .map((entries): VisitPatch => ({
      kind: 'readings',
      entries: entries.filter(
        (e, i) =>
          entries.findIndex(
            (o) =>
              o.measure === e.measure && o.complaintId === e.complaintId && o.side === e.side && o.phase === e.phase,
          ) === i,
      ),
    })),
  fc
    .option(fc.record({ i1: fc.integer({ min: 0, max: 10 }) }), { nil: null })
    .map((answers): VisitPatch => ({ kind: 'answers', measure: 'distress', answers })),
);
/** Without what only says when it was taken, and in an order of its own. */
const plain = (w: Working) => ({
  ...w,
  readings: w.readings.map((r) => JSON.stringify([r.measure, r.complaintId, r.side, r.phase, r.value])).sort(),
  scores: w.scores.map((s) => JSON.stringify([s.measure, s.answers])).sort(),
});

describe('what was done can be taken back', () => {
  test('whatever was done, undoing all of it gives the state from before, and redoing the one after', () => {
    fc.assert(
      fc.property(fc.array(anyPatch, { maxLength: 8 }), (patches) => {
        let state = start;
        let history: History<'assess'> = {};
        const apply = (patch: VisitPatch) => (state = withPatch(state, patch, 'v', 'now'));
        const states = [plain(state)];
        for (const patch of patches) {
          history = noted(history, 'assess', { patch, inverse: inverseOf(patch, state, NOTHING)! });
          apply(patch);
          states.push(plain(state));
        }
        const after = plain(state);
        for (let done = nextUndo(history, 'assess'); done; done = nextUndo(history, 'assess')) {
          apply(done.inverse);
          history = undone(history, 'assess');
          states.pop();
          expect(plain(state)).toEqual(states.at(-1));
        }
        expect(plain(state)).toEqual(plain(start));
        for (let done = nextRedo(history, 'assess'); done; done = nextRedo(history, 'assess')) {
          apply(done.patch);
          history = redone(history, 'assess');
        }
        expect(plain(state)).toEqual(after);
      }),
    );
  });
  test('each stage keeps its own, and a new change ends what could be made again', () => {
    const done = (note: string) => ({
      patch: { kind: 'record' as const, record: { ...EMPTY_RECORD, note } },
      inverse: { kind: 'record' as const, record: EMPTY_RECORD },
    });
    let history: History<'screen' | 'assess'> = noted({}, 'screen', done('a'));
    history = noted(history, 'assess', done('b'));
    expect(nextUndo(history, 'screen')?.patch).toMatchObject({ record: { note: 'a' } });
    history = undone(history, 'screen');
    expect([nextUndo(history, 'screen'), nextUndo(history, 'assess') !== null]).toEqual([null, true]);
    expect(nextRedo(noted(history, 'screen', done('c')), 'screen')).toBeNull();
    expect(undone(history, 'screen')).toBe(history);
  });
  test('a step onward is not taken back', () =>
    expect(inverseOf({ kind: 'stage', stage: 'assess' }, start, NOTHING)).toBeNull());
  test('it does not grow without end', () => {
    let history: History<'record'> = {};
    for (let i = 0; i < 500; i++)
      history = noted(history, 'record', {
        patch: { kind: 'record', record: { ...EMPTY_RECORD, note: String(i) } },
        inverse: { kind: 'record', record: EMPTY_RECORD },
      });
    expect(history.record!.past.length).toBe(200);
    expect(nextUndo(history, 'record')!.patch).toMatchObject({ record: { note: '499' } });
  });
});
