import type { PlaceRef } from '../../../../core/words';
import { useId, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { PLACE_INDEX } from '../../../../reference/place-index';
import { PLACE_CHOICES } from './place-choices';
import { Told, type Refused } from './controls';

const nameOf = (place: PlaceRef): string => PLACE_INDEX.placeName(place) ?? place.id;

/** The places of the path in working order: picked on the chart beside it, or added by name. */
export function PathFields({
  path,
  refused,
  onChange,
}: {
  path: readonly PlaceRef[];
  refused: Refused | null;
  onChange: (path: PlaceRef[]) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useState('');
  const found = PLACE_CHOICES.find((c) => c.label.toLowerCase() === typed.trim().toLowerCase());
  const moved = (from: number, to: number): PlaceRef[] => {
    const next = [...path];
    const [one] = next.splice(from, 1);
    next.splice(to, 0, one!);
    return next;
  };
  const add = () => {
    if (!found) return;
    onChange([...path, found.place]);
    setTyped('');
  };
  return (
    <div>
      <ol className="path-list" aria-label="Path, in working order">
        {path.map((place, i) => (
          <li key={i}>
            <span className="flex-grow-1">{nameOf(place)}</span>
            <Button
              size="sm"
              variant="outline-primary"
              disabled={i === 0}
              aria-label={`Earlier: ${nameOf(place)}`}
              onClick={() => onChange(moved(i, i - 1))}
            >
              ↑
            </Button>
            <Button
              size="sm"
              variant="outline-primary"
              disabled={i === path.length - 1}
              aria-label={`Later: ${nameOf(place)}`}
              onClick={() => onChange(moved(i, i + 1))}
            >
              ↓
            </Button>
            <Button
              size="sm"
              variant="outline-primary"
              aria-label={`Take off the path: ${nameOf(place)}`}
              onClick={() => onChange(path.filter((_p, j) => j !== i))}
            >
              ×
            </Button>
          </li>
        ))}
      </ol>
      {!path.length && (
        <p className="soft small">
          No place yet: click places on the chart in working order; points, muscles, landmarks and nodes are layers
          there.
        </p>
      )}
      <div className="d-flex gap-2 align-items-end">
        <div className="flex-grow-1">
          <Form.Label className="mb-0" htmlFor={id}>
            Add a place by name
          </Form.Label>
          <Form.Control
            id={id}
            list={`${id}-list`}
            value={typed}
            maxLength={80}
            onChange={(e) => setTyped(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter') return;
              e.preventDefault();
              add();
            }}
          />
          <datalist id={`${id}-list`}>
            {PLACE_CHOICES.map((c) => (
              <option key={`${c.place.kind}:${c.place.id}`} value={c.label} />
            ))}
          </datalist>
        </div>
        <Button variant="outline-primary" disabled={!found} onClick={add}>
          Add
        </Button>
      </div>
      <Told path="work.path" refused={refused} />
    </div>
  );
}
