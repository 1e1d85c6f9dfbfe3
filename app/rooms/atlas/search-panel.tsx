import { ENTRY_KINDS } from '../../../core/atlas';
import { REGION_NAMES, REGIONS } from '../../../core/words';
import { Form as BsForm } from 'react-bootstrap';
import { Form, useSubmit } from 'react-router';
import { CAUTIONS } from '../../../reference/facts/cautions';
import { MUSCLES } from '../../../reference/facts/muscles';
import { KIND_NAMES, TRADITIONS, type Ask } from './ask';

/**
 * What the atlas is asked: words, and five ways to narrow. Every choice stands in the address; a choice is made anew
 * only when its own part of the address changes, so that quick choices do not undo each other.
 */
export function SearchPanel({ ask, clientId }: { ask: Ask; clientId: string | null }) {
  const submit = useSubmit();
  const send = (form: HTMLFormElement) => {
    const query = new URLSearchParams();
    for (const [name, value] of new FormData(form)) if (typeof value === 'string' && value) query.set(name, value);
    void submit(query, { action: '/atlas', replace: true, preventScrollReset: true });
  };
  const choice = (
    name: string,
    label: string,
    value: string | null,
    options: readonly (readonly [string, string])[],
  ) => (
    <BsForm.Select
      key={`${name} ${value}`}
      size="sm"
      name={name}
      aria-label={label}
      defaultValue={value ?? ''}
      onChange={(e) => send(e.currentTarget.form!)}
    >
      <option value="">{label}</option>
      {options.map(([key, word]) => (
        <option key={key} value={key}>
          {word}
        </option>
      ))}
    </BsForm.Select>
  );
  return (
    <Form
      role="search"
      action="/atlas"
      className="atlas-search"
      onSubmit={(e) => (e.preventDefault(), send(e.currentTarget))}
    >
      <BsForm.Control
        name="q"
        type="search"
        defaultValue={ask.text}
        placeholder="Code, name, place, muscle, complaint …"
        aria-label="Search the atlas"
        maxLength={80}
        onChange={(e) => send(e.currentTarget.form!)}
      />
      <div className="atlas-filters">
        {choice(
          'kind',
          'Everything',
          ask.kind,
          ENTRY_KINDS.map((k) => [k, KIND_NAMES[k]]),
        )}
        {choice(
          'complaint',
          'Any complaint',
          ask.complaint,
          TRADITIONS.map((t) => [t, t.replace('-', ' ')]),
        )}
        {choice(
          'region',
          'Any region',
          ask.region,
          REGIONS.map((r) => [r, REGION_NAMES[r]]),
        )}
        {choice(
          'muscle',
          'Any muscle',
          ask.muscle,
          MUSCLES.map((m) => [m.id, m.name]),
        )}
        {choice(
          'caution',
          'Off limits with …',
          ask.caution,
          CAUTIONS.map((c) => [c.key, c.title]),
        )}
      </div>
      {clientId && <input type="hidden" name="client" value={clientId} />}
    </Form>
  );
}
