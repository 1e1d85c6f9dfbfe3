import { Button, Form } from 'react-bootstrap';

/** What is noted most, one touch each. Common practice, no source. */
const WORDS = [
  'Softer',
  'Warmer',
  'Tender here',
  'Ache moves',
  'Pulse felt',
  'Breath deeper',
  'Jaw lets go',
  'No change',
];

/** A few words at this moment; the run goes on meanwhile. */
export function NotePanel({
  text,
  onText,
  onNote,
  onCompare,
  onCancel,
}: {
  text: string;
  onText: (text: string) => void;
  onNote: (words: string) => void;
  onCompare: () => void;
  onCancel: () => void;
}) {
  return (
    <form
      className="ask-in-place"
      onKeyDown={(e) => e.key === 'Escape' && onCancel()}
      onSubmit={(e) => {
        e.preventDefault();
        if (text.trim()) onNote(text.trim());
      }}
    >
      <div className="chips">
        {WORDS.map((w) => (
          <button key={w} type="button" className="chip" onClick={() => onNote(w)}>
            {w}
          </button>
        ))}
      </div>
      <Form.Label htmlFor="guide-words" className="mb-0">
        Note at this moment
      </Form.Label>
      <Form.Control id="guide-words" autoFocus maxLength={500} value={text} onChange={(e) => onText(e.target.value)} />
      <div className="d-flex gap-2 flex-wrap">
        <Button type="submit">Keep the note</Button>
        <Button variant="outline-primary" onClick={onCompare}>
          Compare the sides
        </Button>
        <Button variant="outline-primary" onClick={onCancel}>
          Go back
        </Button>
      </div>
    </form>
  );
}
