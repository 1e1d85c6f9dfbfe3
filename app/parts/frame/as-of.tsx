import { useDates } from './use-dates';

/** Says that figures are a little old, where they were read from the copy of the records. */
export function AsOf({ at }: { at: string | null }) {
  const { timeOfDay } = useDates();
  if (!at) return null;
  return (
    <p className="soft" role="note">
      As the records stood at {timeOfDay(at)}: this page is read from their copy.
    </p>
  );
}
