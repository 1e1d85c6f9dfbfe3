import { Button, Form } from 'react-bootstrap';
import { useProductToday } from '../screen/product-choice';
import { useVisit } from '../session/context';

/** What is written at the end: notes, the product, what to tell next time. What the server did not take says so there. */
export function RecordWords() {
  const { record, setRecord, save } = useVisit();
  const planned = useProductToday().chosen?.name;
  const text = (key: 'note' | 'product' | 'tellNext', label: string, most: number, rows: number) => {
    const refused = save.refused.find((w) => w.field === `patch.record.${key}`)?.message;
    return (
      <Form.Group controlId={key} className={rows > 1 ? 'wide' : undefined}>
        <Form.Label>{label}</Form.Label>
        <Form.Control
          {...(rows > 1 ? { as: 'textarea' as const, rows } : {})}
          maxLength={most}
          value={record[key]}
          isInvalid={!!refused}
          aria-describedby={`${key}-refused`}
          onChange={(e) => setRecord({ ...record, [key]: e.target.value })}
        />
        <Form.Control.Feedback type="invalid" id={`${key}-refused`}>
          {refused}
        </Form.Control.Feedback>
      </Form.Group>
    );
  };
  return (
    <>
      {text('note', 'Notes', 2000, 2)}
      {text('tellNext', 'To tell the client next time', 2000, 2)}
      <div>
        {text('product', 'Product used', 200, 1)}
        {planned && !record.product && (
          <Button variant="link" onClick={() => setRecord({ ...record, product: planned })}>
            As planned: {planned}
          </Button>
        )}
      </div>
    </>
  );
}
