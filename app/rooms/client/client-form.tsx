import { type Client, HABIT_LABELS, HABITS } from '../../../core/record';
import { COMPLAINT_KINDS, COMPLAINT_NAMES, PRESSURES } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { useFieldArray } from 'react-hook-form';
import { Form } from 'react-router';
import { clientSchema, type ClientForm as Values } from '../../schemas/client';
import { type Answered, Field, HiddenField, useCheckedForm } from '../../parts/fields/field';
import { useFormDraft } from '../../parts/fields/use-form-draft';
import { OnceKey } from '../../parts/fields/once-key';

const EMPTY_COMPLAINT = {
  id: '',
  kind: 'jaw' as const,
  side: 'both' as const,
  label: '',
  onset: '',
  triggers: '',
  goal: '',
  closed: false,
};

/** One form for a new client and for a known one. A complaint taken off the list is closed; its ratings stay. */
export function ClientForm({
  who,
  client,
  answered,
  verb,
}: {
  /** Who types: what they did not save comes back to nobody else. */
  who: string;
  client?: Client;
  answered: Answered;
  verb: string;
}) {
  const { form, bind } = useCheckedForm<Values>(clientSchema, answered, {
    name: client?.name ?? '',
    about: client?.about ?? '',
    email: client?.email ?? '',
    note: client?.note ?? '',
    pressureCap: client?.pressureCap ?? ('' as never),
    habitSides: Object.fromEntries(HABITS.map((h) => [h, client?.habitSides[h] ?? ''])) as never,
    allergies: client?.allergies.join(', ') ?? '',
    fingers: client?.fingerWidthsMm?.join(' ') ?? '',
    complaints: client ? client.complaints.filter((c) => !c.closed) : [EMPTY_COMPLAINT],
  });
  const { draft, letGo, onSent } = useFormDraft(
    `velvet-details-${who}-${client?.id ?? 'new'}`,
    client?.version ?? 0,
    form,
    answered,
  );
  const list = useFieldArray({ control: form.control, name: 'complaints', keyName: 'row' });
  return (
    <Form
      {...bind}
      className="narrow"
      onSubmit={(event) => {
        onSent();
        void bind.onSubmit(event);
      }}
    >
      {draft.is === 'back' && (
        <p className="note-bar" role="status">
          What you typed here before is back; it is not saved yet.{' '}
          <Button variant="link" onClick={letGo}>
            Let it go
          </Button>
        </p>
      )}
      {draft.is === 'outdated' && (
        <div className="note-bar" role="status">
          These details were changed since you typed here without saving. You had written: {draft.texts.join('; ')}.{' '}
          <Button variant="link" onClick={letGo}>
            Let it go
          </Button>
        </div>
      )}
      {client ? <input type="hidden" name="version" value={client.version} /> : <OnceKey />}
      <div className="form-grid">
        <Field form={form} name="name" label="Name" autoComplete="off" />
        <Field form={form} name="about" label="Known by" hint="Seat, trade, how they came." />
        <Field
          form={form}
          name="email"
          type="email"
          label="E-mail"
          autoComplete="off"
          hint="For reminders, once the client agreed to them."
        />
        <Field form={form} name="pressureCap" label="Pressure at most">
          <option value="">not capped</option>
          {PRESSURES.map((p) => (
            <option key={p}>{p}</option>
          ))}
        </Field>
        {HABITS.map((h) => (
          <Field key={h} form={form} name={`habitSides.${h}`} label={HABIT_LABELS[h]}>
            <option value="">not asked</option>
            <option value="left">client’s left</option>
            <option value="right">client’s right</option>
            <option value="both">both, no side</option>
          </Field>
        ))}
        <Field
          form={form}
          name="allergies"
          label="Skin reacts to"
          placeholder="nuts, lavender"
          hint="Held against the ingredients of every product."
        />
        <Field
          form={form}
          name="fingers"
          label="Own finger widths, mm"
          placeholder="17 18 17 15"
          hint="Index first; turns finger widths into millimetres."
        />
        <Field form={form} name="note" label="Note" as="textarea" rows={2} />
      </div>
      <h2 className="mt-4 mb-2">Complaints</h2>
      {list.fields.map((row, i) => (
        <div key={row.row} className="complaint-box form-grid">
          <HiddenField form={form} name={`complaints.${i}.id`} />
          <Field form={form} name={`complaints.${i}.kind`} label="What">
            {COMPLAINT_KINDS.map((k) => (
              <option key={k} value={k}>
                {COMPLAINT_NAMES[k]}
              </option>
            ))}
          </Field>
          <Field form={form} name={`complaints.${i}.side`} label="Client’s side">
            <option value="both">both sides</option>
            <option value="left">left</option>
            <option value="right">right</option>
            <option value="midline">middle</option>
          </Field>
          <Field
            form={form}
            name={`complaints.${i}.label`}
            label="Called"
            hint="The client’s own word; empty takes the kind."
          />
          <Field form={form} name={`complaints.${i}.onset`} label="Since when" />
          <Field form={form} name={`complaints.${i}.triggers`} label="Set off by" />
          <Field form={form} name={`complaints.${i}.goal`} label="Goal in the client’s words" />
          <div className="wide">
            <Button variant="link" onClick={() => list.remove(i)}>
              {row.id ? 'Close this complaint' : 'Take it off'}
            </Button>
          </div>
        </div>
      ))}
      <div className="d-flex gap-3 mt-3">
        <Button type="submit">{verb}</Button>
        <Button variant="outline-primary" onClick={() => list.append({ ...EMPTY_COMPLAINT })}>
          Add a complaint
        </Button>
      </div>
    </Form>
  );
}
