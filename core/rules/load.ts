import { WORKING } from '../routine/index.ts';
import { clock, FACE_REGIONS, type OneSide } from '../words/index.ts';
import { nameOf, type Rule } from './types.ts';

const PRACTICE = 'common practice, no published source';
/** Seconds by which two sides may differ without a word: one breath. Our choice. */
const UNEVEN_SECONDS = 10;
/** Thumbs pressing without a break longer than this are warned of. Our choice, well inside Rohmert endurance at light load. */
const THUMB_LIMIT_SECONDS = 120;
/** Hands-on minutes a day on one face region before the ceiling is named. Our choice. */
const REGION_CEILING_SECONDS = 900;

/** Time, balance and the practitioner's hands. */
export const LOAD_RULES: readonly Rule[] = [
  {
    id: 'fits-the-time',
    severity: 'warn',
    reason: 'The routine has to end when the client has to leave.',
    source: 'arithmetic of the cue list',
    check: ({ routine, totals, steps }) => {
      if (routine.budgetMinutes === null || totals.totalSeconds <= routine.budgetMinutes * 60) return [];
      const over = totals.totalSeconds - routine.budgetMinutes * 60;
      return [
        {
          stepIds: steps.slice(-1).map((p) => p.step.id),
          title: `${clock(over)} over the ${routine.budgetMinutes} minutes.`,
          fix: { label: 'Shorten the longest steps', action: { do: 'shorten-to-budget' } },
        },
      ];
    },
  },
  {
    id: 'even-sides',
    severity: 'warn',
    reason: 'Both sides get the same time unless an extra set on one side is intended.',
    source: PRACTICE,
    check: ({ routine, cues, steps }) => {
      const seconds = { left: 0, right: 0 };
      const intended = { left: 0, right: 0 };
      for (const cue of cues) {
        if (!WORKING.has(cue.kind) || (cue.side !== 'left' && cue.side !== 'right')) continue;
        const length = (cue.endMs - cue.startMs) / 1000;
        seconds[cue.side] += length;
        const extra = routine.steps[cue.stepIndex]!.sides.extra;
        if (extra?.side === cue.side && extra.reason && cue.set > cue.sets - extra.sets) intended[cue.side] += length;
      }
      const difference = seconds.left - intended.left - (seconds.right - intended.right);
      if (Math.abs(difference) < UNEVEN_SECONDS) return [];
      const more: OneSide = difference > 0 ? 'left' : 'right';
      const oneSided = steps.filter((p) => p.step.sides.mode === more || p.step.sides.extra?.side === more);
      return [
        {
          stepIds: oneSided.map((p) => p.step.id),
          title: `Client’s ${more} side gets ${Math.round(Math.abs(difference))} s more.`,
          fix: oneSided.length ? { label: 'Even it out', action: { do: 'even-sides' } } : null,
        },
      ];
    },
  },
  {
    id: 'intended-extra',
    severity: 'hint',
    reason: 'Intended: written down with its reason.',
    source: PRACTICE,
    check: ({ steps }) =>
      steps
        .filter((p) => p.step.sides.extra?.reason)
        .map((p) => ({
          stepIds: [p.step.id],
          title: `${nameOf(p)}: ${p.step.sides.extra!.sets} more on the client’s ${p.step.sides.extra!.side}. ${p.step.sides.extra!.reason}`,
          fix: null,
        })),
  },
  {
    id: 'thumb-load',
    severity: 'warn',
    reason: 'Thumbs tire first; a knuckle or a finger takes the load off them.',
    source: 'limit is our choice',
    check: ({ cues, steps }) => {
      let run = 0;
      let inRun: string[] = [];
      for (const cue of cues) {
        const p = steps[cue.stepIndex];
        const thumb =
          p &&
          (p.step.contact === 'thumb' || p.step.contact === 'pinch') &&
          p.step.pressure !== null &&
          p.step.pressure !== 'feather';
        if (!thumb) {
          run = 0;
          inRun = [];
          continue;
        }
        if (!inRun.includes(p.step.id)) inRun.push(p.step.id);
        if (WORKING.has(cue.kind)) run += (cue.endMs - cue.startMs) / 1000;
        if (run <= THUMB_LIMIT_SECONDS) continue;
        const swap = inRun
          .map((id) => steps.find((q) => q.step.id === id)!)
          .find((q) => q.technique.contacts.some((c) => c !== 'thumb' && c !== 'pinch'));
        const contact = swap?.technique.contacts.find((c) => c !== 'thumb' && c !== 'pinch');
        return [
          {
            stepIds: inRun,
            title: `Thumbs work ${clock(run)} without a break.`,
            fix:
              swap && contact
                ? {
                    label: `${nameOf(swap)} with ${contact.replaceAll('-', ' ')}`,
                    action: { do: 'set-contact', stepId: swap.step.id, contact },
                  }
                : null,
          },
        ];
      }
      return [];
    },
  },
  {
    id: 'daily-ceiling',
    severity: 'warn',
    reason: 'Little and often: no one place is worked for too long in a day.',
    source: 'limit is our choice',
    check: ({ steps, totals }) => {
      const seconds = new Map<string, number>();
      for (const p of steps) {
        const where = p.technique.regions.find((r) => FACE_REGIONS.includes(r) && r !== 'whole-face');
        if (where && p.step.pressure && p.step.pressure !== 'feather')
          seconds.set(where, (seconds.get(where) ?? 0) + (totals.stepSeconds[p.index] ?? 0));
      }
      return [...seconds]
        .filter(([, s]) => s > REGION_CEILING_SECONDS)
        .map(([where, s]) => ({
          stepIds: steps.filter((p) => p.technique.regions[0] === where).map((p) => p.step.id),
          title: `${clock(s)} on the ${where}; a quarter of an hour a day is enough.`,
          fix: null,
        }));
    },
  },
];
