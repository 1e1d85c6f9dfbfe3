import { useId } from 'react';
import { Form } from 'react-bootstrap';
import { useDraft } from './use-draft';

interface Props {
  label: string;
  value: number;
  range: readonly [number, number];
  whole?: boolean;
  onCommit: (value: number) => void;
}

/** A number with its range. What is typed stays until it is right; only then it counts. */
export function NumberField({ label, value, range: [least, most], whole, onCommit }: Props) {
  const id = useId();
  const [typed, setTyped] = useDraft(String(value));
  const number = Number(typed.trim().replace(',', '.'));
  const wrong =
    typed.trim() === '' ||
    !Number.isFinite(number) ||
    number < least ||
    number > most ||
    (whole && !Number.isInteger(number));
  return (
    <div>
      <Form.Label htmlFor={id} className="mb-0">
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        inputMode={whole ? 'numeric' : 'decimal'}
        style={{ width: 82 }}
        value={typed}
        isInvalid={wrong}
        aria-describedby={wrong ? `${id}-e` : undefined}
        onChange={(e) => {
          setTyped(e.target.value);
          const n = Number(e.target.value.trim().replace(',', '.'));
          if (
            e.target.value.trim() !== '' &&
            Number.isFinite(n) &&
            n >= least &&
            n <= most &&
            !(whole && !Number.isInteger(n))
          )
            onCommit(n);
        }}
      />
      {wrong && (
        <div id={`${id}-e`} className="small caution" role="alert">
          {whole ? 'Whole, ' : ''}
          {least} to {most}
        </div>
      )}
    </div>
  );
}
