import { HAND_SCRIPTS } from '../../core/devices';
import { PAD_CONTACTS, PAD_TEMPO } from '../../core/touch';
import { PRESSURES } from '../../core/words';
import { array, boolean, number, object, string, type InferType } from 'yup';

const padName = string().max(60).required();
/** Five minutes at a hundred readings a second: no try lasts longer. */
const MOST_READINGS = 30_000;
/** What a pad read: ms from the beginning of the try, kPa, N, and where in mm; the last two are null where nothing bears. */
const reading = array().of(number().nullable().defined()).length(5, 'Five numbers a reading are accepted.').required();

/** A try that is over. The server scores it itself: what is sent is what was read. */
export const padTrySchema = object({
  once: string().uuid().required(),
  pad: padName,
  technique: string().max(80).required(),
  contact: string().oneOf(PAD_CONTACTS).required(),
  pressure: string().oneOf(PRESSURES).required(),
  perMinute: number().integer().min(PAD_TEMPO.least).max(PAD_TEMPO.most).required(),
  isBlind: boolean().required(),
  readings: array().of(reading).max(MOST_READINGS, 'A try of five minutes is accepted.').required(),
});
export type PadTry = InferType<typeof padTrySchema>;

const kpa = number().min(0).max(400).required();
const areaCm2 = number().min(0.2).max(40).required();
/** What a stand-in’s hand is told to do. */
export const padHandSchema = object({
  pad: padName,
  kind: string()
    .oneOf(['up', 'down', 'work'] as const)
    .required(),
  kpa: kpa.default(0),
  areaCm2: areaCm2.default(2),
  script: string().oneOf(HAND_SCRIPTS).default('steady'),
  motion: string().max(20).default('hold'),
  pressMs: number().min(50).max(60_000).default(1000),
  restMs: number().min(0).max(60_000).default(1000),
  count: number().integer().min(1).max(200).default(1),
});
