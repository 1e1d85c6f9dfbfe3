import type { RuleFinding } from '../../../../core/rules';
import type { StepRecord } from '../../../../core/guide';
import { complaintName } from '../../../../core/words';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { RuleNotes } from '../../../parts/routine/rule-notes';
import { Sparkline } from '../../../parts/marks/sparkline';
import { RunTable } from '../../../parts/routine/run-table';

const step = (over: Partial<StepRecord & { name: string }> = {}): StepRecord & { name: string } => ({
  stepId: 'a',
  name: 'Warm palms',
  plannedSeconds: 64,
  doneSeconds: 64,
  left: { plannedSeconds: 60, doneSeconds: 60 },
  right: { plannedSeconds: 60, doneSeconds: 60 },
  hands: { plannedSeconds: 60, doneSeconds: 60 },
  counts: { planned: 0, done: 0 },
  outcome: 'done',
  plannedPressure: 'light',
  donePressure: 'light',
  work: [],
  ...over,
});
const table = (run: Parameters<typeof RunTable>[0]['run']) => renderToStaticMarkup(<RunTable run={run} />);

describe('planned against done', () => {
  test('what each side got stands beside the plan, and the sum below', () => {
    const out = table({
      status: 'done',
      notes: [],
      compares: [],
      steps: [
        step(),
        step({ stepId: 'b', name: 'Press', doneSeconds: 40, right: { plannedSeconds: 30, doneSeconds: 9 } }),
      ],
    });
    expect(out).toContain('In all');
    expect(out).toContain('2:08');
    expect(out).toContain('1:44');
    expect(out).toContain('0:09');
  });
  test('what was not done to its end is told, and only what was done is done', () => {
    const out = table({
      status: 'done',
      notes: [],
      compares: [],
      steps: [
        step({ outcome: 'part', doneSeconds: 20, counts: { planned: 10, done: 4 } }),
        step({ stepId: 'b', outcome: 'skipped', doneSeconds: 3, hands: { plannedSeconds: 60, doneSeconds: 0 } }),
      ],
    });
    expect(out).toContain('0 of 2 steps done');
    expect(out).toContain('1 in part');
    expect(out).toContain('1 skipped');
    expect(out).toContain('4 of 10');
    expect(out).toContain('Hands on 1:00');
    expect(out).not.toContain('0:03</td>');
  });
  test('each pressure it was worked at is told with its time', () => {
    const work = (...at: [StepRecord['work'][number]['pressure'], number][]) =>
      table({
        status: 'done',
        notes: [],
        compares: [],
        steps: [step({ work: at.map(([pressure, seconds]) => ({ side: 'both', pressure, seconds, counts: 0 })) })],
      });
    expect(work(['light', 60])).toContain('<td>light</td>');
    expect(work(['feather', 60])).toContain('light planned, feather');
    expect(work(['light', 40], ['medium', 20], ['light', 10])).toContain('light planned, light 0:50, medium 0:20');
    expect(work()).toContain('<td></td>');
  });
  test('stopped early says so, notes are kept, an open run has no figures yet', () => {
    expect(table({ status: 'stopped', notes: ['warm'], compares: [], steps: [step()] })).toMatch(
      /Stopped early.*warm/s,
    );
    expect(table({ status: 'open', notes: [], compares: [], steps: [] })).toContain('still open');
  });
});

describe('what the rules say', () => {
  const finding = (severity: RuleFinding['severity'], title: string): RuleFinding => ({
    rule: title,
    severity,
    stepIds: ['a'],
    title,
    reason: 'Because.',
    fix: { label: `Fix ${title}`, action: { do: 'remove', stepId: 'a' } },
  });
  const draw = (findings: RuleFinding[], disabled = false) =>
    renderToStaticMarkup(<RuleNotes findings={findings} disabled={disabled} onFix={() => {}} />);
  test('nothing is said when there is nothing to say', () => expect(draw([])).toBe(''));
  test('two are shown, the rest is counted', () => {
    const out = draw([finding('warn', 'A'), finding('warn', 'B'), finding('hint', 'C')]);
    expect(out).toContain('Fix A');
    expect(out).not.toContain('Fix C');
    expect(out).toContain('1 more');
  });
  test('stops are never hidden', () => {
    const out = draw([finding('stop', 'A'), finding('stop', 'B'), finding('stop', 'C')]);
    for (const name of ['A', 'B', 'C']) expect(out).toContain(`Fix ${name}`);
  });
  test('a visit that has ended offers no fixes', () =>
    expect(draw([finding('warn', 'A')], true)).not.toContain('Fix A'));
});

describe('small marks', () => {
  test('a sparkline ends in its last value and can be heard; without values there is none', () => {
    expect(renderToStaticMarkup(<Sparkline values={[7, 5, 3]} tone="green" />)).toContain(
      'aria-label="Ratings 7, 5, 3"',
    );
    expect(renderToStaticMarkup(<Sparkline values={[]} tone="green" />)).not.toContain('<svg');
  });
  test('a complaint is called by its own word and carries its side', () => {
    expect(complaintName({ kind: 'jaw', label: '', side: 'left' })).toBe('Jaw, left');
    expect(complaintName({ kind: 'other', label: 'Brow tension', side: 'both' })).toBe('Brow tension');
    expect(complaintName({ kind: 'headache', label: '', side: 'both' })).toBe('Headache');
  });
});
