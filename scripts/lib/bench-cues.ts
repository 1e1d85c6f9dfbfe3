import type { Page } from '@playwright/test';
import { emptyRoutine, newStep, type Routine } from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { database } from '../../server/db/connection.ts';
import { VisitModel } from '../../server/db/models/index.ts';
import { inPractice } from '../../server/db/scope.ts';

/** Counted steps one after the other, each count at its own moment: more than four hundred moments in five minutes. */
function busyRoutine(): Routine {
  const steps = ['temple-circles', 'masseter-oil-circles', 'masseter-spot-massage'].flatMap((technique, i) =>
    [0, 1].map((round) => {
      const step = newStep(CATALOGUE.techniques.get(technique)!, `busy-${i}-${round}`);
      const beats = { kind: 'beats' as const, count: 90, most: null, perMinute: 100, unit: 'circles' };
      return {
        ...step,
        sides: { ...step.sides, mode: 'together' as const, sets: 1 },
        dose: { ...step.dose, parts: [beats], perPlace: false },
      };
    }),
  );
  return { ...emptyRoutine('Busy'), budgetMinutes: null, items: steps };
}

/** How late the moments of a run come, with drawing and sound, while nobody presses a key. */
export async function measureCues(
  page: Page,
  visit: string,
  practiceId: string,
  {
    seconds,
    say,
    quantile,
  }: { seconds: number; say: (line: string) => void; quantile: (values: number[], q: number) => number },
): Promise<void> {
  database();
  await inPractice(practiceId, () =>
    VisitModel.update({ routine: busyRoutine() }, { where: { practiceId, id: visit.split('/').pop()! } }),
  );
  say('\n## Cues in the browser\n');
  await page.goto(`${visit}/guide`);
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.waitForTimeout(seconds * 1000);
  const late = await page.evaluate(() => performance.getEntriesByName('cue-onset').map((e) => e.duration));
  say(
    `Over a busy run of ${seconds} s with drawing and sound (headless Chromium has no voice), ${late.length} cues and beats came late by: median ${quantile(late, 0.5).toFixed(1)} ms, p99 ${quantile(late, 0.99).toFixed(1)} ms, worst ${quantile(late, 1).toFixed(1)} ms. Aim: at least 400 in 300 s, p99 under 12 ms, worst under 20 ms.`,
  );
  say(
    '\nMeasured from the moment worked out by the guide to the call that shows and speaks it; tones are scheduled ahead on the audio clock and do not wait for that call.',
  );
}
