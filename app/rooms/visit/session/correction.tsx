import { hasEnded } from '../../../../core/record';
import { useId, useState } from 'react';
import { Button, Form as Fields } from 'react-bootstrap';
import { useRevalidator } from 'react-router';
import { useVisit } from './context';

/** An ended visit is opened for correction by saying why; nothing while it goes on. */
export function Correction({ what }: { what: string }) {
  const { stage, amending, setAmending } = useVisit();
  const [why, setWhy] = useState('');
  const [told, setTold] = useState('');
  const { revalidate } = useRevalidator();
  const id = useId();
  // Of a booking that came to nothing there is nothing to correct.
  if (!hasEnded(stage) || stage === 'cancelled' || stage === 'missed') return null;
  if (amending !== null)
    return (
      <p className="note-bar no-print" role="status">
        Open for correction, because: {amending}. Every value that is changed keeps its old one beside it.{' '}
        <Button
          size="sm"
          onClick={() => {
            setAmending(null);
            void revalidate();
          }}
        >
          Close again
        </Button>
      </p>
    );
  return (
    <form
      className="add-to no-print"
      onSubmit={(e) => {
        e.preventDefault();
        if (!why.trim()) return setTold('Say why: it stands beside each value that is changed.');
        setTold('');
        setAmending(why.trim());
      }}
    >
      <Fields.Label htmlFor={id}>Correct {what}, because</Fields.Label>
      <Fields.Control
        id={id}
        maxLength={2000}
        value={why}
        isInvalid={!!told}
        aria-describedby={`${id}-told`}
        onChange={(e) => setWhy(e.target.value)}
      />
      <Fields.Control.Feedback type="invalid" id={`${id}-told`}>
        {told}
      </Fields.Control.Feedback>
      <Button type="submit" variant="outline-primary" className="mt-2">
        Open for correction
      </Button>
    </form>
  );
}
