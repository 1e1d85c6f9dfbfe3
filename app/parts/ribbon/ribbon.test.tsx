import { expandRoutine, ribbonOf } from '../../../core/routine';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../../reference/catalogue';
import { bareStep, hold, routineOf, stepOf } from '../../../tests/support/routines';
import { Ribbon } from './ribbon';

const draw = (routine: ReturnType<typeof routineOf>, over: Partial<Parameters<typeof Ribbon>[0]> = {}) =>
  renderToStaticMarkup(
    <Ribbon
      data={ribbonOf(routine, expandRoutine(routine), CATALOGUE)}
      budgetSeconds={null}
      names={new Map(routine.items.map((s) => [s.id, `Step ${s.id}`]))}
      {...over}
    />,
  );
/** Bars of a step: [x, y, width, height] without the frame. */
const bars = (svg: string, fill: string) =>
  [
    ...svg.matchAll(
      new RegExp(
        `<rect x="([\\d.]+)" y="([\\d.]+)" width="([\\d.]+)" height="([\\d.]+)" fill="${fill.replace(/[()]/g, '\\$&')}"`,
        'g',
      ),
    ),
  ].map((m) => m.slice(1, 5).map(Number));
const middleOf = (svg: string) => Number(/class="mid" x1="[\d.]+" x2="[\d.]+" y1="([\d.]+)"/.exec(svg)![1]);

describe('the ribbon', () => {
  test('work on both sides is symmetric about the centre line', () => {
    const svg = draw(routineOf([bareStep('a', [hold(60)], { pressure: 'medium' })]));
    const [above, below] = bars(svg, 'var(--pressure-medium)');
    expect(above![3]).toBe(below![3]);
    expect(above![1]! + above![3]!).toBeCloseTo(middleOf(svg), 6);
    expect(below![1]).toBeCloseTo(middleOf(svg), 6);
  });
  test('the client’s right rises, the left hangs', () => {
    const right = draw(routineOf([bareStep('a', [hold(60)], { mode: 'right', pressure: 'firm' })]));
    const left = draw(routineOf([bareStep('a', [hold(60)], { mode: 'left', pressure: 'firm' })]));
    expect(bars(right, 'var(--pressure-firm)')).toHaveLength(1);
    expect(bars(right, 'var(--pressure-firm)')[0]![1]).toBeLessThan(middleOf(right));
    expect(bars(left, 'var(--pressure-firm)')[0]![1]).toBeCloseTo(middleOf(left), 6);
  });
  test('height is pressure, width is time', () => {
    const svg = draw(
      routineOf([
        bareStep('a', [hold(60)], { mode: 'right', pressure: 'feather' }),
        bareStep('b', [hold(120)], { mode: 'right', pressure: 'firm' }),
      ]),
    );
    const [feather] = bars(svg, 'var(--pressure-feather)');
    const [firm] = bars(svg, 'var(--pressure-firm)');
    expect(firm![3]! / feather![3]!).toBeCloseTo(4, 6);
    expect((firm![2]! + 1) / (feather![2]! + 1)).toBeCloseTo(2, 2);
  });
  test('the budget ends at a post; what is over is shaded', () => {
    const routine = routineOf([bareStep('a', [hold(300)])]);
    expect(draw(routine, { budgetSeconds: 600 })).not.toContain('class="over"');
    expect(draw(routine, { budgetSeconds: 600 })).toContain('class="post"');
    expect(draw(routine, { budgetSeconds: 120 })).toContain('class="over"');
    expect(draw(routine)).not.toContain('class="post"');
  });
  test('breath is a wave with one hump a breath, the playhead stands at the present', () => {
    const svg = draw(routineOf([stepOf('slow-deep-breaths', 'a')]), { now: 20 });
    expect(/class="wave" d="([^"]+)"/.exec(svg)![1]!.match(/q/g)).toHaveLength(3);
    expect(svg).toContain('class="playhead"');
  });
  test('each step can be reached and says what it is', () => {
    const svg = draw(routineOf([bareStep('a', [hold(60)], { mode: 'left', pressure: 'light' })]));
    expect(svg).toContain('aria-label="Step a, client’s left, light, 0:00 to 1:00"');
    expect(svg.match(/tabindex="0"/g)).toHaveLength(1);
  });
  test('a warned step carries a tick', () => {
    const routine = routineOf([bareStep('a', [hold(60)])]);
    expect(draw(routine, { flags: new Map([['a', 'warn']]) })).toContain('warn-tick');
    expect(draw(routine, { flags: new Map([['a', 'stop']]) })).toContain('stop-tick');
    expect(draw(routine)).not.toContain('-tick');
  });
  test('an empty routine is an empty band', () => expect(draw(routineOf([]))).toContain('Ribbon: 0:00'));
});
