import { type Cue, WORKING } from '../routine/index.ts';
import { InputError, type OneSide } from '../words/index.ts';

/** What is looked at when one side is done and the other is not. Common practice, no source. */
export const SIDE_DIFFERENCES = [
  'eye-openness',
  'brow-height',
  'mouth-corner',
  'jaw-ease',
  'warmth',
  'lightness',
  'none',
] as const;
export type SideDifference = (typeof SIDE_DIFFERENCES)[number];
export const SIDE_DIFFERENCE_NAMES: Record<SideDifference, string> = {
  'eye-openness': 'Eye more open',
  'brow-height': 'Brow higher',
  'mouth-corner': 'Mouth corner higher',
  'jaw-ease': 'Jaw easier',
  warmth: 'Warmer',
  lightness: 'Lighter, looser',
  none: 'No difference',
};

/** One look in the mirror between the sides. Without the same head position and light it shows little, and says so. */
export interface SideCompare {
  /** The side that is done, the client’s. */
  doneSide: OneSide;
  /** Head held the same. */
  sameHead: boolean;
  /** Light the same. */
  sameLight: boolean;
  /** What is seen; "none" stands alone. */
  differs: SideDifference[];
}

/** @throws InputError when the value is no comparison. */
export function readSideCompare(value: unknown): SideCompare {
  if (!value || typeof value !== 'object') throw new InputError('event.compare', 'a comparison of sides is accepted');
  const v = value as Partial<SideCompare>;
  if (v.doneSide !== 'left' && v.doneSide !== 'right')
    throw new InputError('event.compare.doneSide', 'the client’s left or right is accepted');
  if (typeof v.sameHead !== 'boolean' || typeof v.sameLight !== 'boolean')
    throw new InputError('event.compare', 'head position and light are yes or no');
  if (
    !Array.isArray(v.differs) ||
    v.differs.length > SIDE_DIFFERENCES.length ||
    v.differs.some((d) => !SIDE_DIFFERENCES.includes(d))
  )
    throw new InputError('event.compare.differs', `a list out of ${SIDE_DIFFERENCES.join(', ')} is accepted`);
  if (v.differs.includes('none') && v.differs.length > 1)
    throw new InputError('event.compare.differs', '"none" stands alone');
  return { doneSide: v.doneSide, sameHead: v.sameHead, sameLight: v.sameLight, differs: v.differs };
}

export function sideCompareWords({ doneSide, sameHead, sameLight, differs }: SideCompare): string {
  const what =
    !differs.length || differs.includes('none')
      ? 'no difference seen'
      : differs.map((d) => SIDE_DIFFERENCE_NAMES[d].toLowerCase()).join(', ');
  const unequal = [sameHead ? '' : 'head held differently', sameLight ? '' : 'light differed'].filter(Boolean);
  return `After the client’s ${doneSide}: ${what}${unequal.length ? ` (${unequal.join(', ')}, so it counts little)` : ''}.`;
}

/** The side that is wholly done at a cue while the other still waits, within its step; null where there is none. */
export function doneSideAt(cues: readonly Cue[], index: number): OneSide | null {
  const now = cues[index];
  if (!now) return null;
  const rounds = cues.filter(
    (c) => c.stepIndex === now.stepIndex && WORKING.has(c.kind) && (c.side === 'left' || c.side === 'right'),
  );
  const waits = new Set(rounds.filter((c) => c.index >= index).map((c) => c.side));
  const begun = new Set(rounds.filter((c) => c.index < index).map((c) => c.side));
  const done = (['left', 'right'] as const).filter((s) => begun.has(s) && !waits.has(s));
  const other = (['left', 'right'] as const).find((s) => waits.has(s) && !begun.has(s));
  return done.length === 1 && other ? done[0]! : null;
}
