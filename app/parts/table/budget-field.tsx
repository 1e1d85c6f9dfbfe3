import { useDraft } from '../fields/use-draft';

/** Minutes available, beside the total; empty when time does not matter. */
export function BudgetField({
  minutes,
  range: [least, most],
  onCommit,
}: {
  minutes: number | null;
  range: readonly [number, number];
  onCommit: (minutes: number | null) => void;
}) {
  const [typed, setTyped] = useDraft(minutes === null ? '' : String(minutes));
  const value = Number(typed.replace(',', '.'));
  const wrong = typed !== '' && !(value >= least && value <= most);
  return (
    <span className="of">
      of{' '}
      <input
        aria-label="Minutes available"
        inputMode="decimal"
        value={typed}
        aria-invalid={wrong}
        className={wrong ? 'caution' : ''}
        title={wrong ? `${least} to ${most} minutes is accepted` : 'Minutes available; empty when time does not matter'}
        onChange={(e) => {
          setTyped(e.target.value);
          const n = Number(e.target.value.replace(',', '.'));
          if (e.target.value.trim() === '') onCommit(null);
          else if (n >= least && n <= most) onCommit(n);
        }}
      />{' '}
      min
      {wrong && (
        <span className="small caution" role="alert">
          {' '}
          {least} to {most}
        </span>
      )}
    </span>
  );
}
