import { cueLengthMs, goOnWords, type GuideState } from '../../../core/guide';
import type { Cue } from '../../../core/routine';

const seconds = (ms: number) => Math.round(ms / 1000);

/** What hands press when what is waited for has come, or they are where they go to; by itself at the most. */
export function FeltEnd({
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
  const words = goOnWords(cue, state);
  if (!words) return null;
  return (
    <div className="open-dose">
      {cue.open && <OpenBar cue={cue} state={state} />}
      <button
        type="button"
        className="go-on"
        onClick={(event) => {
          if (!isFirstTouch(event.detail)) return;
          if (event.detail > 0) event.currentTarget.blur();
          onGoOn();
        }}
      >
        <strong>{words}</strong>
        <span className="soft">or by itself at {seconds(cueLengthMs(cue, state))} s</span>
      </button>
    </div>
  );
}

/** How long an open dose has been, against the least, the usual and the most. */
function OpenBar({ cue, state }: { cue: Cue; state: GuideState }) {
  const usualMs = cue.endMs - cue.startMs;
  const mostMs = cueLengthMs(cue, state);
  const scaleMs = mostMs * 1.06;
  const share = (ms: number) => `${Math.min(100, (ms / scaleMs) * 100)}%`;
  return (
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
  );
}
