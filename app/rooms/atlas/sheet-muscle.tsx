import type { MuscleRow } from '../../../core/atlas';
import { REGION_NAMES } from '../../../core/words';
import { TECHNIQUES } from '../../../reference/catalogue';
import { POINTS } from '../../../reference/facts/points';
import { CautionList, MarkNote, PointLinks, Row, TechniqueLinks } from './sheet-parts';

const VIEW_FROM: Record<MuscleRow['view'], string> = {
  front: 'seen from the front',
  profile: 'seen from the side',
  back: 'seen from behind',
  top: 'seen from above',
  chest: 'seen from the front',
};

/** Which way the fibres run, in words that need no protractor. */
function fibreWords(m: MuscleRow): string {
  if (m.fibreDegrees === null)
    return m.fan?.kind === 'ring'
      ? 'in a ring'
      : m.id === 'epicranial-aponeurosis'
        ? 'a sheet, pulled front to back'
        : 'no single direction';
  const d = m.fibreDegrees;
  const steep = Math.min(Math.abs(d - 90), 90);
  const lean = steep <= 12 ? 'upright' : steep >= 78 ? 'level' : `${Math.round(90 - steep)}° from level`;
  if (steep <= 12 || steep >= 78) return `${lean}, ${VIEW_FROM[m.view]}`;
  const side =
    m.view === 'profile'
      ? d < 90
        ? 'rising forward'
        : 'rising backward'
      : m.view === 'back'
        ? d < 90
          ? 'rising outward'
          : 'falling outward'
        : d > 90
          ? 'rising outward'
          : 'falling outward';
  return `${side}, ${lean}, ${VIEW_FROM[m.view]}`;
}

export function MuscleSheet({ muscle: m }: { muscle: MuscleRow }) {
  const points = POINTS.filter((p) => p.muscles.includes(m.id)).map((p) => p.id);
  const techniques = TECHNIQUES.filter((t) => t.muscles.includes(m.id));
  return (
    <>
      <h2>{m.name}</h2>
      <p className="soft">
        {m.id.replaceAll('-', ' ')}, {REGION_NAMES[m.region]}, {m.layer}
      </p>
      <dl className="sheet">
        <Row label="Feel it">{m.find}</Row>
        <Row label="Origin">{m.origin}</Row>
        <Row label="Insertion">{m.insertion}</Row>
        <Row label="Action">{m.action}</Row>
        <Row label="Nerve">{m.nerve}</Row>
        <Row label="Fibres">{fibreWords(m)}</Row>
        <Row label="Pain is often felt">
          {m.referral.words || 'not charted'} <MarkNote mark={m.referral.mark} />
        </Row>
        <Row label="Work">{m.work}</Row>
        {points.length > 0 && (
          <Row label="Points over it">
            <PointLinks ids={points} />
          </Row>
        )}
      </dl>
      <CautionList keys={m.cautions} />
      <TechniqueLinks title="Techniques" techniques={techniques} />
    </>
  );
}
