import { usualAsk, type CaseFile } from '../core/proposal/index.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';

/** A left jaw before a rehearsal: invented, as an example of the file. */
export const PROPOSAL_CASE: CaseFile = {
  format: 'velvet-compass/proposal-case',
  schemaVersion: 1,
  name: 'Left jaw, before rehearsal',
  complaints: [
    { kind: 'jaw', side: 'left', score: 6 },
    { kind: 'headache', side: null, score: 4 },
  ],
  tenderness: [
    { muscle: 'masseter-superficial', side: 'left', grade: 3, theirPain: true, feltIn: ['temple'] },
    { muscle: 'masseter-superficial', side: 'right', grade: 1, theirPain: false, feltIn: [] },
    { muscle: 'temporalis-anterior', side: 'left', grade: 2, theirPain: false, feltIn: [] },
  ],
  tightSpots: [{ region: 'jaw', side: 'left', grade: 2 }],
  tenseRegions: ['forehead'],
  thresholds: [{ muscle: 'masseter-superficial', side: 'left', kpa: 140 }],
  openingMm: 34,
  clickSide: 'left',
  response: [],
  practiceEffect: 0,
  answers: CAUTIONS.filter((c) => c.question !== null).map((c) => ({ caution: c.key, answer: 'no' as const })),
  pressureCap: null,
  ask: usualAsk('neck-first', 20),
};
