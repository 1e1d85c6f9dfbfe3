import type { Ask, Proposal } from '../../../core/proposal';
import { expandRoutine, stepNames, stepsOf, totalsOf, type Catalogue, type Step } from '../../../core/routine';
import { clock } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { PressureDot, SideMark, SIDE_PLAN_NAMES, sideOfPlan } from '../marks/marks';
import type { Against } from './against';

/** The steps of a proposal, each with its one reason and what it changes against the routine there is. */
export function ProposedList({
  proposal,
  ask,
  catalogue,
  differs,
  showsWorth,
  chosen,
  onChoose,
  onKeep,
  onTakeOut,
}: {
  proposal: Proposal;
  ask: Ask;
  catalogue: Catalogue;
  /** Null where there is nothing to compare with. */
  differs: Against | null;
  showsWorth: boolean;
  chosen: string | null;
  onChoose: (stepId: string) => void;
  onKeep: (step: Step) => void;
  onTakeOut: (technique: string) => void;
}) {
  const steps = stepsOf(proposal.routine);
  const names = stepNames(proposal.routine, catalogue);
  const { stepSeconds } = totalsOf(steps.length, expandRoutine(proposal.routine));
  const reasons = new Map(proposal.reasons.map((r) => [r.stepId, r]));
  return (
    <ol className="proposed" aria-label="Proposed steps">
      {steps.map((s, i) => {
        const reason = reasons.get(s.id);
        const isKept = ask.kept.some((k) => k.technique === s.technique);
        return (
          <li key={s.id} className={s.id === chosen ? 'is-chosen' : undefined}>
            <button
              type="button"
              className="proposed-name"
              aria-pressed={s.id === chosen}
              onClick={() => onChoose(s.id)}
            >
              <span className="num soft">{i + 1}</span> <strong>{names.get(s.id)}</strong>
            </button>
            <span className="marks">
              {s.pressure && <PressureDot pressure={s.pressure.there} />}
              <span className="visually-hidden">{s.pressure?.there}</span>
              <SideMark side={sideOfPlan(s.sides.mode)} />
              <span className="visually-hidden">{SIDE_PLAN_NAMES[s.sides.mode]}</span>
            </span>
            <span className="num">{clock(stepSeconds[i] ?? 0)}</span>
            <span className="why" title={reason?.text}>
              {reason?.text}
              {showsWorth && reason?.worth !== null && reason?.worth !== undefined && (
                <span className="num soft"> worth {reason.worth.toFixed(1)}</span>
              )}
            </span>
            <span className="changes soft" title={differs?.words.get(s.id)}>
              {differs?.words.get(s.id)}
            </span>
            <span className="ways">
              <Button
                size="sm"
                variant="link"
                disabled={isKept}
                aria-label={`Keep ${names.get(s.id)}`}
                onClick={() => onKeep(s)}
              >
                {isKept ? 'kept' : 'keep'}
              </Button>
              {!isKept && (
                <Button
                  size="sm"
                  variant="link"
                  aria-label={`Without ${names.get(s.id)}`}
                  onClick={() => onTakeOut(s.technique)}
                >
                  without
                </Button>
              )}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
