import { CLIENT_MEASURES, type LandmarkRow, type NodeRow, wayToTerminus } from '../../../core/atlas';
import { doseWords, groundWords, pathWords, type Technique } from '../../../core/routine';
import { DOER_NAMES, NEED_NAMES, PHASE_NAMES, REGION_NAMES, GLIDE_NAMES, CONTACT_NAMES } from '../../../core/words';
import { Link } from 'react-router';
import { CATALOGUE } from '../../../reference/catalogue';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { DRAINAGE_PATHS, LYMPH_NODES } from '../../../reference/facts/lymph';
import { POINTS } from '../../../reference/facts/points';
import { MotionGlyph } from '../../parts/marks/glyph';
import { SIDE_PLAN_NAMES } from '../../parts/marks/marks';
import { CautionList, MarkNote, MuscleLinks, PointLinks, Row, SheetLink } from './sheet-parts';
import { strokeNotes } from './stroke-notes';

const nodeName = (id: string) => LYMPH_NODES.find((n) => n.id === id)?.name ?? id;

export function NodeSheet({ node }: { node: NodeRow }) {
  const strokes = DRAINAGE_PATHS.filter((p) => p.to === node.id);
  return (
    <>
      <h2>Nodes: {node.name}</h2>
      <p className="soft">{node.id.replaceAll('-', ' ')}, client’s left and right</p>
      <dl className="sheet">
        <Row label="Where">{node.where}</Row>
        <Row label="Takes">{node.note}</Row>
        <Row label="Drains on to">
          {node.next.length
            ? wayToTerminus(LYMPH_NODES, node.id)
                .slice(1)
                .map((id, i) => (
                  <span key={id}>
                    {i > 0 && ' → '}
                    <SheetLink kind="node" id={id}>
                      {nodeName(id)}
                    </SheetLink>
                  </span>
                ))
            : 'the great veins: the end of the way'}
          {node.next.length > 1 && (
            <div className="soft small">or by {node.next.slice(1).map(nodeName).join(', ')}</div>
          )}
        </Row>
      </dl>
      {strokes.length > 0 && (
        <section>
          <h3>Strokes that run here</h3>
          <ul className="sheet-links">
            {strokes.map((p) => (
              <li key={p.id}>
                <strong>{p.area}</strong>: {p.way} {p.note && <span className="soft">{p.note}</span>}{' '}
                <MarkNote mark={p.mark} />
              </li>
            ))}
          </ul>
        </section>
      )}
      <CautionList keys={node.cautions} />
    </>
  );
}

export function LandmarkSheet({ landmark }: { landmark: LandmarkRow }) {
  const points = POINTS.filter((p) => p.place.landmark === landmark.id).map((p) => p.id);
  const measures = Object.values(CLIENT_MEASURES).filter((m) => m.from === landmark.id || m.to === landmark.id);
  const inches = BODY_INCHES.filter((b) => b.measure && measures.includes(CLIENT_MEASURES[b.measure]));
  return (
    <>
      <h2>{landmark.name}</h2>
      <p className="soft">
        landmark{landmark.code && `, ${landmark.code}`}, {landmark.paired ? 'both sides' : 'on the midline'}
        {landmark.anchor ? '' : '; not on the drawing'}
      </p>
      <dl className="sheet">
        <Row label="What it is">{landmark.what}</Row>
        <Row label="Find it">{landmark.find}</Row>
        {points.length > 0 && (
          <Row label="Points from here">
            <PointLinks ids={points} />
          </Row>
        )}
        {measures.length > 0 && (
          <Row label="Measured from here">{measures.map((m) => m.name.toLowerCase()).join('; ')}</Row>
        )}
        {inches.length > 0 && (
          <Row label="Body-inches">{inches.map((b) => `${b.between} = ${b.inches}`).join('; ')}</Row>
        )}
      </dl>
    </>
  );
}

export function TechniqueSheet({ technique: t }: { technique: Technique }) {
  const notes = strokeNotes(t);
  return (
    <>
      <h2>{t.name}</h2>
      <p className="soft">
        {PHASE_NAMES[t.phase]}, {t.craft.replaceAll('-', ' ')} <MarkNote mark="common-practice" />
      </p>
      <dl className="sheet">
        <Row label="Where">{t.regions.map((r) => REGION_NAMES[r]).join(', ')}</Row>
        {t.points.length > 0 && (
          <Row label="Points">
            <PointLinks ids={t.points} />
          </Row>
        )}
        {t.muscles.length > 0 && (
          <Row label="Muscles">
            <MuscleLinks ids={t.muscles} />
          </Row>
        )}
        <Row label="How">
          <MotionGlyph motion={t.motion} /> {CONTACT_NAMES[t.contacts[0]!]}, {t.motion.replace('-', ' ')}
          {t.direction && `: ${t.direction}`}
        </Row>
        <Row label="Dose">
          {doseWords(t.defaults)}, {SIDE_PLAN_NAMES[t.defaults.sides.mode]}
          {t.pressure &&
            `, ${t.pressure.least === t.pressure.most ? t.pressure.least : `${t.pressure.least} to ${t.pressure.most}`} pressure`}
          {t.perDayMost !== null && `, at most ${t.perDayMost} times a day`}
        </Row>
        <Row label="Glide">{GLIDE_NAMES[t.glide]}</Row>
        {notes.map((n) => (
          <Row key={n.label} label={n.label}>
            {n.words}
          </Row>
        ))}
        <Row label="Do">{t.cue}</Row>
        <Row label="Feel for">{t.feelFor}</Row>
        <Row label="Avoid">{t.avoid}</Row>
        {t.clientCue && <Row label="Say">“{t.clientCue}”</Row>}
        <Row label="Path">{pathWords(t.defaults, CATALOGUE)}</Row>
        <Row label="Done by">
          {DOER_NAMES[t.by]}
          {t.isTest && '; a test, no treatment'}
        </Row>
        {t.needs.length > 0 && <Row label="Needs before">{t.needs.map((n) => NEED_NAMES[n]).join('; ')}</Row>}
        {t.equipment && <Row label="Tools">{t.equipment}</Row>}
        {(t.position !== 'any' || t.posture) && (
          <Row label="Client">
            {[t.position === 'any' ? '' : t.position.replace('-', ' '), t.posture].filter(Boolean).join('; ')}
          </Row>
        )}
        <Row label="Grounds">{groundWords(t)}</Row>
      </dl>
      <p className="no-print">
        <Link to={`/practice/techniques/new?from=${t.id}`}>Copy it and make it your own</Link>
      </p>
      <CautionList keys={t.heed} />
    </>
  );
}
