import { checkRoutine } from '../../../core/rules';
import { type Cue, ribbonOf, type Routine, type Step } from '../../../core/routine';
import {
  cueLengthMs,
  doneSideAt,
  faceOf,
  type GuideEventKind,
  nextWords,
  sideCompareText,
  spokenAt,
} from '../../../core/guide';
import { breachesOf, preparationFor } from '../../../core/limits';
import { clock, oneFirmer, PHASE_NAMES } from '../../../core/words';
import isEqual from 'fast-deep-equal';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { CATALOGUE } from '../../../reference/catalogue';
import { PREPARATION } from '../../../reference/facts/preparation';
import { FaceChart } from '../chart/face-chart';
import { placesOn, type Place } from '../chart/places';
import { Ribbon } from '../ribbon/ribbon';
import { isQuiet } from '../keys/keys';
import { PressureDot, SideMark, sideName } from '../marks/marks';
import { standingMarks } from '../chart/chart-marks';
import { useVisit } from '../../rooms/visit/session/context';
import { useProductToday } from '../../rooms/visit/screen/product-choice';
import { ComparePanel } from './compare-panel';
import { PlayerKeys } from './player-keys';
import { ReadyPanel } from './ready-panel';
import { hush, say } from './speech';
import { Sound } from './sound';
import { StopPanel } from './stop-panel';
import { useMoments } from './use-moments';
import { useRun, type OpenRun } from './use-run';
import { useWakeLock } from './wake-lock';

/** Where a cue touches: the spot of its number, or the first place of the step. */
function placesOfCue(step: Step, cue: Cue): Place[] {
  const at = step.places[(cue.spot - 1) % Math.max(1, step.places.length)] ?? step.places[0];
  return at ? placesOn(at, cue.side) : [];
}

const KEYS: Record<string, GuideEventKind> = {
  ArrowRight: 'next',
  ArrowLeft: 'back',
  r: 'repeat',
  e: 'extend',
  '-': 'lighten',
  '=': 'harden',
  '+': 'harden',
};

/** Runs a routine: the ring on the chart, the cue large beside it, the ribbon below. */
export function Player({ routine, open, again }: { routine: Routine; open: OpenRun | null; again: boolean }) {
  const { visit, screen, setScreen, screening, goTo, routine: composed } = useVisit();
  const run = useRun(visit.id, routine, open);
  const { cues, state } = run;
  const [settings, setSettings] = useState({ sound: true, voice: true, between: false });
  const [asking, setAsking] = useState<'stop' | 'note' | 'compare' | null>(null);
  const [refused, setRefused] = useState('');
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => (sound.close(), hush()), [sound]);
  const product = useProductToday();
  const running = state.status === 'running';
  useWakeLock(running);

  const steps = run.routine.steps;
  // Compared by content: the database gives the fields of a document back in an order of its own.
  const outdated = useMemo(() => !isEqual(run.routine.steps, composed?.steps), [run.routine, composed]);
  const names = useMemo(
    () => new Map(steps.map((s) => [s.id, s.label ?? CATALOGUE.techniques.get(s.technique)?.name ?? ''])),
    [steps],
  );
  const nameOf = (id: string) => names.get(id) ?? '';
  /** What needs both hands and eyes stops the clock. */
  const ask = (what: 'stop' | 'compare') => {
    if (running) run.press('pause');
    setAsking(what);
  };
  useMoments(cues, run.base, run.turn, running, settings.sound ? sound : null, (moment) => {
    const cue = cues[moment.cueIndex];
    if (moment.kind === 'cue' && cue?.kind === 'change-side' && settings.between && doneSideAt(cues, cue.index))
      ask('compare');
    if ((moment.kind !== 'cue' && moment.kind !== 'done') || !cue || !settings.voice) return;
    const step = steps[cue.stepIndex]!;
    say(spokenAt(cue, step, CATALOGUE.techniques.get(step.technique)!));
  });

  const stopFinding = useMemo(
    () => checkRoutine(run.routine, CATALOGUE, screening).find((f) => f.severity === 'stop'),
    [run.routine, screening],
  );
  const begin = () => {
    sound.wake();
    if (!stopFinding) void run.start();
  };
  const press = (kind: GuideEventKind) => {
    sound.wake();
    const ban = kind === 'harden' ? firmerBan() : null;
    setRefused(ban ?? '');
    if (ban) return;
    run.press(kind);
  };
  /** What screening says to one word more of pressure in the present step; null when it says nothing. */
  const firmerBan = (): string | null => {
    const present = steps[cues[state.cueIndex]!.stepIndex]!;
    return (
      state.pressure &&
      (breachesOf({ ...present, pressure: oneFirmer(state.pressure) }, screening, CATALOGUE).find(
        (b) => b.effect === 'ban',
      )?.reason ??
        null)
    );
  };
  const toggle = () => (state.status === 'ready' ? begin() : press(running ? 'pause' : 'resume'));

  const keys = useRef<(event: KeyboardEvent) => void>(() => {});
  // Before the screen shows a state, its keys are in place.
  useLayoutEffect(() => {
    keys.current = (event) => {
      if (isQuiet(event) || asking) return;
      const live = running || state.status === 'paused';
      const onButton = (event.target as HTMLElement).closest('button, a, [role=button]');
      const kind = KEYS[event.key];
      if (event.key === ' ' && !onButton && (live || state.status === 'ready')) toggle();
      else if (live && kind) press(kind);
      else if (live && event.key === 'x') ask('stop');
      else if (live && event.key === 'c') ask('compare');
      else if (live && event.key === 'n') setAsking('note');
      else return;
      event.preventDefault();
    };
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => keys.current(event);
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);

  const cue = cues[state.cueIndex]!;
  const doneSide = doneSideAt(cues, cue.index);
  const step = steps[cue.stepIndex]!;
  const technique = CATALOGUE.techniques.get(step.technique)!;
  const places = placesOfCue(step, cue);
  const ended = state.status === 'done' || state.status === 'stopped';
  const lengthMs = cueLengthMs(cue, state);
  const ribbon = useMemo(() => ribbonOf(run.routine, cues, CATALOGUE), [run.routine, cues]);
  const face = faceOf(cue, state);
  const at = (cue.startMs + Math.min(state.intoMs, cue.endMs - cue.startMs)) / 1000;

  return (
    <div className="guide">
      <div className="guide-body">
        <div className="guide-chart">
          <FaceChart
            zoom={!ended && state.status !== 'ready'}
            follow={places}
            keepOff={standingMarks()}
            muscles={step.places
              .filter((p) => p.kind === 'muscle')
              .flatMap((p) =>
                placesOn(p, cue.side).flatMap((q) =>
                  q.side === 'midline' ? [] : [{ id: p.id, side: q.side, chosen: true }],
                ),
              )}
            ring={
              ended || state.status === 'ready'
                ? null
                : { places, left: lengthMs ? 1 - state.intoMs / lengthMs : 0, pressure: state.pressure }
            }
          />
        </div>
        <main className="guide-cue">
          {state.status === 'ready' ? (
            <ReadyPanel
              routine={run.routine}
              seconds={ribbon.totalSeconds}
              again={again}
              toReady={preparationFor(PREPARATION, run.routine, CATALOGUE).filter(
                (p) => !screen.preparation.includes(p.key),
              )}
              onReady={(key) => setScreen({ ...screen, preparation: [...screen.preparation, key] })}
              avoid={product.findings
                .filter((f) => f.severity === 'avoid')
                .map((f) => `${product.chosen!.name}: ${f.words}`)}
              settings={settings}
              onSettings={setSettings}
              onStart={begin}
              blocked={stopFinding?.title}
              failed={run.failed}
            />
          ) : ended ? (
            <div role="status">
              <h1>{state.status === 'done' ? 'Done' : 'Stopped'}</h1>
              <p className="say">
                {clock(((state.endedAtMs ?? 0) - (state.startedAtMs ?? 0)) / 1000)} by the clock, planned{' '}
                {clock(ribbon.totalSeconds)}.{state.stopReason && ` ${state.stopReason}.`}
              </p>
              {run.ending === 'waiting' && (
                <p className="worse">Not everything is written yet. Keep this page open; it is tried again.</p>
              )}
              {/* What was done is read from the server there, so it has to stand there first. */}
              <Button size="lg" className="mt-3" disabled={run.ending === 'going'} onClick={() => goTo('record')}>
                {run.ending === 'going' ? 'Keeping …' : 'Record'}
              </Button>
            </div>
          ) : (
            <>
              <div className="soft">
                {PHASE_NAMES[technique.phase]}, step {cue.stepIndex + 1} of {steps.length}
                {state.status === 'paused' && <strong className="now"> · paused</strong>}
                {outdated && ' · the routine was changed since this run began; stop it to run the new one'}
              </div>
              <h1 aria-live="polite">{nameOf(step.id)}</h1>
              {asking === 'compare' ? (
                <ComparePanel
                  doneSide={doneSide ?? (cue.side === 'left' ? 'left' : 'right')}
                  onCancel={() => setAsking(null)}
                  onDone={(compare) => {
                    run.press('compare', sideCompareText(compare));
                    setAsking(null);
                  }}
                />
              ) : (
                <>
                  <div className="where" aria-live="polite">
                    <span>
                      <SideMark side={cue.side} size={22} />{' '}
                      <strong>{sideName(cue.side).replace(/^./, (c) => c.toUpperCase())}</strong>
                    </span>
                    {state.pressure && (
                      <span>
                        <PressureDot pressure={state.pressure} size={22} /> {state.pressure}, {technique.direction}
                      </span>
                    )}
                  </div>
                  <div className="guide-count">
                    <span className="big" data-testid="count">
                      {face.big}
                    </span>
                    <div className="beside">
                      <div>{face.line}</div>
                      <div className="soft">{face.under}</div>
                    </div>
                  </div>
                  <p className="say">
                    {technique.clientCue && <>“{technique.clientCue}” </>}
                    {technique.cue}
                    {step.note && <> {step.note}</>}
                  </p>
                  {doneSide && cue.kind === 'change-side' && !asking && (
                    <p className="mb-0">
                      The client’s {doneSide} is done: compare before the other side with <kbd>c</kbd>.
                    </p>
                  )}
                  {refused && (
                    <p className="caution fw-bold mb-0" role="alert">
                      Not firmer. {refused}
                    </p>
                  )}
                </>
              )}
              <div className="guide-next">
                <span className="soft">Next</span> {nextWords(cues, state, nameOf)}
                <PlayerKeys
                  paused={!running}
                  onToggle={toggle}
                  onPress={press}
                  onNote={() => setAsking('note')}
                  onStop={() => ask('stop')}
                  onCompare={() => ask('compare')}
                  unsent={run.unsent}
                />
                {run.refused > 0 && (
                  <p className="worse mb-0" role="alert">
                    {run.refused === 1 ? 'One entry' : `${run.refused} entries`} of this run could not be kept: it ended
                    in another window, or the text holds a character that cannot be kept.
                  </p>
                )}
              </div>
            </>
          )}
          {(asking === 'stop' || asking === 'note') && (
            <StopPanel
              kind={asking}
              onCancel={() => setAsking(null)}
              onDone={(text) => {
                run.press(asking, text);
                setAsking(null);
              }}
            />
          )}
        </main>
      </div>
      <Ribbon
        data={ribbon}
        budgetSeconds={run.routine.budgetMinutes === null ? null : run.routine.budgetMinutes * 60}
        names={names}
        now={state.status === 'ready' ? null : at}
        height={150}
      />
    </div>
  );
}
