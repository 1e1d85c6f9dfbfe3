import { HAND_SCRIPTS } from '../../core/devices';
import { PAD_CONTACTS, PAD_TEMPO } from '../../core/touch';
import { PRESSURES } from '../../core/words';
import { array, boolean, number, object, string, type InferType } from 'yup';

const padName = string().max(60).required();
/** Five minutes at a hundred readings a second: no try lasts longer. */
const MOST_READINGS = 30_000;
/** What a pad read: ms from the beginning of the try, kPa, N, where in mm (null where nothing bears), and the N left of its middle. */
const reading = array().of(number().nullable().defined()).length(6, 'Six numbers a reading are accepted.').required();

/** A try that is over. The server scores it itself: what is sent is what was read. */
export const padTrySchema = object({
  once: string().uuid().required(),
  pad: padName,
  technique: string().max(80).required(),
  contact: string().oneOf(PAD_CONTACTS).required(),
  pressure: string().oneOf(PRESSURES).required(),
  perMinute: number().integer().min(PAD_TEMPO.least).max(PAD_TEMPO.most).required(),
  isBlind: boolean().required(),
  bothHands: boolean().required(),
  /** What a client may have at most; none for somebody’s own practice. */
  capKpa: number().min(0.5).max(400).nullable().default(null),
  readings: array().of(reading).max(MOST_READINGS, 'A try of five minutes is accepted.').required(),
});
export type PadTry = InferType<typeof padTrySchema>;

const kpa = number().min(0).max(400).required();
const areaCm2 = number().min(0.2).max(40).required();
/** What a stand-in’s hand is told to do. */
export const padHandSchema = object({
  pad: padName,
  kind: string()
    .oneOf(['up', 'down', 'work', 'weight'] as const)
    .required(),
  kpa: kpa.default(0),
  areaCm2: areaCm2.default(2),
  script: string().oneOf(HAND_SCRIPTS).default('steady'),
  motion: string().max(20).default('hold'),
  pressMs: number().min(50).max(60_000).default(1000),
  restMs: number().min(0).max(60_000).default(1000),
  count: number().integer().min(1).max(200).default(1),
  bothHands: boolean().default(false),
  grams: number().min(0).max(5000).default(0),
});

const onceKey = string().uuid().required();
const readings = array().of(reading).min(1).max(MOST_READINGS).required();
/** Words that were pressed without seeing anything. The server reads the pressure itself. */
export const padWordsSchema = object({
  once: onceKey,
  pad: padName,
  contact: string().oneOf(PAD_CONTACTS).required(),
  presses: array()
    .of(object({ word: string().oneOf(PRESSURES).required(), readings }))
    .min(1)
    .max(2, 'Two words a round are accepted.')
    .required(),
});
export type WordsSent = InferType<typeof padWordsSchema>;
/** What is agreed on for a word, and who is shown what. */
export const padScaleSchema = object({
  word: string().oneOf(PRESSURES).required(),
  do: string()
    .oneOf(['agree', 'let-go'] as const)
    .required(),
});
export const padShowSchema = object({ shows: boolean().required() });

/** A pad under weights. */
export const padCheckSchema = object({
  once: onceKey,
  pad: padName,
  weights: array()
    .of(object({ grams: number().min(20).max(5000).required(), readN: number().min(0).max(500).required() }))
    .min(1, 'At least one weight is accepted.')
    .max(10)
    .required(),
});

const moments = (most: number) => array().of(number().min(-60_000).max(600_000).required()).max(most).required();
/** Tempo without a pad: when it was tapped, or when a breath was held and let go; ms from the start. */
export const tempoSchema = object({
  once: onceKey,
  kind: string()
    .oneOf(['taps', 'breath'] as const)
    .required(),
  perMinute: number().integer().min(PAD_TEMPO.least).max(120).default(60),
  taps: moments(200).default([]),
  technique: string().max(80).default(''),
  holds: array()
    .of(array().of(number().min(0).max(600_000).required()).length(2).required())
    .max(60)
    .default([]),
});
export type TempoSent = InferType<typeof tempoSchema>;
