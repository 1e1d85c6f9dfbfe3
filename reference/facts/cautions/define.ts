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
  /** Asked anew after a no. */
  anew?: true;
  /** Asked only after a yes to this one. */
  after?: string;
  /** May concern one side alone. */
  sided?: true;
}

export const rows = (
  group: Caution['group'],
  severity: Caution['severity'],
  table: Record<string, CautionText>,
): Caution[] => Object.entries(table).map(([key, t]) => ({ key, group, severity, seeWho: '', source: PRACTICE, ...t }));

/** Everything, everywhere. */
export const WHOLE_VISIT: readonly Clause[] = [{ work: ['any'] }];

// Groups of regions that several cautions speak of.
export const MOUTH = ['upper-lip', 'lips', 'chin'] as const;
export const EYE = ['upper-lid', 'under-eye'] as const;
const UPPER_FACE = ['forehead', 'glabella', 'brow', 'temple', 'upper-lid', 'under-eye'] as const;
const LOWER_FACE = ['nose', 'cheek', 'upper-lip', 'lips', 'chin', 'jaw'] as const;
export const FACE = [...UPPER_FACE, ...LOWER_FACE] as const;
export const NECK = ['neck-front', 'neck-side', 'neck-back'] as const;
/** Points at the front of the neck and behind the jaw angle. */
export const VESSEL_POINTS = ['ST9', 'LI18', 'SI17', 'CV22'] as const;
export const UPPER_NECK_POINTS = ['BL10', 'GB20', 'TE16', 'EX-HN-Anmian'] as const;
export const JOINT_POINTS = ['GB2', 'SI19', 'TE21'] as const;
/** The head goes where a sore or loose neck must not go. */
export const HEAD_GOES = ['head-turns', 'head-tips', 'head-hangs'] as const;
