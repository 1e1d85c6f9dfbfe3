/** Texts a practice words for itself, each with versions. */
export const TEXT_KINDS = ['scope', 'consent-work', 'consent-photo', 'consent-reminders'] as const;
export type TextKind = (typeof TEXT_KINDS)[number];
export const TEXT_NAMES: Record<TextKind, string> = {
  scope: 'What we do and do not do',
  'consent-work': 'Consent to the work and its record',
  'consent-photo': 'Consent to face photos',
  'consent-reminders': 'Consent to reminders by e-mail',
};

export const CONSENT_KINDS = ['work', 'photo', 'reminders'] as const;
export type ConsentKind = (typeof CONSENT_KINDS)[number];
export interface PracticeText {
  /** What it is read for. */
  kind: TextKind;
  /** 0 = the wording that comes with the application, until the practice writes its own. */
  version: number;
  /** The wording. */
  body: string;
}
export interface Consent {
  /** Of the record. */
  id: string;
  /** To what. */
  kind: ConsentKind;
  /** Wording it was given to. */
  textVersion: number;
  /** ISO 8601. */
  givenAt: string;
  /** ISO 8601; null while it holds. */
  withdrawnAt: string | null;
}

export type ConsentState = { state: 'given' | 'outdated'; consent: Consent } | { state: 'withdrawn' | 'missing' };

/** How a client's consent stands to the wording of today: the latest one counts, and a withdrawn one counts as none. */
export function consentState(consents: readonly Consent[], kind: ConsentKind, textVersion: number): ConsentState {
  const latest = consents
    .filter((c) => c.kind === kind)
    .reduce<Consent | null>((a, b) => (a && a.givenAt > b.givenAt ? a : b), null);
  if (!latest) return { state: 'missing' };
  if (latest.withdrawnAt) return { state: 'withdrawn' };
  return { state: latest.textVersion === textVersion ? 'given' : 'outdated', consent: latest };
}
