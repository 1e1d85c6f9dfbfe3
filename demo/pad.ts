import { randomUUID } from 'node:crypto';
import { keptScore, aimOf, atTempo, paceOf, touchOf, tryMs, wantedAt, type Touch } from '../core/touch/index.ts';
import { numbersFrom } from '../devices/made-up.ts';
import { cellsUnder, STAND_IN_PAD } from '../devices/pad-cells.ts';
import { workingHand } from '../devices/pad-hand.ts';
import { PractitionerModel } from '../server/db/models/index.ts';
import { keepPadTry } from '../server/db/queries/pad.server.ts';
import { DEMO_SIGN_IN } from './sign-in.ts';

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

/** Five weeks at the stand-in pad, all of it made up. */
export async function seedPad(practiceId: string, at: (daysAgo: number, time: string) => Date): Promise<void> {
  const imke = await PractitionerModel.findOne({ where: { practiceId, email: DEMO_SIGN_IN.email } });
  const who = { practiceId, practitionerId: imke!.id };
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
