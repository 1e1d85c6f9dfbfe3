import { useId } from 'react';

/** A row of numbers to choose from; digits type the choice, Backspace takes it away. */
export function Scale({ label, most, value, onChange }: { label: string; most: number; value: number | undefined; onChange: (value: number | null) => void }) {
  const name = useId();
  return (
    <div
      className="scale"
      role="radiogroup"
      aria-label={label}
      onKeyDown={(e) => {
        if (e.key === 'Backspace' || e.key === 'Delete') onChange(null);
        else if (/^\d$/.test(e.key) && Number(e.key) <= most) onChange(Number(e.key));
        else return;
        e.preventDefault();
      }}
    >
      {Array.from({ length: most + 1 }, (_, n) => (
        <label key={n}>
          <input type="radio" name={name} aria-label={`${label}: ${n}`} checked={value === n} onChange={() => onChange(n)} onClick={() => value === n && onChange(null)} />
          {n}
        </label>
      ))}
    </div>
  );
}
