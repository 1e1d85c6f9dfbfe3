import { checkedReading, MEASURES, type MeasureKey } from '../../../core/measures';
import { InputError, type Side } from '../../../core/words';
import { useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { sideName } from '../marks/marks';

/** A reading asked for in the middle of a run; what is out of range is told, and nothing is kept of it. */
export function TestPanel({
  test,
  side,
  onTaken,
}: {
  test: { measure: string; place: string };
  side: Side;
  onTaken: (value: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState('');
  const [told, setTold] = useState('');
  const key = Object.hasOwn(MEASURES, test.measure) ? (test.measure as MeasureKey) : null;
  const measure = key && MEASURES[key];
  if (!measure) return <p className="soft">This routine asks for a measure that is not known here.</p>;
  const take = () => {
    try {
      const value = checkedReading(key, Number(typed.trim().replace(',', '.')), measure.name);
      onTaken(value);
      setTold(`Kept: ${value} ${measure.unit}`);
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      setTold(error.message);
    }
  };
  return (
    <Form
      className="d-flex gap-2 align-items-end"
      onSubmit={(e) => {
        e.preventDefault();
        take();
      }}
    >
      <div>
        <Form.Label htmlFor={id} className="mb-0">
          {measure.name}, {measure.unit}
          {side === 'left' || side === 'right' ? `, ${sideName(side)}` : ''}
        </Form.Label>
        <Form.Control id={id} inputMode="decimal" value={typed} onChange={(e) => setTyped(e.target.value)} />
      </div>
      <Button type="submit" disabled={!typed.trim()}>
        Keep
      </Button>
      <span role="status">{told}</span>
    </Form>
  );
}
