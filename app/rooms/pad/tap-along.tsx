import { PAD_TEMPO, TEMPO_ROUND } from '../../../core/touch';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { Sound } from '../../parts/player/sound';
import { useKeys } from '../../parts/keys/use-keys';
import { useHeld } from './use-held';

const LEAD_MS = 1500;
const MOST_PER_MINUTE = 120;
const { ledBeats, aloneTaps } = TEMPO_ROUND;

/** A tempo that sounds eight times and then goes on in the head: tapped with a key or a finger. */
export function TapAlong({ onOver }: { onOver: (taps: number[], perMinute: number) => void }) {
  const [perMinute, setPerMinute] = useState(60);
  const [taps, setTaps] = useState<number[] | null>(null);
  const began = useRef(0);
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);
  const everyMs = 60_000 / perMinute;
  const silentMs = (ledBeats - 0.5) * everyMs;
  const alone = taps?.filter((t) => t >= silentMs).length ?? 0;
  const start = () => {
    sound.cancel();
    sound.wake();
    began.current = performance.now() + LEAD_MS;
    for (let i = 0; i < ledBeats; i++) sound.plan('beat', LEAD_MS + i * everyMs);
    setTaps([]);
    document.getElementById('tap-here')?.focus();
  };
  const stop = () => {
    sound.cancel();
    setTaps(null);
  };
  const tap = (atMs: number) => {
    if (!taps) return;
    const own = [...taps, Math.round(atMs - began.current)];
    if (own.filter((t) => t >= silentMs).length < aloneTaps) return setTaps(own);
    setTaps(null);
    onOver(own, perMinute);
  };
  const button = useHeld('tap-here', tap, () => {});
  const by = (step: number) => setPerMinute((t) => Math.min(MOST_PER_MINUTE, Math.max(PAD_TEMPO.least, t + step)));
  useKeys({ '+': () => !taps && by(1), '-': () => !taps && by(-1), r: start, x: stop });
  return (
    <section className="pad-part">
      <h2>Tap along</h2>
      <p className="soft">
        {ledBeats} beats sound, then go on alone for {aloneTaps} more: how true the tempo stays is told afterwards.
      </p>
      <div className="pad-tempo">
        <Button variant="outline-primary" aria-label="Slower" disabled={!!taps} onClick={() => by(-1)}>
          −
        </Button>
        <span className="num" aria-live="polite">
          {perMinute} / min
        </span>
        <Button variant="outline-primary" aria-label="Faster" disabled={!!taps} onClick={() => by(1)}>
          +
        </Button>
      </div>
      <div className="pad-buttons">
        <Button id="tap-here" className="pad-press" {...button}>
          Tap here <kbd>space</kbd>
        </Button>
        <Button variant="outline-primary" onClick={start}>
          {taps ? 'Start again' : 'Start'} <kbd>r</kbd>
        </Button>
        <Button variant="outline-primary" disabled={!taps} onClick={stop}>
          Stop <kbd>x</kbd>
        </Button>
        <span className="num" role="status">
          {taps && (alone ? `alone, ${alone} of ${aloneTaps}` : `with the beat, ${taps.length}`)}
        </span>
      </div>
    </section>
  );
}
