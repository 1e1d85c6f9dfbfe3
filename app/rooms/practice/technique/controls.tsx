import type { OwnTechnique } from '../../../../core/routine';
import { useId, type ReactNode } from 'react';
import { Form } from 'react-bootstrap';

/** What was refused, by the path of its field: one message at a time, as the reader gives it. */
export interface Refused {
  field: string;
  message: string;
}

/** What each part of the form is given: the technique, ways to change it, and what was refused. */
export interface Part {
  own: OwnTechnique;
  set: (change: Partial<OwnTechnique>) => void;
  setWork: (change: Partial<OwnTechnique['work']>) => void;
  refused: Refused | null;
}

interface Common {
  label: string;
  /** Path in the document: a message for it or for anything in it stands here. */
  path: string;
  refused: Refused | null;
}
const isAt = (refused: Refused | null, path: string): boolean =>
  !!refused && (refused.field === path || refused.field.startsWith(`${path}.`) || refused.field.startsWith(`${path}[`));

/** The message at its field, said at once. */
export function Told({ path, refused, id }: { path: string; refused: Refused | null; id?: string }) {
  return isAt(refused, path) ? (
    <div className="caution small" role="alert" id={id} data-refused={path}>
      {refused!.message[0]!.toUpperCase() + refused!.message.slice(1).replace(/\.$/, '')}.
    </div>
  ) : null;
}

export function TextControl({
  label,
  path,
  refused,
  value,
  most,
  onChange,
  hint,
}: Common & { value: string; most: number; onChange: (value: string) => void; hint?: string }) {
  const id = useId();
  const wrong = isAt(refused, path);
  return (
    <div>
      <Form.Label className="mb-0" htmlFor={id}>
        {label}
      </Form.Label>
      <Form.Control
        id={id}
        value={value}
        maxLength={most}
        isInvalid={wrong}
        aria-describedby={wrong ? `${id}-e` : undefined}
        onChange={(e) => onChange(e.target.value)}
      />
      <Told path={path} refused={refused} id={`${id}-e`} />
      {hint && <div className="soft small">{hint}</div>}
    </div>
  );
}

export function ChoiceControl<V extends string>({
  label,
  path,
  refused,
  value,
  all,
  words = (v) => v.replaceAll('-', ' '),
  onChange,
}: Common & { value: V; all: readonly V[]; words?: (v: V) => string; onChange: (value: V) => void }) {
  const id = useId();
  return (
    <div>
      <Form.Label className="mb-0" htmlFor={id}>
        {label}
      </Form.Label>
      <Form.Select
        id={id}
        value={value}
        isInvalid={isAt(refused, path)}
        onChange={(e) => onChange(e.target.value as V)}
      >
        {all.map((v) => (
          <option key={v} value={v}>
            {words(v)}
          </option>
        ))}
      </Form.Select>
      <Told path={path} refused={refused} />
    </div>
  );
}

/** Any number out of a short list, as chips. */
export function SeveralControl<V extends string>({
  label,
  path,
  refused,
  value,
  all,
  words = (v) => v.replaceAll('-', ' '),
  onChange,
}: Common & { value: readonly V[]; all: readonly V[]; words?: (v: V) => string; onChange: (value: V[]) => void }) {
  return (
    <fieldset className="wide several">
      <legend>{label}</legend>
      <div className="chips">
        {all.map((v) => (
          <button
            key={v}
            type="button"
            className="chip"
            aria-pressed={value.includes(v)}
            onClick={() => onChange(value.includes(v) ? value.filter((c) => c !== v) : [...value, v])}
          >
            {words(v)}
          </button>
        ))}
      </div>
      <Told path={path} refused={refused} />
    </fieldset>
  );
}

export const Section = ({ title, children }: { title: string; children: ReactNode }) => (
  <fieldset className="technique-part">
    <legend>{title}</legend>
    {children}
  </fieldset>
);
