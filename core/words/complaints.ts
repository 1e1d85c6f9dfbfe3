import type { Side } from './sides.ts';

/** What a client comes with. `other` carries a name of its own. */
export const COMPLAINT_KINDS = [
  'jaw',
  'headache',
  'eye-strain',
  'stress',
  'neck-tension',
  'sinus',
  'puffiness',
  'other',
] as const;
export type ComplaintKind = (typeof COMPLAINT_KINDS)[number];
export const COMPLAINT_NAMES: Record<ComplaintKind, string> = {
  jaw: 'Jaw',
  headache: 'Headache',
  'eye-strain': 'Eye strain',
  stress: 'Stress',
  'neck-tension': 'Neck tension',
  sinus: 'Sinus pressure',
  puffiness: 'Puffiness',
  other: 'Other',
};

/** "Jaw, left"; a midline or both-sided complaint carries no side unless it matters. */
export const complaintName = (c: { kind: ComplaintKind; label: string; side: Side }): string =>
  `${c.label || COMPLAINT_NAMES[c.kind]}${c.side === 'left' || c.side === 'right' ? `, ${c.side}` : c.side === 'both' && c.kind === 'jaw' ? ', both sides' : ''}`;
