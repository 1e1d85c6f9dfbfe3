import type { HandScript } from '../../../core/devices';
import {
  middleKpa,
  scoreTry,
  triesOn,
  wordNow,
  type KeptTry,
  type PadCheck,
  type PadScale,
  type Touch,
} from '../../../core/touch';
import { CONTACT_NAMES, PRESSURE_KPA } from '../../../core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { send } from '../../parts/frame/send';
import { useKeys } from '../../parts/keys/use-keys';
import { PressureDot } from '../../parts/marks/marks';
import { Sound } from '../../parts/player/sound';
import { HowHard } from './how-hard';
import { PadButtons } from './pad-buttons';
import { usePadHeard, usePadHere } from './pad-link';
import { sentOf } from './readings';
import { paceWords, type Rehearsal } from './rehearsal';
import { RehearseList } from './rehearse-list';
import { ThisPad } from './this-pad';
import { TraceCanvas } from './trace-canvas';
import { TriesTable } from './tries-table';
import { TryFields } from './try-fields';
import type { PadTry } from '../../schemas/pad';
import { useKept } from './use-kept';
import { useLed } from './use-led';
import { useTechnique } from './use-technique';
import { LEAD_MS, useTry } from './use-try';
import { WeeksChart } from './weeks-chart';
import { WhereOn } from './where-on';

export interface PadData {
  rehearsals: Rehearsal[];
  tries: KeptTry[];
  /** Of each try’s moment, the Monday of its week. */
  mondays: Record<string, string>;
  /** Of this pad, newest first. */
  checks: PadCheck[];
  /** What the practice agreed on. */
  scale: PadScale;
  /** Whom it is rehearsed for. */
  client: { id: string; name: string } | null;
  /** Which technique was asked for. */
  technique: string | null;
}
const WORDS_NOW = { softer: 'Softer', harder: 'Harder', good: 'Good, hold' } as const;
const few = (kpa: number): string => kpa.toFixed(kpa < 10 ? 1 : 0);

/** Where pressure and tempo of a technique are trained against a force pad. */
export function PadRoom({ rehearsals, tries, mondays, checks, scale, client, technique }: PadData) {
  const { pad, here, isStandIn } = usePadHere();
  const own = useTechnique(rehearsals, tries, scale, technique);
  const { rehearsal, contact, aim, pace, wanted, plan, isBlind, beats, bothHands } = own;
  const [script, setScript] = useState<HandScript>('steady');
  const [touch, setTouch] = useState<Touch | null>(null);
  const kept = useKept<PadTry>('/pad/tries');
  const { setTold } = kept;
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);

  const run = useTry(pace, (trace) => {
    const { technique: id, pressure } = rehearsal;
    void kept.keep({
      ...{ once: crypto.randomUUID(), pad: pad!, technique: id, contact, pressure, perMinute: own.tempo },
      ...{ isBlind, bothHands, capKpa: own.capKpa, readings: sentOf(trace) },
    });
  });
  const live = useRef<Touch | null>(null);
  const shownAt = useRef(0);
  usePadHeard(
    (read) => {
      live.current = read;
      run.hear(read);
      // Figures that are read change five times a second at most.
      if (read.atMs - shownAt.current < 200 && read.atMs >= shownAt.current) return;
      shownAt.current = read.atMs;
      setTouch(read);
    },
    () => {
      live.current = null;
      setTouch(null);
      if (run.now.current.status !== 'running') return;
      const { trace, ms } = run.now.current;
      const at = scoreTry(trace, plan, ms).presses.length;
      run.stop();
      sound.cancel();
      setTold(`The pad was lost after press ${at} of ${wanted.length}: this try is not kept.`);
    },
  );
  const led = useLed(pad ?? '', () => middleKpa(aim), own.areaCm2, isStandIn);
  /** Ends the try; a made-up hand that works through it goes up. */
  const stop = () => {
    if (run.now.current.status === 'running' && isStandIn) led.lift();
    run.stop();
    sound.cancel();
  };

  const start = () => {
    if (here.status !== 'here') return;
    stop();
    sound.wake();
    setTold('');
    run.start();
    // The space bar presses from here on, and does not begin once more.
    document.getElementById('pad-press')?.focus();
    if (beats) wanted.forEach(({ startMs }) => sound.plan('beat', startMs + LEAD_MS));
  };
  const letWork = async () => {
    start();
    const { current: begun } = run.now;
    await new Promise((done) => setTimeout(done, LEAD_MS));
    // Stopped or begun anew meanwhile: this hand is not wanted any more.
    if (run.now.current !== begun) return;
    await send('/devices/pad/hand', {
      ...{ pad, kind: 'work', script, kpa: middleKpa(aim), areaCm2: own.handCm2, bothHands },
      ...{ motion: rehearsal.motion, pressMs: pace.pressMs, restMs: pace.restMs, count: pace.count },
    });
  };
  const running = run.status === 'running';
  useKeys({
    r: start,
    x: stop,
    b: () => !running && own.setIsBlind(!isBlind),
    '+': () => !running && own.faster(1),
    '-': () => !running && own.faster(-1),
  });
  const choose = (id: string) => {
    stop();
    if (own.choose(id)) setTold('');
  };
  const comparable = triesOn(tries, isStandIn);
  const alike = comparable.filter((t) => t.technique === own.chosen);
  const hidden = isBlind && running;
  const word = touch !== null && touch.kpa > aim.leastKpa / 4 ? wordNow(touch.kpa, aim) : null;

  return (
    <div className="pad-columns">
      <aside className="pad-choice" aria-label="What is rehearsed">
        <RehearseList {...{ rehearsals, tries: comparable, chosen: own.chosen }} onChoose={choose} />
        <TryFields own={own} isRunning={running} />
      </aside>
      <main className="pad-work">
        <div className="pad-head">
          <div>
            <h1>{rehearsal.name}</h1>
            <p>
              <PressureDot pressure={rehearsal.pressure} /> <strong>{rehearsal.pressure}</strong>{' '}
              <span className="soft">
                {[rehearsal.direction, `${CONTACT_NAMES[contact]}${bothHands ? ' of both hands' : ''}`, paceWords(pace)]
                  .filter(Boolean)
                  .join(', ')}
              </span>
            </p>
          </div>
          <p className="pad-now" aria-hidden={hidden}>
            <span className="num">{hidden || !touch ? '–' : touch.kpa.toFixed(aim.mostKpa < 10 ? 1 : 0)} kPa</span>
            <span className="num soft">{hidden || !touch ? '' : `${touch.forceN.toFixed(1)} N`}</span>
            <strong className={word === 'softer' ? 'worse' : word === 'good' ? 'good' : ''}>
              {hidden ? 'blind' : word ? WORDS_NOW[word] : ''}
            </strong>
          </p>
        </div>
        <p className="pad-aim soft small">
          aim {few(aim.leastKpa)} to {few(aim.mostKpa)} kPa
          {aim.mostKpa < PRESSURE_KPA[aim.word].least
            ? `, less than ${aim.word} usually is`
            : ` within ${aim.word}, ${few(aim.wordLeastKpa)} to ${few(aim.wordMostKpa)}`}
          {rehearsal.cap && client && `, at most ${few(rehearsal.cap.capKpa)} for ${client.name}`}; black bars: press
        </p>
        <TraceCanvas
          {...{ aim, areaCm2: own.areaCm2, wanted, live, isBlind }}
          now={run.now}
          words={`Pressure of ${rehearsal.name} over the aim of ${few(aim.leastKpa)} to ${few(aim.mostKpa)} kPa; the figures stand in the table below`}
        />
        <PadButtons
          {...{ isStandIn, script, kept }}
          press={led.button}
          isHere={here.status === 'here'}
          isRunning={running}
          onScript={setScript}
          onStart={start}
          onStop={stop}
          onWork={() => void letWork()}
        />
        <HowHard tries={alike} />
        <TriesTable {...{ tries: alike, run, plan, checks, isHidden: hidden }} />
      </main>
      <aside className="pad-course" aria-label="How it went">
        <WeeksChart {...{ tries: alike, mondays }} />
        <WhereOn {...{ rehearsal, aim, client }} />
        {here.shape && <ThisPad shape={here.shape} />}
      </aside>
    </div>
  );
}
