import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, test } from 'vitest';
import { RateMeter } from './rate-meter';

const ramp = (rate: number, toMs: number) =>
  Array.from({ length: toMs / 20 + 1 }, (_, i) => ({ atMs: i * 20, kpa: (rate * i * 20) / 1000 }));
const needle = (out: string) => Number(/class="needle" d="M([\d.]+) /.exec(out)?.[1] ?? NaN);
const band = (out: string) => {
  const [, x, width] = /class="band" x="([\d.]+)" width="([\d.]+)"/.exec(out)!.map(Number) as [number, number, number];
  return [x, x + width] as const;
};

describe('the rate meter', () => {
  test.each([
    [20, 'Faster', -1],
    [40, 'Steady, go on', 0],
    [65, 'Slower', 1],
  ])('at %d kPa/s says %s, the needle on that side of the band', (rate, words, side) => {
    const out = renderToStaticMarkup(<RateMeter samples={ramp(rate, 3000)} />);
    expect(out).toContain(words);
    const [low, high] = band(out);
    expect(needle(out) < low ? -1 : needle(out) > high ? 1 : 0).toBe(side);
    expect(out).toContain(`${Math.round(rate * 3)} kPa`);
  });
  test('nothing pressed: no needle, no hint', () => {
    const out = renderToStaticMarkup(<RateMeter samples={[]} />);
    expect(out).not.toContain('needle');
    expect(out).toContain('0 kPa');
  });
  test('a rise off the scale stays on the paper', () =>
    expect(needle(renderToStaticMarkup(<RateMeter samples={ramp(300, 1000)} />))).toBeLessThanOrEqual(420));
});
