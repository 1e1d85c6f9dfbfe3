import { CONTACT_NAMES, CONTACTS } from '../../../../core/words';
import { useId } from 'react';
import { useDraft } from '../../fields/use-draft';

/** Values inside a sentence: what can be changed is dotted, keeps what is typed, and is told where it is out of range. */
export function SayNumber({
  label,
  value,
  range: [least, most],
  whole,
  onCommit,
}: {
  label: string;
  value: number;
  range: readonly [number, number];
  whole?: boolean;
  onCommit: (value: number) => void;
}) {
  const id = useId();
  const [typed, setTyped] = useDraft(String(value));
  const fits = (text: string): number | null => {
    const n = Number(text.trim().replace(',', '.'));
    return text.trim() !== '' && n >= least && n <= most && !(whole && !Number.isInteger(n)) ? n : null;
  };
  const isWrong = fits(typed) === null;
  const type = (text: string) => {
    setTyped(text);
    const n = fits(text);
    if (n !== null) onCommit(n);
  };
  const step = (by: number) => type(String(Math.min(Math.max((fits(typed) ?? value) + by, least), most)));
  return (
    <>
      <input
        className={`say is-number${isWrong ? ' is-wrong' : ''}`}
        aria-label={label}
        aria-invalid={isWrong}
        aria-describedby={isWrong ? id : undefined}
        inputMode={whole ? 'numeric' : 'decimal'}
        size={Math.max(2, typed.length)}
        value={typed}
        onChange={(e) => type(e.target.value)}
        onKeyDown={(e) => {
          const by = { ArrowUp: 1, '+': 1, ArrowDown: -1, '-': -1 }[e.key];
          if (!by) return;
          step(by);
          e.preventDefault();
        }}
      />
      {isWrong && (
        <span id={id} className="say-wrong" role="alert">
          {whole ? 'Whole, ' : ''}
          {least} to {most}
        </span>
      )}
    </>
  );
}

export function SayChoice<T extends string>({
  label,
  value,
  options,
  onChoose,
}: {
  label: string;
  value: T;
  options: readonly (readonly [value: T, words: string])[];
  onChoose: (value: T) => void;
}) {
  return (
    <select className="say" aria-label={label} value={value} onChange={(e) => onChoose(e.target.value as T)}>
      {options.map(([v, words]) => (
        <option key={v} value={v}>
          {words}
        </option>
      ))}
    </select>
  );
}

export function SayText({
  label,
  value,
  most,
  placeholder,
  required,
  onCommit,
}: {
  label: string;
  value: string;
  most: number;
  placeholder: string;
  required?: boolean;
  onCommit: (value: string) => void;
}) {
  const [typed, setTyped] = useDraft(value);
  const isWrong = required && !typed.trim();
  return (
    <>
      <input
        className={`say is-text${isWrong ? ' is-wrong' : ''}`}
        aria-label={label}
        aria-invalid={isWrong}
        maxLength={most}
        size={Math.max(placeholder.length, Math.min(typed.length + 1, 48))}
        placeholder={placeholder}
        value={typed}
        onChange={(e) => {
          setTyped(e.target.value);
          if (!required || e.target.value.trim()) onCommit(e.target.value);
        }}
      />
      {isWrong && (
        <span className="say-wrong" role="alert">
          some words are needed
        </span>
      )}
    </>
  );
}

/** A way that the text goes on: "add", "take away". */
export function SayVerb({ label, children, onClick }: { label?: string; children: string; onClick: () => void }) {
  return (
    <button type="button" className="say-verb" aria-label={label} onClick={onClick}>
      {children}
    </button>
  );
}

/** The words of a list of the model as choices: "turns-away" is "turns away". */
export const spaced = <T extends string>(values: readonly T[]): (readonly [T, string])[] =>
  values.map((v) => [v, v.replaceAll('-', ' ')] as const);

export const CONTACT_CHOICES = CONTACTS.map((c) => [c, CONTACT_NAMES[c]] as const);
