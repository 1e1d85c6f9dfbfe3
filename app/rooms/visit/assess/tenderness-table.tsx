import { NEWTON_PER_KGF, type ReadingPhase, TENDERNESS_WORDS, tendernessTotal } from '../../../../core/measures';
import { roundHalfAway } from '../../../../core/words';
import { MUSCLES } from '../../../../reference/facts/muscles';
import { palpationOf, USUAL_SITES } from '../../../../reference/facts/palpation';
import type { Place } from '../../../parts/chart/places';
import type { Choices } from '../../../parts/chart/use-picking';
import { SideMark } from '../../../parts/marks/marks';
import { Past, usePast } from './past';
import { useVisit } from '../session/context';
import { FeltElsewhereRow, type PressedAt } from './felt-elsewhere';
import { Scale } from './scale';

export function useTenderness(phase: ReadingPhase) {
  const { readings, setReading } = useVisit();
  const valueAt = (id: string, side: 'left' | 'right', p = phase) =>
    readings.find((r) => r.measure === 'tenderness' && r.place === id && r.side === side && r.phase === p)?.value;
  const entry = (
    measure: 'tenderness' | 'familiar-pain',
    id: string,
    side: 'left' | 'right',
    value: number | null,
  ) => ({ measure, complaintId: null, place: id, side, phase, value });
  const isFamiliar = (id: string, side: 'left' | 'right', p = phase) =>
    readings.some(
      (r) => r.measure === 'familiar-pain' && r.place === id && r.side === side && r.phase === p && r.value === 1,
    );
  /** Where nothing hurts, nothing can be familiar. */
  const set = (id: string, side: 'left' | 'right', value: number | null) =>
    setReading(
      entry('tenderness', id, side, value),
      ...(!value && isFamiliar(id, side) ? [entry('familiar-pain', id, side, null)] : []),
    );
  return {
    valueAt,
    set,
    isFamiliar,
    setFamiliar: (id: string, side: 'left' | 'right', yes: boolean) =>
      setReading(entry('familiar-pain', id, side, yes ? 1 : null)),
    /** What a press on the chart lays round the finger. */
    choices: {
      of: 'tenderness',
      options: TENDERNESS_WORDS.map((word, value) => ({ value, sign: String(value), word })),
      valueAt: (place: Place) => (place.side === 'midline' ? undefined : valueAt(place.id, place.side)),
      onChoose: (place: Place, value: number | null) => place.side !== 'midline' && set(place.id, place.side, value),
    } satisfies Choices,
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

/** With `elsewhere`, each tender muscle also asks where the press is felt. */
export function TendernessTable({
  phase,
  elsewhere,
}: {
  phase: ReadingPhase;
  elsewhere?: { from: PressedAt | null; onAsk: (from: PressedAt | null) => void };
}) {
  const { readings } = useVisit();
  const past = usePast();
  const { valueAt, set, isFamiliar, setFamiliar } = useTenderness(phase);
  const pressed = new Set(readings.filter((r) => r.measure === 'tenderness').map((r) => r.place));
  const sites = MUSCLES.filter((m) => (USUAL_SITES as readonly string[]).includes(m.id) || pressed.has(m.id));
  const was = (id: string, side: 'left' | 'right'): number[] =>
    phase === 'after'
      ? readings
          .filter((r) => r.measure === 'tenderness' && r.place === id && r.side === side && r.phase === 'before')
          .map((r) => r.value)
      : past({ measure: 'tenderness', place: id, side });
  const told = tendernessTotal(
    readings.filter((r) => r.measure === 'tenderness' && r.phase === phase).map((r) => r.value),
  );
  return (
    <table className="sites">
      <thead>
        <tr className="soft small">
          <th scope="col">Press with one fingertip</th>
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
              <span className="soft small d-block fw-normal">{forceWords(m.id)}</span>
            </th>
            {(['right', 'left'] as const).map((side) => {
              const value = valueAt(m.id, side);
              return (
                <td key={side} data-side={`client’s ${side}`}>
                  <div className="d-flex align-items-center gap-2">
                    <Scale
                      label={`${m.name}, client’s ${side}, 0 to 3`}
                      most={3}
                      value={value}
                      onChange={(v) => set(m.id, side, v)}
                    />
                    {value ? (
                      <button
                        type="button"
                        className="chip"
                        aria-pressed={isFamiliar(m.id, side)}
                        aria-label={`Your pain? ${m.name}, client’s ${side}`}
                        onClick={() => setFamiliar(m.id, side, !isFamiliar(m.id, side))}
                      >
                        your pain?
                      </button>
                    ) : null}
                    <span className="soft small">{value !== undefined ? TENDERNESS_WORDS[value] : ''}</span>
                  </div>
                  <Past values={was(m.id, side)} most={4} />
                  {elsewhere && value ? (
                    <FeltElsewhereRow
                      at={{ muscle: m.id, side }}
                      name={m.name}
                      asking={elsewhere.from?.muscle === m.id && elsewhere.from.side === side}
                      onAsk={elsewhere.onAsk}
                    />
                  ) : null}
                </td>
              );
            })}
          </tr>
        ))}
      </tbody>
      {told.mean !== null && (
        <caption className="small">
          Mean tenderness {roundHalfAway(told.mean, 1)} of 3 over {told.tested} {told.tested === 1 ? 'place' : 'places'}{' '}
          pressed.
        </caption>
      )}
    </table>
  );
}

/** A figure without a source carries no figure of newtons, so that it is not taken for measured. */
const forceWords = (id: string): string => {
  const { forceKgf, published } = palpationOf(id);
  return published
    ? `${forceKgf} kgf (${roundHalfAway(forceKgf * NEWTON_PER_KGF, 1)} N)`
    : `about ${forceKgf} kgf, common practice`;
};
