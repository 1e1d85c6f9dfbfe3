import type { SidePlan, Technique } from '../routine/index.ts';
import { counted, otherSide } from '../words/index.ts';
import type { HomePlan } from './home-plan.ts';

/** "Your right, then your left": the sides of a step as the client reads them. */
export function yourSides({ mode, first }: Pick<SidePlan, 'mode' | 'first'>): string {
  switch (mode) {
    case 'together':
      return 'Both sides together';
    case 'each':
      return `Your ${first}, then your ${otherSide(first)}`;
    case 'midline':
      return 'In the middle';
    default:
      return `Your ${mode} only`;
  }
}

const TIMES = ['', 'once', 'twice', 'three times', 'four times'];
const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

/** "Twice a day", "once a day on Monday, Wednesday and Friday". */
export function rhythmWords({ timesADay, weekdays }: Pick<HomePlan, 'timesADay' | 'weekdays'>): string {
  const often = `${TIMES[timesADay] ?? `${timesADay} times`} a day`;
  if (weekdays.length === 7) return often;
  const names = weekdays.map((d) => WEEKDAYS[d - 1]!);
  const last = names.pop()!;
  return `${often} on ${names.length ? `${names.join(', ')} and ` : ''}${last}`;
}

/** "about 2 minutes", "about 40 seconds". */
export const aboutMinutes = (seconds: number): string =>
  seconds < 55
    ? `about ${Math.max(5, Math.round(seconds / 5) * 5)} seconds`
    : `about ${counted(Math.round(seconds / 60), 'minute')}`;

/**
 * What a client reads of a technique until somebody says it in other words: how it is done, and what is told during it.
 * What the practitioner says of their own hands is left out.
 */
export const homeWords = ({ cue, clientCue }: Pick<Technique, 'cue' | 'clientCue'>): string =>
  [cue, /^I\b|\bI am\b|\bI will\b/.test(clientCue) ? '' : clientCue].filter(Boolean).join(' ');
