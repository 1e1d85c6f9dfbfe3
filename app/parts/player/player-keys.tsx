import type { PlainKind } from '../../../core/guide';

interface Props {
  paused: boolean;
  unsent: number;
  onToggle: () => void;
  onPress: (kind: PlainKind) => void;
  onNote: () => void;
  onStop: () => void;
  onCompare: () => void;
}

/** All that can be done during a run, each with its key; a pedal sends the same keys. */
export function PlayerKeys({ paused, unsent, onToggle, onPress, onNote, onStop, onCompare }: Props) {
  const keys: [string, string, () => void, string?][] = [
    ['space', paused ? 'resume' : 'pause', onToggle],
    ['→', 'next', () => onPress('next')],
    ['←', 'back', () => onPress('back')],
    ['r', 'repeat', () => onPress('repeat')],
    ['e', '+10 s', () => onPress('extend')],
    ['-', 'lighter', () => onPress('lighter')],
    ['=', 'firmer', () => onPress('firmer')],
    ['n', 'note', onNote],
    ['c', 'compare sides', onCompare],
    ['x', 'stop', onStop, 'stop'],
  ];
  return (
    <div className="guide-keys">
      {keys.map(([key, word, press, className]) => (
        <button
          key={key}
          type="button"
          className={className}
          onClick={(event) => {
            // After a tap the focus is given back, so that the space bar goes on meaning pause.
            if (event.detail > 0) event.currentTarget.blur();
            press();
          }}
        >
          <kbd aria-hidden="true">{key}</kbd> {word}
        </button>
      ))}
      {unsent > 0 && (
        <span className="save-state is-waiting" role="status">
          {unsent} not written yet
        </span>
      )}
    </div>
  );
}
