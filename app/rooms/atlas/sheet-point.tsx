import {
  type ClientInch,
  clientInches,
  type ClientMeasures,
  distanceWords,
  inchesOf,
  pointDistance,
  type PointRow,
} from '../../../core/atlas';
import { REGION_NAMES } from '../../../core/words';
import { Form as BsForm } from 'react-bootstrap';
import { useSearchParams } from 'react-router';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { TECHNIQUES } from '../../../reference/catalogue';
import { landmarkName } from '../../../reference/facts/landmarks';
import { POINTS } from '../../../reference/facts/points';
import { tapeBetween } from '../../parts/chart/bodies';
import { placesOn } from '../../parts/chart/places';
import { CautionList, MarkNote, MuscleLinks, Row, TechniqueLinks } from './sheet-parts';

export interface WhoseMeasures {
  name: string;
  measures: ClientMeasures;
}

const SOURCES: Record<ClientInch['source'], string> = {
  measured: 'measured on this client',
  finger: 'from the client’s finger',
  average: 'adult average, not measured',
};

/** How far the point lies from its landmark, on this client or on the average adult. */
function PointDistanceNote({ point, whose }: { point: PointRow; whose: WhoseMeasures | null }) {
  const inches = clientInches(BODY_INCHES, whose?.measures ?? {});
  const distance = pointDistance(point, inches);
  const units = [...new Set(Object.values(inchesOf(point)))]
    .map((id) => inches[id])
    .filter((u) => distance.legs.some((l) => l.inch === u.id));
  return (
    <>
      <strong>{distanceWords(distance, landmarkName)}</strong>{' '}
      {distance.legs.length > 0 && (whose ? `on ${whose.name}` : 'on the average adult')}
      {units.map((u) => (
        <div key={u.id} className="soft small">
          1 {BODY_INCHES.find((b) => b.id === u.id)!.name} = {u.mm.toFixed(1)} mm ± {(2 * u.errorMm).toFixed(1)},{' '}
          {SOURCES[u.source]}
        </div>
      ))}
    </>
  );
}

export function PointSheet({ point, whose }: { point: PointRow; whose: WhoseMeasures | null }) {
  const [query, setQuery] = useSearchParams();
  const used = TECHNIQUES.filter((t) => t.points.includes(point.id));
  const second = POINTS.find((p) => p.id === query.get('with') && p.id !== point.id);
  const columns = second ? [point, second] : [point];
  return (
    <>
      <h2>
        {point.id} {point.name} <span className="soft">“{point.gloss}”</span>
      </h2>
      <p className="soft">
        {REGION_NAMES[point.region]}, {point.paired ? 'both sides' : 'on the midline'} <MarkNote mark={point.mark} />
      </p>
      <div className="no-print compare-with">
        <BsForm.Select
          size="sm"
          aria-label="Compare with another point"
          value={second?.id ?? ''}
          onChange={(e) => {
            const next = new URLSearchParams(query);
            if (e.target.value) next.set('with', e.target.value);
            else next.delete('with');
            setQuery(next, { preventScrollReset: true });
          }}
        >
          <option value="">Compare with …</option>
          {POINTS.filter((p) => p.id !== point.id).map((p) => (
            <option key={p.id} value={p.id}>
              {p.id} {p.name}
            </option>
          ))}
        </BsForm.Select>
        {second && <span className="soft small">{apartWords(point, second)}</span>}
      </div>
      <div className={second ? 'sheet-columns' : undefined}>
        {columns.map((p) => (
          <dl key={p.id} className="sheet">
            {second && (
              <div className="sheet-row">
                <dt />
                <dd>
                  <strong>
                    {p.id} {p.name}
                  </strong>
                </dd>
              </div>
            )}
            <Row label="Where">{p.where}</Row>
            <Row label="From its landmark">
              <PointDistanceNote point={p} whose={whose} />
            </Row>
            <Row label="Find it">{p.find}</Row>
            <Row label="Press">{p.press}</Row>
            <Row label="Muscles under it">
              {p.muscles.length ? <MuscleLinks ids={p.muscles} /> : null}
              {p.limbMuscles.join(', ')}
            </Row>
            <Row label="Also under it">{p.under.join('; ')}</Row>
            <Row label="Tradition uses it for">
              {p.tradition.map((t) => t.replace('-', ' ')).join(', ')}{' '}
              <span className="mark-note">tradition, not evidence</span>
            </Row>
          </dl>
        ))}
      </div>
      <CautionList keys={[...new Set(columns.flatMap((p) => p.cautions))]} />
      <TechniqueLinks title="In techniques" techniques={used} />
    </>
  );
}

/** How far apart two points lie over the skin of the drawn body. */
function apartWords(a: PointRow, b: PointRow): string {
  const [p, q] = [a, b].map((x) => placesOn({ kind: 'point', id: x.id }, 'left')[0]);
  const mm = p && q ? tapeBetween(p, q) : null;
  return mm === null
    ? 'not on the same drawing'
    : `${Math.round(mm)} mm apart, a tape over the skin of the drawn adult`;
}
