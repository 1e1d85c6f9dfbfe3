import { hasEnded, STAGE_NAMES } from '../../../core/record';
import { saidOf } from '../../../core/schedule';
import { counted } from '../../../core/words';
import {
  askedWith,
  type Answer,
  type Answers,
  type Caution,
  isAsked,
  isYes,
  preparationFor,
} from '../../../core/limits';
import { useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { Link } from 'react-router';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { PREPARATION } from '../../../reference/facts/preparation';
import { FaceChart } from '../../parts/chart/face-chart';
import { useKeys } from '../../parts/keys/use-keys';
import { keepOffMarks } from '../../parts/chart/chart-marks';
import { useVisit } from '../../rooms/visit/session/context';
import { Correction } from '../../rooms/visit/session/correction';
import { ProductChoice } from '../../rooms/visit/screen/product-choice';
import { ReferNote } from '../../rooms/visit/screen/refer-note';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { UndoButtons } from '../../parts/frame/undo-buttons';
import { ScreenResult } from '../../rooms/visit/screen/screen-result';
import { Question } from '../../rooms/visit/screen/question';
import { VisitConsent } from '../../rooms/visit/screen/visit-consent';

const GROUPS = [
  { group: 'red-flag', title: 'Red flags', none: 'None of these' },
  { group: 'today', title: 'Today', none: 'None today' },
  { group: 'standing', title: 'Standing facts', none: 'None of these' },
] as const;

type Group = (typeof GROUPS)[number]['group'];

export default function ScreenStage() {
  const visit = useVisit();
  const catalogue = useCatalogue();
  const { screen, setScreen, lastScreen, said, screening, ended, stage, cautions, routine, undo, redo } = visit;
  /** The group whose questions are about to be answered with one press. */
  const [asking, setAsking] = useState<Group | null>(null);
  /** What a press for many questions changed, until it is taken back or something else is answered. */
  const [many, setMany] = useState<{ keys: readonly string[]; before: Answers; words: string } | null>(null);
  const answer = (keys: readonly string[], value: Answer | ((key: string) => Answer | undefined), words = '') => {
    const answers = { ...screen.answers };
    for (const key of keys) {
      const one = typeof value === 'function' ? value(key) : value;
      if (one) answers[key] = one;
    }
    setScreen({ ...screen, answers });
    setAsking(null);
    setMany(words ? { keys, before: screen.answers, words } : null);
  };
  const takeBack = () => {
    const answers = { ...screen.answers };
    for (const key of many!.keys) {
      if (many!.before[key]) answers[key] = many!.before[key];
      else delete answers[key];
    }
    setScreen({ ...screen, answers });
    setMany(null);
  };
  const tick = (key: string) =>
    setScreen({
      ...screen,
      preparation: screen.preparation.includes(key)
        ? screen.preparation.filter((k) => k !== key)
        : [...screen.preparation, key],
    });
  const open = screening.unanswered.length;
  const last = lastScreen?.answers ?? null;
  const lastYes = Object.fromEntries(Object.entries(last ?? {}).filter(([, a]) => a !== 'no'));
  const groups = GROUPS.map((g) => {
    // What hangs on another question comes once that one is answered yes.
    const inForce = { ...lastYes, ...screen.answers };
    const asked = followed(cautions.filter((c) => askedWith(c, last) === g.group && isAsked(c, inForce)));
    const unanswered = asked.filter((c) => !screen.answers[c.key]).map((c) => c.key);
    return {
      ...g,
      asked,
      unanswered,
      // A yes that the client gave ahead is never swept away with a press for many.
      sweepable: unanswered.filter((k) => !isYes(said[k])),
      told: unanswered.filter((k) => said[k] !== undefined),
      known: lastScreen ? asked.filter((c) => lastScreen.answers[c.key]).map((c) => c.key) : [],
    };
  });
  const of = (group: Group) => groups.find((g) => g.group === group)!;
  const ask = (group: Group) => of(group).sweepable.length > 0 && setAsking(group);
  const none = (group: Group) => answer(of(group).sweepable, 'no', `${of(group).sweepable.length} answered with No`);
  const confirm = (group: Group) => {
    const { told } = of(group);
    answer(told, (key) => said[key], `${told.length} answered as the client said`);
  };
  const asLastTime = () => {
    const { known, unanswered } = of('standing');
    const open = known.filter((k) => unanswered.includes(k) && (said[k] ?? 'no') === 'no');
    answer(open, (key) => lastScreen!.answers[key], `${open.length} answered as last time`);
  };
  const { goTo } = visit;
  // When nothing changed, a few keys are the whole of it; each group asks once before it is answered as a whole.
  useKeys(
    ended
      ? {}
      : {
          r: () => ask('red-flag'),
          d: () => ask('today'),
          l: () => {
            const { known, unanswered } = of('standing');
            if (known.some((k) => unanswered.includes(k))) asLastTime();
            else ask('standing');
          },
          g: () => open === 0 && !screening.mustStop && !screening.postpone && goTo('assess'),
        },
  );

  return (
    <div className="visit-body">
      <div className="chart-side">
        <FaceChart keepOff={keepOffMarks(screening)} />
      </div>
      <main className="work">
        <SaveConflict />
        <div className="work-head">
          <h1>Screen</h1>
          <span className="soft">what is off limits today, before hands touch the face</span>
          <div className="end">
            <UndoButtons undo={undo && (() => undo())} redo={redo && (() => redo())} />
            <SaveState />
            <Onward open={open} />
          </div>
        </div>
        {stage === 'stopped' && <ReferNote />}
        <Correction what="what was asked" />
        <fieldset disabled={ended} className="two-columns border-0 p-0 m-0">
          <div>
            <h2 className="mb-1">Preparation</h2>
            <div className="prep-list">
              {preparationFor(PREPARATION, routine, catalogue).map((p) => (
                <BsForm.Check
                  key={p.key}
                  id={`prep-${p.key}`}
                  label={p.label}
                  checked={screen.preparation.includes(p.key)}
                  onChange={() => tick(p.key)}
                />
              ))}
            </div>
            <VisitConsent kind="work" />
            <SaidAhead said={said} />
            {many && (
              <div className="note-bar" role="status">
                {many.words}.{' '}
                <Button variant="link" onClick={takeBack}>
                  Take that back
                </Button>
              </div>
            )}
            {groups.map(({ group, title, none: words, asked, unanswered, sweepable, told, known }) => {
              return (
                <fieldset key={group} className="question-group">
                  <legend>
                    {title}
                    {group === 'standing' && known.some((k) => unanswered.includes(k)) && (
                      <Button variant="link" onClick={asLastTime}>
                        Same as last time
                      </Button>
                    )}
                    {unanswered.length > 0 ? (
                      asking !== group &&
                      sweepable.length > 0 && (
                        <Button variant="link" onClick={() => setAsking(group)}>
                          {sweepable.length === asked.length ? words : `No to the other ${sweepable.length}`}
                        </Button>
                      )
                    ) : (
                      <span className="soft small">all answered</span>
                    )}
                    {told.length > 0 && (
                      <Button variant="link" onClick={() => confirm(group)}>
                        Confirmed with the client: {told.length} as said
                      </Button>
                    )}
                  </legend>
                  {asking === group && (
                    <NoneApplies count={sweepable.length} onYes={() => none(group)} onNo={() => setAsking(null)} />
                  )}
                  {asked.map((c) => (
                    <Question
                      key={c.key}
                      caution={c}
                      value={screen.answers[c.key]}
                      before={lastScreen?.answers[c.key]}
                      said={said[c.key]}
                      onAnswer={(a) => answer([c.key], a)}
                    />
                  ))}
                </fieldset>
              );
            })}
            <ProductChoice />
          </div>
          <ScreenResult />
        </fieldset>
      </main>
    </div>
  );
}

/** What hangs on another question stands right after it, where both are asked together. */
function followed(asked: readonly Caution[]): Caution[] {
  const hangs = (c: Caution) => asked.some((other) => other.key === c.after);
  return asked.flatMap((c) => (hangs(c) ? [] : [c, ...asked.filter((other) => other.after === c.key)]));
}

/** What the client told before the visit: how much, and that it answers nothing yet. */
function SaidAhead({ said }: { said: Answers }) {
  const { no, open } = saidOf(Object.keys(said), said);
  if (!no.length && !open.length) return null;
  return (
    <p className="note-bar mb-2">
      Said by the client before the visit, to be confirmed: {counted(open.length, 'yes or not sure', 'yes or not sure')}
      , {counted(no.length, 'no', 'no')}.
    </p>
  );
}

/** Asked once before a whole group is answered with one press. */
function NoneApplies({ count, onYes, onNo }: { count: number; onYes: () => void; onNo: () => void }) {
  return (
    <div className="note-bar" role="group" aria-label="None applies?" onKeyDown={(e) => e.key === 'Escape' && onNo()}>
      <span className="me-2">
        {count === 1 ? 'One question, it does not apply?' : `${count} questions, none applies?`}
      </span>
      <Button size="sm" autoFocus onClick={onYes}>
        {count === 1 ? 'It does not' : 'None applies'}
      </Button>{' '}
      <Button size="sm" variant="outline-primary" onClick={onNo}>
        Ask them one by one
      </Button>
    </div>
  );
}

/** The one way on from here: refer out, postpone, or assess. */
function Onward({ open }: { open: number }) {
  const { screening, goTo, end, stage, visit } = useVisit();
  // Corrected or not: how it ended stays.
  if (hasEnded(stage))
    return (
      <span>
        {stage === 'stopped' ? 'Stopped and referred. ' : stage === 'done' ? 'Finished. ' : `${STAGE_NAMES[stage]}. `}
        <Link to={`/clients/${visit.clientId}`}>To the client</Link>
      </span>
    );
  if (screening.mustStop)
    return (
      <Button variant="danger" onClick={() => end('stopped')}>
        Stop and refer out
      </Button>
    );
  if (screening.postpone)
    return (
      <Button variant="primary" onClick={() => end('postponed')}>
        Postpone this visit
      </Button>
    );
  return (
    <Button
      onClick={() => goTo('assess')}
      disabled={open > 0}
      title={open ? 'Every question needs an answer first' : undefined}
    >
      {open ? `${open} to answer` : 'Assess'}
    </Button>
  );
}
