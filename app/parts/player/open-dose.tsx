import { goOnWords, type GuideState } from '../../../core/guide';
import type { Cue } from '../../../core/routine';

/** Reached sooner or later by feel: how long it has been, against the least, the usual and the most. */
export function OpenDose({
  cue,
  state,
  isFirstTouch,
  onGoOn,
}: {
  cue: Cue;
  state: GuideState;
  isFirstTouch: (detail: number) => boolean;
  onGoOn: () => void;
}) {
  const seconds = (ms: number) => Math.round(ms / 1000);
  const usualMs = cue.endMs - cue.startMs;
  const mostMs = cue.mostMs + state.extraMs;
  const scaleMs = mostMs * 1.06;
  const share = (ms: number) => `${Math.min(100, (ms / scaleMs) * 100)}%`;
  return (
    <div className="open-dose">
      <div className="open-bar" aria-hidden="true">
        <span className="between" style={{ left: share(cue.leastMs), right: `calc(100% - ${share(mostMs)})` }} />
        <span className="gone" style={{ width: share(state.intoMs) }} />
        <span className="usual" style={{ left: share(usualMs) }} />
        <span className="dot" style={{ left: share(state.intoMs) }} />
        <span className="at" style={{ left: share(cue.leastMs) }}>
          {seconds(cue.leastMs)}
        </span>
        <span className="at" style={{ left: share(usualMs) }}>
          usually {seconds(usualMs)}
        </span>
        <span className="at" style={{ left: share(mostMs) }}>
          {seconds(mostMs)} s
        </span>
      </div>
      <button
        type="button"
        className="go-on"
        onClick={(event) => {
          if (!isFirstTouch(event.detail)) return;
          if (event.detail > 0) event.currentTarget.blur();
          onGoOn();
        }}
      >
        <strong>{goOnWords(cue.open!.until)}</strong>
        <span className="soft">or by itself at {seconds(mostMs)} s</span>
      </button>
    </div>
  );
}
