import { newStep, type Step } from '../../../core/routine';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { CATALOGUE } from '../../../reference/catalogue';
import { PathLayer, pathMark } from './path-layer';
import { shownIn, type View } from './places';

const step = (id: string): Step => newStep(CATALOGUE.techniques.get(id)!, 'a');
const drawn = (s: Step, view: View = 'front', on?: 'left' | 'right' | 'both' | 'midline') =>
  renderToStaticMarkup(
    <svg>
      <PathLayer shown={shownIn(view, false)} paths={[pathMark(s, on)]} />
    </svg>,
  );
const count = (markup: string, what: RegExp) => markup.match(what)?.length ?? 0;
const RING = /chart-path-place/g;

describe('ring and arrow', () => {
  test('between the brows is one place', () => {
    const out = drawn(step('brow-center-hold-pulse'));
    expect(count(out, RING)).toBe(1);
    expect(out).not.toContain('class="chart-path"');
  });
  test('four places under the eye are four on each side, lettered in their order', () => {
    const out = drawn(step('under-eye-four-point-hold'));
    expect(count(out, RING)).toBe(8);
    expect([...out.matchAll(/chart-path-number">([a-z])/g)].map((m) => m[1]).join('')).toBe('abcdabcd');
  });
  test('a stroke begins in a ring and ends in one arrow; there and back has two', () => {
    const heads = (s: Step) =>
      [...drawn(s, 'front', 'left').matchAll(/class="chart-path"[^>]* d="([^"]*)"/g)].map((m) => m[1]!);
    const sweep = step('forehead-sweep-to-temples');
    expect(count(drawn(sweep, 'front', 'left'), RING)).toBe(1);
    const headsOf = (s: Step) => count(heads(s).at(-1) ?? '', /M/g);
    expect(headsOf(sweep)).toBe(1);
    expect(headsOf({ ...sweep, stroke: 'to-and-fro' })).toBe(2);
    expect(headsOf({ ...sweep, stroke: 'one-way-then-other' })).toBe(2);
  });
  test('small circles turn the mirrored way on the other side', () => {
    const turn = (on: 'left' | 'right') => / 0 1 (\d) /.exec(drawn(step('temple-circles'), 'front', on))?.[1];
    expect([turn('left'), turn('right')].sort()).toEqual(['0', '1']);
  });
  test('only the side that is worked is drawn', () => {
    const s = step('under-eye-four-point-hold');
    expect(count(drawn({ ...s, sides: { ...s.sides, mode: 'left' } }), RING)).toBe(4);
  });
});
