import { Button, Form as BsForm } from 'react-bootstrap';
import { Link } from 'react-router';
import type { Answer, Caution } from '../../../core/screening/screen';
import { preparationFor } from '../../../core/screening/preparation';
import { CATALOGUE } from '../../../reference/catalogue';
import { PREPARATION } from '../../../reference/preparation';
import { FaceChart } from '../../chart/face-chart';
import { takenAwayBy } from '../../visit/caution-words';
import { useKeys } from '../../ui/use-keys';
import { keepOffMarks } from '../../visit/chart-marks';
import { useVisit } from '../../visit/context';
import { ProductChoice } from '../../visit/product-choice';
import { ReferNote } from '../../visit/refer-note';
import { SaveConflict, SaveState } from '../../visit/save-note';
import { ScreenResult } from '../../visit/screen-result';
import { VisitConsent } from '../../visit/visit-consent';

const GROUPS = [
  { group: 'red-flag', title: 'Red flags', none: 'None of these' },
  { group: 'today', title: 'Today', none: 'None today' },
  { group: 'standing', title: 'Standing facts', none: 'None of these' },
] as const;

export default function ScreenStage() {
  const visit = useVisit();
  const { screen, setScreen, lastScreen, screening, ended, stage, cautions, routine } = visit;
  const answer = (keys: readonly string[], value: Answer | ((key: string) => Answer | undefined)) => {
    const answers = { ...screen.answers };
    for (const key of keys) {
      const one = typeof value === 'function' ? value(key) : value;
      if (one) answers[key] = one;
    }
    setScreen({ ...screen, answers });
  };
  const tick = (key: string) => setScreen({ ...screen, preparation: screen.preparation.includes(key) ? screen.preparation.filter((k) => k !== key) : [...screen.preparation, key] });
  const open = screening.unanswered.length;
  const groups = GROUPS.map((g) => {
    const asked = cautions.filter((c) => c.group === g.group && c.question);
    return { ...g, asked, unanswered: asked.filter((c) => !screen.answers[c.key]).map((c) => c.key), known: lastScreen ? asked.filter((c) => lastScreen.answers[c.key]).map((c) => c.key) : [] };
  });
  const none = (group: (typeof GROUPS)[number]['group']) => answer(groups.find((g) => g.group === group)!.unanswered, 'no');
  const { goTo } = visit;
  // When nothing changed, four keys are the whole of it.
  useKeys(
    ended
      ? {}
      : {
          r: () => none('red-flag'), d: () => none('today'),
          l: () => {
            const standing = groups.find((g) => g.group === 'standing')!;
            const before = lastScreen?.answers;
            if (before && standing.known.some((k) => standing.unanswered.includes(k))) answer(standing.known, (key) => before[key]);
            else none('standing');
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
            <SaveState />
            <Onward open={open} />
          </div>
        </div>
        {stage === 'stopped' && <ReferNote />}
        <fieldset disabled={ended} className="two-columns border-0 p-0 m-0">
          <div>
            <h2 className="mb-1">Preparation</h2>
            <div className="prep-list">
              {preparationFor(PREPARATION, routine, CATALOGUE).map((p) => (
                <BsForm.Check key={p.key} id={`prep-${p.key}`} label={p.label} checked={screen.preparation.includes(p.key)} onChange={() => tick(p.key)} />
              ))}
            </div>
            <VisitConsent kind="work" />
            {groups.map(({ group, title, none: words, asked, unanswered, known }) => {
              return (
                <fieldset key={group} className="question-group">
                  <legend>
                    {title}
                    {group === 'standing' && known.length > 0 && unanswered.length > 0 && (
                      <Button variant="link" onClick={() => answer(known, (key) => lastScreen!.answers[key])}>
                        Same as last time
                      </Button>
                    )}
                    {unanswered.length > 0 ? (
                      <Button variant="link" onClick={() => answer(unanswered, 'no')}>
                        {unanswered.length === asked.length ? words : `No to the other ${unanswered.length}`}
                      </Button>
                    ) : (
                      <span className="soft small">all answered</span>
                    )}
                  </legend>
                  {asked.map((c) => (
                    <Question key={c.key} caution={c} value={screen.answers[c.key]} before={lastScreen?.answers[c.key]} onAnswer={(a) => answer([c.key], a)} />
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

function Question({ caution, value, before, onAnswer }: { caution: Caution; value: Answer | undefined; before: Answer | undefined; onAnswer: (a: Answer) => void }) {
  const id = `q-${caution.key}`;
  return (
    <div className={`question${value === 'yes' ? ' is-yes' : ''}`} role="radiogroup" aria-labelledby={id} onKeyDown={(e) => (e.key === 'y' || e.key === 'n') && onAnswer(e.key === 'y' ? 'yes' : 'no')}>
      <span id={id}>
        {caution.question} {before === 'yes' && value === undefined && <strong className="small">yes last time, still so?</strong>}
      </span>
      <span className="yes-no">
        {(['yes', 'no'] as const).map((a) => (
          <label key={a}>
            <input type="radio" name={id} checked={value === a} onChange={() => onAnswer(a)} />
            {a === 'yes' ? 'Yes' : 'No'}
          </label>
        ))}
      </span>
      {value === 'yes' && (
        <span className="takes">
          Takes away {takenAwayBy(caution)}. {caution.advice} {caution.seeWho && <strong>See: {caution.seeWho}</strong>}
        </span>
      )}
    </div>
  );
}

/** The one way on from here: refer out, postpone, or assess. */
function Onward({ open }: { open: number }) {
  const { screening, goTo, end, ended, stage, visit } = useVisit();
  if (ended)
    return (
      <span>
        {stage === 'stopped' ? 'Stopped and referred. ' : stage === 'postponed' ? 'Postponed. ' : 'Finished. '}
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
    <Button onClick={() => goTo('assess')} disabled={open > 0} title={open ? 'Every question needs an answer first' : undefined}>
      {open ? `${open} to answer` : 'Assess'}
    </Button>
  );
}
