import { NOTHING_KNOWN, usualAsk, type Known } from '../../../core/proposal';
import type { Screening } from '../../../core/limits';
import { stepsOf } from '../../../core/routine';
import { notForHome, pickForHome } from '../../../core/schedule';
import type { TechniqueTool } from '../../../core/words';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { FieldFrame } from '../../parts/fields/field';
import { proposedIn, useProposal } from '../../parts/proposal/use-proposal';

const LEAST = 1;
const MOST = 15;

/** One to four steps proposed for own hands, in so many minutes: the same proposal as for a visit, of what is for home. */
export function ProposeSteps({
  complaints,
  screening,
  school,
  shown,
  onProposed,
}: {
  complaints: Known['complaints'];
  screening: Screening;
  school: string;
  shown: readonly TechniqueTool[];
  /** Ids of techniques, in their order. */
  onProposed: (techniques: readonly string[]) => void;
}) {
  const catalogue = useCatalogue();
  const { ask, cancel, busy, failed, answer, asked } = useProposal();
  const [typed, setTyped] = useState('5');
  const [message, setMessage] = useState('');
  const propose = () => {
    const wanted = Number(typed);
    if (!Number.isInteger(wanted) || wanted < LEAST || wanted > MOST)
      return setMessage(`A whole number from ${LEAST} to ${MOST} is accepted.`);
    setMessage('');
    ask({
      ...NOTHING_KNOWN,
      complaints,
      name: 'Home plan',
      screening,
      ask: {
        ...usualAsk(school, wanted),
        hands: 'own',
        tools: [...shown],
        excluded: notForHome(screening, catalogue, new Set(shown)),
      },
    });
  };
  const proposed = proposedIn(answer);
  const minutes = asked?.ask.minutes ?? 0;
  const picked = useMemo(() => {
    if (busy || !proposed) return null;
    const worth = new Map(proposed.reasons.map((r) => [r.stepId, r.worth ?? 0]));
    return pickForHome(stepsOf(proposed.routine), worth, minutes, screening, catalogue, new Set(shown));
  }, [busy, proposed, minutes, screening, catalogue, shown]);
  const hand = useEffectEvent((techniques: readonly string[]) => onProposed(techniques));
  // Once for each answer: what is handed on changes the page, and with it everything that the answer was picked by.
  const answered = picked?.length ? picked.join() : '';
  useEffect(() => {
    if (answered) hand(answered.split(','));
  }, [answered]);
  const told = failed
    ? `Nothing was proposed: ${failed}`
    : answer && (!proposed || !picked?.length)
      ? 'Nothing for home fits.'
      : '';
  return (
    <form
      className="propose-steps"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        propose();
      }}
    >
      <FieldFrame
        type="number"
        label="Or proposed for own hands, in minutes"
        min={LEAST}
        max={MOST}
        value={typed}
        onChange={(e: React.ChangeEvent<HTMLInputElement>) => setTyped(e.target.value)}
        message={message}
      />
      <Button type="submit" variant="outline-primary" disabled={busy}>
        Propose
      </Button>
      <span role="status" className="soft">
        {busy ? 'Working it out …' : told}
      </span>
      {busy && (
        <Button variant="link" onClick={cancel}>
          Cancel
        </Button>
      )}
    </form>
  );
}
