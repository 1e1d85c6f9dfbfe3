import { useState } from 'react';
import { EMERGENCY, RED_FLAG_QUESTIONS, type RedFlagKey } from '../../../reference/facts/at-home';

/** Three plain questions before the first run of a day. */
export function Flags({ onAnswered }: { onAnswered: (yes: RedFlagKey[]) => void }) {
  const [said, setSaid] = useState<Partial<Record<RedFlagKey, boolean>>>({});
  const open = RED_FLAG_QUESTIONS.filter((q) => said[q.key] === undefined);
  return (
    <form
      className="flags"
      onSubmit={(e) => {
        e.preventDefault();
        if (!open.length) onAnswered(RED_FLAG_QUESTIONS.flatMap((q) => (said[q.key] ? [q.key] : [])));
      }}
    >
      <h1>Before you start today</h1>
      {RED_FLAG_QUESTIONS.map(({ key, words }) => (
        <fieldset key={key}>
          <legend>{words}</legend>
          <div className="two">
            {[false, true].map((yes) => (
              <button
                key={String(yes)}
                type="button"
                aria-pressed={said[key] === yes}
                onClick={() => setSaid({ ...said, [key]: yes })}
              >
                {yes ? 'Yes' : 'No'}
              </button>
            ))}
          </div>
        </fieldset>
      ))}
      <p className="soft">{EMERGENCY}</p>
      <div className="at-foot">
        <button type="submit" className="main" aria-disabled={open.length > 0}>
          {open.length ? `${open.length} to answer` : 'Go on'}
        </button>
      </div>
    </form>
  );
}
