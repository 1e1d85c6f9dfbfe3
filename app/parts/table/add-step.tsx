import {
  doseWords,
  LINE_LETTERS,
  pressureWords,
  type Routine,
  type Step,
  stepCount,
  stepSeconds,
  stepsOf,
  usualIndex,
} from '../../../core/routine';
import type { Screening } from '../../../core/limits';
import { clock, COMPLAINT_KINDS, COMPLAINT_NAMES, type ComplaintKind, InputError } from '../../../core/words';
import { forwardRef, useId, useState } from 'react';
import { Form } from 'react-bootstrap';
import { useCatalogue } from '../catalogue/catalogue';
import type { Place } from '../chart/places';
import { MotionGlyph } from '../marks/glyph';
import { suggest, type Suggestion } from './suggest';

interface Props {
  screening: Screening;
  freshId: string;
  place: Place | null;
  routine: Routine;
  /** After which step a new one goes, by what is chosen; null: at its usual place, or at the end. */
  behind: number | null;
  onClearPlace: () => void;
  /** `at`: it then stands at this index. */
  onAdd: (step: Step, at: number) => void;
}

/** Add by a typed line, by place, or by what it is for. Enter takes the first; arrows choose. */
export const AddStep = forwardRef<HTMLInputElement, Props>(function AddStep(
  { screening, freshId, place, routine, behind, onClearPlace, onAdd },
  ref,
) {
  const id = useId();
  const catalogue = useCatalogue();
  const [line, setLine] = useState('');
  const [serves, setServes] = useState<ComplaintKind | 'opening' | 'closing' | null>(null);
  const [at, setAt] = useState(0);
  const [open, setOpen] = useState(false);
  /** Alt with the arrows moves where it goes before it is there. */
  const [shift, setShift] = useState(0);
  const [oneSide, setOneSide] = useState(true);

  let found: Suggestion[] = [];
  let problem = '';
  const asking = !!(line.trim() || place || serves);
  if (asking)
    try {
      found = suggest({ line, place, serves, oneSide }, screening, freshId, catalogue).slice(0, 30);
      if (!found.length)
        problem =
          'Nothing answers to that. Name a technique, a point, a muscle or a complaint, for example "masseter knuckle firm 20x left".';
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      problem = error.message;
    }
  const shows = asking && (open || !!place || !!serves) && (found.length > 0 || !!problem);
  const close = () => {
    setLine('');
    setServes(null);
    setAt(0);
    setShift(0);
    setOneSide(true);
    setOpen(false);
    onClearPlace();
  };
  const count = stepCount(routine);
  /** Where a suggestion goes: as typed, behind the chosen step, and what is asked for by its purpose at its usual place. */
  const placeOf = (s: Suggestion): number => {
    const usual = behind ?? (serves ? usualIndex(routine, s.technique.id, catalogue) : count);
    return Math.min(Math.max((s.after ?? usual) + shift, 0), count);
  };
  const whereWords = (index: number) =>
    index === 0 ? 'first' : index === count ? `last, after ${index}` : `after ${index}`;
  const take = (s: Suggestion | undefined) => {
    if (!s || s.banned) return;
    onAdd(s.step, placeOf(s));
    close();
  };
  const isStep = (s: Suggestion): number => stepsOf(routine).findIndex((o) => o.technique === s.technique.id) + 1;
  const placeName = place ? (catalogue.placeName(place) ?? place.id) : '';

  return (
    <div
      className="add-step"
      onKeyDown={(e) => {
        if (e.key === 'Escape') close();
        else if (!shows) return;
        else if (e.altKey && e.key === 'ArrowDown') setShift(shift + 1);
        else if (e.altKey && e.key === 'ArrowUp') setShift(shift - 1);
        else if (e.key === 'ArrowDown') setAt(Math.min(at + 1, found.length - 1));
        else if (e.key === 'ArrowUp') setAt(Math.max(at - 1, 0));
        else if (e.key === 'Enter') take(found[at]);
        else return;
        e.preventDefault();
      }}
      onBlur={(e) => !e.currentTarget.contains(e.relatedTarget) && setOpen(false)}
    >
      <Form.Control
        ref={ref}
        value={line}
        maxLength={LINE_LETTERS}
        role="combobox"
        aria-expanded={shows}
        aria-controls={`${id}-list`}
        aria-activedescendant={shows && found.length ? `${id}-${at}` : undefined}
        aria-label={place ? `Add a step at ${placeName}` : 'Add a step'}
        placeholder={
          place
            ? `At ${placeName}${place.side === 'midline' ? '' : `, client’s ${place.side}`}: choose, or type a dose`
            : behind !== null && behind < count
              ? `Add after ${behind}: masseter knuckle firm 20x left`
              : 'Add a step: masseter knuckle firm 20x left'
        }
        autoComplete="off"
        onFocus={() => setOpen(true)}
        onChange={(e) => {
          setLine(e.target.value);
          setAt(0);
          setOpen(true);
        }}
      />
      {(open || shows) && (
        <div className={`add-list${place ? ' is-at-place' : ''}`}>
          {place && (
            <p className="at-place">
              <strong>
                {place.side === 'midline' ? '' : `Client’s ${place.side}: `}
                {placeName}
              </strong>
            </p>
          )}
          {!place && (
            <div className="chips p-1" role="group" aria-label="Techniques for">
              {(['opening', ...COMPLAINT_KINDS.filter((k) => k !== 'other'), 'closing'] as const).map((k) => (
                <button
                  key={k}
                  type="button"
                  className="chip"
                  aria-pressed={serves === k}
                  onClick={() => (setServes(serves === k ? null : k), setAt(0))}
                >
                  {k === 'opening' ? 'Opening' : k === 'closing' ? 'Closing' : COMPLAINT_NAMES[k]}
                </button>
              ))}
            </div>
          )}

          {shows && (
            <ul id={`${id}-list`} role="listbox" aria-label="Techniques">
              {problem && (
                <li role="alert" className="px-2 py-1">
                  {problem}
                </li>
              )}
              {found.map((s, i) => (
                <li key={s.technique.id} role="presentation">
                  <button
                    type="button"
                    tabIndex={-1}
                    id={`${id}-${i}`}
                    role="option"
                    aria-selected={i === at}
                    aria-disabled={!!s.banned}
                    onPointerDown={(e) => e.preventDefault()}
                    onClick={() => take(s)}
                  >
                    <MotionGlyph motion={s.technique.motion} />
                    <span>
                      <strong>{s.technique.name}</strong> {s.technique.own && <span className="own-mark">own</span>}{' '}
                      <span className="soft small">
                        {s.banned ? '' : `${pressureWords(s.step)}, ${doseWords(s.step)}`}
                        {s.lowered && <span className="now"> {s.lowered}</span>}
                        {s.ignored.length > 0 && <span className="caution"> ignored: {s.ignored.join(', ')}</span>}
                      </span>
                      {s.banned && <span className="caution small">Off limits. {s.banned}</span>}
                    </span>
                    <span className="num">
                      {s.banned ? '' : place && isStep(s) ? `is step ${isStep(s)}` : clock(stepSeconds(s.step))}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          {shows && found[at] && !found[at].banned && (
            <p className="add-foot">
              {place && place.side !== 'midline' && (
                <label>
                  <input type="checkbox" checked={oneSide} onChange={(e) => setOneSide(e.target.checked)} /> client’s{' '}
                  {place.side} only
                </label>
              )}
              <span className="ms-auto">
                <kbd>Enter</kbd> {whereWords(placeOf(found[at]))} <span className="soft">(Alt ↑ ↓)</span>
              </span>
            </p>
          )}
        </div>
      )}
    </div>
  );
});
