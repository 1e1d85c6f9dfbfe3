import { COMPLAINT_KINDS, COMPLAINT_NAMES } from '../../../core/words';
import { Form } from 'react-bootstrap';
import type { RoutineAsk, RoutineLine } from './find-routines';

const MINUTES = [5, 10, 15, 20, 30, 45] as const;

export function RoutineFilters({
  lines,
  ask,
  onAsk,
}: {
  lines: readonly RoutineLine[];
  ask: RoutineAsk;
  onAsk: (ask: RoutineAsk) => void;
}) {
  const schools = [...new Set(lines.map((l) => l.school))].sort();
  return (
    <div className="routine-filters">
      <Form.Control
        aria-label="Find a routine"
        placeholder="Name, place, way of working"
        maxLength={80}
        value={ask.text}
        onChange={(e) => onAsk({ ...ask, text: e.target.value })}
      />
      <Form.Select aria-label="Serves" value={ask.serves} onChange={(e) => onAsk({ ...ask, serves: e.target.value })}>
        <option value="">Serves anything</option>
        {COMPLAINT_KINDS.filter((k) => k !== 'other').map((k) => (
          <option key={k} value={k}>
            {COMPLAINT_NAMES[k]}
          </option>
        ))}
      </Form.Select>
      <Form.Select aria-label="School" value={ask.school} onChange={(e) => onAsk({ ...ask, school: e.target.value })}>
        <option value="">Any school</option>
        {schools.map((s) => (
          <option key={s}>{s}</option>
        ))}
      </Form.Select>
      <Form.Select
        aria-label="Length"
        value={ask.upTo ?? ''}
        onChange={(e) => onAsk({ ...ask, upTo: e.target.value ? Number(e.target.value) : null })}
      >
        <option value="">Any length</option>
        {MINUTES.map((m) => (
          <option key={m} value={m}>
            Up to {m} min
          </option>
        ))}
      </Form.Select>
      <Form.Select
        aria-label="Order of the list"
        value={ask.sort}
        onChange={(e) => onAsk({ ...ask, sort: e.target.value as RoutineAsk['sort'] })}
      >
        <option value="name">By name</option>
        <option value="used">Last used first</option>
        <option value="length">Shortest first</option>
        <option value="changed">Last changed first</option>
      </Form.Select>
    </div>
  );
}
