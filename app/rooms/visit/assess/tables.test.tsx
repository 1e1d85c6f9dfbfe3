import type { RuleFinding } from '../../../../core/rules';
import type { StepRecord } from '../../../../core/guide';
import { complaintName } from '../../../../core/words';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { RuleNotes } from '../../../parts/routine/rule-notes';
import { Sparkline } from '../../../parts/marks/sparkline';
import { RunTable } from '../record/run-table';

const step = (over: Partial<StepRecord & { name: string }> = {}): StepRecord & { name: string } => ({
  stepId: 'a',
  name: 'Warm palms',
  plannedSeconds: 64,
  doneSeconds: 64,
  left: { plannedSeconds: 60, doneSeconds: 60 },
  right: { plannedSeconds: 60, doneSeconds: 60 },
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
  test('a step that got less than half is marked, a changed pressure is told', () => {
    expect(table({ status: 'done', notes: [], compares: [], steps: [step({ doneSeconds: 20 })] })).toContain(
      'num worse',
    );
    expect(table({ status: 'done', notes: [], compares: [], steps: [step({ donePressure: 'feather' })] })).toContain(
      'light → feather',
    );
    expect(table({ status: 'done', notes: [], compares: [], steps: [step()] })).not.toContain('→');
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
