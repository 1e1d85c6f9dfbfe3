import { clock } from '../../../core/words';

/** How it is looked at and heard by the one who works on themselves. */
interface AtMirror {
  mirror: boolean;
  eyesShut: boolean;
}

/** Above a run at home: the mirror, shut eyes, how long still. */
export function AloneBar({
  at,
  onAt,
  leftMs,
  onLeave,
}: {
  at: AtMirror;
  onAt: (at: AtMirror) => void;
  leftMs: number;
  /** To the plan; it waits meanwhile. */
  onLeave: () => void;
}) {
  const turn = (key: keyof AtMirror, words: string) => (
    <button type="button" className="turn" aria-pressed={at[key]} onClick={() => onAt({ ...at, [key]: !at[key] })}>
      {words} {at[key] ? 'on' : 'off'}
    </button>
  );
  return (
    <div className="alone-bar">
      {turn('mirror', 'Mirror')}
      {turn('eyesShut', 'Eyes shut')}
      <span className="num soft">{clock(Math.ceil(leftMs / 1000))} left</span>
      <button type="button" className="turn" onClick={onLeave}>
        Plan
      </button>
    </div>
  );
}
