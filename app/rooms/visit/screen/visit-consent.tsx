import type { ConsentKind } from '../../../../core/record';
import { ConsentLine } from '../../../parts/fields/consent-line';
import { useVisit } from '../session/context';

/** The consent of the client of this visit. */
export function VisitConsent({ kind }: { kind: ConsentKind }) {
  const { client, texts, alongside, noteAlongside, timeZone } = useVisit();
  return (
    <ConsentLine
      clientId={client.id}
      kind={kind}
      text={texts[`consent-${kind}`]}
      consents={alongside.consents}
      timeZone={timeZone}
      onConsents={(consents) => noteAlongside(() => ({ consents }))}
    />
  );
}
