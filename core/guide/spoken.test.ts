import { describe, expect, test } from 'vitest';
import { bareStep, beats, breath, hold, routineOf, stepOf } from '../../tests/support/routines.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { STARTING_ROUTINES } from '../../reference/routines/index.ts';
import { expandRoutine, type Routine } from '../routine/index.ts';
import { initialState } from './machine.ts';
import { momentsAhead, type Moment } from './moments.ts';
import { beginsStep, type Hearing, speakerOf, spokenAt, USUAL_HEARING } from './spoken.ts';

const speaking = (items: Routine['items']) => {
  const routine = routineOf(items);
  const cues = expandRoutine(routine);
  return { cues, speaker: speakerOf(routine, cues, CATALOGUE) };
};
const moment = (kind: Moment['kind'], cueIndex: number, more: Partial<Moment> = {}) => ({
  kind,
  cueIndex,
  count: 0,
  of: 0,
  breath: null,
  ...more,
});
const hearing = (change: Partial<Hearing>): Hearing => ({ ...USUAL_HEARING, ...change });

describe('a step is announced', () => {
  const each = stepOf('scm-soft-massage', 'a');
  const technique = CATALOGUE.techniques.get('scm-soft-massage')!;
  const { cues, speaker } = speaking([each]);
  test('to the practitioner with name, side, pressure, way and place; to the client with what to do', () => {
    const said = (who: Hearing['who']) => spokenAt(moment('cue', 0), speaker, hearing({ who }));
    expect(said('practitioner')).toMatch(
      new RegExp(
        `^Soft massage of the side-neck muscle\\. Client’s left\\. Light pressure, ${technique.direction}\\. [A-Z][^.]+, first of 3\\.$`,
      ),
    );
    expect(said('practitioner')).not.toContain(technique.clientCue);
    expect(said('client')).toBe(`Your left. ${technique.clientCue}`);
    expect(said('both')).toContain(technique.clientCue);
  });
  test('to whoever works on themselves: all of it, with their own sides and nobody else’s', () => {
    const oneself = { ...USUAL_HEARING, who: 'oneself' as const };
    const said = cues.map((c) => spokenAt(moment('cue', c.index), speaker, oneself));
    expect(said[0]).toMatch(/^Soft massage of the side-neck muscle\. Your left\. Light pressure, /);
    expect(said[0]).toContain(technique.clientCue);
    const change = cues.findIndex((c) => c.kind === 'change-side');
    expect(said[change]).toBe('Change. Your right.');
    const work = cues.find((c) => c.kind === 'beats')!;
    expect(spokenAt(moment('side-soon', work.index), speaker, oneself)).toBe('Soon your right.');
    expect(said.join(' ')).not.toMatch(/client/i);
  });
  test('with the pressure as it is worked now', () =>
    expect(spokenAt(moment('cue', 0), speaker, USUAL_HEARING, 'feather')).toContain('Feather pressure'));
  test('the change of sides is said, and before it comes', () => {
    const change = cues.find((c) => c.kind === 'change-side')!;
    expect(spokenAt(moment('cue', change.index), speaker, USUAL_HEARING)).toBe('Change. Client’s right.');
    expect(spokenAt(moment('cue', change.index), speaker, hearing({ who: 'client' }))).toBe('Now your right.');
    const work = cues.find((c) => c.kind === 'beats')!;
    expect(spokenAt(moment('side-soon', work.index), speaker, USUAL_HEARING)).toBe('Soon the client’s right.');
    expect(spokenAt(moment('side-soon', work.index), speaker, hearing({ who: 'client' }))).toBe('Soon your right.');
  });
  test('also where it begins with its work, without finding a place', () => {
    const direct = speaking([bareStep('a', [hold(10)]), bareStep('b', [hold(10)])]);
    expect(spokenAt(moment('cue', 0), direct.speaker, USUAL_HEARING)).toContain('Both sides.');
    expect(spokenAt(moment('cue', 1), direct.speaker, USUAL_HEARING)).toContain('Both sides.');
  });
});

describe('what is counted aloud', () => {
  const { speaker } = speaking([bareStep('a', [beats(12, 30)])]);
  const said = (counts: Hearing['counts'], by = speaker) =>
    Array.from({ length: 12 }, (_, i) =>
      spokenAt(moment('beat', 0, { count: i + 1, of: 12 }), by, hearing({ counts })),
    );
  test('every one, every fifth, the last three, none; the last is named', () => {
    expect(said('every').slice(0, 3)).toEqual(['1', '2', '3']);
    expect(said('fifths').filter(Boolean)).toEqual(['5', '10', 'last one']);
    expect(said('last-three').filter(Boolean)).toEqual(['10', '11', 'last one']);
    expect(said('none').filter(Boolean)).toEqual([]);
  });
  test('too fast to say every one, it is every fifth', () =>
    expect(said('every', speaking([bareStep('a', [beats(12, 90)])]).speaker).filter(Boolean)).toEqual([
      '5',
      '10',
      'last one',
    ]));
  test('three, two, one where eyes are shut, always, never', () => {
    const body = { head: 'still', jaw: 'loose', tongue: 'rest' } as const;
    const shut = speaking([bareStep('a', [hold(10)], { body: { ...body, eyes: 'shut' } })]).speaker;
    const open = speaking([bareStep('a', [hold(10)])]).speaker;
    const three = (by: typeof shut, countdown: Hearing['countdown']) =>
      spokenAt(moment('countdown', 0, { count: 3 }), by, hearing({ countdown }));
    expect([three(shut, 'eyes-shut'), three(open, 'eyes-shut'), three(open, 'always'), three(shut, 'never')]).toEqual([
      'three',
      '',
      'three',
      '',
    ]);
  });
  test('two breaths are said, then the pitch carries them; not to the practitioner', () => {
    const by = speaking([bareStep('a', [breath(4, 4, 6)])]).speaker;
    const said = (count: number, who: Hearing['who'] = 'both') =>
      spokenAt(moment('breath', 0, { count, breath: 'in' }), by, hearing({ who }));
    expect([said(1), said(2), said(3), said(1, 'practitioner')]).toEqual(['In', 'In', '', '']);
  });
});

test('places, sets and what is waited for', () => {
  const open = { kind: 'open', until: 'it softens', leastSeconds: 5, usualSeconds: 20, mostSeconds: 40 } as const;
  const { cues, speaker } = speaking([
    bareStep('a', [open], { places: 2, sets: 2, pauses: { nextPlaceSeconds: 2, restSeconds: 3, findPlaceSeconds: 4 } }),
  ]);
  const said = cues
    .slice(0, -1)
    .map((c) => spokenAt(moment('cue', c.index), speaker, hearing({ who: 'practitioner' })));
  expect(said).toEqual([
    expect.stringMatching(/first of 2\.$/),
    'Wait until it softens.',
    expect.stringMatching(/^Last place, /),
    'Wait until it softens.',
    'Let go. Last set.',
    'Wait until it softens.',
    expect.stringMatching(/^Last place, /),
    'Wait until it softens.',
  ]);
});

test('in every routine that comes with the application each step is announced to each hearer, with its side', () => {
  for (const { routine } of STARTING_ROUTINES) {
    const cues = expandRoutine(routine);
    const speaker = speakerOf(routine, cues, CATALOGUE);
    for (const cue of cues.filter((c) => c.kind !== 'done' && beginsStep(cues, c.index)))
      for (const who of ['practitioner', 'client', 'both'] as const) {
        const said = spokenAt(moment('cue', cue.index), speaker, hearing({ who }));
        expect(said, `${routine.name} ${cue.stepId}`).not.toBe('');
        if (cue.side === 'left' || cue.side === 'right') expect(said).toContain(`${cue.side}.`);
        expect(said).not.toMatch(/undefined|null|\.\.|\s,/);
      }
  }
});

test('moments of a whole run can all be spoken', () => {
  for (const { routine } of STARTING_ROUTINES) {
    const cues = expandRoutine(routine);
    const speaker = speakerOf(routine, cues, CATALOGUE);
    const state = { ...initialState(cues), status: 'running' as const };
    for (const m of momentsAhead(cues, state, 4 * 3_600_000))
      expect(spokenAt(m, speaker, hearing({ counts: 'every', countdown: 'always' }))).not.toMatch(/undefined|null/);
  }
});
