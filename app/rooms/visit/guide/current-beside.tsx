import { currentState, readCurrentLine, type CurrentReading, type CurrentUnit } from '../../../../core/devices';
import { InputError } from '../../../../core/words';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { useDeviceStream } from '../../../parts/devices/use-stream';
import { send } from '../../../parts/frame/send';
import { Sound } from '../../../parts/player/sound';

/** So much of what was read says what the unit does. */
const LOOK_BACK_MS = 2000;
const SOUND_AGAIN_MS = 3000;

/** What a microcurrent unit does while its step runs: level, current, contact; what is wrong is told and sounds. */
export function CurrentBeside({ isRunning }: { isRunning: boolean }) {
  const [unit, setUnit] = useState<CurrentUnit | null>(null);
  const [readings, setReadings] = useState<CurrentReading[]>([]);
  const [lost, setLost] = useState('');
  const [told, setTold] = useState('');
  const all = useRef<CurrentReading[]>([]);
  useDeviceStream(
    '/devices/current',
    (lines) => {
      try {
        for (const line of lines) {
          const message = readCurrentLine(line);
          if (message?.kind === 'hello') {
            all.current = [];
            setUnit(message);
          } else if (message?.kind === 'reading') all.current.push(message);
        }
      } catch (error) {
        if (!(error instanceof InputError)) throw error;
        return `The unit sent something that cannot be read. ${error.message}`;
      }
      const lastMs = all.current.at(-1)?.atMs ?? 0;
      all.current = all.current.filter((r) => r.atMs > lastMs - LOOK_BACK_MS);
      setReadings(all.current);
      setLost('');
      return null;
    },
    (why) => {
      all.current = [];
      setReadings([]);
      setLost(why);
    },
  );
  const state = lost ? 'lost' : currentState(readings);
  const isWrong = isRunning && (state === 'lost' || state === 'no-contact' || state === 'too-much');
  const sound = useMemo(() => new Sound(), []);
  useEffect(() => () => sound.close(), [sound]);
  useEffect(() => {
    if (!isWrong) return;
    const tell = () => {
      sound.wake();
      sound.plan('side', 0);
    };
    tell();
    const timer = setInterval(tell, SOUND_AGAIN_MS);
    return () => clearInterval(timer);
  }, [isWrong, sound]);
  const last = readings.at(-1);
  const off = async () => {
    const answer = await send<{ off: boolean }>('/devices/current', {});
    setTold(answer.ok ? '' : answer.message);
  };
  return (
    <section className="current-beside" aria-label="Microcurrent">
      <p className={`mb-0${isWrong ? ' worse' : ''}`} role={isWrong ? 'alert' : undefined}>
        {unit?.isStandIn && <strong className="pad-mark">Stand-in unit</strong>}
        {state === 'lost' ? (
          <strong>The unit is not read: {lost} Look at its own display.</strong>
        ) : !last || state === null ? (
          'Looking for the unit …'
        ) : state === 'off' ? (
          'Current off.'
        ) : (
          <>
            <strong>
              {state === 'no-contact'
                ? 'No contact: the current does not reach the skin. Lift, wet, place again.'
                : state === 'too-much'
                  ? 'More current than is set: take it off the skin.'
                  : 'Contact.'}
            </strong>{' '}
            <span className="num">
              {last.flowsUa} µA of {last.levelUa} set
            </span>
          </>
        )}
      </p>
      {state !== 'off' && last && (
        <Button variant="outline-primary" onClick={() => void off()}>
          Current off
        </Button>
      )}
      {told && (
        <p role="alert" className="worse mb-0">
          {told}
        </p>
      )}
    </section>
  );
}
