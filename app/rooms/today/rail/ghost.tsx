import type { DaySpan } from '../../../../core/schedule';
import { useDraggable } from '@dnd-kit/core';
import { useEffect, useRef } from 'react';
import { placed } from './places';

/** The booking that is being made or moved: dragged as a whole, or by its end. */
export function Ghost({
  span,
  axis,
  row,
  words,
  onKeyDown,
}: {
  span: DaySpan;
  axis: DaySpan;
  row: number;
  words: string;
  onKeyDown: (e: React.KeyboardEvent) => void;
}) {
  const { setNodeRef: whole, listeners: wholeListeners, transform: wholeBy } = useDraggable({ id: 'draft' });
  const { setNodeRef: end, listeners: endListeners, transform: endBy } = useDraggable({ id: 'draft-end' });
  const button = useRef<HTMLButtonElement | null>(null);
  // Moved by keys to another lane it is drawn anew there, and keeps the keys.
  useEffect(() => {
    if (document.activeElement === document.body) button.current?.focus();
  }, []);
  const [x, y] = [wholeBy?.x ?? 0, wholeBy?.y ?? 0];
  return (
    <div
      className="rail-ghost"
      style={{
        ...placed(span, axis),
        top: `calc(${row} * var(--rail-row))`,
        transform: x || y ? `translate(${x}px, ${y}px)` : undefined,
      }}
    >
      <button
        ref={(element) => {
          whole(element);
          button.current = element;
        }}
        type="button"
        className="ghost-whole"
        style={{ width: endBy ? `calc(100% + ${endBy.x}px)` : undefined }}
        aria-label={`${words}. Arrows move it, with shift they change its length; Enter books, Escape leaves.`}
        onKeyDown={onKeyDown}
        {...wholeListeners}
      >
        {words}
      </button>
      <span
        ref={end}
        className="ghost-end"
        style={{ transform: endBy ? `translateX(${endBy.x}px)` : undefined }}
        aria-hidden="true"
        {...endListeners}
      />
    </div>
  );
}
