import { pressed, type Step, type Technique } from '../routine/index.ts';
import { checkAlone } from '../rules/index.ts';
import { type Contact, pressureRank } from '../words/index.ts';
import type { Library, ProposalCase } from './case.ts';
import { FRAME_WHOLE_FROM } from './constants.ts';
import { isDrainage } from './credits.ts';
import { type DoseLevel, shortEnough, sidesPlans, type SidesPlan } from './doses.ts';
import { holdsTooLong } from './hands.ts';
import { HAND_CLASS } from './trade.ts';

/** One way to do an admitted step. */
export interface Variant {
  plan: SidesPlan;
  level: DoseLevel;
  step: Step;
  /** Care that screening asks for. */
  care: string | null;
}
const LOWEST_FIRM = pressureRank('firm');

/** Medium beside firm, where the technique allows it. */
function withLighter(step: Step, t: Technique): Step[] {
  const there = step.pressure?.there;
  const firm = there === 'firm' || there === 'deep';
  return firm && t.pressure && pressureRank(t.pressure.least) < LOWEST_FIRM
    ? [step, { ...step, pressure: pressed('medium') }]
    : [step];
}
/** What takes the thumb's place, the likest first. Our choice. */
const IN_PLACE_OF_THUMB: readonly Contact[] = [
  'fingertips',
  'two-fingers',
  'middle-finger',
  'index-knuckle',
  'knuckles',
];
/** The contact that spares the thumb beside the thumb. */
function withOtherContact(step: Step, t: Technique): Step[] {
  if (HAND_CLASS[step.contact] !== 'thumb') return [step];
  const other = IN_PLACE_OF_THUMB.find((x) => t.contacts.includes(x));
  return other ? [step, { ...step, contact: other }] : [step];
}
/** Which doses are tried: a frame keeps what is taught where there is time; plain work and extra sets are not drawn out. */
function levelsOf(t: Technique, plan: SidesPlan, { ask }: ProposalCase): readonly DoseLevel[] {
  if (t.plain) return ['usual'];
  const whole = ask.minutes !== null && ask.minutes >= FRAME_WHOLE_FROM;
  if (whole && (t.phase === 'breathe' || isDrainage(t))) return plan === 'extra' ? ['usual'] : ['usual', 'more'];
  return plan === 'extra' ? ['least', 'usual'] : ['least', 'usual', 'more'];
}

/**
 * Every way in which an admitted step may stand: a word lighter, sparing the thumb, one more set on the sorer side, less
 * and more of it. Each is held against screening and rules again: another contact or a longer hold may be what a caution
 * closes.
 */
export function variantsOf(admitted: Step, t: Technique, c: ProposalCase, { catalogue }: Library): Variant[] {
  const out: Variant[] = [];
  for (const pressedStep of withLighter(admitted, t))
    for (const held of withOtherContact(pressedStep, t))
      for (const { plan, step } of sidesPlans(held, t.muscles, c)) {
        // What screening or the neck asks to be done side by side stays so.
        const sided: Step =
          held.sides.mode === 'each' && step.sides.mode === 'together'
            ? { ...step, sides: { ...step.sides, mode: 'each' } }
            : step;
        for (const level of levelsOf(t, plan, c)) {
          const dosed = shortEnough(sided, level);
          if (!dosed || holdsTooLong(dosed)) continue;
          const said = checkAlone(dosed, catalogue, c.screening);
          if (!said.stop) out.push({ plan, level, step: dosed, care: said.care });
        }
      }
  return out;
}
