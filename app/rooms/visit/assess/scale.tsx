import { useEffect, useId, useRef, useState } from 'react';
import { flushSync } from 'react-dom';

/** A digit that may be the first of two waits this long for the second. */
const PAUSE_MS = 1000;

/**
 * A row of numbers to choose from; digits type the choice, Backspace takes it away. A digit that could go on to a
 * number of two digits waits a moment for the second; Tab keeps what was typed and leaves the row.
 */
export function Scale({
  label,
  most,
  value,
  onChange,
}: {
  label: string;
  most: number;
  value: number | undefined;
  onChange: (value: number | null) => void;
}) {
  const name = useId();
  const row = useRef<HTMLDivElement>(null);
  const pending = useRef<{ digit: number; timer: ReturnType<typeof setTimeout> } | null>(null);
  const [told, setTold] = useState('');

  const keep = (n: number | null) => {
    if (pending.current) clearTimeout(pending.current.timer);
    pending.current = null;
    flushSync(() => {
      onChange(n);
      setTold(n === null ? 'taken away' : String(n));
    });
    // The chosen number is where Tab goes on from; on any other, it would stop at the chosen one first.
    if (n !== null && row.current?.contains(document.activeElement))
      row.current.querySelector<HTMLInputElement>(`input[value="${n}"]`)?.focus();
  };
  const settle = () => pending.current && keep(pending.current.digit);
  const latest = useRef(keep);
  useEffect(() => {
    latest.current = keep;
  });
  // A row that goes takes its timer along.
  useEffect(() => () => void (pending.current && clearTimeout(pending.current.timer)), []);

  const type = (digit: number) => {
    const before = pending.current;
    if (before && before.digit * 10 + digit <= most) return keep(before.digit * 10 + digit);
    if (before) keep(before.digit);
    if (digit > most) return;
    if (digit > 0 && digit * 10 <= most) {
      setTold(`${digit} …`);
      pending.current = { digit, timer: setTimeout(() => latest.current(digit), PAUSE_MS) };
    } else keep(digit);
  };
  return (
    <div
      ref={row}
      className="scale"
      role="radiogroup"
      aria-label={label}
      onBlur={(e) => !row.current?.contains(e.relatedTarget) && settle()}
      onKeyDown={(e) => {
        if (e.ctrlKey || e.metaKey || e.altKey) return;
        if (e.key === 'Tab') return void settle();
        if (e.key === 'Backspace' || e.key === 'Delete') keep(null);
        else if (/^\d$/.test(e.key)) type(Number(e.key));
        else return;
        e.preventDefault();
      }}
    >
      {Array.from({ length: most + 1 }, (_, n) => (
        <label key={n}>
          <input
            type="radio"
            name={name}
            value={n}
            aria-label={`${label}: ${n}`}
            checked={value === n}
            onChange={() => keep(n)}
            onClick={() => value === n && keep(null)}
          />
          {n}
        </label>
      ))}
      <span className="visually-hidden" role="status">
        {told}
      </span>
    </div>
  );
}
