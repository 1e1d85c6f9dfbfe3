import { FELT_WORDS } from '../../../../core/measures';
import { type Region, REGION_NAMES, type Side } from '../../../../core/words';
import { Button } from 'react-bootstrap';
import { REGION_PATCHES } from '../../../../reference/facts/other-places';
import type { Place } from '../../../parts/chart/places';
import type { Choices, Pick } from '../../../parts/chart/use-picking';
import { useVisit } from '../session/context';
import { usePast } from './past';

/** The walk through the face from top to bottom. Common practice, no source. */
const SCANNED: readonly Region[] = [
  'scalp',
  'forehead',
  'brow',
  'upper-lid',
  'temple',
  'nose',
  'cheek',
  'lips',
  'jaw',
  'chin',
  'neck-front',
  'neck-side',
  'neck-back',
  'shoulder',
];
const PAIRED = new Map(REGION_PATCHES.map((r) => [r.id, r.paired]));

/** A key for each of the words. */
const FELT_KEYS = ['n', 'e', 't'];

/** What is felt from inside, by region and side, before or after the work. */
export function useScan(phase: 'before' | 'after') {
  const { readings, setReading } = useVisit();
  const past = usePast();
  const find = (id: string, side: Side, at = phase) =>
    readings.find((r) => r.measure === 'region-felt' && r.place === id && r.side === side && r.phase === at)?.value;
  const set = (id: string, side: Side, value: number | null) =>
    setReading({ measure: 'region-felt', complaintId: null, place: id, side, phase, value });
  const places = SCANNED.flatMap((id): Place[] =>
    PAIRED.get(id)
      ? [
          { kind: 'region', id, side: 'right' },
          { kind: 'region', id, side: 'left' },
        ]
      : [{ kind: 'region', id, side: 'midline' }],
  );
  const valueAt = (id: string, side: Side) => find(id, side);
  /** What a press on the chart lays round the finger. */
  const choices = {
    of: 'what is felt there',
    options: FELT_WORDS.map((word, value) => ({ value, sign: FELT_KEYS[value]!, word })),
    valueAt: (place: Place) => find(place.id, place.side),
    onChoose: (place: Place, value: number | null) => set(place.id, place.side, value),
  } satisfies Choices;
  /** t, e and n set, Backspace takes away. */
  const key = (place: Place, pressed: string): boolean => {
    const at = FELT_KEYS.indexOf(pressed);
    if (at < 0 && pressed !== 'Backspace' && pressed !== 'Delete') return false;
    set(place.id, place.side, at < 0 ? null : at);
    return true;
  };
  return {
    places,
    valueAt,
    wasAt: (id: string, side: Side) =>
      phase === 'after' ? find(id, side, 'before') : past({ measure: 'region-felt', place: id, side }).at(-1),
    set,
    /** Everything told, for the chart. */
    told: places.flatMap((place) => {
      const value = valueAt(place.id, place.side);
      return value === undefined ? [] : [{ place, value }];
    }),
    /** What a touch on the chart means while the scan is on. */
    pick: (closed: boolean): Pick => ({
      places: places.map((place) => {
        const value = valueAt(place.id, place.side);
        return {
          place,
          name: REGION_NAMES[place.id as Region],
          region: null,
          state: value === undefined ? 'not told' : FELT_WORDS[value],
        };
      }),
      choices: closed ? undefined : choices,
      onKey: closed ? undefined : key,
    }),
  };
}

export function ScanSection({
  phase,
  on,
  onScan,
}: {
  phase: 'before' | 'after';
  on: boolean;
  onScan: (on: boolean) => void;
}) {
  const scan = useScan(phase);
  const { ended } = useVisit();
  const done = scan.places.filter((p) => scan.valueAt(p.id, p.side) !== undefined);
  const tense = done.filter((p) => scan.valueAt(p.id, p.side) === 2);
  return (
    <section className="section">
      <div className="d-flex align-items-baseline gap-3">
        <h2>{phase === 'after' ? 'Scan again from inside' : 'Scan from inside'}</h2>
        {!ended && (
          <Button size="sm" variant="outline-primary" aria-pressed={on} onClick={() => onScan(!on)}>
            {on ? 'Close the scan' : 'Scan'}
          </Button>
        )}
        <span className="soft small">
          {done.length
            ? `${done.length} of ${scan.places.length} told, ${tense.length} tense`
            : 'eyes shut: tense, at ease, or nothing noticed'}
        </span>
      </div>
      {on ? (
        <table className="sites scan">
          <thead>
            <tr className="soft small">
              <th scope="col">Tap the chart, or choose</th>
              <th scope="col">Client’s right</th>
              <th scope="col">Client’s left</th>
            </tr>
          </thead>
          <tbody>
            {SCANNED.map((id) => (
              <tr key={id}>
                <th scope="row">{REGION_NAMES[id]}</th>
                {PAIRED.get(id) ? (
                  (['right', 'left'] as const).map((side) => (
                    <td key={side} data-side={`client’s ${side}`}>
                      <Felt id={id} side={side} scan={scan} />
                    </td>
                  ))
                ) : (
                  <td colSpan={2}>
                    <Felt id={id} side="midline" scan={scan} />
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      ) : (
        tense.length > 0 && (
          <p className="small mb-0">
            Tense:{' '}
            {tense.map((p) => `${REGION_NAMES[p.id as Region]}${p.side === 'midline' ? '' : ` ${p.side}`}`).join(', ')}.
          </p>
        )
      )}
    </section>
  );
}

function Felt({ id, side, scan }: { id: Region; side: Side; scan: ReturnType<typeof useScan> }) {
  const value = scan.valueAt(id, side);
  const was = scan.wasAt(id, side);
  const where = `${REGION_NAMES[id]}${side === 'midline' ? '' : `, client’s ${side}`}`;
  return (
    <div className="chips" role="group" aria-label={where}>
      {[2, 1, 0].map((v) => (
        <button
          key={v}
          type="button"
          className="chip"
          aria-pressed={value === v}
          aria-label={`${where}: ${FELT_WORDS[v]}`}
          onClick={() => scan.set(id, side, value === v ? null : v)}
        >
          {v === 0 ? 'nothing' : FELT_WORDS[v]}
        </button>
      ))}
      {value === undefined && was !== undefined && <span className="soft small">was {FELT_WORDS[was]}</span>}
    </div>
  );
}
