import { useEffect, useRef } from 'react';
import { Button } from 'react-bootstrap';
import { useFetcher } from 'react-router';
import type { MeasureDef, MeasureField } from '../../core/measures/catalogue';
import type { TakenScore } from '../../server/db/queries/scores.server';
import type { action } from '../routes/visit/score';
import type { FieldErrors } from '../schemas/read';
import { FieldFrame } from '../ui/field';

/** Up to this many steps a scale is pressed, beyond it is typed. */
const PRESSED_UP_TO = 11;

/** The questions of one measure. What is refused is told at its question, and what was answered stays. */
export function MeasureSheet({ def, visitId, lastWords, onKept, onClose }: { def: MeasureDef; visitId: string; lastWords: Readonly<Record<string, string>>; onKept: (score: TakenScore) => void; onClose: () => void }) {
  const fetcher = useFetcher<typeof action>();
  const kept = fetcher.data?.kept;
  const told = useRef(onKept);
  useEffect(() => {
    told.current = onKept;
  });
  useEffect(() => {
    if (kept) told.current(kept as TakenScore);
  }, [kept]);
  const errors = (fetcher.data?.errors ?? {}) as FieldErrors;
  return (
    <fetcher.Form method="post" action={`/visits/${visitId}/score`} className="measure-sheet" noValidate>
      <input type="hidden" name="measure" value={def.id} />
      <p className="soft small">
        {def.about} <span>({def.credit})</span>
      </p>
      {def.fields.map((f, i) => (
        <Question key={f.key} field={f} first={i === 0} message={errors[f.key]} words={lastWords[f.key]} />
      ))}
      {errors.measure && (
        <p role="alert" className="worse">
          {errors.measure}
        </p>
      )}
      <div className="d-flex gap-2 mt-2">
        <Button type="submit" size="sm" disabled={fetcher.state !== 'idle'}>
          Score and keep
        </Button>
        <Button size="sm" variant="outline-primary" onClick={onClose}>
          Close
        </Button>
      </div>
    </fetcher.Form>
  );
}

function Question({ field: f, first, message, words }: { field: MeasureField; first: boolean; message: string | undefined; words: string | undefined }) {
  if (f.kind === 'words') return <FieldFrame label={f.label} name={f.key} maxLength={120} defaultValue={words ?? ''} message={message} autoFocus={first} className="mt-2" />;
  const steps = f.most - f.least + 1;
  if (steps > PRESSED_UP_TO) return <FieldFrame label={f.label} name={f.key} inputMode="numeric" autoComplete="off" message={message} hint={`${f.least} to ${f.most}`} autoFocus={first} className="mt-2 measure-number" />;
  return (
    <fieldset className="measure-scale">
      <legend>
        {f.label}
        {f.optional && <span className="soft small"> may be left out</span>}
      </legend>
      <div className="scale" role="radiogroup" aria-label={`${f.label}, ${f.least} to ${f.most}`}>
        {Array.from({ length: steps }, (_, i) => f.least + i).map((v) => (
          <label key={v}>
            <input type="radio" name={f.key} value={v} aria-label={String(v)} autoFocus={first && v === f.least} />
            {v < 0 ? `−${-v}` : v}
          </label>
        ))}
      </div>
      {f.ends && (
        <div className="scale-ends soft small">
          <span>{f.ends[0]}</span>
          <span>{f.ends[1]}</span>
        </div>
      )}
      {message && (
        <div role="alert" className="worse small">
          {message}
        </div>
      )}
    </fieldset>
  );
}
