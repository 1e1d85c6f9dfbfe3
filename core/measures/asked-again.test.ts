import { describe, expect, test } from 'vitest';
import { notAskedAgain, type MeasureKey, type Reading } from './index.ts';

const reading = (measure: MeasureKey, over: Partial<Reading> = {}): Reading => ({
  measure,
  complaintId: null,
  place: '',
  side: 'midline',
  phase: 'before',
  value: 1,
  source: 'studio',
  takenAt: '2026-11-26T10:00:00.000Z',
  visitId: 'v',
  ...over,
});
const open = (...readings: Reading[]) => notAskedAgain(readings).map((r) => `${r.measure} ${r.place} ${r.side}`.trim());

describe('what is asked again after the work', () => {
  test('everything that the work can change and that was measured before, in the order of the catalogue', () =>
    expect(
      open(
        reading('tenderness', { place: 'digastric', side: 'left' }),
        reading('opening-assisted-mm'),
        reading('click-opening-mm', { side: 'right' }),
        reading('pressure-threshold', { place: 'masseter-superficial', side: 'left' }),
        reading('forward-mm'),
        reading('region-felt', { place: 'temple', side: 'left' }),
      ),
    ).toEqual([
      'opening-assisted-mm  midline',
      'forward-mm  midline',
      'click-opening-mm  right',
      'tenderness digastric left',
      'pressure-threshold masseter-superficial left',
      'region-felt temple left',
    ]));
  test('not what was measured again, on that side and at that place; not what is taken once', () => {
    const left = reading('tenderness', { place: 'digastric', side: 'left' });
    const right = reading('tenderness', { place: 'digastric', side: 'right' });
    expect(open(left, right, { ...left, phase: 'after', value: 0 })).toEqual(['tenderness digastric right']);
    expect(open(reading('overlap-mm'), reading('nrs-worst-week', { complaintId: 'c' }))).toEqual([]);
    expect(open({ ...left, phase: 'after' })).toEqual([]);
  });
});
