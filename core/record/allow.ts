import { newlyBanned, type Screening } from '../limits/index.ts';
import { stepsOf, type Catalogue } from '../routine/index.ts';
import type { VisitPatch } from './patch.ts';
import type { Referral, Visit } from './visit.ts';

/** What a stopped visit keeps of why it was stopped. */
export function referralOf({ hits }: Screening): Referral {
  const cautions = hits['refer-out'];
  return {
    cautions: cautions.map((c) => c.key),
    seeWho: [...new Set(cautions.map((c) => c.seeWho))].join(' '),
    outcome: null,
    outcomeOn: null,
  };
}

/**
 * Why a change may not be made to a visit in its state; null when it may. What the screening forbids is forbidden here,
 * whatever a screen, a file or a device let through.
 * @param screening Of the visit as it is stored now.
 */
export function refusalOf(
  visit: Pick<Visit, 'routine'>,
  patch: VisitPatch,
  screening: Screening,
  catalogue: Catalogue,
): string | null {
  if (patch.kind === 'stage') {
    if (patch.stage === 'stopped') return screening.mustStop ? null : 'Only a red flag stops a visit.';
    if (patch.stage !== 'screen' && patch.stage !== 'postponed' && screening.mustStop)
      return 'A red flag was answered yes: this visit does not go on.';
    return null;
  }
  if (patch.kind !== 'routine') return null;
  const unknown = stepsOf(patch.routine).find((s) => !catalogue.techniques.has(s.technique));
  if (unknown) return `The technique "${unknown.technique}" is not known.`;
  const banned = newlyBanned(patch.routine, visit.routine, screening, catalogue);
  return banned && `${catalogue.techniques.get(banned.step.technique)!.name} cannot be added. ${banned.reason}`;
}
