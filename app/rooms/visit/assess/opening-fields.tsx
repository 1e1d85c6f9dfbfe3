import {
  betweenEdges,
  fingerReadings,
  LIMITED_BELOW_MM,
  openingBand,
  openingChange,
  openingFromFingers,
  openingFromRuler,
  type OpeningKey,
  openingsContradict,
  type ReadingPhase,
} from '../../../../core/measures';
import { useVisit } from '../session/context';
import type { JawLook } from './jaw-look';
import { useJawReadings, type JawReadings } from './jaw-readings';
import { JawMovementFields } from './jaw-movement-fields';
import { MmField } from './mm-field';
import { Scale } from './scale';

const CHANGE_WORDS = {
  'within-error': 'within measuring error',
  possible: 'a possible change',
  'beyond-error': 'beyond measuring error',
} as const;

/** Mouth opening by ruler and by finger widths, with its band and, on re-test, what the change is worth. */
export function OpeningFields({
  phase,
  onLook = () => {},
}: {
  phase: ReadingPhase;
  /** What of the jaw is being typed; null when nothing is any more. */
  onLook?: (look: JawLook | null) => void;
}) {
  const jaw = useJawReadings(phase);
  const { client } = useVisit();
  const fingers = jaw.of('opening-fingers');
  const widths = client.fingerWidthsMm;
  const range =
    fingers !== undefined && widths && fingers <= widths.length ? openingFromFingers(widths, fingers) : null;
  /** After the work what was measured before it. */
  const isAsked = (measure: OpeningKey) => phase === 'before' || jaw.was(measure) !== undefined;
  const openings = {
    'opening-mm': jaw.of('opening-mm'),
    'opening-furthest-mm': jaw.of('opening-furthest-mm'),
    'opening-assisted-mm': jaw.of('opening-assisted-mm'),
  };
  return (
    <div
      onBlur={(e) => {
        if (!e.currentTarget.contains(e.relatedTarget)) onLook(null);
      }}
    >
      <div className="field-row">
        <OpeningField jaw={jaw} measure="opening-mm" label="Comfortable opening, mm" phase={phase} onLook={onLook} />
        {isAsked('opening-furthest-mm') && (
          <OpeningField
            jaw={jaw}
            measure="opening-furthest-mm"
            label="Furthest alone, mm"
            phase={phase}
            onLook={onLook}
          />
        )}
        {isAsked('opening-assisted-mm') && (
          <OpeningField
            jaw={jaw}
            measure="opening-assisted-mm"
            label="Gently helped, mm"
            phase={phase}
            onLook={onLook}
          />
        )}
        {phase === 'before' && (
          <MmField
            label="Overlap of the teeth, mm"
            value={jaw.overlapMm}
            check={jaw.checkOverlap}
            onValue={jaw.setOverlap}
            note={
              jaw.overlapMm === undefined
                ? lastWords(jaw, 'overlap-mm', 'At rest; minus for an open bite.')
                : 'Added to each opening.'
            }
          />
        )}
        <div style={{ width: 300 }}>
          <div className="form-label">Own fingers that fit, index first</div>
          <Scale
            label="Own fingers that fit, 0 to 4"
            most={4}
            value={fingers}
            onChange={(v) => jaw.set('opening-fingers', v)}
          />
          <div className="soft small">
            {fingers === undefined
              ? 'Say when strain is felt.'
              : range
                ? `At least ${range.leastMm} mm${range.belowMm === null ? '' : `, less than ${range.belowMm} mm`} by this client’s own fingers.`
                : `By count: ${fingerReadings(fingers, null).countOnly}. Measure the fingers under Details to get millimetres.`}
          </div>
        </div>
      </div>
      {openingsContradict(openings) && (
        <p role="alert" className="caution small mb-0">
          These openings do not go together: the comfortable one is never wider than the furthest, nor that than the
          helped one. Measure again.
        </p>
      )}
      {(phase === 'before' || jaw.hasMoved) && <JawMovementFields jaw={jaw} onLook={onLook} />}
    </div>
  );
}

const lastWords = (jaw: JawReadings, measure: 'overlap-mm', otherwise: string): string => {
  const was = jaw.was(measure);
  return was === undefined ? otherwise : `Last time ${was} mm.`;
};

/** Typed is what the ruler shows between the edges; kept is that with the overlap. */
function OpeningField({
  jaw,
  measure,
  label,
  phase,
  onLook,
}: {
  jaw: JawReadings;
  measure: OpeningKey;
  label: string;
  phase: ReadingPhase;
  onLook: (look: JawLook) => void;
}) {
  const overlap = jaw.overlapMm ?? 0;
  const mm = jaw.of(measure);
  const was = jaw.was(measure);
  // After the work only the comfortable one is taken again; the rule is told once, on the opening it is about.
  const { readings } = useVisit();
  const isHelped = readings.some((r) => r.measure === 'opening-assisted-mm' && r.phase === 'before');
  const edges = mm === undefined ? undefined : betweenEdges(mm, overlap);
  return (
    <MmField
      label={label}
      value={edges}
      past={jaw.past(measure)}
      onTyping={(typedMm) => onLook({ at: 'opening', measure, typedMm, wasMm: mm ?? null })}
      check={(typed) => {
        jaw.check(measure)(openingFromRuler(jaw.check(measure)(typed), overlap).openingMm);
        return typed;
      }}
      onValue={(typed) => jaw.set(measure, typed === null ? null : openingFromRuler(typed, overlap).openingMm)}
      note={
        mm === undefined
          ? was !== undefined
            ? `${phase === 'after' ? 'Before' : 'Last time'} ${was} mm.`
            : 'Between the front teeth, 0 to 90 mm.'
          : openingWords(measure, mm, overlap, was, isHelped)
      }
    />
  );
}

/**
 * The published 40 mm rule is about the helped opening; when that was not taken, the same figure is only a level of
 * caution, and is told on the opening that was.
 */
function openingWords(
  measure: OpeningKey,
  mm: number,
  overlap: number,
  was: number | undefined,
  assisted: boolean,
): string {
  const sum =
    overlap === 0 ? '' : `${betweenEdges(mm, overlap)} ${overlap < 0 ? '−' : '+'} ${Math.abs(overlap)} = ${mm} mm. `;
  const told = measure === 'opening-assisted-mm' || (measure === 'opening-mm' && !assisted);
  const limited = openingBand(mm) === 'limited';
  const band = !told
    ? ''
    : limited
      ? `Below ${LIMITED_BELOW_MM} mm: ${assisted ? 'limited by the published rule' : 'taken as limited'}`
      : `${LIMITED_BELOW_MM} mm or more: not limited`;
  const change = was === undefined ? '' : `${was} → ${mm} mm is ${CHANGE_WORDS[openingChange(was, mm)]}`;
  const words = [band, change].filter(Boolean).join('; ');
  return `${sum}${words && `${words}.`}`;
}
