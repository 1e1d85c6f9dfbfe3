import { faceOf, nextWords, speakerOf, timeLeftMs } from '../../../core/guide';
import type { Screening } from '../../../core/limits';
import { type JawLimits, stepOpening, stepsOf } from '../../../core/routine';
import { clock } from '../../../core/words';
import { useMemo } from 'react';
import { useRevalidator } from 'react-router';
import { useCatalogue } from '../../parts/catalogue/catalogue';
import { usePulse } from '../../parts/live/use-pulse';
import { PressureDot, SideMark, sideName } from '../../parts/marks/marks';
import { PlayerChart } from '../../parts/player/player-chart';
import type { OpenRun } from '../../parts/player/port';
import { jawWords } from '../../parts/player/use-jaw';
import { type ShownRun, useShownRun } from './use-shown-run';

/** What another device guides, large enough for the room: nothing is pressed here. */
export function RoomScreen({
  visitId,
  run,
  screening,
  jaw,
  ...clocks
}: Omit<ShownRun, 'run'> & { visitId: string; run: OpenRun | null; screening: Screening; jaw: JawLimits }) {
  const { revalidate } = useRevalidator();
  usePulse(visitId, () => void revalidate());
  return (
    <main id="work" className="room-screen">
      {run ? (
        <Shown run={run} screening={screening} jaw={jaw} {...clocks} />
      ) : (
        <div className="empty">
          <h1 className="h4">The guide has not begun yet</h1>
          <span className="soft">It is shown here as soon as it begins on another screen.</span>
        </div>
      )}
    </main>
  );
}

const ENDED = { ready: 'About to begin', done: 'Done', stopped: 'Stopped' } as const;

function Shown({ screening, jaw, ...shown }: ShownRun & { screening: Screening; jaw: JawLimits }) {
  const catalogue = useCatalogue();
  const { cues, state } = useShownRun(shown);
  const { routine } = shown.run;
  const steps = useMemo(() => stepsOf(routine), [routine]);
  const { names } = useMemo(() => speakerOf(routine, cues, catalogue), [routine, cues, catalogue]);
  const nameOf = (id: string) => names.get(id) ?? '';
  const cue = cues[state.cueIndex]!;
  const step = steps[cue.stepIndex]!;
  const technique = catalogue.techniques.get(step.technique)!;
  const opening = useMemo(() => stepOpening(cue.body, jaw), [cue.body, jaw]);
  const isLive = state.status === 'running' || state.status === 'paused';
  const face = faceOf(cue, state, catalogue.schools.get(routine.school)?.doseWords.hold);
  return (
    <>
      <PlayerChart step={step} cue={cue} state={state} screening={screening} opening={opening} />
      <section aria-label="What is done now">
        <p className="soft mb-2">
          {routine.name}, step {cue.stepIndex + 1} of {steps.length}
          {isLive && `, ${clock(Math.ceil(timeLeftMs(cues, state) / 1000))} left`}
        </p>
        <h1 aria-live="polite">{isLive ? nameOf(step.id) : ENDED[state.status as keyof typeof ENDED]}</h1>
        {isLive && (
          <>
            <div className="where">
              <span>
                <SideMark side={cue.side} size={28} />{' '}
                <strong>{sideName(cue.side).replace(/^./, (c) => c.toUpperCase())}</strong>
              </span>
              {state.pressure && (
                <span>
                  <PressureDot pressure={state.pressure} size={28} /> {state.pressure}
                </span>
              )}
            </div>
            <div className="guide-count">
              <span className="big">{state.status === 'paused' ? 'Paused' : face.big}</span>
              <div className="beside">
                <strong>{face.line}</strong>
                <div className="soft">{face.under}</div>
                {opening && <div className="soft jaw-words">{jawWords(cue, state, opening)}</div>}
              </div>
            </div>
            {technique.clientCue && <p className="said">“{technique.clientCue}”</p>}
            <p className="guide-next">
              <span className="soft">Next</span> {nextWords(cues, state, nameOf)}
            </p>
          </>
        )}
      </section>
    </>
  );
}
