import { screen, screenVisit, type Screening } from '../../core/limits/index.ts';
import type { Routine, Step } from '../../core/routine/index.ts';
import { type ComplaintKind, FACE_REGIONS, type Pressure, type Region } from '../../core/words/index.ts';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';
import { at, bareStep, hold, routineFrom, routineOf, stepOf } from './routines.ts';

/** A routine and what one rule says of it: words of its title, or null where it has to be quiet. */
export interface RuleCase {
  rule: string;
  what: string;
  severity: 'stop' | 'warn' | 'hint';
  says: string | null;
  routine: Routine;
  screening?: Screening;
}

const c = (
  rule: string,
  severity: RuleCase['severity'],
  what: string,
  says: string | null,
  routine: Routine,
  screening?: Screening,
): RuleCase => ({ rule, severity, what, says, routine, ...(screening ? { screening } : {}) });

/** Work in one region, by a technique that belongs to none of those the rules speak of. */
const inRegion = (region: Region, there: Pressure): Routine =>
  routineOf([
    {
      ...bareStep('a', [hold(5)], { technique: 'hegu-web-massage', pressure: there }),
      path: [{ kind: 'region', id: region }],
    },
  ]);

/** Each cap: where it holds, the hardest it takes, and one word more. Stated here anew, not read from the rule. */
const CAPS: [rule: string, regions: readonly Region[], most: Pressure, more: Pressure][] = [
  ['under-eye-light', ['under-eye', 'upper-lid'], 'light', 'medium'],
  ['front-neck-never-pressed', ['neck-front'], 'feather', 'light'],
  ['neck-side-cap', ['neck-side'], 'medium', 'firm'],
  ['face-at-most-firm', FACE_REGIONS, 'firm', 'deep'],
];
const caps = CAPS.flatMap(([rule, regions, most, more]) =>
  regions.flatMap((region) => [
    c(rule, 'stop', `${more} at the ${region}`, `takes ${most} at most`, inRegion(region, more)),
    c(rule, 'stop', `${most} at the ${region}`, null, inRegion(region, most)),
  ]),
);

const mode =
  (sides: Step['sides']['mode']) =>
  (s: Step): Step => ({ ...s, sides: { ...s.sides, mode: sides } });
const pin = (id: string, there: Pressure) => stepOf('masseter-pin-open', id, at(there));
const thumb = (contact: Step['contact'], seconds: number, pressure: Pressure = 'medium') =>
  bareStep(`t${contact}`, [hold(seconds)], { technique: 'skull-base-thumb-circles', contact, pressure });
const long = (pressure: Pressure) =>
  routineOf([bareStep('a', [hold(460)], { pressure }), bareStep('b', [hold(460)], { pressure })]);
const yes = (...keys: string[]) => screen(CAUTIONS, Object.fromEntries(keys.map((k) => [k, 'yes' as const])));

const worse = (...kinds: ComplaintKind[]) => screenVisit(CAUTIONS, {}, null, null, new Set(), kinds);

/** Every rule with a routine in which it speaks, and the nearest ones in which it must not. */
export const RULE_CASES: readonly RuleCase[] = [
  ...caps,
  c('under-eye-light', 'stop', 'the way back counts too', 'takes light at most', {
    ...inRegion('under-eye', 'light'),
    items: [{ ...(inRegion('under-eye', 'light').items[0] as Step), pressure: { there: 'feather', back: 'firm' } }],
  }),
  c(
    'pressure-in-range',
    'hint',
    'deep where it is not used',
    'is usually',
    routineOf([stepOf('temple-circles', 'a', at('deep'))]),
  ),
  c('pressure-in-range', 'hint', 'as usual', null, routineFrom(['temple-circles'])),

  c('keep-off', 'stop', 'a place that is kept off', 'touches the', {
    ...routineOf([
      stepOf('pulse-ST6', 'a', (s) => ({ ...s, path: [{ kind: 'keep-off', id: 'jaw-joint' }, ...s.path] })),
    ]),
  }),
  c('keep-off', 'stop', 'nothing but such a place', 'touches the', {
    ...routineOf([stepOf('pulse-ST6', 'a', (s) => ({ ...s, path: [{ kind: 'keep-off', id: 'jaw-joint' }] }))]),
  }),
  c('keep-off', 'stop', 'beside it', null, routineFrom(['pulse-ST6'])),
  c(
    'both-sides-of-neck',
    'warn',
    'both sides at once',
    'both sides of the neck',
    routineOf([stepOf('scm-pinch-walk', 'a', mode('together'))]),
  ),
  c(
    'both-sides-of-neck',
    'warn',
    'one after the other',
    null,
    routineOf([stepOf('scm-pinch-walk', 'a', mode('each'))]),
  ),
  c(
    'both-sides-of-neck',
    'warn',
    'a skin stroke',
    null,
    routineOf([stepOf('scm-pinch-walk', 'a', (s) => at('feather')(mode('together')(s)))]),
  ),

  c('light-before-firm', 'warn', 'firm at once', 'first touch there and already firm', routineOf([pin('a', 'firm')])),
  c('light-before-firm', 'warn', 'firm after light', null, routineOf([pin('a', 'light'), pin('b', 'firm')])),
  c('light-before-firm', 'warn', 'medium at once', null, routineOf([pin('a', 'medium')])),
  c(
    'light-before-firm',
    'warn',
    'after what presses nothing',
    'already firm',
    routineOf([{ ...pin('a', 'light'), pressure: null }, pin('b', 'firm')]),
  ),

  c(
    'open-before-draining',
    'warn',
    'drained unopened',
    'before the collarbone is opened',
    routineFrom(['temple-circles', 'neck-side-drain-pads', 'terminus-close']),
  ),
  c(
    'open-before-draining',
    'warn',
    'opened first',
    null,
    routineFrom(['collarbone-pump', 'neck-side-drain-pads', 'terminus-close']),
  ),
  c(
    'open-before-draining',
    'warn',
    'a school that does not frame',
    null,
    routineFrom(['temple-circles', 'neck-side-drain-pads'], { school: 'top-down' }),
  ),
  c(
    'close-in-reverse',
    'warn',
    'opened and left open',
    'opened but not closed',
    routineFrom(['collarbone-pump', 'neck-side-drain-pads', 'temple-circles']),
  ),
  c(
    'close-in-reverse',
    'warn',
    'closed',
    null,
    routineFrom([
      'collarbone-pump',
      'neck-side-drain-pads',
      'temple-circles',
      'neck-side-drain-pads',
      'terminus-close',
    ]),
  ),
  c(
    'close-in-reverse',
    'warn',
    'ends elsewhere',
    'does not end at the collarbone',
    routineFrom(['collarbone-pump', 'temple-circles', 'terminus-close', 'temple-to-neck-drain']),
  ),
  c('close-in-reverse', 'warn', 'opening alone', null, routineFrom(['collarbone-pump', 'neck-side-drain-pads'])),
  c(
    'close-in-reverse',
    'warn',
    'a school that does not frame',
    null,
    routineFrom(['collarbone-pump', 'neck-side-drain-pads', 'temple-circles'], { school: 'top-down' }),
  ),
  c(
    'drainage-order',
    'hint',
    'the collarbone not last',
    'the collarbone is last',
    routineFrom(['collarbone-pump', 'temple-circles', 'terminus-close', 'temple-to-neck-drain']),
  ),
  c(
    'drainage-order',
    'hint',
    'the collarbone last',
    null,
    routineFrom(['collarbone-pump', 'temple-circles', 'temple-to-neck-drain', 'terminus-close']),
  ),

  c(
    'neck-before-face',
    'warn',
    'the neck late',
    'comes after',
    routineFrom(['temple-circles', 'skull-base-thumb-circles']),
  ),
  c('neck-before-face', 'warn', 'the neck first', null, routineFrom(['skull-base-thumb-circles', 'temple-circles'])),
  c(
    'neck-before-face',
    'warn',
    'drainage of the face is no work of it',
    null,
    routineFrom(['jaw-l-finger-wipe', 'skull-base-thumb-circles']),
  ),
  c(
    'neck-before-face',
    'warn',
    'what works face and neck is no face before the neck',
    null,
    routineFrom(['jaw-cream-glide', 'skull-base-thumb-circles']),
  ),
  c(
    'neck-before-face',
    'warn',
    'a school that begins elsewhere',
    null,
    routineFrom(['temple-circles', 'skull-base-thumb-circles'], { school: 'top-down' }),
  ),
  c(
    'release-before-exercise',
    'warn',
    'exercised, then released',
    'exercises a muscle',
    routineFrom(['lower-lid-lift', 'brow-pinch-walk']),
  ),
  c(
    'release-before-exercise',
    'warn',
    'released, then exercised',
    null,
    routineFrom(['brow-pinch-walk', 'lower-lid-lift']),
  ),
  c(
    'release-before-exercise',
    'warn',
    'a school that does either',
    null,
    routineFrom(['lower-lid-lift', 'brow-pinch-walk'], { school: 'bottom-up' }),
  ),

  c(
    'glide-for-strokes',
    'hint',
    'on dry skin',
    'without a glide product',
    routineFrom(['temple-circles', 'cheek-to-ear-glide']),
  ),
  c(
    'glide-for-strokes',
    'hint',
    'a feather touch',
    null,
    routineOf([stepOf('cheek-to-ear-glide', 'a', at('feather'))]),
  ),
  c(
    'worse-lighter',
    'warn',
    'firm on what is worse',
    'jaw has become worse',
    routineOf([pin('a', 'firm')]),
    worse('jaw'),
  ),
  c('worse-lighter', 'warn', 'medium on what is worse', null, routineOf([pin('a', 'medium')]), worse('jaw')),
  c('worse-lighter', 'warn', 'firm on something else', null, routineOf([pin('a', 'firm')]), worse('eye-strain')),
  c('worse-lighter', 'warn', 'nothing is worse', null, routineOf([pin('a', 'firm')]), worse()),
  c('glide-for-strokes', 'hint', 'circles that do not slide', null, routineFrom(['temple-circles'])),
  c('glide-for-strokes', 'hint', 'through the hair', null, routineFrom(['hair-finger-comb'])),
  c('glide-for-strokes', 'hint', 'skin that is held, not slid over', null, routineFrom(['forehead-palms-shear'])),
  c('glide-for-strokes', 'hint', 'gloves want gel', null, routineFrom(['glove-forehead-split'])),
  c('glide-for-strokes', 'hint', 'after oil', null, routineFrom(['glide-apply', 'cheek-to-ear-glide'])),
  c(
    'glide-for-strokes',
    'hint',
    'oil that comes late',
    'without a glide product',
    routineFrom(['cheek-to-ear-glide', 'glide-apply']),
  ),
  c('glide-for-strokes', 'hint', 'spreading itself', null, routineOf([stepOf('glide-apply', 'a', at('light'))])),
  c(
    'gel-before-oil',
    'warn',
    'oil, then current',
    'oil only afterwards',
    routineFrom(['glide-apply', 'glove-forehead-split']),
  ),
  c('gel-before-oil', 'warn', 'current, then oil', null, routineFrom(['glove-forehead-split', 'glide-apply'])),
  c('gel-before-oil', 'warn', 'a hand, then current', null, routineFrom(['temple-circles', 'glove-forehead-split'])),
  c('gel-before-oil', 'warn', 'oil under the hand', null, routineFrom(['glide-apply', 'cheek-to-ear-glide'])),
  c(
    'soothe-after-firm',
    'hint',
    'firm to the end',
    'Nothing soothing follows',
    routineOf([pin('a', 'light'), pin('b', 'firm')]),
  ),
  c(
    'soothe-after-firm',
    'hint',
    'closing strokes after it',
    null,
    routineOf([pin('a', 'firm'), stepOf('closing-face-swipes', 'z')]),
  ),
  c('soothe-after-firm', 'hint', 'medium to the end', null, routineOf([pin('a', 'medium')])),

  c(
    'fits-the-time',
    'warn',
    'too long',
    '0:01 over the 1 minutes',
    routineOf([bareStep('a', [hold(61)])], { budgetMinutes: 1 }),
  ),
  c('fits-the-time', 'warn', 'just in time', null, routineOf([bareStep('a', [hold(60)])], { budgetMinutes: 1 })),
  c('fits-the-time', 'warn', 'time does not matter', null, routineOf([bareStep('a', [hold(600)])])),
  c(
    'even-sides',
    'warn',
    'ten seconds more on one side',
    'left side gets 10 s more',
    routineOf([bareStep('a', [hold(10)], { mode: 'left' })]),
  ),
  c('even-sides', 'warn', 'nine seconds more', null, routineOf([bareStep('a', [hold(9)], { mode: 'left' })])),
  c(
    'even-sides',
    'warn',
    'more with a reason',
    null,
    routineOf([
      stepOf('masseter-pin-open', 'a', (s) => ({
        ...s,
        sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: 'sorer' } },
      })),
    ]),
  ),
  c(
    'intended-extra',
    'hint',
    'more with a reason',
    'client’s left. sorer',
    routineOf([
      stepOf('masseter-pin-open', 'a', (s) => ({
        ...s,
        sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: 'sorer' } },
      })),
    ]),
  ),
  c(
    'intended-extra',
    'hint',
    'more without one',
    null,
    routineOf([
      stepOf('masseter-pin-open', 'a', (s) => ({
        ...s,
        sides: { ...s.sides, extra: { side: 'left', sets: 1, reason: '' } },
      })),
    ]),
  ),

  c('thumb-load', 'warn', 'thumbs too long', 'without a break', routineOf([thumb('thumb', 125)])),
  c('thumb-load', 'warn', 'a pinch too long', 'without a break', routineOf([thumb('pinch', 125)])),
  c('thumb-load', 'warn', 'two minutes', null, routineOf([thumb('thumb', 120)])),
  c('thumb-load', 'warn', 'feather touch', null, routineOf([thumb('thumb', 125, 'feather')])),
  c(
    'thumb-load',
    'warn',
    'another contact between',
    null,
    routineOf([thumb('thumb', 70), thumb('fingertips', 5), { ...thumb('pinch', 70) }]),
  ),
  c('daily-ceiling', 'warn', 'over a quarter of an hour', '15 minutes a day are enough', long('light')),
  c('daily-ceiling', 'warn', 'feather touch', null, long('feather')),
  c('daily-ceiling', 'warn', 'less', null, routineOf([bareStep('a', [hold(450)]), bareStep('b', [hold(450)])])),

  c(
    'screening',
    'stop',
    'a traditional point in pregnancy',
    'off limits',
    routineFrom(['hegu-web-massage']),
    yes('pregnancy'),
  ),
  c('screening', 'stop', 'nothing answered yes', null, routineFrom(['hegu-web-massage']), yes()),
  c(
    'screening-care',
    'warn',
    'an old neck strain',
    'Slow, light to medium on the neck',
    routineFrom(['ear-to-shoulder-stretch']),
    yes('neck-strain'),
  ),
  c('screening-care', 'warn', 'work elsewhere', null, routineFrom(['hegu-web-massage']), yes('neck-strain')),
];
