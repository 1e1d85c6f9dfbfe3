import { useId } from 'react';
import { Form } from 'react-bootstrap';
import { calendarDay } from '../../../schemas/day';
import { useDraft } from '../../../parts/fields/use-draft';

/** A calendar day, or nothing; only a whole day counts. */
export function DayField({
  label,
  value,
  onCommit,
}: {
  label: string;
  value: string;
  onCommit: (day: string) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useDraft(value);
  const wrong = !calendarDay.isValidSync(typed);
  return (
    <div>
      <Form.Label htmlFor={id}>{label}</Form.Label>
      <Form.Control
        id={id}
        type="date"
        value={typed}
        isInvalid={wrong}
        onChange={(e) => {
          setTyped(e.target.value);
          if (calendarDay.isValidSync(e.target.value)) onCommit(e.target.value);
        }}
      />
      {wrong && (
        <div className="small caution" role="alert">
          A day such as 2027-03-09 is accepted.
        </div>
      )}
    </div>
  );
}
