import { ArrowLeft, ArrowRight, NotebookPen, Pause, Play, X } from 'lucide-react';
import { type ReactNode, useRef } from 'react';
import type { Pressure } from '../../../core/words';
import { PressureDot } from '../marks/marks';
import type { CommandId } from './commands';

/** A second touch within this is a drop of oil or a trembling hand. Our choice. */
const SECOND_TOUCH_MS = 400;

/** Lets one touch through and the next only after a while; keys are not held up. */
export function useOneTouch(): (detail: number) => boolean {
  const last = useRef(-Infinity);
  return (detail) => {
    if (detail === 0) return true;
    const now = performance.now();
    if (now - last.current < SECOND_TOUCH_MS) return false;
    last.current = now;
    return true;
  };
}

/** What hands press during a run: at the lower edge, large, stop apart. */
export function Controls({
  isPaused,
  lighter,
  firmer,
  firmerBan,
  onCommand,
}: {
  isPaused: boolean;
  /** The pressure that a touch leads to; null where there is none. */
  lighter: Pressure | null;
  firmer: Pressure | null;
  /** Why it may not be firmer. */
  firmerBan: string | null;
  onCommand: (command: CommandId) => void;
}) {
  const isFirst = useOneTouch();
  const button = (
    id: CommandId,
    words: string,
    mark: ReactNode,
    more: { className?: string; isOff?: boolean; why?: string | undefined } = {},
  ) => (
    <button
      type="button"
      className={`control ${more.className ?? ''}${more.isOff ? ' is-off' : ''}`}
      aria-disabled={more.isOff || undefined}
      title={more.why}
      onClick={(event) => {
        if (!isFirst(event.detail)) return;
        // After a touch the focus is given back, so that the space bar goes on meaning pause.
        if (event.detail > 0) event.currentTarget.blur();
        onCommand(id);
      }}
    >
      {mark}
      <span>{words}</span>
    </button>
  );
  return (
    <div className="controls" role="group" aria-label="Run">
      {button('back', 'back', <ArrowLeft aria-hidden />)}
      {button('toggle', isPaused ? 'go on' : 'pause', isPaused ? <Play aria-hidden /> : <Pause aria-hidden />, {
        className: 'is-main',
      })}
      {button('next', 'next', <ArrowRight aria-hidden />)}
      {button('lighter', 'lighter', lighter ? <PressureDot pressure={lighter} size={26} /> : <i />, {
        isOff: !lighter,
        why: lighter ? undefined : 'Nothing lighter here',
      })}
      {button(
        'firmer',
        firmerBan ? 'at its cap' : 'firmer',
        firmer ? <PressureDot pressure={firmer} size={26} /> : <i />,
        {
          isOff: !firmer || !!firmerBan,
          why: firmerBan ?? (firmer ? undefined : 'Nothing firmer here'),
        },
      )}
      {button('extend', 'seconds', <b aria-hidden="true">+10</b>)}
      {button('note', 'note', <NotebookPen aria-hidden />)}
      {button('stop', 'stop', <X aria-hidden />, { className: 'is-stop' })}
    </div>
  );
}
