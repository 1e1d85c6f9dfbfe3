import type { Caution, Clause } from '../../../core/limits/index.ts';

/**
 * Screening rules. Sources stand beside each row; "common practice" has no published source. Intervals and lists are
 * from memory, to be verified. Wellness work, not medicine: nothing here diagnoses, local codes and licensed
 * practice come first.
 */
export const PRACTICE = 'common practice, no source';

/** Asked aloud unless `question` is null: then the rule concerns everyone. */
export interface CautionText {
  title: string;
  who: string;
  question: string | null;
  appliesTo: readonly Clause[];
  advice: string;
  seeWho?: string;
  source?: string;
}

export const rows = (
  group: Caution['group'],
  severity: Caution['severity'],
  table: Record<string, CautionText>,
): Caution[] => Object.entries(table).map(([key, t]) => ({ key, group, severity, seeWho: '', source: PRACTICE, ...t }));

export const NECK_POINTS = ['BL10', 'GB20', 'ST9', 'LI18', 'SI17', 'TE16', 'GV15', 'GV16', 'EX-HN-Anmian'] as const;
