import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import { ProgressChart } from './progress-chart';

const shown = (...errors: number[]) =>
  renderToStaticMarkup(
    <ProgressChart
      days={errors.map((medianErrorMm, i) => ({
        day: `2026-03-${String(i + 1).padStart(2, '0')}`,
        asked: 4,
        medianErrorMm,
      }))}
    />,
  );
test.each([[[0.2, 0.1]], [[4, 9]], [[61, 148, 30]]])(
  'of %j mm: no word of its axis stands twice, and each has room to its left',
  (errors) => {
    const words = [
      ...shown(...errors).matchAll(/<text x="(\d+)" y="[\d.]+" text-anchor="end" dominant-baseline="middle">([^<]+)</g),
    ];
    const texts = words.map(([, , text]) => text!);
    expect(texts.length).toBeGreaterThan(1);
    expect(new Set(texts).size).toBe(texts.length);
    // About 7 px a letter at 12 px.
    for (const [, x, text] of words) expect(Number(x)).toBeGreaterThanOrEqual(7 * text!.length);
  },
);
