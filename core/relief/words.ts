import { counted } from '../words/index.ts';
import type { KeptJudgement } from './judgement.ts';
import { LEAST } from './verdict.ts';

/** With one decimal and a true minus; nought has no sign. */
export function points(v: number): string {
  const words = Math.abs(v).toFixed(1);
  return v < 0 && words !== '0.0' ? `−${words}` : words;
}

const interval = (low: number, high: number): string => `(${points(low)} to ${points(high)})`;

/** What a course says, as the title over it: "Jaw, left: better by 3.4 (2.1 to 4.6) than before the work". */
export function courseTitle(name: string, j: KeptJudgement): string {
  return `${name}: ${saying(j)}`;
}

function saying(j: KeptJudgement): string {
  const { verdict, shown, interval: bounds } = j;
  switch (verdict) {
    case 'before-work':
      return `before the work, ${counted(j.readings, 'rating')}`;
    case 'cannot-tell':
      return `cannot tell yet; ${
        j.moreRatings !== null
          ? `about ${counted(j.moreRatings, 'more rating')} would`
          : j.readingsBefore < 3
            ? 'too little was rated before the work'
            : 'more ratings alone would not'
      }`;
    case 'about-same':
      return `about the same ${interval(bounds!.low, bounds!.high)}`;
    case 'leaning-better':
      return `leaning better by ${points(-shown!)} ${interval(-bounds!.high, -bounds!.low)}`;
    case 'leaning-worse':
      return `leaning worse by ${points(shown!)} ${interval(bounds!.low, bounds!.high)}`;
    case 'better':
      return `better by ${points(-shown!)} ${interval(-bounds!.high, -bounds!.low)} than before the work`;
    case 'worse':
      return `worse by ${points(shown!)} ${interval(bounds!.low, bounds!.high)} than before the work`;
    case 'low-steady':
      return 'low and steady; nothing to change';
    case 'no-readings':
      return 'not rated yet';
    case 'too-early':
      return 'too early to tell';
  }
}

const ADVICE_WORDS: Readonly<Record<KeptJudgement['advice'], string>> = {
  'go-on': 'Go on.',
  adjust: 'Adjust the routine.',
  review: 'Review before going on the same way.',
  refer: 'Suggest licensed care before more firm work.',
};

/** What to do, with the numbers that led there. */
export const adviceWords = (j: Pick<KeptJudgement, 'advice' | 'because'>): string =>
  `${ADVICE_WORDS[j.advice]}${j.because.length ? ` Because: ${j.because.join('; ')}.` : ''}`;

/** Fewer ratings before the work than this leave much unknown. */
export const ASKED_BEFORE_WORK = 3;

/** Sentences under the title: what is not known, what to do, and the numbers that led there. */
export function courseReason(j: KeptJudgement): string {
  if (j.verdict === 'no-readings' && j.advice === 'go-on') return 'Rate it 0 to 10 at the next visit.';
  const out: string[] = [];
  if (j.verdict === 'before-work')
    out.push(
      j.apartBefore < ASKED_BEFORE_WORK
        ? `${ASKED_BEFORE_WORK} ratings on different days before the work tell most: ${counted(ASKED_BEFORE_WORK - j.apartBefore, 'more', 'more')}.`
        : 'Enough was rated before the work.',
    );
  if (j.verdict === 'too-early') {
    const left = Math.ceil(LEAST.days - j.days);
    const needs = [
      j.readings < LEAST.ratings ? counted(LEAST.ratings - j.readings, 'more rating') : '',
      left > 0 ? counted(left, 'more day') : '',
    ].filter(Boolean);
    out.push(`Needs ${needs.join(' and ')}.`);
  }
  if ((j.verdict === 'leaning-better' || j.verdict === 'leaning-worse') && j.readingsBefore < ASKED_BEFORE_WORK)
    out.push(
      j.verdict === 'leaning-better'
        ? 'A high first rating alone can look like this.'
        : 'Little was rated before the work: a low first rating alone can look like this.',
    );
  if (j.before !== null && j.level !== null && j.workedDays !== null)
    out.push(
      `Usual level ${points(Math.min(10, Math.max(0, j.before)))} before the work, ${points(Math.min(10, Math.max(0, j.level)))} now.`,
    );
  if (j.shift)
    out.push(
      `${j.shift.of === 'home' ? 'At home' : 'In the studio'} ${points(Math.abs(j.shift.points))} ${j.shift.points > 0 ? 'higher' : 'lower'} ${interval(j.shift.low, j.shift.high)}; that is taken out.`,
    );
  out.push(adviceWords(j));
  return out.join(' ');
}

/** What a course that is worse means for the work, beside every mark that says so. */
export const WORSE_MEANS = 'Firm work on it is warned of; think of licensed care.';

/** What any verdict means, and what it cannot know: the help beside the courses. */
export const RELIEF_HELP = [
  'Tried on made-up clients: when nothing has changed, “better” is told at some time to 1 to 4 of 100 and “worse” to 1 to 6; where only a high first rating brought them, “better” to 5 to 11.',
  'A fall from 7 to 3 is seen by the 12th rating in 96 of 100 with four ratings before the work and in 50 with one; relief that comes slowly over eight weeks is called better in half of them or fewer.',
  'What was never rated cannot be known: with one rating before the work 84 of 100 unchanged clients stay at “cannot tell yet”, and after a large fall the interval, meant to hold the truth in 95, holds it in 84 to 89.',
] as const;
