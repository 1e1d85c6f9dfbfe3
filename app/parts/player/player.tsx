import { checkRoutine } from '../../../core/rules';
import { type JawLimits, ribbonOf, stepOpening, stepsOf, type Catalogue, type Routine } from '../../../core/routine';
import {
  doneSideAt,
  runRecord,
  shifted,
  speakerOf,
  spokenAt,
  timeLeftMs,
  type Moment,
  type PlainKind,
} from '../../../core/guide';
import { breachesOf, type PreparationItem, type Screening } from '../../../core/limits';
import { PHASE_NAMES, type Side, counted } from '../../../core/words';
import isEqual from 'fast-deep-equal';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { Ribbon } from '../ribbon/ribbon';
import { AloneBar } from './alone-bar';
import { AskedPanel, type Asking } from './asked-panel';
import type { CommandId } from './commands';
import { Controls } from './controls';
import { useOneTouch } from './one-touch';
import { CuePanel } from './cue-panel';
import { EndedPanel } from './ended-panel';
import { useGuideSettings } from './guide-settings';
import { HearingFields } from './hearing-fields';
import { PlayerBar } from './player-bar';
import { PlayerChart } from './player-chart';
import type { BesideRun, OpenRun, RunPort } from './port';
import { ReadyPanel } from './ready-panel';
import { ALONE_COMMANDS, hearingAlone, onlyOther, outcomesOf, stoppedAt } from './run-words';
import { hush, say } from './speech';
import { Sound } from './sound';
import { type Alone, useAlone } from './use-alone';
import { useLongPress } from './long-press';
import { useCommands } from './use-commands';
import { useMoments } from './use-moments';
import { useRun } from './use-run';
import { useWakeLock } from './wake-lock';

export interface PlayerProps {
  routine: Routine;
  /** The run that is open already, to go on with. */
  open: OpenRun | null;
  /** The last run, where it was stopped and none is open. */
  stopped: OpenRun | null;
  port: RunPort;
  catalogue: Catalogue;
  /** How far the client's mouth may open; nothing where it was not measured. */
  jaw?: JawLimits | undefined;
  /** What the client may have; null where nobody was screened. */
  screening: Screening | null;
  /** The routine as it is composed now: a run that began with another one says so. */
  composed: Routine | null;
  /** Told above a run: who is worked on, and what to mind. */
  bar: { who: React.ReactNode; caution: string; onLeave: () => void; roomScreen?: string };
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
  /** Done on oneself, at home: in the mirror, with one’s own sides, and less to press. */
  alone?: Alone;
  /** Shown below the cue: what somebody measures while the run goes on. */
  beside?: (now: BesideRun) => React.ReactNode;
  /** A reading that a test of the routine asked for. */
  onReading?: (reading: { measure: string; place: string; side: Side; value: number }) => void;
}

/** Runs a routine: the ring on the chart, the cue large beside it, the ribbon and the controls below. */
export function Player(props: PlayerProps) {
  const { routine, open, port, catalogue, screening, composed, before, after, onReading, alone } = props;
  const run = useRun(port, routine, open);
  const { cues, state } = run;
  const [settings, setSettings] = useGuideSettings();
  const [atMirror, setAtMirror] = useState({ mirror: true, eyesShut: false });
  const hearing = alone ? hearingAlone(settings.hearing, atMirror.eyesShut) : settings.hearing;
  const [asking, setAsking] = useState<Asking>(null);
  const [refused, setRefused] = useState('');
  /** Typed into the note, kept while something else is asked. */
  const [note, setNote] = useState('');
  const isFirstTouch = useOneTouch();
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => (sound.close(), hush()), [sound]);
  useEffect(() => sound.setVolume(settings.volume), [sound, settings.volume]);
  const running = state.status === 'running';
  const live = running || state.status === 'paused';
  const unlit = useWakeLock(running);

  const steps = useMemo(() => stepsOf(run.routine), [run.routine]);
  // Compared by content: the database gives the fields of a document back in an order of its own.
  const outdated = useMemo(() => !isEqual(run.routine.items, composed?.items), [run.routine, composed]);
  const speaker = useMemo(() => speakerOf(run.routine, cues, catalogue), [run.routine, cues, catalogue]);
  const nameOf = (id: string) => speaker.names.get(id) ?? '';
  const ribbon = useMemo(() => ribbonOf(run.routine, cues, catalogue), [run.routine, cues, catalogue]);
  const stopFinding = useMemo(
    () => checkRoutine(run.routine, catalogue, screening).find((f) => f.severity === 'stop'),
    [run.routine, catalogue, screening],
  );

  /** What needs both hands and eyes stops the clock. */
  const ask = (what: 'stop' | 'compare') => {
    if (running) run.press({ kind: 'pause' });
    setAsking(what);
  };
  const speak = (moment: Pick<Moment, 'kind' | 'cueIndex' | 'count' | 'of' | 'breath'>) => {
    const cue = cues[moment.cueIndex];
    if (!cue || !settings.voice) return;
    const pressure = shifted(cue.pressure, run.base.current?.shifts[cue.stepIndex] ?? 0);
    const givesWay = moment.kind === 'beat' || moment.kind === 'breath';
    say(spokenAt(moment, speaker, hearing, pressure), { ...settings, givesWay });
  };
  useMoments(cues, run.base, run.turn, running, settings.sound ? sound : null, (moment) => {
    run.refresh();
    const cue = cues[moment.cueIndex];
    if (moment.kind === 'cue' && cue?.kind === 'change-side' && settings.between && doneSideAt(cues, cue.index))
      ask('compare');
    speak(moment);
  });

  const isDone = state.status === 'done';
  const tellEnd = useEffectEvent(() => {
    if (settings.sound) sound.plan('done', 0);
    speak({ kind: 'done', cueIndex: cues.length - 1, count: 0, of: 0, breath: null });
  });
  useEffect(() => {
    if (isDone) tellEnd();
  }, [isDone]);

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
  const begin = (step: number) => {
    sound.wake();
    if (!stopFinding) void run.start(step, settings.waitsForHands);
  };
  /** The run of before that was stopped, where it may go on as the visit is screened now. */
  const stopped = useMemo(
    () =>
      props.stopped && !checkRoutine(props.stopped.routine, catalogue, screening).some((f) => f.severity === 'stop')
        ? stoppedAt(props.stopped)
        : null,
    [props.stopped, catalogue, screening],
  );
  const takeUp = () => {
    sound.wake();
    run.takeUp(state.status === 'stopped' ? run.run : props.stopped, settings.waitsForHands);
  };
  const press = (kind: PlainKind) => {
    sound.wake();
    const ban = kind === 'firmer' ? firmerBan() : null;
    setRefused(ban ?? '');
    if (!ban) run.press({ kind });
  };
  /** Does what a touch, a key or a pedal asks for; false where it means nothing now. */
  const command = (id: CommandId): boolean => {
    // What was asked stands until it is answered, or the run goes on without; a note lets everything through.
    if ((asking === 'stop' || asking === 'compare') && id !== 'toggle') return false;
    if (alone && !ALONE_COMMANDS.has(id)) return false;
    if (asking !== 'note') setAsking(null);
    if (id === 'toggle' && state.status === 'ready') begin(0);
    else if (!live) return false;
    else if (id === 'toggle') press(running ? 'pause' : 'resume');
    else if (id === 'stop' || id === 'compare') ask(id);
    else if (id === 'note') setAsking('note');
    else press(id);
    return true;
  };
  useCommands(command);
  useAlone(alone, run, () => state.status === 'ready' && !open && begin(0));
  const longPress = useLongPress(() => void (alone && live && command('stop')));

  const cue = cues[state.cueIndex]!;
  const step = steps[cue.stepIndex]!;
  const opening = useMemo(() => stepOpening(cue.body, props.jaw), [cue.body, props.jaw]);
  const technique = catalogue.techniques.get(step.technique)!;
  const ended = state.status === 'done' || state.status === 'stopped';
  const doneSide = doneSideAt(cues, cue.index);
  const at = (cue.startMs + Math.min(state.intoMs, cue.endMs - cue.startMs)) / 1000;
  const close = () => setAsking(null);
  const leave = () => {
    if (running) run.press({ kind: 'pause' });
    props.bar.onLeave();
  };

  return (
    <div
      className={`guide${live ? ' is-live' : ''}${running ? ' is-running' : ''}${alone ? ' is-alone' : ''}${alone && atMirror.eyesShut ? ' eyes-shut' : ''}`}
      {...(alone ? longPress : {})}
    >
      {live && alone && <AloneBar at={atMirror} onAt={setAtMirror} leftMs={timeLeftMs(cues, state)} onLeave={leave} />}
      {live && !alone && (
        <PlayerBar
          who={props.bar.who}
          phase={PHASE_NAMES[technique.phase]}
          step={`step ${cue.stepIndex + 1} of ${steps.length}`}
          isPaused={!running}
          caution={props.bar.caution}
          leftMs={timeLeftMs(cues, state)}
          unsent={run.unsent}
          onLeave={leave}
          roomScreen={props.bar.roomScreen}
        />
      )}
      {live && (
        <div className="thin-line" aria-hidden="true">
          <span style={{ width: `${(100 * at) / Math.max(1, ribbon.totalSeconds)}%` }} />
        </div>
      )}
      <div className="guide-body">
        <PlayerChart
          step={step}
          cue={cue}
          state={state}
          screening={screening}
          opening={opening}
          mirror={alone ? atMirror.mirror : undefined}
          onTouch={alone && live ? () => command('toggle') : undefined}
        />
        <main className="guide-cue">
          {alone && !live ? (
            <p role="status">
              {stopFinding ? `${stopFinding.title} It cannot begin like this: ask first.` : 'One moment …'}
            </p>
          ) : state.status === 'ready' ? (
            <ReadyPanel
              routine={run.routine}
              nameOf={nameOf}
              seconds={ribbon.totalSeconds}
              {...before}
              stopped={stopped}
              onTakeUp={takeUp}
              onStart={begin}
              blocked={stopFinding?.title}
              failed={run.failed}
              hearing={
                <HearingFields
                  settings={settings}
                  onSettings={setSettings}
                  onTry={() => {
                    sound.wake();
                    if (settings.sound) sound.plan('step', 60);
                    speak({ kind: 'cue', cueIndex: 0, count: 0, of: 0, breath: null });
                  }}
                />
              }
            />
          ) : ended ? (
            <EndedPanel
              state={state}
              plannedSeconds={ribbon.totalSeconds}
              outcomes={outcomesOf(runRecord(cues, run.events(), state.endedAtMs ?? 0).steps)}
              ending={run.ending}
              label={after.label}
              onGo={after.onGo}
              onTakeUp={stopFinding ? null : takeUp}
            />
          ) : (
            <CuePanel
              cues={cues}
              cue={cue}
              state={state}
              step={step}
              name={nameOf(step.id)}
              nameOf={nameOf}
              catalogue={catalogue}
              holdWord={catalogue.schools.get(run.routine.school)?.doseWords.hold}
              opening={opening}
              doneSide={doneSide}
              refused={refused}
              isFirstTouch={isFirstTouch}
              isAlone={!!alone}
              onGoOn={() => press('go-on')}
              onTaken={(reading) => {
                run.press({ kind: 'reading', ...reading });
                onReading?.(reading);
              }}
            >
              {asking && (
                <AskedPanel
                  asking={asking}
                  reasons={alone?.reasons}
                  doneSide={doneSide ?? (cue.side === 'left' ? 'left' : 'right')}
                  note={note}
                  onNote={setNote}
                  onCompare={() => ask('compare')}
                  onPress={run.press}
                  onClose={close}
                />
              )}
            </CuePanel>
          )}
          {props.beside?.({
            cue,
            step,
            pressure: shifted(cue.pressure, state.shifts[cue.stepIndex] ?? 0),
            status: state.status,
          })}
          {live && outdated && (
            <p className="soft small mb-0">The routine was changed since this run began; stop it to run the new one.</p>
          )}
          {unlit && live && <p className="soft small mb-0">This device may darken its screen: keep it on by hand.</p>}
          {run.refused > 0 && (
            <p className="worse mb-0" role="alert">
              {counted(run.refused, 'entry', 'entries')} of this run could not be kept: it ended in another window, or
              the text holds a character that cannot be kept.
            </p>
          )}
        </main>
      </div>
      <Ribbon
        data={ribbon}
        budgetSeconds={run.routine.budgetMinutes === null ? null : run.routine.budgetMinutes * 60}
        names={speaker.names}
        now={state.status === 'ready' ? null : at}
        height={live ? 108 : 150}
      />
      {live && (
        <Controls
          isFirstTouch={isFirstTouch}
          isAsking={asking === 'stop' || asking === 'compare'}
          isPaused={!running}
          isAlone={!!alone}
          lighter={onlyOther(shifted(state.pressure, -1), state.pressure)}
          firmer={onlyOther(shifted(state.pressure, 1), state.pressure)}
          firmerBan={firmerBan()}
          onCommand={command}
        />
      )}
    </div>
  );
}
