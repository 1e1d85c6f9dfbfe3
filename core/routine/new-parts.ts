import type { DosePart } from './model.ts';

/** What a part of a dose begins with when it is added. Our choice, meant to be changed at once. */
export const NEW_PARTS: { readonly [K in DosePart['kind']]: Extract<DosePart, { kind: K }> } = {
  hold: { kind: 'hold', seconds: 10 },
  beats: { kind: 'beats', count: 10, most: null, perMinute: 30, unit: 'strokes' },
  open: { kind: 'open', until: 'it softens', usualSeconds: 30, leastSeconds: 10, mostSeconds: 90 },
  breath: {
    kind: 'breath',
    cycles: 3,
    phases: [
      { what: 'in', seconds: 4 },
      { what: 'out', seconds: 6 },
    ],
  },
  check: { kind: 'check', what: 'compare both sides', seconds: 10 },
  test: { kind: 'test', measure: 'opening-mm', place: '', seconds: 20 },
};
