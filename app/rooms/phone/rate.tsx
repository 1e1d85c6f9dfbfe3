/** A number from nothing to the worst, by touch or by keys; the same one again takes it back. */
export function Rate({
  question,
  value,
  onValue,
  was,
}: {
  question: string;
  value: number | null;
  onValue: (value: number | null) => void;
  /** What it was before the work. */
  was?: number | null;
}) {
  return (
    <fieldset className="rate">
      <legend>{question}</legend>
      <div className="numbers">
        {Array.from({ length: 11 }, (_, n) => (
          <button key={n} type="button" aria-pressed={value === n} onClick={() => onValue(value === n ? null : n)}>
            {n}
          </button>
        ))}
      </div>
      <div className="ends">
        <span>0 nothing</span>
        <span>{was === null || was === undefined ? '10 worst you can think of' : `was ${was} before`}</span>
      </div>
    </fieldset>
  );
}
