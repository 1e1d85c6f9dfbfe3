import { stepNames } from '../../../core/routine';
import { ASKED_AGAIN, readingKey } from '../../../core/measures';
import { sideCompareWords, type StepRecord } from '../../../core/guide';
import { type Reaction, REACTION_NAMES, REACTIONS } from '../../../core/record';
import { clock } from '../../../core/words';
import { Button, Form } from 'react-bootstrap';
import { Link } from 'react-router';
import { PRESSED_MUSCLES } from '../../../reference/facts/muscles';
import { runsOfVisit } from '../../../server/db/queries/runs.server';
import { catalogueOf } from '../../../server/db/queries/techniques.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { placesOn } from '../../parts/chart/places';
import { requirePractitioner } from '../../../server/access/session.server';
import { RunTable } from '../../rooms/visit/record/run-table';
import { useVisit } from '../../rooms/visit/session/context';
import { useProductToday } from '../../rooms/visit/screen/product-choice';
import { DayField } from '../../rooms/visit/record/day-field';
import { LevelSection } from '../../rooms/visit/assess/level-section';
import { OpeningFields } from '../../rooms/visit/assess/opening-fields';
import { Ratings } from '../../rooms/visit/assess/ratings';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { TendernessTable, useTenderness } from '../../rooms/visit/assess/tenderness-table';
import type { Route } from './+types/record';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await requirePractitioner(request);
  const [runs, catalogue] = await Promise.all([runsOfVisit(practiceId, params.visitId), catalogueOf(practiceId)]);
  return {
    runs: runs.map((r) => {
      const names = stepNames(r.routine, catalogue);
      return {
        id: r.id,
        status: r.status,
        createdAt: r.createdAt,
        notes: r.events.flatMap((e) => (e.kind === 'note' ? [e.words] : [])),
        compares: r.events.flatMap((e) => (e.kind === 'compare' ? [sideCompareWords(e.compare)] : [])),
        steps: (r.steps ?? []).map((s: StepRecord) => ({ ...s, name: names.get(s.stepId) ?? s.stepId })),
      };
    }),
  };
}

export default function Record({ loaderData }: Route.ComponentProps) {
  const { readings, record, setRecord, ended, end, save, stage, client } = useVisit();
  const tender = useTenderness('after');
  const planned = useProductToday().chosen?.name;
  const changes = readings
    .filter((r) => r.measure === 'tenderness' && r.phase === 'after' && r.side !== 'both' && r.side !== 'midline')
    .flatMap((r) => {
      const before = readings.find(
        (b) => b.measure === 'tenderness' && b.phase === 'before' && b.place === r.place && b.side === r.side,
      );
      return before
        ? [
            {
              place: { kind: 'muscle' as const, id: r.place, side: r.side as 'left' | 'right' },
              before: before.value,
              after: r.value,
            },
          ]
        : [];
    });
  const pickable = PRESSED_MUSCLES.flatMap((m) =>
    placesOn({ kind: 'muscle', id: m.id }, 'both').map((place) => ({ place, name: m.name, region: m.region })),
  ).filter((p) => p.place.side !== 'midline');
  const untested = readings.filter(
    (r) =>
      r.phase === 'before' &&
      ASKED_AGAIN.includes(r.measure) &&
      !readings.some((a) => a.phase === 'after' && readingKey(a) === readingKey(r)),
  );
  const toggle = (reaction: Reaction) => {
    const has = record.reactions.includes(reaction);
    const rest = record.reactions.filter((r) => r !== reaction && (reaction === 'none' ? false : r !== 'none'));
    setRecord({ ...record, reactions: has ? rest : [...rest, reaction] });
  };
  const last = loaderData.runs.at(-1);
  /** Why the server did not take a field, shown at the field. */
  const refusal = (field: string) => save.refused.find((w) => w.field === `patch.record.${field}`)?.message;

  return (
    <div className="visit-body">
      <div className="chart-side">
        <FaceChart
          changes={changes}
          pick={{
            places: pickable,
            choices: ended ? undefined : tender.choices,
            onKey: ended ? undefined : tender.key,
          }}
        />
      </div>
      <main className="work">
        <SaveConflict />
        <div className="work-head">
          <h1>Record</h1>
          <span className="soft">what changed, and what comes next</span>
          <div className="end">
            <SaveState />
            {ended ? (
              <Link to={`/clients/${client.id}`}>
                {stage === 'done' ? 'Finished. To the relief course' : 'To the client'}
              </Link>
            ) : (
              <Button
                onClick={() => end('done')}
                disabled={save.refused.length > 0}
                title={save.refused.length ? 'What is not saved has to be changed or taken back first' : undefined}
              >
                Finish the visit
              </Button>
            )}
          </div>
        </div>
        <fieldset disabled={ended} className="border-0 p-0 m-0">
          {untested.length > 0 && !ended && (
            <div className="note-bar">
              <strong>{untested.length} tested before, not again yet.</strong> Measure the same things again, in the
              same position, to have the pair.
            </div>
          )}
          <section className="section">
            <h2>Rate again</h2>
            <Ratings phase="after" measures={['nrs-now']} />
          </section>
          <section className="section">
            <h2>Press again</h2>
            <TendernessTable phase="after" />
          </section>
          <section className="section">
            <h2>Open again</h2>
            <OpeningFields phase="after" />
          </section>
          <section className="section">
            <h2>What was done</h2>
            {last ? <RunTable run={last} /> : <p className="soft">No run of this visit is on record.</p>}
          </section>
          <section className="section">
            <h2>Reactions</h2>
            <div className="chips" role="group" aria-label="Reactions">
              {REACTIONS.map((r) => (
                <button
                  key={r}
                  type="button"
                  className="chip"
                  aria-pressed={record.reactions.includes(r)}
                  onClick={() => toggle(r)}
                >
                  {REACTION_NAMES[r]}
                </button>
              ))}
            </div>
            <div className="form-grid mt-3">
              <Form.Group className="wide" controlId="note">
                <Form.Label>Notes</Form.Label>
                <Form.Control
                  as="textarea"
                  rows={2}
                  maxLength={2000}
                  value={record.note}
                  isInvalid={!!refusal('note')}
                  aria-describedby="note-refused"
                  onChange={(e) => setRecord({ ...record, note: e.target.value })}
                />
                <Form.Control.Feedback type="invalid" id="note-refused">
                  {refusal('note')}
                </Form.Control.Feedback>
              </Form.Group>
              <Form.Group controlId="product">
                <Form.Label>Product used</Form.Label>
                <Form.Control
                  maxLength={200}
                  value={record.product}
                  isInvalid={!!refusal('product')}
                  aria-describedby="product-refused"
                  onChange={(e) => setRecord({ ...record, product: e.target.value })}
                />
                <Form.Control.Feedback type="invalid" id="product-refused">
                  {refusal('product')}
                </Form.Control.Feedback>
                {planned && !record.product && (
                  <Button variant="link" onClick={() => setRecord({ ...record, product: planned })}>
                    As planned: {planned}
                  </Button>
                )}
              </Form.Group>
              <div className="d-flex gap-3">
                <DayField
                  label="Next visit"
                  value={record.nextOn}
                  onCommit={(nextOn) => setRecord({ ...record, nextOn })}
                />
                <DayField
                  label="Review"
                  value={record.reviewOn}
                  onCommit={(reviewOn) => setRecord({ ...record, reviewOn })}
                />
              </div>
            </div>
          </section>
          <p className="soft small">
            A fall within one visit is relief during the visit; whether it lasts is told by the course over weeks.{' '}
            {last && last.steps.length > 0 && `Hands on: ${clock(last.steps.reduce((s, r) => s + r.doneSeconds, 0))}.`}
          </p>
        </fieldset>
        {/* Outside of what an ended visit closes: a photo can be erased at any time. */}
        <LevelSection phase="after" />
      </main>
    </div>
  );
}
