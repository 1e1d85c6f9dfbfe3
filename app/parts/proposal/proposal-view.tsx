import { checkAsk, usualAsk, type Ask, type Known, type Proposal, type ProposalCase } from '../../../core/proposal';
import type { Screening } from '../../../core/limits';
import { stepsOf, type Catalogue, type Routine } from '../../../core/routine';
import { clock, InputError } from '../../../core/words';
import { useEffect, useEffectEvent, useMemo, useRef, useState, type ReactNode } from 'react';
import { Button, Form } from 'react-bootstrap';
import { MUSCLES } from '../../../reference/facts/muscles';
import { keepOffMarks, stopsOf } from '../chart/chart-marks';
import { FaceChart } from '../chart/face-chart';
import type { Sounding } from '../chart/layers';
import { pathsOf } from '../chart/path-layer';
import { isQuiet } from '../keys/keys';
import { against, againstWords } from './against';
import { AskSentence } from './ask-sentence';
import { LeftOutList } from './left-out';
import { ProposedList } from './proposed-list';
import { rememberAsk, rememberedAsk } from './remembered-ask';
import { Strips, type Strip } from './strips';
import { proposedIn, useProposal } from './use-proposal';

export interface ProposalProps {
  /** For whom requests are remembered on this device. */
  whose: string;
  name: string;
  known: Known;
  screening: Screening;
  catalogue: Catalogue;
  /** School and minutes of what is asked at once when the view opens, beside what was asked for them last time. */
  school: string;
  minutes: number | null;
  /** The routine there is now; null where there is none to compare with. */
  now: Routine | null;
  soundings?: readonly Sounding[];
  /** What is worth saying of what is known: nothing pressed, a complaint nobody rated. */
  notes: ReactNode;
  /** Why what was taken could not be. */
  refused: string;
  onTake: (routine: Routine, thenEdit: boolean) => void;
  onLeave: () => void;
  /** It is a page of its own, and no stage of a visit. */
  isPage?: boolean;
}

const muscleName = (id: string): string => MUSCLES.find((m) => m.id === id)?.name ?? id;
const percent = (v: number): string => `${v < 0.1 ? v.toFixed(2) : v.toFixed(1)} %`;

/** A routine proposed: what is asked in one sentence, how good the answer is, its steps with their reasons, and others beside it. */
export function ProposalView({
  whose,
  name,
  known,
  screening,
  catalogue,
  school,
  minutes,
  now,
  soundings,
  notes,
  refused,
  onTake,
  onLeave,
  isPage,
}: ProposalProps) {
  const proposing = useProposal();
  const [ask, setAsk] = useState(() => rememberedAsk(whose, usualAsk(school, minutes)));
  const [told, setTold] = useState('');
  const [shownKey, setShown] = useState('0');
  const [chosen, setChosen] = useState<string | null>(null);
  const [showsWorth, setShowsWorth] = useState(false);
  const library = useMemo(() => ({ catalogue, muscles: MUSCLES }), [catalogue]);

  const askAgain = () => {
    try {
      if (ask.minutes !== null && !(ask.minutes >= 1 && ask.minutes <= 60)) throw new InputError('Minutes', '1 to 60');
      checkAsk(ask, library);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return setTold(error.message);
    }
    setTold('');
    setShown('0');
    setChosen(null);
    rememberAsk(whose, ask);
    proposing.ask({ ...known, name, screening, ask });
  };
  // Opening it is asking.
  const begun = useRef(false);
  const begin = useEffectEvent(askAgain);
  useEffect(() => {
    if (begun.current) return;
    begun.current = true;
    begin();
  }, []);

  const first = proposedIn(proposing.answer);
  const others = proposing.alternatives;
  const shown: Proposal | null = shownKey === '0' ? first : (others[Number(shownKey) - 1]?.proposal ?? first);
  const differs = useMemo(() => (now && shown ? against(now, shown.routine) : null), [now, shown]);
  /** Asked again it would say the same. */
  const isSettled = proposing.answer !== null && (proposing.proven || !first);
  const isAsked = proposing.asked !== null && sameAsk(proposing.asked, ask);
  const keep = (stepId: string | null) => {
    const step = shown && stepsOf(shown.routine).find((s) => s.id === stepId);
    if (step && !ask.kept.some((k) => k.technique === step.technique))
      // A technique is kept once: its id tells the kept steps apart.
      setAsk({ ...ask, kept: [...ask.kept, { ...structuredClone(step), id: step.technique }] });
  };

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isQuiet(event)) return;
      const on = (event.target as HTMLElement).closest('button, a, summary, [role="menu"]');
      if (event.key === 'Escape') onLeave();
      else if (['1', '2', '3'].includes(event.key)) setShown(String(Number(event.key) - 1));
      else if (event.key === 'k') keep(chosen);
      else if (event.key === 'r') askAgain();
      else if (event.key === 'Enter' && !on && shown) onTake(shown.routine, false);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  const hour = proposing.worthOfAnHour;
  const share = (p: Proposal) => (hour && hour > 0 ? Math.max(0, Math.min(1, p.value / hour)) : null);
  const strips: Strip[] = [
    ...(first ? [strip('0', 'Proposed', changeWords(first), first)] : []),
    // An hour of another school is another hour: its share is not told.
    ...others.map((a, i) => ({
      ...strip(
        String(i + 1),
        `${'AB'[i]} ${a.title}`,
        `without ${a.differs} of the ${first?.work.length ?? 0} techniques`,
        a.proposal,
      ),
      ...(a.asks.school === proposing.asked?.ask.school ? {} : { share: null }),
    })),
    ...(now?.items.length
      ? [{ key: 'now', title: 'Now', words: now.name, routine: now, share: null, show: null, isShown: false }]
      : []),
  ];
  function strip(key: string, title: string, words: string, p: Proposal): Strip {
    return {
      key,
      title,
      words,
      routine: p.routine,
      share: share(p),
      show: () => setShown(key),
      isShown: shownKey === key,
    };
  }

  return (
    <div className={`compose proposal${isPage ? ' is-page' : ''}`}>
      <div className="visit-body">
        <div className="chart-side">
          <FaceChart
            stops={shown ? stopsOf(shown.routine, chosen) : []}
            paths={shown ? pathsOf(shown.routine, chosen) : []}
            onChooseStop={setChosen}
            {...(soundings ? { soundings } : {})}
            keepOff={keepOffMarks(screening)}
          />
        </div>
        <main className="work">
          <div className="work-head">
            <h1 className="proposal-title">Proposed routine</h1>
            {shown && (
              <span className="total" data-testid="proposed-total">
                {clock(shown.totalSeconds)} <span className="soft">of {clock(shown.budgetSeconds)}</span>
              </span>
            )}
            <div className="end">
              <Button variant="link" onClick={onLeave}>
                {now?.items.length ? 'Keep the present one' : 'Leave it'}
              </Button>
              <Button variant="outline-primary" disabled={!shown} onClick={() => shown && onTake(shown.routine, true)}>
                Take and edit
              </Button>
              <Button disabled={!shown} onClick={() => shown && onTake(shown.routine, false)}>
                Take
              </Button>
            </div>
          </div>
          <Form
            className="ask-form"
            noValidate
            onSubmit={(e) => {
              e.preventDefault();
              askAgain();
            }}
          >
            <AskSentence ask={ask} nameOf={(t) => catalogue.techniques.get(t)?.name ?? t} onAsk={setAsk}>
              {proposing.busy && (
                <Button size="sm" variant="outline-primary" onClick={proposing.cancel}>
                  Cancel
                </Button>
              )}
              <Button
                type="submit"
                size="sm"
                variant="outline-primary"
                disabled={isAsked && !proposing.failed && (proposing.busy || isSettled)}
              >
                Ask again
              </Button>
            </AskSentence>
          </Form>
          {(told || refused) && (
            <p role="alert" className="worse">
              {told || `Not taken: ${refused}`}
            </p>
          )}
          {notes}
          <p className="quality" role="status">
            {qualityWords(proposing, shown, share)}{' '}
            {differs && shown && <span className="soft">Against now: {againstWords(differs)}.</span>}
          </p>
          {proposing.answer && proposing.answer.status !== 'proposed' && (
            <div className="cannot">
              <p>
                <strong>{proposing.answer.text}</strong>
              </p>
              <ul>
                {proposing.answer.relaxations.map((r) => (
                  <li key={r.text}>{r.text}</li>
                ))}
              </ul>
            </div>
          )}
          {shown && (
            <>
              <ProposedList
                proposal={shown}
                ask={ask}
                catalogue={catalogue}
                differs={differs}
                showsWorth={showsWorth}
                chosen={chosen}
                onChoose={setChosen}
                onKeep={(s) => keep(s.id)}
                onTakeOut={(technique) => setAsk({ ...ask, excluded: [...ask.excluded, technique] })}
              />
              <Button
                variant="link"
                size="sm"
                className="p-0"
                aria-pressed={showsWorth}
                onClick={() => setShowsWorth(!showsWorth)}
              >
                {showsWorth ? 'Hide what each step is worth' : 'What each step is worth'}
              </Button>
              <LeftOutList proposal={shown} catalogue={catalogue} muscleName={muscleName} />
            </>
          )}
        </main>
      </div>
      {strips.length > 0 && (
        <Strips strips={strips} catalogue={catalogue} budgetMinutes={proposing.asked?.ask.minutes ?? null} />
      )}
    </div>
  );
}

const sameAsk = (asked: ProposalCase, ask: Ask): boolean => JSON.stringify(asked.ask) === JSON.stringify(ask);
/** How many changes of hand a proposal asks for, in seconds, and whether no order has fewer. */
const changeWords = ({ order }: Proposal): string =>
  order.exact
    ? `changes ${Math.round(order.seconds)} s, the fewest there are`
    : `changes ${Math.round(order.seconds)} s, at least ${Math.round(order.bound)} s`;

/** How near to the best, and what an hour could do. */
function qualityWords(
  {
    busy,
    failed,
    proven,
    answer,
    asked,
  }: Pick<ReturnType<typeof useProposal>, 'busy' | 'failed' | 'proven' | 'answer' | 'asked'>,
  shown: Proposal | null,
  share: (p: Proposal) => number | null,
): ReactNode {
  if (failed)
    return (
      <strong className="worse">Could not work it out: {failed} What was asked and the present routine stay.</strong>
    );
  if (!shown) return busy ? 'Working it out …' : answer ? '' : 'Nothing was worked out.';
  const minutes = asked?.ask.minutes;
  const forThese = minutes ? `for these ${minutes} minutes` : 'for one or two techniques';
  const of = share(shown);
  const gap =
    shown.gap < 1e-6
      ? `The best there is ${forThese}, proven`
      : `Best within ${percent(shown.gap * 100)} ${forThese}${busy ? ' so far' : ''}`;
  return (
    <>
      <strong>
        {gap}
        {of !== null && `; ${Math.round(of * 100)} % of what an hour could do`}.
      </strong>
      {busy && <span className="soft"> {proven ? 'Others are still worked out …' : 'Better ones may come …'}</span>}
    </>
  );
}
