import { notAskedAgain } from '../../../core/measures';
import { hasEnded, type Reaction, REACTION_NAMES } from '../../../core/record';
import { InputError } from '../../../core/words';
import { useState } from 'react';
import { data, Link } from 'react-router';
import { PRESSED_MUSCLES } from '../../../reference/facts/muscles';
import { addToVisit, amendmentsOf } from '../../../server/db/queries/amendments.server';
import { nextBooking } from '../../../server/db/queries/bookings.server';
import { findVisit } from '../../../server/db/queries/visits.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { ScanLayer } from '../../parts/chart/finding-layers';
import type { Pick } from '../../parts/chart/use-picking';
import { placesOn } from '../../parts/chart/places';
import { UndoButtons } from '../../parts/frame/undo-buttons';
import { readingWords } from '../../parts/words/reading-words';
import { runsTold } from '../../../server/access/runs-told.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { BarChoice, ChartBar } from '../../parts/chart/chart-bar';
import { FindingsOver } from '../../rooms/visit/chart/findings-over';
import { useNumbers } from '../../rooms/visit/chart/use-numbers';
import { Amendments } from '../../rooms/visit/record/amendments';
import { FinishButton, FinishQuestion } from '../../rooms/visit/record/finish';
import { Reactions, useReactions } from '../../rooms/visit/record/reactions';
import { RecordWords } from '../../rooms/visit/record/record-words';
import { NextVisit } from '../../rooms/visit/record/next-visit';
import { RunTable } from '../../parts/routine/run-table';
import { useVisit } from '../../rooms/visit/session/context';
import { DayField } from '../../rooms/visit/record/day-field';
import { LevelSection } from '../../rooms/visit/assess/level-section';
import { OpeningFields } from '../../rooms/visit/assess/opening-fields';
import { Ratings } from '../../rooms/visit/assess/ratings';
import { ScanSection, useScan } from '../../rooms/visit/assess/scan-section';
import { SaveConflict, SaveState } from '../../rooms/visit/session/save-note';
import { TendernessTable, useTenderness } from '../../rooms/visit/assess/tenderness-table';
import { ThresholdSection } from '../../rooms/visit/assess/threshold-section';
import { usualVisit } from '../../../server/db/queries/day.server';
import { workingHoursOf } from '../../../server/db/queries/rooms.server';
import { checkForm, readForm } from '../../schemas/read';
import { addendumSchema } from '../../schemas/visit';
import type { Route } from './+types/record';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const [runs, amendments, next, usual, around] = await Promise.all([
    runsTold(practiceId, params.visitId),
    amendmentsOf(practiceId, params.visitId),
    nextBooking(practiceId, visit.clientId, new Date(visit.startsAt)),
    usualVisit(practiceId, visit.clientId),
    workingHoursOf(practiceId),
  ]);
  const like = { practitionerId: visit.practitionerId, roomId: usual?.roomId ?? null };
  return { amendments, next, runs, nextLike: { ...like, around } };
}

/** Adds words to a visit that has ended. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const input = await checkForm(addendumSchema, await readForm(request));
  if (!input.ok) return data({ errors: input.errors }, { status: 422 });
  try {
    const added = await addToVisit(who, params.visitId, input.value.words, input.value.once);
    if (added === 'missing') notFound('visit');
    return added === 'open'
      ? data({ errors: { words: 'This visit still goes on: write it under Notes.' } }, { status: 409 })
      : { errors: undefined };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return data({ errors: { words: error.message } }, { status: 422 });
  }
}

export default function Record({ loaderData: { runs, amendments, next, nextLike } }: Route.ComponentProps) {
  const { readings, record, setRecord, ended, stage, visit, client, undo, redo } = useVisit();
  const tender = useTenderness('after');
  /** What a touch on the chart means: press again, scan again, or where a reaction was. */
  const [means, setMeans] = useState<'press' | 'scan' | Reaction>('press');
  const asked = means === 'press' || means === 'scan' ? null : means;
  const setAsked = (reaction: Reaction | null) => setMeans(reaction ?? 'press');
  const scan = useScan('after');
  const scanned = readings.some((r) => r.measure === 'region-felt');
  const [asksFinish, setAsksFinish] = useState(false);
  const reactions = useReactions(asked);
  const numbers = useNumbers('after');
  const pickable = PRESSED_MUSCLES.flatMap((m) =>
    placesOn({ kind: 'muscle', id: m.id }, 'both').map((place) => ({ place, name: m.name, region: m.region })),
  ).filter((p) => p.place.side !== 'midline');
  const untested = notAskedAgain(readings).map((r) => readingWords(r, client.complaints));
  const last = runs.at(-1);
  const isOver = hasEnded(stage);
  const missing = [
    untested.length ? `Not measured again: ${untested.join(', ')}` : '',
    last ? (last.status === 'open' ? 'The run is still open' : '') : 'No run is on record',
    record.reactions.length ? '' : 'No reactions noted, not even “nothing to note”',
    record.nextOn || next ? '' : 'No next visit is booked',
  ].filter(Boolean);
  const pick: Pick = ended
    ? { places: pickable }
    : means === 'scan'
      ? scan.pick(false)
      : asked
        ? { places: pickable, onPick: reactions.point }
        : { places: pickable, choices: tender.choices, onKey: tender.key };

  return (
    <div className="visit-body">
      <div className="chart-side">
        <ChartBar told={asked ? `Touch where it was: ${REACTION_NAMES[asked].toLowerCase()}.` : numbers.told}>
          {!ended && (scanned || record.reactions.some((r) => r !== 'none')) && (
            <BarChoice
              label="What a touch means"
              value={means}
              onChoose={setMeans}
              choices={[
                { value: 'press' as const, words: 'Press again' },
                ...(scanned ? [{ value: 'scan' as const, words: 'From inside' }] : []),
                ...record.reactions.filter((r) => r !== 'none').map((r) => ({ value: r, words: REACTION_NAMES[r] })),
              ]}
            />
          )}
          {numbers.choice}
        </ChartBar>
        <FaceChart
          soundings={numbers.soundings}
          changes={numbers.changes}
          pick={pick}
          over={(view, shown, unit, mirrored) => (
            <>
              {means === 'scan' && <ScanLayer shown={shown} unit={unit} regions={scan.told} />}
              {numbers.over(shown, unit)}
              <FindingsOver view={view} shown={shown} unit={unit} mirrored={mirrored} />
            </>
          )}
        />
      </div>
      <main className="work">
        <SaveConflict />
        <div className="work-head">
          <h1>Record</h1>
          <span className="soft">what changed, and what comes next</span>
          <div className="end">
            <UndoButtons undo={undo && (() => undo())} redo={redo && (() => redo())} />
            <SaveState />
            <Link to={`/paper/visits/${visit.id}`}>Print</Link>
            {isOver ? (
              <Link to={`/clients/${client.id}`}>
                {stage === 'done' ? 'Finished. To the relief course' : 'To the client'}
              </Link>
            ) : (
              <FinishButton missing={missing} onAsk={() => setAsksFinish(true)} />
            )}
          </div>
        </div>
        {asksFinish && !isOver && <FinishQuestion missing={missing} onBack={() => setAsksFinish(false)} />}
        <fieldset disabled={ended} className="border-0 p-0 m-0">
          {untested.length > 0 && !ended && (
            <div className="note-bar">
              <strong>{untested.length} tested before, not again yet:</strong> {untested.join(', ')}. In the same
              position, to have the pair.
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
          {scanned && (
            <ScanSection phase="after" on={means === 'scan'} onScan={(on) => setMeans(on ? 'scan' : 'press')} />
          )}
          <section className="section">
            <h2>Open again</h2>
            <OpeningFields phase="after" />
          </section>
          {readings.some((r) => r.measure === 'pressure-threshold') && <ThresholdSection phase="after" />}
          <section className="section">
            <h2>What was done</h2>
            {last ? <RunTable run={last} /> : <p className="soft">No run of this visit is on record.</p>}
          </section>
          <section className="section">
            <h2>Reactions</h2>
            <Reactions asked={asked} onAsk={setAsked} />
            <div className="form-grid mt-3">
              <RecordWords />
              <div className="d-flex gap-3">
                <DayField
                  label="Review"
                  value={record.reviewOn}
                  onCommit={(reviewOn) => setRecord({ ...record, reviewOn })}
                />
              </div>
            </div>
          </section>
          <section className="section">
            <NextVisit booked={next} like={nextLike} />
          </section>
          <section className="section">
            <h2>Between visits</h2>
            <Link to={`/clients/${visit.clientId}/home-plan`} className="btn btn-outline-primary">
              Home plan
            </Link>
          </section>
          <p className="soft small">
            A fall within one visit is relief during the visit; whether it lasts is told by the course over weeks.
          </p>
        </fieldset>
        {/* Outside of what an ended visit closes: a photo can be erased at any time. */}
        <LevelSection phase="after" />
        {isOver && <Amendments list={amendments} />}
      </main>
    </div>
  );
}
