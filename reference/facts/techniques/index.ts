import type { Technique } from '../../../core/routine/index.ts';
import { BALL_RELEASE } from './ball-release.ts';
import { BREATHWORK } from './breathwork.ts';
import { FASCIA_RELEASE } from './fascia-release.ts';
import { HAND_MASSAGE } from './hand-massage.ts';
import { LYMPH_DRAINAGE } from './lymph-drainage.ts';
import { MICROCURRENT_GLIDE } from './microcurrent-glide.ts';
import { NECK_STRETCH } from './neck-stretch.ts';
import { OF_MUSCLES } from './of-muscles.ts';
import { OF_POINTS } from './of-points.ts';
import { POINT_HOLDING } from './point-holding.ts';
import { REFLEX_PROBE } from './reflex-probe.ts';
import { RESISTED_EXERCISE } from './resisted-exercise.ts';
import { SHIATSU_PRESS } from './shiatsu-press.ts';
import { TAPPING_QIGONG } from './tapping-qigong.ts';

/**
 * The library, by kind of work. Every row has its own dose; where its figures come from stands in `grounds`. Contacts,
 * ways, sides and words are common practice of the trade without a published source.
 */
export const ROWS: readonly Technique[] = [
  ...BREATHWORK,
  ...LYMPH_DRAINAGE,
  ...HAND_MASSAGE,
  ...TAPPING_QIGONG,
  ...FASCIA_RELEASE,
  ...SHIATSU_PRESS,
  ...POINT_HOLDING,
  ...NECK_STRETCH,
  ...RESISTED_EXERCISE,
  ...BALL_RELEASE,
  ...REFLEX_PROBE,
  ...MICROCURRENT_GLIDE,
];

/** The rows, and plain work of every point and muscle that may be worked. */
export const TECHNIQUES: readonly Technique[] = [...ROWS, ...OF_POINTS, ...OF_MUSCLES];
