import { expect, test } from 'vitest';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { emptyRoutine, newStep } from '../routine/index.ts';
import { workedOn } from './work.ts';

const technique = CATALOGUE.techniques.get('masseter-spot-massage')!;
const step = newStep(technique, 's1');
const routine = { ...emptyRoutine('R'), items: [step] };
const record = (outcome: 'done' | 'part' | 'skipped') => [{ stepId: 's1', outcome }];

test('a complaint is worked on by a step that serves it and that was not left out', () => {
  const kind = technique.serves[0]!;
  const other = (['jaw', 'headache', 'eye-strain', 'stress', 'neck-tension', 'sinus', 'puffiness'] as const).find(
    (k) => !technique.serves.includes(k),
  )!;
  expect(workedOn(kind, routine, null, CATALOGUE)).toBe(true);
  expect(workedOn(kind, routine, record('part'), CATALOGUE)).toBe(true);
  expect(workedOn(kind, routine, record('skipped'), CATALOGUE)).toBe(false);
  expect(workedOn(other, routine, null, CATALOGUE)).toBe(false);
  expect(workedOn('other', routine, null, CATALOGUE)).toBe(true);
  expect(workedOn('other', emptyRoutine('R'), null, CATALOGUE)).toBe(false);
});
