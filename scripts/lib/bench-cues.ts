import type { Page } from '@playwright/test';
import { emptyRoutine, newStep, type Routine } from '../../core/routine/index.ts';
import { CATALOGUE } from '../../reference/catalogue.ts';
import { database } from '../../server/db/connection.ts';
import { VisitModel } from '../../server/db/models/index.ts';
import { inPractice } from '../../server/db/scope.ts';
import { bareTimer } from './bare-timer.ts';

/** The machine counts as quiet in a second in which a bare timer came no later than this. */
const QUIET_MS = 4;

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
  const control = bareTimer();
  await page.getByRole('button', { name: /^Start( anew)?$/ }).click();
  await page.waitForTimeout(seconds * 1000);
  const cues = await page.evaluate(() =>
    performance.getEntriesByName('cue-onset').map((e) => ({
      atEpochMs: performance.timeOrigin + e.startTime,
      lateMs: e.duration,
    })),
  );
  const lateOf = new Map((await control.stop()).map((s) => [s.epochS, s.lateMs]));
  const told = (of: readonly { lateMs: number }[]): string => {
    const late = of.map((c) => c.lateMs);
    return `median ${quantile(late, 0.5).toFixed(1)} ms, p99 ${quantile(late, 0.99).toFixed(1)} ms, worst ${quantile(late, 1).toFixed(1)} ms`;
  };
  const quiet = cues.filter((c) => {
    const from = Math.floor(c.atEpochMs / 1000);
    const until = Math.floor((c.atEpochMs + c.lateMs) / 1000);
    return [from, until].every((s) => (lateOf.get(s) ?? Infinity) <= QUIET_MS);
  });
  const worstOfSeconds = [...lateOf.values()];
  say(
    `Over a busy run of ${seconds} s with drawing and sound (headless Chromium has no voice), ${cues.length} cues and beats came late by: ${told(cues)}. Aim: at least 400 in 300 s, p99 under 12 ms, worst under 20 ms.`,
  );
  say(
    `\nA bare timer of 5 ms in a thread of its own ran beside it: it came late by up to ${quantile(worstOfSeconds, 0.5).toFixed(1)} ms in the middle second and ${quantile(worstOfSeconds, 1).toFixed(1)} ms in the worst. In the ${[...lateOf.values()].filter((ms) => ms <= QUIET_MS).length} of ${lateOf.size} seconds in which it kept within ${QUIET_MS} ms, so that the machine had time for somebody, ${quiet.length} cues came late by: ${quiet.length ? told(quiet) : 'none to tell'}.`,
  );
  say(
    '\nMeasured from the moment worked out by the guide to the call that shows and speaks it; tones are scheduled ahead on the audio clock and do not wait for that call.',
  );
}
