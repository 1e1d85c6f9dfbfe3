import type { HandScript } from '../../../core/devices';
import {
  aimOf,
  atTempo,
  PAD_TEMPO,
  scoreTry,
  wantedAt,
  wordNow,
  type KeptTry,
  type PadContact,
  type Touch,
} from '../../../core/touch';
import { CONTACT_NAMES } from '../../../core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useRevalidator } from 'react-router';
import type { PadTry } from '../../schemas/pad';
import { send } from '../../parts/frame/send';
import { useKeys } from '../../parts/keys/use-keys';
import { PressureDot } from '../../parts/marks/marks';
import { Sound } from '../../parts/player/sound';
import { HowHard } from './how-hard';
import { PadButtons, type Kept } from './pad-buttons';
import { offered, paceWords, usualAreaCm2, type Rehearsal } from './rehearsal';
import { RehearseList } from './rehearse-list';
import { SensorLine } from './sensor-line';
import { TraceCanvas } from './trace-canvas';
import { TriesTable } from './tries-table';
import { TryFields } from './try-fields';
import { useLed } from './use-led';
import { usePad } from './use-pad';
import { useTry } from './use-try';
import { WeeksChart } from './weeks-chart';

export interface PadData {
  pads: string[];
  rehearsals: Rehearsal[];
  tries: KeptTry[];
  /** Of each try’s moment, the Monday of its week. */
  mondays: Record<string, string>;
}
const WORDS_NOW = { softer: 'Softer', harder: 'Harder', good: 'Good, hold' } as const;
const [least, most] = [PAD_TEMPO.least, PAD_TEMPO.most];
const oneDigit = (value: number | null): number | null => (value === null ? null : Math.round(value * 10) / 10);

/** Where pressure and tempo are trained against a force pad. */
export function PadRoom({ pads, rehearsals, tries, mondays }: PadData) {
  const [pad] = pads;
  const [chosen, setChosen] = useState(
    () => (rehearsals.find((r) => r.technique === tries.at(-1)?.technique) ?? offered(rehearsals, 'pulse')!).technique,
  );
  const rehearsal = rehearsals.find((r) => r.technique === chosen)!;
  const [contact, setContact] = useState<PadContact>(rehearsal.contact);
  const [tempo, setTempo] = useState(rehearsal.pace.perMinute);
  const [isBlind, setIsBlind] = useState(false);
  const [beats, setBeats] = useState(true);
  const [script, setScript] = useState<HandScript>('steady');
  const [kept, setKept] = useState<Kept>({ words: '', again: null });
  const [touch, setTouch] = useState<Touch | null>(null);
  const { revalidate } = useRevalidator();
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);

  const aim = useMemo(() => aimOf(rehearsal.pressure), [rehearsal.pressure]);
  const pace = useMemo(() => atTempo(rehearsal.pace, tempo), [rehearsal.pace, tempo]);
  const wanted = useMemo(() => wantedAt(pace), [pace]);
  const plan = useMemo(() => ({ aim, wanted }), [aim, wanted]);
  const area = usualAreaCm2(contact);

  async function keep(trace: readonly Touch[], once: string): Promise<void> {
    setKept({ words: 'Keeping it …', again: null });
    const answer = await send<{ id: string }>('/pad/tries', {
      ...{ once, pad: pad!, technique: chosen, contact, pressure: rehearsal.pressure, perMinute: tempo, isBlind },
      readings: trace.map((t) => [
        Math.round(t.atMs),
        oneDigit(t.kpa),
        Math.round(t.forceN * 100) / 100,
        oneDigit(t.xMm),
        oneDigit(t.yMm),
      ]),
    } satisfies PadTry);
    setKept(
      answer.ok ? { words: 'Kept.', again: null } : { words: answer.message, again: () => void keep(trace, once) },
    );
    if (answer.ok) await revalidate();
  }
  const own = useTry(pace, (trace) => void keep(trace, crypto.randomUUID()));
  const stop = () => {
    own.stop();
    sound.cancel();
  };
  const live = useRef<Touch | null>(null);
  const shownAt = useRef(0);
  const here = usePad(
    pad ?? null,
    (read) => {
      live.current = read;
      own.hear(read);
      // Figures that are read change five times a second at most.
      if (read.atMs - shownAt.current < 200 && read.atMs >= shownAt.current) return;
      shownAt.current = read.atMs;
      setTouch(read);
    },
    () => {
      live.current = null;
      setTouch(null);
      if (own.now.current.status !== 'running') return;
      const { trace, ms } = own.now.current;
      const at = scoreTry(trace, plan, ms).presses.length;
      stop();
      setKept({ words: `The pad was lost after press ${at} of ${wanted.length}: this try is not kept.`, again: null });
    },
  );
  const isStandIn = here.shape?.isStandIn ?? false;
  const led = useLed(pad ?? '', aim, area, isStandIn);

  const start = () => {
    if (here.status !== 'here') return;
    sound.wake();
    setKept({ words: '', again: null });
    own.start();
    if (beats) wanted.forEach(({ startMs }) => sound.plan('beat', startMs + 2000));
  };
  const letWork = async () => {
    start();
    await new Promise((done) => setTimeout(done, 2000));
    await send('/devices/pad/hand', {
      ...{ pad, kind: 'work', script, kpa: (aim.leastKpa + aim.mostKpa) / 2, areaCm2: area },
      ...{ motion: rehearsal.motion, pressMs: pace.pressMs, restMs: pace.restMs, count: pace.count },
    });
  };
  const faster = (by: number) => setTempo((t) => Math.min(most, Math.max(least, t + by)));
  const running = own.status === 'running';
  useKeys({
    r: start,
    x: stop,
    b: () => !running && setIsBlind(!isBlind),
    '+': () => !running && faster(1),
    '-': () => !running && faster(-1),
  });
  const choose = (technique: string) => {
    const next = rehearsals.find((r) => r.technique === technique);
    if (!next) return;
    stop();
    setChosen(technique);
    setContact(next.contact);
    setTempo(next.pace.perMinute);
    setKept({ words: '', again: null });
  };
  /** A stand-in’s tries are never put together with a pad’s. */
  const alike = tries.filter((t) => t.technique === chosen && t.isStandIn === isStandIn);
  const hidden = isBlind && running;
  const isPressed = touch !== null && touch.kpa > aim.leastKpa / 4;

  return (
    <div className="pad-page">
      <SensorLine pad={pad} here={here} />
      <div className="pad-columns">
        <aside className="pad-choice" aria-label="What is rehearsed">
          <RehearseList
            {...{ rehearsals, tries: tries.filter((t) => t.isStandIn === isStandIn), chosen }}
            onChoose={choose}
          />
          <TryFields
            {...{ aim, area, contact, tempo, isBlind, beats }}
            isRunning={running}
            onContact={setContact}
            onFaster={faster}
            onBlind={setIsBlind}
            onBeats={setBeats}
          />
        </aside>
        <main className="pad-work">
          <div className="pad-head">
            <div>
              <h1>{rehearsal.name}</h1>
              <p>
                <PressureDot pressure={rehearsal.pressure} /> <strong>{rehearsal.pressure}</strong>{' '}
                <span className="soft">
                  {[rehearsal.direction, CONTACT_NAMES[contact], paceWords(pace)].filter(Boolean).join(', ')}
                </span>
              </p>
            </div>
            <p className="pad-now" aria-hidden={hidden}>
              <span className="num">{hidden || !touch ? '–' : touch.kpa.toFixed(aim.mostKpa < 10 ? 1 : 0)} kPa</span>
              <span className="num soft">{hidden || !touch ? '' : `${touch.forceN.toFixed(1)} N`}</span>
              <strong className={isPressed && touch.kpa > aim.mostKpa ? 'worse' : 'good'}>
                {hidden ? 'blind' : isPressed ? WORDS_NOW[wordNow(touch.kpa, aim)] : ''}
              </strong>
            </p>
          </div>
          <p className="pad-aim soft small">
            aim {aim.leastKpa.toFixed(aim.leastKpa < 10 ? 1 : 0)} to {aim.mostKpa.toFixed(aim.mostKpa < 10 ? 1 : 0)} kPa
            within {rehearsal.pressure}, {aim.wordLeastKpa} to {aim.wordMostKpa}; black bars: press
          </p>
          <TraceCanvas
            {...{ aim, areaCm2: area, wanted, live, isBlind }}
            now={own.now}
            words={`Pressure of ${rehearsal.name} over the aim of ${aim.leastKpa} to ${aim.mostKpa} kPa; the figures stand in the table below`}
          />
          <PadButtons
            {...{ isStandIn, led, script, kept }}
            isHere={here.status === 'here'}
            isRunning={running}
            onScript={setScript}
            onStart={start}
            onStop={stop}
            onWork={() => void letWork()}
          />
          <HowHard tries={alike} aim={aim} />
          <TriesTable {...{ tries: alike, own, plan, isHidden: hidden }} />
        </main>
        <aside className="pad-course" aria-label="How it went">
          <WeeksChart {...{ tries: alike, mondays }} />
          {here.shape && (
            <>
              <h2>This pad</h2>
              <p className="small">
                {here.shape.name}: {here.shape.rows} × {here.shape.columns} cells of {here.shape.cellMm} mm,{' '}
                {here.shape.ratePerSecond} readings a second, up to {here.shape.fullKpa} kPa a cell.
              </p>
              <p className="soft small">
                Force is what all cells bear. Area is worked out from how the pressure lies on them, as a rounded
                fingertip presses; one fingertip of 1 cm² can read up to a third too small on cells of 5 mm.
              </p>
            </>
          )}
        </aside>
      </div>
    </div>
  );
}
