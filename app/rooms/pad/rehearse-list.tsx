import { PAD_KINDS, type KeptTry } from '../../../core/touch';
import { Form } from 'react-bootstrap';
import { MotionGlyph } from '../../parts/marks/glyph';
import { PressureDot } from '../../parts/marks/marks';
import { offered, type Rehearsal } from './rehearsal';

const SHOWN = 6;

/** What was tried last, and one of each kind that was not tried yet; the rest by name. */
export function RehearseList({
  rehearsals,
  tries,
  chosen,
  onChoose,
}: {
  rehearsals: readonly Rehearsal[];
  tries: readonly KeptTry[];
  chosen: string;
  onChoose: (technique: string) => void;
}) {
  const last = new Map(tries.map((t) => [t.technique, t]));
  const known = [...last.keys()].toReversed().flatMap((id) => rehearsals.find((r) => r.technique === id) ?? []);
  const fresh = PAD_KINDS.flatMap((kind) => {
    const left = rehearsals.filter((r) => !last.has(r.technique));
    return offered(left, kind) ?? [];
  });
  const listed = [...known, ...fresh].slice(0, SHOWN);
  const shown = listed.some((r) => r.technique === chosen)
    ? listed
    : [rehearsals.find((r) => r.technique === chosen)!, ...listed].slice(0, SHOWN);
  return (
    <section className="pad-rehearse">
      <h2>Rehearse</h2>
      <ul>
        {shown.map((r) => {
          const share = last.get(r.technique)?.score.inAimShare;
          return (
            <li key={r.technique}>
              <button type="button" aria-pressed={r.technique === chosen} onClick={() => onChoose(r.technique)}>
                <MotionGlyph motion={r.motion} />
                <span>
                  <strong>{r.name}</strong>
                  <span className="soft small">
                    <PressureDot pressure={r.pressure} /> {r.pressure}
                  </span>
                </span>
                <span className="num">
                  {share === undefined || share === null ? 'not yet' : `${Math.round(share * 100)} %`}
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      <p className="soft small">% of the pressing time in the aim, last try</p>
      <Form.Select
        aria-label="Another technique"
        size="sm"
        value=""
        onChange={(e) => e.target.value && onChoose(e.target.value)}
      >
        <option value="">Another technique …</option>
        {[...rehearsals]
          .sort((a, b) => a.name.localeCompare(b.name))
          .map((r) => (
            <option key={r.technique} value={r.technique}>
              {r.name}
            </option>
          ))}
      </Form.Select>
    </section>
  );
}
