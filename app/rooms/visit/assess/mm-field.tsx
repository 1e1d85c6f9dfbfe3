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
}

/** One length in mm. What is refused stays in the field with the reason under it; an emptied field takes the reading away. */
export function MmField({ label, hideLabel = false, value, check, onValue, note, past = [] }: Props) {
  const id = useId();
  const [typed, setTyped] = useDraft(value === undefined ? '' : String(value));
  const [error, setError] = useState('');
  const commit = () => {
    const text = typed.trim().replace(',', '.').replace('−', '-');
    try {
      if (text === '') {
        if (value !== undefined) onValue(null);
      } else {
        const kept = check(Number(text));
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
        onChange={(e) => setTyped(e.target.value)}
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
