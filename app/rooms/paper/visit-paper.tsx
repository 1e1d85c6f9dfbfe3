import {
  beforeAndAfter,
  type BeforeAfter,
  FELT_WORDS,
  MEASURE_KEYS,
  measureOf,
  MEASURES,
  type Reading,
} from '../../../core/measures';
import type { Screening } from '../../../core/limits';
import {
  type Amendment,
  type Booking,
  type Client,
  feltWords,
  offsetWords,
  REACTION_NAMES,
  readRecord,
  STAGE_NAMES,
  type TakenScore,
  type Visit,
  whereWords,
} from '../../../core/record';
import { complaintName, roundHalfAway } from '../../../core/words';
import type { ComponentProps } from 'react';
import { anchorName } from '../../../reference/anchor-name';
import { muscleName } from '../../parts/words/muscle-name';
import { placeWords, valueWords } from '../../parts/words/reading-words';
import { useDates } from '../../parts/frame/use-dates';
import { soundingsOf } from '../../parts/chart/chart-marks';
import { PaperCharts, viewsShowing } from '../../parts/paper/paper-charts';
import { ToMind } from './to-mind';
import { RunTable } from '../../parts/routine/run-table';

/** What one visit was: why, what to mind, what was found, done and changed, what comes next. Nothing is judged. */
export function VisitPaper({
  visit,
  client,
  number,
  practitioner,
  screening,
  readings,
  scores,
  run,
  amendments,
  next,
}: {
  visit: Visit;
  client: Client;
  number: number;
  practitioner: string;
  screening: Screening;
  readings: readonly Reading[];
  /** Questionnaires that were answered at this visit. */
  scores: readonly TakenScore[];
  run: ComponentProps<typeof RunTable>['run'] | null;
  amendments: readonly Amendment[];
  next: Booking | null;
}) {
  const { timeOfDay, shortDay, dayWords } = useDates();
  const record = readRecord(visit.record ?? {});
  const all = beforeAndAfter(readings);
  const rank = (p: BeforeAfter) => MEASURE_KEYS.indexOf(p.measure);
  const pairs = all.filter((p) => MEASURES[p.measure].unit !== 'felt').sort((a, b) => rank(a) - rank(b));
  const felt = all.filter((p) => MEASURES[p.measure].unit === 'felt');
  const hasAfter = pairs.some((p) => p.after !== null);
  const soundings = soundingsOf(readings, 'before').filter((s) => s.value > 0);
  return (
    <>
      <h1>
        Visit {number}, {shortDay(visit.startsAt)}, {timeOfDay(visit.startsAt)}
      </h1>
      <p>
        {client.name}
        {client.about && `, ${client.about}`}. With {practitioner}. {STAGE_NAMES[visit.stage]}.
      </p>
      <Facts
        rows={client.complaints
          .filter((c) => !c.closed)
          .map((c) => [
            complaintName(c),
            [c.onset && `Since: ${c.onset}.`, c.triggers && `Set off by: ${c.triggers}.`, c.goal && `Goal: ${c.goal}.`]
              .filter(Boolean)
              .join(' '),
          ])}
      />
      <ToMind screening={screening} pressureCap={client.pressureCap} />
      {pairs.length > 0 && (
        <>
          <h2>Found</h2>
          {soundings.length > 0 && (
            <PaperCharts views={viewsShowing(soundings.map((s) => s.place))} soundings={soundings} />
          )}
          <table className="paper-table">
            <thead>
              <tr>
                <th scope="col">Measure</th>
                <th scope="col">Of</th>
                <th scope="col">Before</th>
                {hasAfter && <th scope="col">After</th>}
                {hasAfter && <th scope="col">Change</th>}
              </tr>
            </thead>
            <tbody>
              {pairs.map((p) => {
                const change = p.before === null || p.after === null ? null : roundHalfAway(p.after - p.before, 1);
                return (
                  <tr key={`${p.measure} ${p.complaintId} ${p.place} ${p.side}`}>
                    <td>{MEASURES[p.measure].name}</td>
                    <td>{placeWords(p, client.complaints)}</td>
                    <td>{p.before === null ? '' : valueWords(p, p.before)}</td>
                    {hasAfter && <td>{p.after === null ? '' : valueWords(p, p.after)}</td>}
                    {hasAfter && <td className="num">{change === null ? '' : changeSign(change)}</td>}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </>
      )}
      <Facts
        rows={FELT_WORDS.map((word, value) => [
          `Felt ${value === 0 ? 'nothing' : word}`,
          felt
            .filter((p) => p.before === value)
            .map((p) => placeWords(p, client.complaints))
            .join(', '),
        ])}
      />
      <Facts
        rows={[
          [
            'Felt elsewhere',
            visit.findings.feltElsewhere
              .map((f) => `${muscleName(f.muscle)}, ${f.side}: in the ${feltWords(f)}`)
              .join('; '),
          ],
          ...visit.findings.spots.map((spot, i): [string, string] => [
            `Tight spot ${i + 1}`,
            [
              `${offsetWords(spot)} ${anchorName(spot.anchor)}`,
              spot.tenderness === null ? '' : `tenderness ${spot.tenderness} of 3`,
              spot.words,
            ]
              .filter(Boolean)
              .join(', '),
          ]),
          ...scores.map((s): [string, string] => [measureOf(s.measure)?.name ?? s.measure, s.words]),
        ]}
      />
      {run && (
        <>
          <h2>Done</h2>
          <RunTable run={run} />
        </>
      )}
      <h2>Recorded</h2>
      <Facts
        rows={[
          ['Reactions', record.reactions.map((r) => REACTION_NAMES[r]).join(', ')],
          ['Where', whereWords(record.where, muscleName)],
          ['Product', record.product],
          ['Notes', record.note],
          ['Tell next time', record.tellNext],
          ['Review', record.reviewOn && dayWords(record.reviewOn)],
          [
            'Next visit',
            next ? `${shortDay(next.startsAt)}, ${timeOfDay(next.startsAt)}, with ${next.practitioner}` : '',
          ],
        ]}
      />
      {amendments.length > 0 && (
        <>
          <h2>Added and corrected afterwards</h2>
          {amendments.map((a) => (
            <p key={`${a.at} ${a.words}`}>
              {shortDay(a.at)}, {timeOfDay(a.at)}, {a.by}: {a.words}
              {a.changes.map((c) => ` ${c.what}: ${c.before || 'nothing'} → ${c.after || 'nothing'}.`)}
            </p>
          ))}
        </>
      )}
    </>
  );
}

const changeSign = (change: number): string => (change > 0 ? `+${change}` : change < 0 ? `−${-change}` : 'none');

/** What there is something to say of. */
function Facts({ rows }: { rows: readonly (readonly [string, string])[] }) {
  const said = rows.filter(([, words]) => words);
  return (
    said.length > 0 && (
      <dl className="paper-facts">
        {said.map(([name, words]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    )
  );
}
