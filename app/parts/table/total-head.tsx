import { BOUNDS, type Routine } from '../../../core/routine';
import { clock } from '../../../core/words';
import { useYourSeconds } from '../frame/use-learned';
import { BudgetField } from './budget-field';

/** Time of a routine against its minutes, by the plan and as the own runs of whoever is signed in have it. */
export function TotalHead({
  routine,
  totalSeconds,
  onBudget,
}: {
  routine: Routine;
  totalSeconds: number;
  onBudget: (minutes: number | null) => void;
}) {
  const yours = useYourSeconds(routine);
  const budgetSeconds = routine.budgetMinutes === null ? null : routine.budgetMinutes * 60;
  const isOver = budgetSeconds !== null && totalSeconds > budgetSeconds;
  return (
    <span className="total" aria-label={`Total ${clock(totalSeconds)}`}>
      <span className={isOver ? 'worse' : ''} data-testid="total">
        {clock(totalSeconds)}
      </span>{' '}
      <BudgetField minutes={routine.budgetMinutes} range={BOUNDS.budgetMinutes} onCommit={onBudget} />{' '}
      {budgetSeconds !== null && (
        <span className="free">
          {isOver ? `${clock(totalSeconds - budgetSeconds)} over` : `${clock(budgetSeconds - totalSeconds)} free`}
        </span>
      )}
      {yours !== null && (
        <span
          className={`yours${budgetSeconds !== null && yours > budgetSeconds ? ' worse' : ''}`}
          title="By the middle of your own latest runs: finding places, changing sides and hands, open doses"
        >
          yours {clock(yours)}
        </span>
      )}
    </span>
  );
}
