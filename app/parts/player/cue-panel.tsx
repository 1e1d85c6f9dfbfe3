import { bodyWords, endsByFeel, faceOf, nextWords, type GuideState } from '../../../core/guide';
import { type Catalogue, type Cue, pathWords, type Step, type StepOpening } from '../../../core/routine';
import { CONTACT_NAMES, type OneSide, type Side } from '../../../core/words';
import { PressureDot, SideMark, sideName } from '../marks/marks';
import { FeltEnd } from './felt-end';
import { TestPanel } from './test-panel';
import { jawWords } from './use-jaw';

const ownSide = (side: Side): string => (side === 'left' || side === 'right' ? `your ${side}` : sideName(side));

/** What hands do now: what, on which side, how hard, where, the count, what to wait for, what to say. */
export function CuePanel({
  cues,
  cue,
  state,
  step,
  name,
  nameOf,
  catalogue,
  holdWord,
  opening,
  doneSide,
  refused,
  isFirstTouch,
  isAlone = false,
  onGoOn,
  onTaken,
  children,
}: {
  cues: readonly Cue[];
  cue: Cue;
  state: GuideState;
  step: Step;
  name: string;
  nameOf: (stepId: string) => string;
  catalogue: Catalogue;
  /** What the school calls staying on a place. */
  holdWord: string | undefined;
  /** How far the mouth opens in this step; null where it stays shut. */
  opening: StepOpening | null;
  /** The side that is wholly done while the other waits. */
  doneSide: OneSide | null;
  refused: string;
  isFirstTouch: (detail: number) => boolean;
  /** Done on oneself. */
  isAlone?: boolean;
  onGoOn: () => void;
  onTaken: (reading: { measure: string; place: string; side: Side; value: number }) => void;
  /** In the place of what is told, while something is asked. */
  children?: React.ReactNode;
}) {
  const technique = catalogue.techniques.get(step.technique)!;
  const body = bodyWords(cue.body);
  const face = faceOf(cue, state, holdWord);
  const place = cue.placeIndex === null || !step.dose.perPlace ? null : step.path[cue.placeIndex];
  const where = place ? (catalogue.placeName(place) ?? '') : pathWords(step, catalogue);
  return (
    <>
      <h1 aria-live="polite">{name}</h1>
      <div className="where" aria-live="polite">
        <span>
          <SideMark side={cue.side} size={22} />{' '}
          <strong>{(isAlone ? ownSide(cue.side) : sideName(cue.side)).replace(/^./, (c) => c.toUpperCase())}</strong>
        </span>
        {state.pressure && (
          <span>
            <PressureDot pressure={state.pressure} size={22} /> {state.pressure}
            {technique.direction && `, ${technique.direction}`}
          </span>
        )}
      </div>
      <p className="soft at-place">
        {[where, step.contact === 'none' ? '' : CONTACT_NAMES[step.contact]].filter(Boolean).join(', ')}
      </p>
      {children ?? (
        <>
          <div className="guide-count">
            <span className="big" data-testid="count">
              {face.big}
              {endsByFeel(cue, state) && <small>s</small>}
            </span>
            <div className="beside">
              <strong>{face.line}</strong>
              <div className="soft">{face.under}</div>
              {opening && <div className="soft jaw-words">{jawWords(cue, state, opening)}</div>}
              {technique.clientCue && !isAlone && <div>“{technique.clientCue}”</div>}
            </div>
          </div>
          {cue.test && (
            <TestPanel
              key={cue.index}
              test={cue.test}
              side={cue.side}
              onTaken={(value) => onTaken({ ...cue.test!, side: cue.side, value })}
            />
          )}
          <FeltEnd cue={cue} state={state} isFirstTouch={isFirstTouch} onGoOn={onGoOn} />
          <p className="told">
            {technique.cue}
            {step.note && <> {step.note}</>}
            {body && <span className="soft"> {body[0]!.toUpperCase() + body.slice(1)}.</span>}
          </p>
          {!isAlone && (
            <p className="feel">
              <strong>Feel</strong> {technique.feelFor} <strong>Not</strong> {technique.avoid}
            </p>
          )}
          {doneSide && !isAlone && cue.kind === 'change-side' && (
            <p className="mb-0">The client’s {doneSide} is done: compare before the other side, under note.</p>
          )}
          {refused && (
            <p className="caution fw-bold mb-0" role="alert">
              Not firmer. {refused}
            </p>
          )}
        </>
      )}
      <p className="guide-next">
        <span className="soft">Next</span> {nextWords(cues, state, nameOf)}
      </p>
    </>
  );
}
