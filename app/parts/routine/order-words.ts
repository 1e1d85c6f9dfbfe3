import type { OrderProfile, School } from '../../../core/routine';
import { REGION_NAMES } from '../../../core/words';

/** What each setting of the order is called, and its choices. */
export const ORDER_CHOICES: {
  [K in keyof OrderProfile]: { label: string; choices: Record<OrderProfile[K], string> };
} = {
  begin: { label: 'Beginning', choices: { neck: 'neck before face', any: 'anywhere' } },
  exercise: {
    label: 'Exercise',
    choices: { 'after-release': 'after the release', any: 'before or after the release' },
  },
  drainage: {
    label: 'Drainage',
    choices: { 'open-and-close': 'opened first and closed last', 'close-only': 'at the end only', none: 'not framed' },
  },
};
export const ORDER_KEYS = Object.keys(ORDER_CHOICES) as (keyof OrderProfile)[];

/** "Beginning neck before face; exercise after the release; drainage at the end only." */
export const orderWords = (order: OrderProfile): string =>
  `${ORDER_KEYS.map((k, i) => {
    const { label, choices } = ORDER_CHOICES[k];
    return `${i ? label.toLowerCase() : label} ${(choices as Record<string, string>)[order[k]]}`;
  }).join('; ')}.`;

/** What stands before and after the work. */
export const FRAMES: Record<School['frame'], string> = {
  none: '',
  drainage: 'Drainage stands before and after.',
  'breath-and-scan': 'Breathing and a scan stand before and after.',
  massage: 'Massage stands before and after.',
};

/** "Front of the neck, back of the neck → around the ear → scalp." */
export const walkWords = (walk: School['walk']): string => {
  const words = walk.map((regions) => regions.map((r) => REGION_NAMES[r]).join(', ')).join(' → ');
  return `${words[0]!.toUpperCase()}${words.slice(1)}.`;
};
