import { aimOf, atTempo, PAD_TEMPO, wantedAt, type KeptTry, type PadContact, type PadScale } from '../../../core/touch';
import { useMemo, useState } from 'react';
import { offered, usualAreaCm2, type Rehearsal } from './rehearsal';

/** What is rehearsed, with what of the hand, how quickly, within which aim. */
export function useTechnique(
  rehearsals: readonly Rehearsal[],
  tries: readonly KeptTry[],
  scale: PadScale,
  asked: string | null,
) {
  const [chosen, setChosen] = useState(() => {
    const first = rehearsals.find((r) => r.technique === (asked ?? tries.at(-1)?.technique));
    return (first ?? offered(rehearsals, 'pulse')!).technique;
  });
  const rehearsal = rehearsals.find((r) => r.technique === chosen)!;
  const [contact, setContact] = useState<PadContact>(rehearsal.contact);
  const [tempo, setTempo] = useState(rehearsal.pace.perMinute);
  const [isBlind, setIsBlind] = useState(false);
  const [beats, setBeats] = useState(true);
  const [bothHands, setBothHands] = useState(false);
  const { pressure } = rehearsal;
  const capKpa = rehearsal.cap?.capKpa ?? null;
  const nominalKpa = scale[pressure];
  const aim = useMemo(() => aimOf(pressure, { capKpa, nominalKpa }), [pressure, capKpa, nominalKpa]);
  const pace = useMemo(() => atTempo(rehearsal.pace, tempo), [rehearsal.pace, tempo]);
  const wanted = useMemo(() => wantedAt(pace), [pace]);
  const plan = useMemo(() => ({ aim, wanted }), [aim, wanted]);
  return {
    ...{ chosen, rehearsal, contact, tempo, isBlind, beats, bothHands, capKpa, aim, pace, wanted, plan },
    /** Of one hand, until the pad tells it. */
    handCm2: usualAreaCm2(contact),
    areaCm2: usualAreaCm2(contact) * (bothHands ? 2 : 1),
    ...{ setContact, setIsBlind, setBeats, setBothHands },
    faster: (by: number) => setTempo((t) => Math.min(PAD_TEMPO.most, Math.max(PAD_TEMPO.least, t + by))),
    choose: (technique: string): boolean => {
      const next = rehearsals.find((r) => r.technique === technique);
      if (!next) return false;
      setChosen(technique);
      setContact(next.contact);
      setTempo(next.pace.perMinute);
      return true;
    },
  };
}
