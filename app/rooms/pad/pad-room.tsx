import type { HandScript } from '../../../core/devices';
import {
  aimOf,
  atTempo,
  middleKpa,
  PAD_TEMPO,
  scoreTry,
  triesOn,
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
import { PadButtons } from './pad-buttons';
import { offered, paceWords, usualAreaCm2, type Rehearsal } from './rehearsal';
import { RehearseList } from './rehearse-list';
import { SensorLine } from './sensor-line';
import { TraceCanvas } from './trace-canvas';
import { TriesTable } from './tries-table';
import { TryFields } from './try-fields';
import { useLed } from './use-led';
import { usePad } from './use-pad';
import { LEAD_MS, useTry } from './use-try';
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
  /** What became of the last try, and tries that could not be kept so far: they wait here, whatever is done next. */
  const [told, setTold] = useState('');
  const [unkept, setUnkept] = useState<PadTry[]>([]);
  const [touch, setTouch] = useState<Touch | null>(null);
  const { revalidate } = useRevalidator();
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);

  const aim = useMemo(() => aimOf(rehearsal.pressure), [rehearsal.pressure]);
  const pace = useMemo(() => atTempo(rehearsal.pace, tempo), [rehearsal.pace, tempo]);
  const wanted = useMemo(() => wantedAt(pace), [pace]);
  const plan = useMemo(() => ({ aim, wanted }), [aim, wanted]);
  const area = usualAreaCm2(contact);

  async function keep(of: PadTry): Promise<void> {
    setTold('Keeping it …');
    const answer = await send<{ id: string }>('/pad/tries', of);
    setUnkept((all) => [...all.filter((t) => t.once !== of.once), ...(answer.ok ? [] : [of])]);
    setTold(answer.ok ? 'Kept.' : answer.message);
    if (answer.ok) await revalidate();
  }
  const keepAgain = async () => {
    for (const of of unkept) await keep(of);
  };
  const own = useTry(pace, (trace) => {
    const { pressure } = rehearsal;
    const readings = trace.map((t) => [
      Math.round(t.atMs),
      oneDigit(t.kpa),
      Math.round(t.forceN * 100) / 100,
      oneDigit(t.xMm),
      oneDigit(t.yMm),
    ]);
    const once = crypto.randomUUID();
    void keep({ once, pad: pad!, technique: chosen, contact, pressure, perMinute: tempo, isBlind, readings });
  });
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
      own.stop();
      sound.cancel();
      setTold(`The pad was lost after press ${at} of ${wanted.length}: this try is not kept.`);
    },
  );
  const isStandIn = here.shape?.isStandIn ?? false;
  const led = useLed(pad ?? '', aim, area, isStandIn);
  /** Ends the try; a made-up hand that works through it goes up. */
  const stop = () => {
    if (own.now.current.status === 'running' && isStandIn) led.lift();
    own.stop();
    sound.cancel();
  };

  const start = () => {
    if (here.status !== 'here') return;
    stop();
    sound.wake();
    setTold('');
    own.start();
    // The space bar presses from here on, and does not begin once more.
    document.getElementById('pad-press')?.focus();
    if (beats) wanted.forEach(({ startMs }) => sound.plan('beat', startMs + LEAD_MS));
  };
  const letWork = async () => {
    start();
    const { current: begun } = own.now;
    await new Promise((done) => setTimeout(done, LEAD_MS));
    // Stopped or begun anew meanwhile: this hand is not wanted any more.
    if (own.now.current !== begun) return;
    await send('/devices/pad/hand', {
      ...{ pad, kind: 'work', script, kpa: middleKpa(aim), areaCm2: area },
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
    setTold('');
  };
  const comparable = triesOn(tries, isStandIn);
  const alike = comparable.filter((t) => t.technique === chosen);
  const hidden = isBlind && running;
  const isPressed = touch !== null && touch.kpa > aim.leastKpa / 4;

  return (
    <div className="pad-page">
      <SensorLine pad={pad} here={here} />
      <div className="pad-columns">
        <aside className="pad-choice" aria-label="What is rehearsed">
          <RehearseList {...{ rehearsals, tries: comparable, chosen }} onChoose={choose} />
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
            {...{ isStandIn, script, told }}
            press={led.button}
            unkept={unkept.length}
            onAgain={() => void keepAgain()}
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
