import type { TakenScore } from '../../../../core/record';
import {
  changeVerdict,
  type ChangeVerdict,
  type MeasureDef,
  measureOf,
  QUESTIONNAIRES,
  proposedMeasures,
} from '../../../../core/measures';
import { useState } from 'react';
import { Button, Form as BsForm } from 'react-bootstrap';
import { dayOf } from '../../../../core/schedule';
import { useDates } from '../../../parts/frame/use-dates';
import { useVisit } from '../session/context';
import { MeasureSheet } from './measure-sheet';

/** Scored measures: a short set for this client's complaints, everything else on request, and each one's course. */
export function MeasuresSection() {
  const { client, visit, scores: taken, setAnswers, ended, timeZone } = useVisit();
  const [open, setOpen] = useState<string | null>(null);
  const [added, setAdded] = useState<readonly string[]>([]);
  const proposed = proposedMeasures(client.complaints.filter((c) => !c.closed).map((c) => c.kind));
  const begun = QUESTIONNAIRES.filter((m) => taken.some((t) => t.measure === m.id));
  const shown = QUESTIONNAIRES.filter((m) => proposed.includes(m) || begun.includes(m) || added.includes(m.id));
  const rest = QUESTIONNAIRES.filter((m) => !shown.includes(m));
  const begin = (def: MeasureDef) => setOpen(def.id);
  return (
    <section className="section">
      <h2>Measures</h2>
      <p className="soft small mb-1">
        Proposed for these complaints: {proposed.length}, about {proposed.reduce((sum, m) => sum + m.minutes, 0)}{' '}
        minutes. Nothing is carried over from last time.
      </p>
      <ul className="plain-list measures">
        {shown.map((def) => {
          const course = taken.filter((t) => t.measure === def.id);
          const now = course.find((t) => t.visitId === visit.id);
          return (
            <li key={def.id}>
              <div className="measure-head">
                <div>
                  <strong>{def.name}</strong>{' '}
                  <span className="soft small">
                    {def.minutes} min, {def.licence === 'free' ? 'own wording' : 'answers by number'}
                  </span>
                  <Course def={def} course={course} here={visit.id} timeZone={timeZone} />
                </div>
                {!ended && open !== def.id && (
                  <span className="d-flex gap-2">
                    <Button
                      size="sm"
                      variant="outline-primary"
                      onClick={() => begin(def)}
                      aria-label={`${verbFor(now)}: ${def.name}`}
                    >
                      {verbFor(now)}
                    </Button>
                    {now && (
                      <Button
                        size="sm"
                        variant="outline-primary"
                        onClick={() => setAnswers(def.id, null)}
                        aria-label={`Take back: ${def.name}`}
                      >
                        Take back
                      </Button>
                    )}
                  </span>
                )}
              </div>
              {open === def.id && !ended && (
                <MeasureSheet
                  def={def}
                  answers={now?.answers ?? wordsOfLast(def, course)}
                  onAnswer={(answers) => setAnswers(def.id, answers)}
                  onClose={() => setOpen(null)}
                />
              )}
            </li>
          );
        })}
      </ul>
      {!ended && rest.length > 0 && (
        <BsForm.Select
          size="sm"
          className="w-auto mt-2"
          aria-label="Add a measure"
          value=""
          onChange={(e) => measureOf(e.target.value) && (setAdded([...added, e.target.value]), setOpen(e.target.value))}
        >
          <option value="">Add a measure …</option>
          {rest.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name} ({m.minutes} min)
            </option>
          ))}
        </BsForm.Select>
      )}
    </section>
  );
}

const verbFor = (now: TakenScore | undefined): string => (!now ? 'Take' : now.value === null ? 'Go on' : 'Open');

/** Names of activities and goals stay the same from visit to visit; their ratings do not. */
function wordsOfLast(def: MeasureDef, course: readonly TakenScore[]): Record<string, string> {
  const last = course[course.length - 1];
  return Object.fromEntries(
    def.fields.flatMap((f) =>
      f.kind === 'words' && typeof last?.answers[f.key] === 'string' ? [[f.key, last.answers[f.key] as string]] : [],
    ),
  );
}

const CHANGE_WORDS: Record<ChangeVerdict, string> = {
  first: '',
  same: 'unchanged',
  better: 'better',
  worse: 'worse',
  'within-error': 'within error',
  possible: 'a possible change',
  'too-small': 'too small to matter',
  'no-figure': '',
};

function Course({
  def,
  course,
  here,
  timeZone,
}: {
  def: MeasureDef;
  course: readonly TakenScore[];
  here: string;
  timeZone: string;
}) {
  const { dayWords } = useDates();
  if (!course.length) return <div className="soft small">not taken yet</div>;
  const first = course[0]!;
  const last = course[course.length - 1]!;
  const figure = def.matters ?? def.error;
  const change = course.length > 1 ? changeVerdict(def, first.value, last.value) : 'first';
  return (
    <>
      <div>
        {last.words}{' '}
        {last.visitId === here ? '' : <span className="soft">({dayWords(dayOf(last.takenAt, timeZone))})</span>}
      </div>
      {course.length > 1 && (
        <div className="soft small">
          {course
            .filter((t) => t.value !== null || t.visitId === here)
            .slice(-6)
            .map((t) => (t.value === null ? '–' : Math.round(t.value * 10) / 10))
            .join(' → ')}
          {CHANGE_WORDS[change] && (
            <>
              {' '}
              since the first:{' '}
              <span className={change === 'better' ? 'better' : change === 'worse' ? 'worse' : ''}>
                {CHANGE_WORDS[change]}
              </span>
              {figure && ` (from ${figure.amount} ${def.unit} on; ${figure.source})`}
            </>
          )}
        </div>
      )}
    </>
  );
}
