import type { KeptHomePlan } from '../../../core/record';
import { addDays, dailyMost, HOME_WORDS_LETTERS } from '../../../core/schedule';
import type { TechniqueTool } from '../../../core/words';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { HomeCandidate } from '../../routes/client/home-plan';
import { homePlanSchema } from '../../schemas/home-plan';
import { check, type FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { send } from '../../parts/frame/send';
import { type PlanRhythm, RhythmFields } from './rhythm-fields';
import { StepChoice } from './step-choice';

/** A new plan goes on for so long. Two to four weeks are common practice. */
const USUAL_DAYS = 14;

/** The next plan: which steps, how often, in whose words. It is checked here and again where it is kept. */
export function PlanForm({
  clientId,
  candidates,
  current,
  proposed,
  shown,
  today,
  onChosen,
  onKept,
}: {
  clientId: string;
  candidates: readonly HomeCandidate[];
  /** The plan in force; a new one begins as it is. */
  current: KeptHomePlan | null;
  /** Ids of techniques that were proposed; they are chosen in the place of those of the plan in force. */
  proposed: readonly string[];
  /** Tools that the client has and was shown. */
  shown: readonly TechniqueTool[];
  today: string;
  /** Techniques of the chosen steps, for the chart. */
  onChosen: (ids: readonly string[]) => void;
  onKept: () => void;
}) {
  const key = useRef('');
  /** Ids of techniques, in the order of the plan. */
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    (proposed.length ? proposed : (current?.steps.map((s) => s.step.technique) ?? [])).filter((technique) =>
      candidates.some((c) => c.step.technique === technique),
    ),
  );
  /** What somebody typed; else the words of the plan in force, or those of the technique. */
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const wordsOf = (technique: string): string =>
    typed[technique] ??
    current?.steps.find((s) => s.step.technique === technique)?.words ??
    candidates.find((c) => c.step.technique === technique)?.words ??
    '';
  const [rhythm, setRhythm] = useState<PlanRhythm>({
    timesADay: current?.timesADay ?? 2,
    weekdays: current?.weekdays ?? [1, 2, 3, 4, 5, 6, 7],
    from: today,
    until: addDays(today, USUAL_DAYS - 1),
    reviewOn: addDays(today, USUAL_DAYS),
  });
  const [errors, setErrors] = useState<FieldErrors>({});
  const [told, setTold] = useState('');
  const steps = chosen.flatMap((one) => candidates.find((c) => c.step.technique === one) ?? []);
  const most = dailyMost(
    steps.map((s) => s.step),
    new Map(candidates.map((c) => [c.step.technique, c])),
  );
  const choose = (next: readonly string[]) => {
    setChosen(next);
    onChosen(next);
  };
  const keep = async () => {
    setTold('');
    const said = {
      steps: chosen.map((technique) => ({ technique, words: wordsOf(technique) })),
      ...rhythm,
      shown,
      once: (key.current ||= crypto.randomUUID()),
    };
    const input = await check(homePlanSchema, said);
    if (!input.ok) return setErrors(input.errors);
    const answer = await send(`/clients/${clientId}/home-plan/do?do=keep`, said);
    if (!answer.ok) {
      setErrors(answer.errors);
      return setTold(Object.keys(answer.errors).length ? '' : answer.message);
    }
    key.current = '';
    onKept();
  };
  const stepsWrong = Object.entries(errors).find(([field]) => /^steps(\[\d+\])?$/.test(field))?.[1];
  return (
    <form
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void keep();
      }}
    >
      <StepChoice candidates={candidates} chosen={chosen} wrong={stepsWrong} onChoose={choose} />
      <RhythmFields rhythm={rhythm} most={most} today={today} errors={errors} onChange={setRhythm} />
      {steps.length > 0 && (
        <fieldset className="plan-words">
          <legend>In the client’s words</legend>
          {steps.map((c, i) => (
            <FieldFrame
              key={c.step.id}
              as="textarea"
              rows={3}
              className="mb-3"
              label={`${i + 1} ${c.name}`}
              maxLength={HOME_WORDS_LETTERS}
              value={wordsOf(c.step.technique)}
              onChange={(e: React.ChangeEvent<HTMLTextAreaElement>) =>
                setTyped({ ...typed, [c.step.technique]: e.target.value })
              }
              message={errors[`steps[${i}].words`]}
            />
          ))}
        </fieldset>
      )}
      <div className="d-flex gap-3 align-items-center">
        <Button type="submit">{current ? `Keep as plan ${current.number + 1}` : 'Keep the plan'}</Button>
        <span role="status" className="soft">
          {told}
        </span>
      </div>
    </form>
  );
}
