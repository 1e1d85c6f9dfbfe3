import { checkRoutine } from '../../../core/rules';
import {
  alongPath,
  ribbonOf,
  stepNames,
  stepsOf,
  type Catalogue,
  type Cue,
  type Routine,
  type Step,
} from '../../../core/routine';
import {
  cueLengthMs,
  bodyWords,
  doneSideAt,
  faceOf,
  shifted,
  type PlainKind,
  nextWords,
  spokenAt,
} from '../../../core/guide';
import { breachesOf, type PreparationItem, type Screening } from '../../../core/limits';
import { clock, PHASE_NAMES, type Side } from '../../../core/words';
import isEqual from 'fast-deep-equal';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { FaceChart } from '../chart/face-chart';
import type { RingState } from '../chart/layers';
import { pathMark } from '../chart/path-layer';
import { placesOn, type Place } from '../chart/places';
import { Ribbon } from '../ribbon/ribbon';
import { isQuiet } from '../keys/keys';
import { PressureDot, SideMark, sideName } from '../marks/marks';
import { standingMarks } from '../chart/chart-marks';
import { ComparePanel } from './compare-panel';
import { PlayerKeys } from './player-keys';
import { ReadyPanel } from './ready-panel';
import { hush, say } from './speech';
import { Sound } from './sound';
import { StopPanel } from './stop-panel';
import { useMoments } from './use-moments';
import type { OpenRun, RunPort } from './port';
import { TestPanel } from './test-panel';
import { useRun } from './use-run';
import { useWakeLock } from './wake-lock';

/** Where the contact is now, on each side it is worked. */
function contactNow(step: Step, cue: Cue, intoMs: number): RingState['at'] {
  const at = alongPath(cue, intoMs, step.stroke);
  const [from, to] = [step.path[Math.floor(at)], step.path[Math.ceil(at)]];
  if (!from || !to) return [];
  const [starts, ends] = [placesOn(from, cue.side), placesOn(to, cue.side)];
  // From the midline a stroke parts to both sides, toward it they meet.
  const longer = starts.length >= ends.length ? starts : ends;
  return longer.map((_, i) => ({
    from: (starts[i] ?? starts[0])!,
    to: (ends[i] ?? ends[0])!,
    share: at - Math.floor(at),
  }));
}

/** What the chart keeps in sight: the place that is worked, or the whole way that is travelled. */
const inSight = (step: Step, cue: Cue): Place[] =>
  (cue.placeIndex === null ? step.path : step.path.slice(cue.placeIndex, cue.placeIndex + 1)).flatMap((p) =>
    placesOn(p, cue.side),
  );

const KEYS: Record<string, PlainKind> = {
  ArrowRight: 'next',
  ArrowLeft: 'back',
  r: 'repeat',
  e: 'extend',
  '-': 'lighter',
  '=': 'firmer',
  '+': 'firmer',
};

export interface PlayerProps {
  routine: Routine;
  /** The run that is open already, to go on with. */
  open: OpenRun | null;
  port: RunPort;
  catalogue: Catalogue;
  /** What the client may have; null where nobody was screened. */
  screening: Screening | null;
  /** The routine as it is composed now: a run that began with another one says so. */
  composed: Routine | null;
  /** What is to be known before the start. */
  before: {
    /** A run of this is on record already. */
    again: boolean;
    /** Preparation that nobody ticked. */
    toReady: readonly PreparationItem[];
    onReady: (key: string) => void;
    saved?: React.ReactNode;
    conflict?: React.ReactNode;
    /** What speaks against the product of today. */
    avoid: readonly string[];
  };
  /** Where it goes on when the run has ended. */
  after: { label: string; onGo: () => void };
  /** A reading that a test of the routine asked for. */
  onReading?: (reading: { measure: string; place: string; side: Side; value: number }) => void;
}

/** Runs a routine: the ring on the chart, the cue large beside it, the ribbon below. */
export function Player({ routine, open, port, catalogue, screening, composed, before, after, onReading }: PlayerProps) {
  const run = useRun(port, routine, open);
  const { cues, state } = run;
  const [settings, setSettings] = useState({ sound: true, voice: true, between: false });
  const [asking, setAsking] = useState<'stop' | 'note' | 'compare' | null>(null);
  const [refused, setRefused] = useState('');
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => (sound.close(), hush()), [sound]);
  const running = state.status === 'running';
  useWakeLock(running);

  const steps = useMemo(() => stepsOf(run.routine), [run.routine]);
  // Compared by content: the database gives the fields of a document back in an order of its own.
  const outdated = useMemo(() => !isEqual(run.routine.items, composed?.items), [run.routine, composed]);
  const names = useMemo(() => stepNames(run.routine, catalogue), [run.routine, catalogue]);
  const nameOf = (id: string) => names.get(id) ?? '';
  /** What needs both hands and eyes stops the clock. */
  const ask = (what: 'stop' | 'compare') => {
    if (running) run.press({ kind: 'pause' });
    setAsking(what);
  };
  useMoments(cues, run.base, run.turn, running, settings.sound ? sound : null, (moment) => {
    const cue = cues[moment.cueIndex];
    if (moment.kind === 'cue' && cue?.kind === 'change-side' && settings.between && doneSideAt(cues, cue.index))
      ask('compare');
    if ((moment.kind !== 'cue' && moment.kind !== 'done') || !cue || !settings.voice) return;
    const step = steps[cue.stepIndex]!;
    say(spokenAt(cue, step, catalogue.techniques.get(step.technique)!));
  });

  const stopFinding = useMemo(
    () => checkRoutine(run.routine, catalogue, screening).find((f) => f.severity === 'stop'),
    [run.routine, catalogue, screening],
  );
  const begin = () => {
    sound.wake();
    if (!stopFinding) void run.start();
  };
  const press = (kind: PlainKind) => {
    sound.wake();
    const ban = kind === 'firmer' ? firmerBan() : null;
    setRefused(ban ?? '');
    if (ban) return;
    run.press({ kind });
  };
  /** What screening says to one word more of pressure in the present step, both ways; null when it says nothing. */
  const firmerBan = (): string | null => {
    const { stepIndex } = cues[state.cueIndex]!;
    const present = steps[stepIndex]!;
    if (!screening || !present.pressure) return null;
    const by = (state.shifts[stepIndex] ?? 0) + 1;
    const { there, back } = present.pressure;
    const firmer = { there: shifted(there, by)!, back: shifted(back, by) };
    return (
      breachesOf({ ...present, pressure: firmer }, screening, catalogue).find((b) => b.effect === 'ban')?.reason ?? null
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
  const technique = catalogue.techniques.get(step.technique)!;
  const contact = contactNow(step, cue, Math.min(state.intoMs, cue.endMs - cue.startMs));
  const live = state.status !== 'ready' && state.status !== 'done' && state.status !== 'stopped';
  const ended = state.status === 'done' || state.status === 'stopped';
  const lengthMs = cueLengthMs(cue, state);
  const ribbon = useMemo(() => ribbonOf(run.routine, cues, catalogue), [run.routine, cues, catalogue]);
  const face = faceOf(cue, state, catalogue.schools.get(run.routine.school)?.doseWords.hold);
  const at = (cue.startMs + Math.min(state.intoMs, cue.endMs - cue.startMs)) / 1000;

  return (
    <div className="guide">
      <div className="guide-body">
        <div className="guide-chart">
          <FaceChart
            zoom={!ended && state.status !== 'ready'}
            follow={inSight(step, cue)}
            paths={live ? [pathMark(step, cue.side)] : []}
            keepOff={standingMarks()}
            muscles={step.path
              .filter((p) => p.kind === 'muscle')
              .flatMap((p) =>
                placesOn(p, cue.side).flatMap((q) =>
                  q.side === 'midline' ? [] : [{ id: p.id, side: q.side, chosen: true }],
                ),
              )}
            ring={
              live ? { at: contact, left: lengthMs ? 1 - state.intoMs / lengthMs : 0, pressure: state.pressure } : null
            }
          />
        </div>
        <main className="guide-cue">
          {state.status === 'ready' ? (
            <ReadyPanel
              routine={run.routine}
              seconds={ribbon.totalSeconds}
              {...before}
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
              <Button size="lg" className="mt-3" disabled={run.ending === 'going'} onClick={after.onGo}>
                {run.ending === 'going' ? 'Keeping …' : after.label}
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
                    run.press({ kind: 'compare', compare });
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
                  {cue.test && (
                    <TestPanel
                      key={cue.index}
                      test={cue.test}
                      side={cue.side}
                      onTaken={(value) => {
                        const reading = { ...cue.test!, side: cue.side, value };
                        run.press({ kind: 'reading', ...reading });
                        onReading?.(reading);
                      }}
                    />
                  )}
                  <p className="say">
                    {technique.clientCue && <>“{technique.clientCue}” </>}
                    {technique.cue}
                    {step.note && <> {step.note}</>}
                    {bodyWords(cue.body) && <span className="soft"> {bodyWords(cue.body)}.</span>}
                  </p>
                  <p className="feel">
                    <strong>Feel</strong> {technique.feelFor} <strong>Not</strong> {technique.avoid}
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
                run.press(asking === 'stop' ? { kind: 'stop', reason: text } : { kind: 'note', words: text });
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
