import { renderToStaticMarkup } from 'react-dom/server';
import type { ReactNode } from 'react';
import type { ClientCopy, CopiedRow, CopyKind } from '../../core/exchange/index.ts';
import { ANSWER_WORDS, type Answer, type Answers, isYes } from '../../core/limits/index.ts';
import { FELT_WORDS, MEASURES, type MeasureKey } from '../../core/measures/index.ts';
import { REACTION_NAMES, type Reaction, STAGE_NAMES, type VisitStage } from '../../core/record/index.ts';
import { doseWords, type Routine, stepsOf } from '../../core/routine/index.ts';
import { yourSides } from '../../core/schedule/index.ts';
import { counted } from '../../core/words/index.ts';

/** Names that a copy is told with. */
export interface CopyNames {
  zone: string;
  /** The question behind the key of a caution. */
  question: (key: string) => string;
  technique: (id: string) => string;
  place: (id: string) => string;
}

const STYLE =
  'body{font:16px/1.5 sans-serif;max-width:60rem;margin:2rem auto;padding:0 1rem;color:#1f1726}h1{font-size:1.6rem}h2{font-size:1.2rem;margin:2rem 0 .4rem;border-bottom:1px solid #bbb}h3{font-size:1rem;margin:1rem 0 .2rem}table{border-collapse:collapse;width:100%}td,th{text-align:left;vertical-align:top;padding:.15rem .8rem .15rem 0;border-bottom:1px solid #ddd;font-size:.9rem}.soft{color:#5c5266}';

const text = (value: unknown): string => (typeof value === 'string' ? value : '');

/** A value that has no words of its own, as plainly as it can be told. */
function plain(value: unknown): string {
  if (value === null || value === undefined || value === '') return '';
  if (Array.isArray(value)) return value.map(plain).filter(Boolean).join('; ');
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([key, inner]) => [spaced(key), plain(inner)])
      .filter(([, words]) => words)
      .map(([key, words]) => `${key}: ${words}`)
      .join(', ');
  return String(value as string | number | boolean);
}
const spaced = (key: string): string =>
  key
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/[_-]/g, ' ')
    .toLowerCase();

function Table({ rows, columns }: { rows: readonly CopiedRow[]; columns: [string, (row: CopiedRow) => ReactNode][] }) {
  return (
    <table>
      <thead>
        <tr>
          {columns.map(([head]) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, i) => (
          <tr key={i}>
            {columns.map(([head, cell]) => (
              <td key={head}>{cell(row)}</td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Kinds that are told as they are stored: little, and seldom read. */
const AS_STORED: readonly [CopyKind, string][] = [
  ['body-measures', 'Measures of face and hand'],
  ['patch-tests', 'Patch tests'],
  ['scores', 'Scored measures'],
  ['overrides', 'Cautions overridden in writing'],
  ['amendments', 'Added or corrected later'],
  ['decisions', 'What was decided to do next'],
  ['photos', 'Photos (the pictures lie beside this page)'],
  ['home-after', 'Said after it at home'],
  ['home-flags', 'Told from home'],
  ['links', 'Private links'],
  ['reminders', 'Reminders'],
];
const HIDDEN = /(^|_)(id|by)$|^version$|^position$/;

/** A client's copy as one page that needs nothing else to be read. */
export function clientPage(copy: ClientCopy, names: CopyNames): string {
  const { kinds, members } = copy;
  const when = (at: unknown): string =>
    text(at) &&
    new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short', timeZone: names.zone }).format(
      new Date(text(at)),
    );
  const member = (id: unknown): string => members[text(id)] ?? '';
  const complaintOf = (id: unknown): string => {
    const c = kinds.complaints.find((k) => k.id === id);
    return c ? text(c.label) || text(c.kind) : '';
  };
  const [client] = kinds.clients;
  const page = (
    <html lang="en">
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width" />
        <title>{`${text(client?.name)}, ${copy.practice}`}</title>
        <style>{STYLE}</style>
      </head>
      <body>
        <h1>{text(client?.name)}</h1>
        <p className="soft">
          Everything that {copy.practice} has on record, {when(copy.madeAt)}. Wellness work, no medical record. Left and
          right are the client’s. Times are those of {names.zone}.
        </p>
        <h2>Details</h2>
        <Table
          rows={Object.entries(client ?? {})
            .filter(([key, value]) => !HIDDEN.test(key) && plain(value))
            .map(([key, value]) => ({ key, value }))}
          columns={[
            ['What', (r) => spaced(text(r.key))],
            ['', (r) => plain(r.value)],
          ]}
        />
        <h2>Complaints</h2>
        <Table
          rows={kinds.complaints}
          columns={[
            ['What', (r) => `${text(r.label) || text(r.kind)}, ${text(r.side)}`],
            ['Since', (r) => text(r.onset)],
            ['Set off by', (r) => text(r.triggers)],
            ['Goal', (r) => text(r.goal)],
            ['', (r) => (r.closed ? 'closed' : 'open')],
          ]}
        />
        <h2>Consents</h2>
        <Table
          rows={kinds.consents}
          columns={[
            ['To', (r) => text(r.kind)],
            ['Wording', (r) => plain(r.text_version)],
            ['Given', (r) => when(r.given_at)],
            ['Taken back', (r) => when(r.withdrawn_at)],
            ['Noted by', (r) => member(r.taken_by)],
          ]}
        />
        {kinds['said-before'].length > 0 && (
          <>
            <h2>Said before the first visit</h2>
            <Asked
              answers={Object.fromEntries(kinds['said-before'].map((r) => [text(r.question), r.answer as Answer]))}
              question={names.question}
            />
          </>
        )}
        {kinds.visits.map((visit, i) => (
          <section key={text(visit.id)}>
            <h2>
              Visit {i + 1}, {when(visit.starts_at)}
            </h2>
            <p>
              With {member(visit.practitioner_id)}. {STAGE_NAMES[visit.stage as VisitStage]}.
            </p>
            <Asked answers={(visit.screen as { answers?: Answers })?.answers ?? {}} question={names.question} />
            <Told title="Found" value={visit.findings} />
            <Work visit={visit} runs={kinds.runs.filter((r) => r.visit_id === visit.id)} names={names} />
            <Told
              title="Recorded"
              value={
                visit.record && {
                  ...(visit.record as object),
                  reactions: ((visit.record as { reactions?: Reaction[] }).reactions ?? []).map(
                    (r) => REACTION_NAMES[r],
                  ),
                }
              }
            />
            <Told title="Referred" value={visit.referral} />
          </section>
        ))}
        <h2>Ratings and measures</h2>
        <Table
          rows={kinds.readings}
          columns={[
            ['When', (r) => when(r.taken_at)],
            ['Measure', (r) => MEASURES[r.measure as MeasureKey]?.name ?? text(r.measure)],
            [
              'Of',
              (r) =>
                [complaintOf(r.complaint_id), text(r.place) && names.place(text(r.place)), text(r.side)]
                  .filter(Boolean)
                  .join(', '),
            ],
            ['', (r) => text(r.phase)],
            ['Value', (r) => valueWords(r)],
            ['Told', (r) => `${text(r.source)}${member(r.taken_by) && `, ${member(r.taken_by)}`}`],
          ]}
        />
        {kinds['home-plans'].length > 0 && <h2>Home plans</h2>}
        {kinds['home-plans'].map((row) => (
          <HomePlanTold key={text(row.id)} row={row} runs={kinds['home-runs']} names={names} />
        ))}
        {AS_STORED.filter(([kind]) => kinds[kind].length > 0).map(([kind, title]) => (
          <section key={kind}>
            <h2>{title}</h2>
            {kinds[kind].map((row, i) => (
              <p key={i}>
                {Object.entries(row)
                  .filter(([key, value]) => !HIDDEN.test(key) && plain(value))
                  .map(([key, value]) => `${spaced(key)}: ${/_at$|^at$/.test(key) ? when(value) : plain(value)}`)
                  .join(' · ')}
              </p>
            ))}
          </section>
        ))}
      </body>
    </html>
  );
  return `<!doctype html>\n${renderToStaticMarkup(page)}\n`;
}

function Asked({ answers, question }: { answers: Answers; question: (key: string) => string }) {
  const all = Object.entries(answers);
  if (!all.length) return null;
  const yes = all.filter(([, a]) => isYes(a));
  return (
    <>
      <h3>Asked</h3>
      {yes.map(([key, answer]) => (
        <p key={key}>
          {question(key)} <strong>{ANSWER_WORDS[answer]}</strong>
        </p>
      ))}
      <details>
        <summary>{counted(all.length - yes.length, 'question')} answered with no</summary>
        {all
          .filter(([, a]) => !isYes(a))
          .map(([key]) => (
            <p key={key}>{question(key)}</p>
          ))}
      </details>
    </>
  );
}

const valueWords = ({ measure, value }: CopiedRow): string => {
  const known = MEASURES[measure as MeasureKey];
  return known?.unit === 'felt'
    ? (FELT_WORDS[Number(value)] ?? '')
    : [plain(value), known?.unit].filter(Boolean).join(' ');
};

/** A plan of steps for oneself: what, how often, and on which days it was done. */
function HomePlanTold({ row, runs, names }: { row: CopiedRow; runs: readonly CopiedRow[]; names: CopyNames }) {
  const plan = row.plan as {
    routine: Routine;
    words?: Record<string, string>;
    timesADay: number;
    from: string;
    until: string;
  };
  const done = runs.filter((r) => r.plan_id === row.id && r.counts);
  return (
    <>
      <h3>
        Plan {plain(row.number)}, {plan.from} to {plan.until}, {counted(plan.timesADay, 'time')} a day
      </h3>
      <ol>
        {stepsOf(plan.routine).map((step) => (
          <li key={step.id}>
            {step.label ?? names.technique(step.technique)}, {yourSides(step.sides)}, {doseWords(step)}.{' '}
            {plan.words?.[step.id]}
          </li>
        ))}
      </ol>
      <p>
        Done {counted(done.length, 'time')}: {done.map((r) => text(r.ran_on)).join(', ')}
      </p>
    </>
  );
}

function Told({ title, value }: { title: string; value: unknown }) {
  const words = plain(value);
  if (!words) return null;
  return (
    <>
      <h3>{title}</h3>
      <p>{words}</p>
    </>
  );
}

/** The routine of a visit, and what was done of each step in its runs. */
function Work({ visit, runs, names }: { visit: CopiedRow; runs: readonly CopiedRow[]; names: CopyNames }) {
  const routine = (runs.at(-1)?.routine ?? visit.routine) as Routine | null;
  if (!routine?.items?.length) return null;
  const done = new Map(
    runs.flatMap((r) => ((r.steps ?? []) as { stepId: string; outcome: string }[]).map((s) => [s.stepId, s.outcome])),
  );
  return (
    <>
      <h3>Routine: {routine.name}</h3>
      <ol>
        {stepsOf(routine).map((step) => (
          <li key={step.id}>
            {step.label ?? names.technique(step.technique)}, {yourSides(step.sides)}, {doseWords(step)}
            {step.pressure && `, ${step.pressure.there}`}
            {done.has(step.id) && ` (${done.get(step.id)})`}
          </li>
        ))}
      </ol>
    </>
  );
}
