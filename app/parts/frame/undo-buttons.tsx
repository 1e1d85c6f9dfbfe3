import { useEffect } from 'react';
import { Button } from 'react-bootstrap';

interface Props {
  /** Null when there is nothing to take back, or to make again. */
  undo: (() => void) | null;
  redo: (() => void) | null;
}

/** Ctrl+Z and Ctrl+Y. A field that holds text keeps its own. */
function useUndoKeys({ undo, redo }: Props): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((!event.ctrlKey && !event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      const again = key === 'y' || (event.shiftKey && key === 'z');
      if (!again && key !== 'z') return;
      const field = (event.target as HTMLElement).closest<HTMLInputElement>(
        'input:not([type=radio], [type=checkbox]), textarea',
      );
      if (field?.value) return;
      (again ? redo : undo)?.();
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}

/** Take back and make again what was done at this stage, by button and by key. */
export function UndoButtons({ undo, redo }: Props) {
  useUndoKeys({ undo, redo });
  return (
    <span className="undo-buttons">
      <Button variant="link" disabled={!undo} onClick={() => undo?.()}>
        Undo
      </Button>
      <Button variant="link" disabled={!redo} onClick={() => redo?.()}>
        Redo
      </Button>
    </span>
  );
}
