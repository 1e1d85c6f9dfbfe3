import {
  contradictionIn,
  type MeasureAnswers,
  type MeasureDef,
  type MeasureField,
  missingIn,
  MOST_LETTERS,
  scoreSoFar,
} from '../../../../core/measures';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { FieldFrame } from '../../../parts/fields/field';

/** Up to this many steps a scale is pressed, beyond it is typed. */
const PRESSED_UP_TO = 11;

interface Props {
  def: MeasureDef;
  /** As given so far in this visit. */
  answers: MeasureAnswers;
  onAnswer: (answers: MeasureAnswers) => void;
  onClose: () => void;
}

/** The questions of one measure. Every answer is kept as it is given; what is missing is named, and nothing has to be finished at once. */
export function MeasureSheet({ def, answers, onAnswer, onClose }: Props) {
  const missing = missingIn(def, answers);
  const begun = Object.values(answers).some((a) => a !== null);
  const result = scoreSoFar(def, answers);
  /** An answer that was not kept because another one speaks against it. */
  const [refused, setRefused] = useState<{ key: string; words: string } | null>(null);
  const answer = (key: string, value: string | number | null) => {
    const next = { ...answers, [key]: value };
    const against = contradictionIn(def, next);
    const isNew = against?.keys.includes(key);
    setRefused(isNew ? { key, words: against!.words } : null);
    if (!isNew) onAnswer(next);
  };
  return (
    <div className="measure-sheet" role="group" aria-label={def.name}>
      <p className="soft small">
        {def.about} <span>({def.credit})</span>
      </p>
      {def.fields.map((f, i) => (
        <Question
          key={f.key}
          field={f}
          first={i === 0}
          value={answers[f.key] ?? null}
          isMissing={begun && missing.includes(f)}
          refused={refused?.key === f.key ? `Not kept: ${refused.words}.` : ''}
          onAnswer={(value) => answer(f.key, value)}
        />
      ))}
      <p className="mb-0 mt-2" role="status">
        {begun ? result.words : 'Nothing answered yet.'}
      </p>
      <div className="d-flex gap-2 mt-2">
        <Button size="sm" onClick={onClose}>
          {result.value === null ? 'Close, go on later' : 'Done'}
        </Button>
      </div>
    </div>
  );
}

function Question({
  field: f,
  first,
  value,
  isMissing,
  refused,
  onAnswer,
}: {
  field: MeasureField;
  first: boolean;
  value: string | number | null;
  isMissing: boolean;
  /** Why the last answer was not kept; empty where it was. */
  refused: string;
  onAnswer: (value: string | number | null) => void;
}) {
  if (f.kind === 'words')
    return (
      <TypedAnswer
        key={f.key}
        label={f.label}
        start={value === null ? '' : String(value)}
        first={first}
        most={MOST_LETTERS}
        onAnswer={(text) => onAnswer(text.trim() || null)}
      />
    );
  const steps = f.most - f.least + 1;
  const missing = isMissing && <span className="worse small"> not answered</span>;
  if (steps > PRESSED_UP_TO)
    return (
      <TypedAnswer
        label={f.label}
        start={value === null ? '' : String(value)}
        first={first}
        hint={`${f.least} to ${f.most}${isMissing ? ', not answered' : ''}`}
        refuse={(text) =>
          text.trim() === '' || (/^-?\d{1,4}$/.test(text.trim()) && Number(text) >= f.least && Number(text) <= f.most)
            ? ''
            : `A whole number from ${f.least} to ${f.most} is accepted.`
        }
        refused={refused}
        onAnswer={(text) => onAnswer(text.trim() === '' ? null : Number(text))}
      />
    );
  return (
    <fieldset className="measure-scale">
      <legend>
        {f.label}
        {f.optional && !f.neededWhen && <span className="soft small"> may be left out</span>}
        {missing}
      </legend>
      <div
        className="scale"
        role="radiogroup"
        aria-label={`${f.label}, ${f.least} to ${f.most}`}
        onKeyDown={(e) => (e.key === 'Backspace' || e.key === 'Delete') && onAnswer(null)}
      >
        {Array.from({ length: steps }, (_, i) => f.least + i).map((v) => (
          <label key={v}>
            <input
              type="radio"
              name={f.key}
              value={v}
              aria-label={String(v)}
              autoFocus={first && v === f.least}
              checked={value === v}
              onChange={() => onAnswer(v)}
              onClick={() => value === v && onAnswer(null)}
            />
            {v < 0 ? `−${-v}` : v}
          </label>
        ))}
      </div>
      {refused && (
        <div className="caution small" role="alert">
          {refused}
        </div>
      )}
      {f.ends && (
        <div className="scale-ends soft small">
          <span>{f.ends[0]}</span>
          <span>{f.ends[1]}</span>
        </div>
      )}
    </fieldset>
  );
}

/** An answer that is typed: kept when the field is left, refused at the field when it cannot be. */
function TypedAnswer({
  label,
  start,
  first,
  hint,
  most,
  refuse = () => '',
  refused = '',
  onAnswer,
}: {
  label: string;
  start: string;
  first: boolean;
  hint?: string;
  most?: number;
  refuse?: (text: string) => string;
  /** Why what was typed last was not kept. */
  refused?: string;
  onAnswer: (text: string) => void;
}) {
  const [text, setText] = useState(start);
  const message = refuse(text) || refused;
  return (
    <FieldFrame
      label={label}
      hint={hint}
      maxLength={most}
      inputMode={most ? undefined : 'numeric'}
      autoComplete="off"
      autoFocus={first}
      value={text}
      message={message}
      onChange={(e: { target: { value: string } }) => {
        setText(e.target.value);
        if (!refuse(e.target.value)) onAnswer(e.target.value);
      }}
      className={`mt-2${most ? '' : ' measure-number'}`}
    />
  );
}
