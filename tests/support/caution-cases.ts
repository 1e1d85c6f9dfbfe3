import type { LimitRow } from '../published/limits/table.ts';

/**
 * What cautions must do beyond the published table, in its words: caution, answer, technique, work, what is expected.
 * With the table they hold every clause: one that is taken out or softened fails a case. Common practice, no source.
 */
const CASES: readonly (readonly [
  caution: string,
  answer: LimitRow['answer'],
  technique: string,
  work: LimitRow['work'],
  expected: string,
])[] = [
  ['anaesthetic-today', 'yes', 'vowel-chest-head-back', {}, 'stop'],
  ['anaesthetic-today', 'yes', 'palm-center-massage', { heat: 'pack' }, 'stop'],
  [
    'chest-port',
    'yes',
    '',
    { at: 'landmark:mid-clavicle', contact: 'palm', motion: 'glide', pressure: 'light', side: 'right' },
    'stop',
  ],
  ['hearing-implant', 'yes', 'scalp-fingertip-circles', { pressure: 'feather' }, 'stop'],
  ['infant', 'yes', 'crown-massage', { pressure: 'feather' }, 'stop'],
  ['infant', 'yes', 'crown-massage', { pressure: 'none' }, 'stop'],
  ['implant-recent', 'yes', 'arm-circle-breath', {}, 'warn'],
  ['botulinum-today', 'yes', 'forehead-sweep-to-temples', { pressure: 'feather' }, 'stop'],
  ['botulinum-today', 'yes', 'palm-center-massage', { position: 'head-low' }, 'stop'],
  ['threads', 'yes', 'cheek-to-ear-glide', { pressure: 'feather' }, 'stop'],
  ['headache-today', 'yes', 'body-down-sweep', { head: 'drops' }, 'warn'],
  [
    'contact-lens',
    'yes',
    '',
    { at: 'region:under-eye', contact: 'fingertips', motion: 'hold', pressure: 'feather' },
    'stop',
  ],
  ['contact-lens', 'yes', '', { at: 'point:BL1', contact: 'fingertips', motion: 'hold', pressure: 'feather' }, 'stop'],
  [
    'implanted-electronics',
    'yes',
    '',
    { at: 'point:GB21', contact: 'thumb', motion: 'hold', pressure: 'medium' },
    'cap:light',
  ],
  ['thyroid', 'yes', '', { at: 'point:LI18', contact: 'fingertips', motion: 'glide', pressure: 'feather' }, 'stop'],
  ['shunt-or-line', 'yes', 'hands-behind-chest-opener', { head: 'turns-away' }, 'stop'],
  ['neck-strain', 'yes', 'shoulder-blade-massage', { pressure: 'firm' }, 'cap:medium'],
  ['neck-strain', 'yes', 'hands-behind-chest-opener', { head: 'turns-away' }, 'warn'],
  [
    'dizziness',
    'yes',
    '',
    { at: 'region:scalp', contact: 'fingertips', motion: 'circle', pressure: 'light', head: 'nods' },
    'warn',
  ],
  ['children', 'yes', 'glove-forehead-split', {}, 'stop'],
  ['recent-surgery', 'yes', 'jaw-opening-finger-count', { at: 'region:hand', jaw: 'wide' }, 'stop'],
  [
    'trigeminal-neuralgia',
    'yes',
    '',
    { at: 'region:hand', contact: 'thumb', motion: 'contract', pressure: 'light' },
    'stop',
  ],
  ['emotional-release', 'yes', 'slow-deep-breaths', { at: 'region:body', eyes: 'shut' }, 'warn'],
  [
    'carotid',
    'no',
    '',
    { at: 'region:neck-front', contact: 'fingertips', motion: 'glide', pressure: 'light' },
    'cap:feather',
  ],
  [
    'carotid',
    'no',
    '',
    { at: 'region:neck-side', contact: 'fingertips', motion: 'glide', pressure: 'firm' },
    'cap:medium',
  ],
  ['eye-pressure', 'no', '', { at: 'point:BL1', contact: 'thumb', motion: 'tap', pressure: 'medium' }, 'cap:light'],
  ['eye-pressure', 'no', '', { at: 'point:GB1', contact: 'thumb', motion: 'tap', pressure: 'firm' }, 'cap:medium'],
  ['stop-rule', 'no', 'temple-circles', {}, 'note'],
];
export const CAUTION_CASES: readonly LimitRow[] = CASES.map(([caution, answer, technique, work, expected], i) => ({
  line: -1 - i,
  caution,
  answer,
  technique,
  work,
  expected,
  overridable: '',
  ground: 'common practice, no source',
}));
