import type { ReactNode } from 'react';

interface Choice<T extends string> {
  value: T;
  words: string;
  /** Why it cannot be chosen. */
  off?: string;
}

/** One choice of a few, one touch each. */
export function BarChoice<T extends string>({
  label,
  choices,
  value,
  onChoose,
}: {
  label: string;
  choices: readonly Choice<T>[];
  value: T;
  onChoose: (value: T) => void;
}) {
  return (
    <div role="group" aria-label={label}>
      {choices.map((c) => (
        <button
          key={c.value}
          type="button"
          className="chip"
          aria-pressed={c.value === value}
          disabled={!!c.off}
          title={c.off}
          onClick={() => onChoose(c.value)}
        >
          {c.words}
        </button>
      ))}
    </div>
  );
}

/** Above the chart of a stage: what a touch on it means, and what its numbers tell. */
export function ChartBar({ children, told }: { children: ReactNode; told: string }) {
  return (
    <section className="chart-over" aria-label="What the chart asks and tells">
      <div className="chart-bar">{children}</div>
      {told && <p className="chart-told">{told}</p>}
    </section>
  );
}
