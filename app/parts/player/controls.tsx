import { ArrowLeft, ArrowRight, NotebookPen, Pause, Play, X } from 'lucide-react';
import type { ReactNode } from 'react';
import type { Pressure } from '../../../core/words';
import { PressureDot } from '../marks/marks';
import type { CommandId } from './commands';

/** What hands press during a run: at the lower edge, large, stop apart. */
export function Controls({
  isFirstTouch,
  isAsking,
  isPaused,
  isAlone = false,
  lighter,
  firmer,
  firmerBan,
  onCommand,
}: {
  isFirstTouch: (detail: number) => boolean;
  /** Something is asked that stands before everything but going on. */
  isAsking: boolean;
  isPaused: boolean;
  /** Done on oneself: three controls, found without looking. */
  isAlone?: boolean;
  /** The pressure that a touch leads to; null where there is none. */
  lighter: Pressure | null;
  firmer: Pressure | null;
  /** Why it may not be firmer. */
  firmerBan: string | null;
  onCommand: (command: CommandId) => void;
}) {
  const button = (
    id: CommandId,
    words: string,
    mark: ReactNode,
    more: { className?: string; isOff?: boolean; why?: string | undefined } = {},
  ) => {
    const isOff = more.isOff || (isAsking && id !== 'toggle');
    return (
      <button
        type="button"
        className={`control ${more.className ?? ''}${isOff ? ' is-off' : ''}`}
        aria-disabled={isOff || undefined}
        title={more.why}
        onClick={(event) => {
          if (!isFirstTouch(event.detail)) return;
          // After a touch the focus is given back, so that the space bar goes on meaning pause.
          if (event.detail > 0) event.currentTarget.blur();
          onCommand(id);
        }}
      >
        {mark}
        <span>{words}</span>
      </button>
    );
  };
  const toggle = button(
    'toggle',
    isPaused ? 'go on' : 'pause',
    isPaused ? <Play aria-hidden /> : <Pause aria-hidden />,
    { className: 'is-main' },
  );
  const softer = button('lighter', 'lighter', lighter ? <PressureDot pressure={lighter} size={26} /> : <i />, {
    isOff: !lighter,
    why: lighter ? undefined : 'Nothing lighter here',
  });
  const stop = button('stop', 'stop', <X aria-hidden />, { className: 'is-stop' });
  if (isAlone)
    return (
      <div className="controls" role="group" aria-label="Run">
        {softer}
        {toggle}
        {stop}
      </div>
    );
  return (
    <div className="controls" role="group" aria-label="Run">
      {button('back', 'back', <ArrowLeft aria-hidden />)}
      {toggle}
      {button('next', 'next', <ArrowRight aria-hidden />)}
      {softer}
      {button(
        'firmer',
        firmerBan ? 'at its cap' : 'firmer',
        firmer ? <PressureDot pressure={firmer} size={26} /> : <i />,
        {
          isOff: !firmer || !!firmerBan,
          why: firmerBan ?? (firmer ? undefined : 'Nothing firmer here'),
        },
      )}
      {button('extend', 'seconds', <b>+10</b>)}
      {button('note', 'note', <NotebookPen aria-hidden />)}
      {stop}
    </div>
  );
}
