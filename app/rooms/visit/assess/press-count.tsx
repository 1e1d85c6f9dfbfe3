import { useEffect, useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { PRESS_SECONDS, REFERRAL_PRESS_SECONDS } from '../../../../reference/facts/palpation';
import { nowMs } from '../../../parts/player/clock';
import { Sound } from '../../../parts/player/sound';

/** Counts the seconds of one press aloud and on the screen, so that the eyes can stay with the client. */
export function PressCount() {
  const [press, setPress] = useState<{ fromMs: number; seconds: number } | null>(null);
  const [past, setPast] = useState(0);
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);
  useEffect(() => {
    if (!press) return;
    let told = -1;
    const timer = setInterval(() => {
      const second = Math.min(press.seconds, Math.floor((nowMs() - press.fromMs) / 1000));
      if (second === told) return;
      told = second;
      setPast(second);
      const over = second === press.seconds;
      sound.plan(over ? 'done' : 'beat', 0);
      if (over) clearInterval(timer);
    }, 50);
    return () => clearInterval(timer);
  }, [press, sound]);
  const count = (seconds: number) => {
    sound.wake();
    setPast(0);
    setPress({ fromMs: nowMs(), seconds });
  };
  const words = !press ? '' : past >= press.seconds ? 'Let go and ask.' : `Press, ${press.seconds - past} s left`;
  return (
    <div className="d-flex align-items-center gap-2 mb-2">
      <Button size="sm" variant="outline-primary" onClick={() => count(PRESS_SECONDS)}>
        Count {PRESS_SECONDS} s
      </Button>
      <Button size="sm" variant="outline-primary" onClick={() => count(REFERRAL_PRESS_SECONDS)}>
        Count {REFERRAL_PRESS_SECONDS} s, is it felt elsewhere?
      </Button>
      <span role="status" className="fw-bold">
        {words}
      </span>
    </div>
  );
}
