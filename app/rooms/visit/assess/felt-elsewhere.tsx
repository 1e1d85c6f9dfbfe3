import { type FeltElsewhere, feltWords } from '../../../../core/record';
import { type OneSide, otherSide, REGION_NAMES } from '../../../../core/words';
import { Button, Form } from 'react-bootstrap';
import { REGION_PATCHES } from '../../../../reference/facts/other-places';
import type { Place } from '../../../parts/chart/places';
import { useVisit } from '../session/context';

export interface PressedAt {
  muscle: string;
  side: OneSide;
}
const same = (a: FeltElsewhere, b: FeltElsewhere) =>
  a.muscle === b.muscle && a.side === b.side && a.to === b.to && a.toSide === b.toSide;

/** Where presses were felt elsewhere, and how that is entered. */
export function useFeltElsewhere() {
  const { findings, setFindings } = useVisit();
  const write = (feltElsewhere: FeltElsewhere[]) => setFindings({ ...findings, feltElsewhere });
  return {
    all: findings.feltElsewhere,
    of: (at: PressedAt) => findings.feltElsewhere.filter((f) => f.muscle === at.muscle && f.side === at.side),
    toggle: (at: PressedAt, to: Pick<FeltElsewhere, 'to' | 'toSide'>) => {
      const one = { ...at, ...to };
      write(
        findings.feltElsewhere.some((f) => same(f, one))
          ? findings.feltElsewhere.filter((f) => !same(f, one))
          : [...findings.feltElsewhere, one],
      );
    },
  };
}

/** Regions on the side of the press first: that is where most of it is felt. */
function choicesFor(side: OneSide): { to: FeltElsewhere['to']; toSide: FeltElsewhere['toSide']; words: string }[] {
  const other = otherSide(side);
  const on = (s: OneSide) =>
    REGION_PATCHES.filter((r) => r.paired).map((r) => ({ to: r.id, toSide: s, words: `${REGION_NAMES[r.id]}, ${s}` }));
  return [
    ...on(side),
    ...REGION_PATCHES.filter((r) => !r.paired).map((r) => ({
      to: r.id,
      toSide: 'midline' as const,
      words: REGION_NAMES[r.id],
    })),
    ...on(other),
  ];
}

/** Below a pressed muscle: where it was felt, each with a way out, and one more by tapping the chart or from the list. */
export function FeltElsewhereRow({
  at,
  name,
  asking,
  onAsk,
}: {
  at: PressedAt;
  name: string;
  asking: boolean;
  onAsk: (at: PressedAt | null) => void;
}) {
  const felt = useFeltElsewhere();
  const here = felt.of(at);
  const label = `${name}, client’s ${at.side}`;
  return (
    <div className="felt-row">
      {here.map((f) => (
        <button
          key={feltWords(f)}
          type="button"
          className="chip"
          aria-label={`Take away: ${label}, felt in ${feltWords(f)}`}
          onClick={() => felt.toggle(at, f)}
        >
          → {feltWords(f)} <span aria-hidden="true">×</span>
        </button>
      ))}
      {asking ? (
        <>
          <Form.Select
            size="sm"
            className="w-auto d-inline-block"
            autoFocus
            aria-label={`Where is it felt? ${label}`}
            value=""
            onKeyDown={(e) => e.key === 'Escape' && onAsk(null)}
            onChange={(e) => {
              const [to, toSide] = e.target.value.split('.') as [FeltElsewhere['to'], FeltElsewhere['toSide']];
              felt.toggle(at, { to, toSide });
            }}
          >
            <option value="">tap the chart, or choose …</option>
            {choicesFor(at.side)
              .filter((c) => !here.some((f) => f.to === c.to && f.toSide === c.toSide))
              .map((c) => (
                <option key={c.words} value={`${c.to}.${c.toSide}`}>
                  {c.words}
                </option>
              ))}
          </Form.Select>
          <Button variant="link" onClick={() => onAsk(null)}>
            Done
          </Button>
        </>
      ) : (
        <button type="button" className="chip" aria-label={`Felt elsewhere? ${label}`} onClick={() => onAsk(at)}>
          felt elsewhere?
        </button>
      )}
    </div>
  );
}

/** The region of a way, as a place of the chart. */
export const regionPlace = (f: Pick<FeltElsewhere, 'to' | 'toSide'>): Place => ({
  kind: 'region',
  id: f.to,
  side: f.toSide,
});
