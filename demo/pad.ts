import { randomUUID } from 'node:crypto';
import {
  aimOf,
  atTempo,
  CHECK_WEIGHTS_G,
  keptScore,
  paceOf,
  tapScore,
  touchOf,
  tryMs,
  wantedAt,
  weightN,
  type Touch,
} from '../core/touch/index.ts';
import { PRESSURE_KPA, PRESSURES } from '../core/words/index.ts';
import { numbersFrom, spread } from '../devices/made-up.ts';
import { cellsUnder, STAND_IN_PAD } from '../devices/pad-cells.ts';
import { workingHand } from '../devices/pad-hand.ts';
import { PractitionerModel } from '../server/db/models/index.ts';
import type { Member } from '../server/db/queries/accounts.server.ts';
import { keepPadCheck, keepTempoTry } from '../server/db/queries/pad-checks.server.ts';
import { agreeOnWord, keepWords, setShowsWords } from '../server/db/queries/pad-words.server.ts';
import { keepPadTry } from '../server/db/queries/pad.server.ts';
import { DEMO_COLLEAGUE, DEMO_SIGN_IN } from './sign-in.ts';

const TECHNIQUE = { id: 'masseter-pin-open', perMinute: 12 };
/** A reading so often is enough for a try that nobody looks at. */
const EVERY_MS = 20;
/** Days ago, and how hard the made-up hand was of what was asked: it learns. */
const TRIES: readonly (readonly [daysAgo: number, hardness: number])[] = [
  [36, 1.32],
  [34, 1.26],
  [29, 1.27],
  [27, 1.2],
  [22, 1.22],
  [20, 1.16],
  [15, 1.14],
  [13, 1.17],
  [8, 1.1],
  [6, 1.08],
  [1, 1.04],
];

/** How hard each presses a word, of its middle, and how their presses spread: Rafe's are harder. Made up. */
const WORDS: Readonly<Record<'imke' | 'rafe', { hardness: number; spread: number }>> = {
  imke: { hardness: 1.04, spread: 0.16 },
  rafe: { hardness: 1.34, spread: 0.22 },
};
const STAND_IN = { sensor: 'Stand-in pad', isStandIn: true } as const;

/** Words pressed blind by both, who show them to each other; two checks of the pad, between which it drifted. */
async function seedWords(practiceId: string, at: (daysAgo: number, time: string) => Date): Promise<void> {
  for (const [email, who] of [
    [DEMO_SIGN_IN.email, 'imke'],
    [DEMO_COLLEAGUE.email, 'rafe'],
  ] as const) {
    const person = await PractitionerModel.findOne({ where: { practiceId, email } });
    const member = { practiceId, practitionerId: person!.id };
    const random = numbersFrom(`words of ${who}`);
    const { hardness, spread: wide } = WORDS[who];
    for (let round = 0; round < 20; round++) {
      const words = [PRESSURES[round % 4]!, PRESSURES[(round + 1 + Math.floor(round / 4)) % (who === 'imke' ? 5 : 4)]!];
      const presses = words.map((word) => ({
        ...{ word, contact: 'two-fingers' as const, ...STAND_IN },
        kpa: Math.round(PRESSURE_KPA[word].nominal * hardness * (1 + wide * spread(random)) * 10) / 10,
        at: at(24 - round, '08:40'),
      }));
      await keepWords(member, presses, randomUUID());
    }
    await setShowsWords(member, true);
  }
}
async function seedChecks(who: Member, at: (daysAgo: number, time: string) => Date): Promise<void> {
  for (const [daysAgo, off] of [
    [40, [0.002, 0.005, 0.004]],
    [14, [0.01, 0.016, 0.014]],
  ] as const)
    await keepPadCheck(
      who,
      {
        ...STAND_IN,
        at: at(daysAgo, '08:00'),
        weights: CHECK_WEIGHTS_G.map((grams, i) => ({
          grams,
          readN: Math.round(weightN(grams) * (1 + off[i]!) * 1000) / 1000,
        })),
      },
      randomUUID(),
    );
}
/** One tempo that was tapped: it goes on a little too quickly once the beat is silent. */
async function seedTempo(who: Member): Promise<void> {
  const random = numbersFrom('tempo');
  const beats = Array.from({ length: 8 }, (_, i) => i * 1000);
  const led = beats.map((ms) => ms + 40 * spread(random));
  const alone = Array.from({ length: 12 }, (_, i) => 8000 + i * 960 + 40 * spread(random));
  await keepTempoTry(
    who,
    {
      ...{ kind: 'taps', asked: '60 / min' },
      score: { led: tapScore(led, 1000, beats)!, alone: tapScore(alone, 1000, [])! },
    },
    randomUUID(),
  );
}

/** Five weeks at the stand-in pad, all of it made up. */
export async function seedPad(practiceId: string, at: (daysAgo: number, time: string) => Date): Promise<void> {
  const imke = await PractitionerModel.findOne({ where: { practiceId, email: DEMO_SIGN_IN.email } });
  const who = { practiceId, practitionerId: imke!.id };
  await seedWords(practiceId, at);
  await seedChecks(who, at);
  await seedTempo(who);
  await agreeOnWord(who, 'medium', 50, true);
  const pace = paceOf('pulse', TECHNIQUE.perMinute, null);
  const plan = { aim: aimOf('medium'), wanted: wantedAt(atTempo(pace, pace.perMinute)) };
  for (const [daysAgo, hardness] of TRIES) {
    const hand = workingHand(
      'steady',
      { kpa: 50 * hardness, areaCm2: 2, motion: 'press-pulse', ...pace },
      `demo ${daysAgo}`,
    );
    const random = numbersFrom(`demo ${daysAgo}`);
    const trace: Touch[] = [];
    for (let ms = 0; ms <= tryMs(pace); ms += EVERY_MS)
      trace.push(touchOf({ sequence: 0, atMs: ms, cells: cellsUnder(hand(ms), STAND_IN_PAD, random) }, STAND_IN_PAD));
    await keepPadTry(
      who,
      {
        ...{ technique: TECHNIQUE.id, kind: 'pulse', contact: 'two-fingers', pressure: 'medium' },
        ...{ perMinute: pace.perMinute, sensor: 'Stand-in pad', isStandIn: true, isBlind: false },
        score: keptScore('pulse', plan, trace),
        at: at(daysAgo, '08:20'),
      },
      randomUUID(),
    );
  }
}
