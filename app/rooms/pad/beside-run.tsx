import { aimOf, middleKpa, type PadScale, type Touch, wordNow } from '../../../core/touch';
import { useEffect, useRef, useState } from 'react';
import { Form } from 'react-bootstrap';
import type { BesideRun } from '../../parts/player/port';
import { PressureDot } from '../../parts/marks/marks';
import { send } from '../../parts/frame/send';
import { usePadHeard, usePadHere } from './pad-link';

/** A reading stands so long at most: what was lost says nothing. */
const STANDS_MS = 50;
const SHOW_EVERY_MS = 300;
const HAND_CM2 = 2;
const WORDS = { softer: 'Softer', harder: 'Harder', good: 'Good' } as const;

const few = (kpa: number): string => kpa.toFixed(kpa < 10 ? 1 : 0);

interface Sum {
  pressedMs: number;
  inAimMs: number;
  kpaMs: number;
}
/** What the pad reads while a routine is rehearsed on it, step by step against the aim of each. */
export function PadBeside({
  now,
  scale,
  capOf,
  nameOf,
}: {
  now: BesideRun;
  scale: PadScale;
  /** What the client may have where a technique works at most; null where none is known. */
  capOf: (technique: string) => number | null;
  nameOf: (technique: string) => string;
}) {
  const { pad, here, isStandIn } = usePadHere();
  const { cue, step, pressure, status } = now;
  const aim = pressure && aimOf(pressure, { capKpa: capOf(step.technique), nominalKpa: scale[pressure] });
  const sums = useRef(new Map<number, Sum & { technique: string }>());
  const lastMs = useRef(0);
  const shownMs = useRef(0);
  const [shown, setShown] = useState<{ kpa: number; of: (Sum & { technique: string; step: number })[] }>({
    kpa: 0,
    of: [],
  });
  const [follows, setFollows] = useState(false);
  const isWorking = status === 'running' && cue.hands && aim !== null;
  usePadHeard((touch: Touch) => {
    const ms = Math.min(STANDS_MS, Math.max(0, touch.atMs - lastMs.current));
    lastMs.current = touch.atMs;
    if (isWorking && touch.kpa > aim.leastKpa / 4) {
      const sum = sums.current.get(cue.stepIndex) ?? { technique: step.technique, pressedMs: 0, inAimMs: 0, kpaMs: 0 };
      sum.pressedMs += ms;
      sum.kpaMs += ms * touch.kpa;
      if (touch.kpa >= aim.leastKpa && touch.kpa <= aim.mostKpa) sum.inAimMs += ms;
      sums.current.set(cue.stepIndex, sum);
    }
    if (touch.atMs - shownMs.current < SHOW_EVERY_MS && touch.atMs >= shownMs.current) return;
    shownMs.current = touch.atMs;
    setShown({
      kpa: touch.kpa,
      of: [...sums.current].map(([i, s]) => ({ ...s, step: i })).sort((a, b) => a.step - b.step),
    });
  });
  // A stand-in’s hand follows the routine by itself.
  const goal = follows && isStandIn && isWorking ? middleKpa(aim) : 0;
  useEffect(() => {
    if (!follows || pad === undefined) return;
    void send('/devices/pad/hand', goal ? { pad, kind: 'down', kpa: goal, areaCm2: HAND_CM2 } : { pad, kind: 'up' });
  }, [follows, goal, pad]);
  useEffect(() => {
    if (!follows || pad === undefined) return;
    return () => void send('/devices/pad/hand', { pad, kind: 'up' });
  }, [follows, pad]);
  const own = shown.of.find((s) => s.step === cue.stepIndex);
  return (
    <section className="pad-beside" aria-label="On the pad">
      {here.status !== 'here' ? (
        <p className="soft mb-0">The pad is not read: the routine goes on without it.</p>
      ) : aim ? (
        <p className="mb-0">
          <PressureDot pressure={aim.word} /> aim {few(aim.leastKpa)} to {few(aim.mostKpa)} kPa:{' '}
          <strong className="num">{few(shown.kpa)} kPa</strong>{' '}
          {isWorking && shown.kpa > aim.leastKpa / 4 && <strong>{WORDS[wordNow(shown.kpa, aim)]}</strong>}
          {own && own.pressedMs > 0 && (
            <span className="soft"> · this step {Math.round((100 * own.inAimMs) / own.pressedMs)} % in the aim</span>
          )}
        </p>
      ) : (
        <p className="soft mb-0">Nothing presses in this step.</p>
      )}
      {isStandIn && (
        <Form.Check
          id="pad-follows"
          label="let the stand-in’s hand press along"
          checked={follows}
          onChange={(e) => setFollows(e.target.checked)}
        />
      )}
      {(status === 'done' || status === 'stopped') && (
        <table className="pad-tries">
          <thead>
            <tr>
              <th scope="col">Step</th>
              <th scope="col">Pressed</th>
              <th scope="col">In the aim</th>
              <th scope="col">Mean, kPa</th>
            </tr>
          </thead>
          <tbody>
            {shown.of.map((s) => (
              <tr key={s.step}>
                <th scope="row">
                  {s.step + 1} {nameOf(s.technique)}
                </th>
                <td className="num">{Math.round(s.pressedMs / 1000)} s</td>
                <td className="num">{Math.round((100 * s.inAimMs) / s.pressedMs)} %</td>
                <td className="num">{(s.kpaMs / s.pressedMs).toFixed(0)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
