import type { ReadingPhase } from '../../core/measures/reading';
import { TENDERNESS_WORDS } from '../../core/measures/tenderness';
import { MUSCLES } from '../../reference/muscles';
import type { Place } from '../chart/places';
import { SideMark } from '../ui/marks';
import { useVisit } from './context';
import { Scale } from './scale';

/** Muscles that are pressed at every visit; others are entered on the chart and then listed too. */
export const USUAL_SITES = ['masseter-superficial', 'temporalis-anterior', 'temporalis-middle', 'temporalis-posterior'] as const;

export function useTenderness(phase: ReadingPhase) {
  const { readings, setReading } = useVisit();
  const valueAt = (id: string, side: 'left' | 'right', p = phase) => readings.find((r) => r.measure === 'tenderness' && r.place === id && r.side === side && r.phase === p)?.value;
  const set = (id: string, side: 'left' | 'right', value: number | null) => setReading({ measure: 'tenderness', complaintId: null, place: id, side, phase, value });
  return {
    valueAt,
    set,
    /** A tap on the chart goes 0, 1, 2, 3 and away again. */
    tap: (place: Place) => {
      if (place.side === 'midline') return;
      const now = valueAt(place.id, place.side);
      set(place.id, place.side, now === undefined ? 0 : now === 3 ? null : now + 1);
    },
    /** Digits set, Backspace takes away. */
    key: (place: Place, key: string): boolean => {
      if (place.side === 'midline') return false;
      if (/^[0-3]$/.test(key)) set(place.id, place.side, Number(key));
      else if (key === 'Backspace' || key === 'Delete') set(place.id, place.side, null);
      else return false;
      return true;
    },
  };
}

export function TendernessTable({ phase }: { phase: ReadingPhase }) {
  const { readings, earlier } = useVisit();
  const { valueAt, set } = useTenderness(phase);
  const pressed = new Set(readings.filter((r) => r.measure === 'tenderness').map((r) => r.place));
  const sites = MUSCLES.filter((m) => (USUAL_SITES as readonly string[]).includes(m.id) || pressed.has(m.id));
  const was = (id: string, side: string) => (phase === 'after' ? readings.find((r) => r.measure === 'tenderness' && r.place === id && r.side === side && r.phase === 'before') : earlier.findLast((r) => r.measure === 'tenderness' && r.place === id && r.side === side))?.value;
  return (
    <table className="sites">
      <thead>
        <tr className="soft small">
          <th scope="col">Press 2 s, firmly</th>
          <th scope="col">
            <SideMark side="right" size={10} /> Client’s right
          </th>
          <th scope="col">
            <SideMark side="left" size={10} /> Client’s left
          </th>
        </tr>
      </thead>
      <tbody>
        {sites.map((m) => (
          <tr key={m.id}>
            <th scope="row" className="fw-bold" title={m.find}>
              {m.name}
            </th>
            {(['right', 'left'] as const).map((side) => {
              const value = valueAt(m.id, side);
              const last = was(m.id, side);
              return (
                <td key={side}>
                  <div className="d-flex align-items-center gap-2">
                    <Scale label={`${m.name}, client’s ${side}, 0 to 3`} most={3} value={value} onChange={(v) => set(m.id, side, v)} />
                    <span className="soft small">{value !== undefined ? TENDERNESS_WORDS[value] : last !== undefined ? `was ${last}` : ''}</span>
                  </div>
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
