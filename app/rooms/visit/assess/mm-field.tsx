import { InputError } from '../../../../core/words';
import { useId, useState } from 'react';
import { Form } from 'react-bootstrap';
import { Past } from './past';
import { useDraft } from '../../../parts/fields/use-draft';

interface Props {
  label: string;
  /** Only heard: the table around it shows the words already. */
  hideLabel?: boolean;
  value: number | undefined;
  /** Turns the typed number into what is kept, or refuses it. */
  check: (typed: number) => number;
  onValue: (value: number | null) => void;
  note?: React.ReactNode;
  /** At earlier visits, oldest first. */
  past?: readonly number[];
  /** What stands in the field while it is typed; null where it is no number. Told first when the field is entered. */
  onTyping?: (mm: number | null) => void;
}

const numberIn = (typed: string): number => Number(typed.trim().replace(',', '.').replace('−', '-'));

/** One length in mm. What is refused stays in the field with the reason under it; an emptied field takes the reading away. */
export function MmField({ label, hideLabel = false, value, check, onValue, note, past = [], onTyping }: Props) {
  const id = useId();
  const [typed, setTyped] = useDraft(value === undefined ? '' : String(value));
  const [error, setError] = useState('');
  const tell = (text: string) =>
    onTyping?.(text.trim() === '' || !Number.isFinite(numberIn(text)) ? null : numberIn(text));
  const commit = () => {
    try {
      if (typed.trim() === '') {
        if (value !== undefined) onValue(null);
      } else {
        const kept = check(numberIn(typed));
        if (kept !== value) onValue(kept);
      }
      setError('');
    } catch (e) {
      if (!(e instanceof InputError)) throw e;
      setError(e.message);
    }
  };
  return (
    <div>
      <Form.Label htmlFor={id} visuallyHidden={hideLabel}>
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        className="mm-field"
        inputMode="decimal"
        autoComplete="off"
        value={typed}
        isInvalid={!!error}
        aria-describedby={`${id}-note`}
        onFocus={() => tell(typed)}
        onChange={(e) => {
          setTyped(e.target.value);
          tell(e.target.value);
        }}
        onBlur={commit}
        onKeyDown={(e) => e.key === 'Enter' && commit()}
      />
      <div
        id={`${id}-note`}
        className={`small mm-note ${error ? 'caution' : 'soft'}`}
        role={error ? 'alert' : undefined}
      >
        {error || note}
        {!error && past.length > 1 && (
          <div>
            <Past values={past} />
          </div>
        )}
      </div>
    </div>
  );
}
