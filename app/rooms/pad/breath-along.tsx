import { TEMPO_ROUND } from '../../../core/touch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { Sound } from '../../parts/player/sound';
import type { BreathAsked } from './breaths';
import { useHeld } from './use-held';

type Hold = [startMs: number, endMs: number];
const LEAD_MS = 1500;
const { ledBreaths, aloneBreaths } = TEMPO_ROUND;

/** A breath that is led as a client would be: held while it goes in, let go while it goes out. */
export function BreathAlong({
  breaths,
  onOver,
}: {
  breaths: readonly BreathAsked[];
  onOver: (holds: Hold[], technique: string) => void;
}) {
  const [chosen, setChosen] = useState(breaths[0]!.technique);
  const breath = breaths.find((b) => b.technique === chosen)!;
  const [holds, setHolds] = useState<Hold[] | null>(null);
  const began = useRef(0);
  const downAt = useRef(0);
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);
  const start = () => {
    sound.cancel();
    sound.wake();
    began.current = performance.now() + LEAD_MS;
    for (let i = 0; i < ledBreaths; i++) {
      sound.plan('breath', LEAD_MS + i * 1000 * breath.cycleSeconds);
      sound.plan('breath', LEAD_MS + 1000 * (i * breath.cycleSeconds + breath.inSeconds));
    }
    setHolds([]);
    document.getElementById('breathe-here')?.focus();
  };
  const stop = () => {
    sound.cancel();
    setHolds(null);
  };
  const button = useHeld(
    'breathe-here',
    (atMs) => {
      downAt.current = Math.max(0, atMs - began.current);
    },
    (atMs) => {
      if (!holds) return;
      const own: Hold[] = [...holds, [Math.round(downAt.current), Math.round(Math.max(0, atMs - began.current))]];
      if (own.length < ledBreaths + aloneBreaths) return setHolds(own);
      setHolds(null);
      onOver(own, chosen);
    },
  );
  return (
    <section className="pad-part">
      <h2>Lead a breath</h2>
      <p className="soft">
        Hold while it goes in, let go while it goes out. {ledBreaths} breaths sound, {aloneBreaths} more go on alone.
        Stop when you are dizzy.
      </p>
      <Form.Select
        aria-label="Which breath"
        className="mb-3"
        value={chosen}
        disabled={!!holds}
        onChange={(e) => setChosen(e.target.value)}
      >
        {breaths.map((b) => (
          <option key={b.technique} value={b.technique}>
            {b.words}
          </option>
        ))}
      </Form.Select>
      <div className="pad-buttons">
        <Button id="breathe-here" className="pad-press" {...button}>
          Breathe in <kbd>space</kbd>
        </Button>
        <Button variant="outline-primary" onClick={start}>
          {holds ? 'Start again' : 'Start the breath'}
        </Button>
        <Button variant="outline-primary" disabled={!holds} onClick={stop}>
          Stop the breath
        </Button>
        <span className="num" role="status">
          {holds &&
            (holds.length < ledBreaths
              ? `led, ${holds.length + 1} of ${ledBreaths}`
              : `alone, ${holds.length - ledBreaths + 1} of ${aloneBreaths}`)}
        </span>
      </div>
    </section>
  );
}
