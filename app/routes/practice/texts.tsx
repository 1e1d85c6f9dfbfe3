import { type PracticeText, TEXT_KINDS, TEXT_NAMES } from '../../../core/record';
import { Button } from 'react-bootstrap';
import { data, Form, redirect, useActionData, useRouteLoaderData } from 'react-router';
import { practiceTexts, writeText } from '../../../server/db/queries/practice.server';
import { textSchema } from '../../schemas/practice';
import { checkForm, readForm, type FieldErrors } from '../../schemas/read';
import { permitted } from '../../../server/access/session.server';
import { Field, HiddenField, useCheckedForm, type Answered } from '../../parts/fields/field';
import type { Route } from './+types/texts';
import type { loader as frame } from './practice';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'rules');
  return { texts: await practiceTexts(practiceId) };
}

export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const form = await readForm(request);
  const told = (errors: FieldErrors, status: number, typed?: object) =>
    data({ kind: form.get('kind') ?? '', errors, typed }, { status });
  const input = await checkForm(textSchema, form);
  if (!input.ok) return told(input.errors, 422, input.typed);
  const result = await writeText(who, input.value.kind, input.value.version, input.value.body);
  if (result !== 'saved')
    return told(
      {
        body: 'This text was changed in another window meanwhile. Load the page again to see it; what you typed is still here.',
      },
      409,
    );
  return redirect('/practice/texts');
}

export default function Texts({ loaderData: { texts } }: Route.ComponentProps) {
  const { isOwner } = useRouteLoaderData('routes/practice/practice') as Awaited<ReturnType<typeof frame>>;
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Texts</h1>
          <span className="soft">
            read to clients; every change is a new version, and consent is kept with the version it was given to
          </span>
        </div>
        <p className="narrow soft">
          The wordings that come with the application are a start. Have them read by somebody who knows the law where
          you work.
        </p>
        {TEXT_KINDS.map((kind) => (
          <TextForm
            key={`${kind}-${texts[kind].version}`}
            text={texts[kind]}
            isOwner={isOwner}
            answered={answered?.kind === kind ? answered : undefined}
          />
        ))}
      </main>
    </div>
  );
}

function TextForm({ text, isOwner, answered }: { text: PracticeText; isOwner: boolean; answered: Answered }) {
  const { form, bind } = useCheckedForm<{ body: string; kind: string; version: number }>(textSchema, answered, {
    body: text.body,
    kind: text.kind,
    version: text.version,
  });
  return (
    <Form {...bind} className="narrow mb-4">
      <h2 className="mb-1">{TEXT_NAMES[text.kind]}</h2>
      <HiddenField form={form} name="kind" />
      <HiddenField form={form} name="version" />
      <Field
        form={form}
        name="body"
        as="textarea"
        rows={4}
        defaultValue={text.body}
        readOnly={!isOwner}
        label={text.version ? `Version ${text.version}` : 'As it comes with the application'}
      />
      {isOwner && (
        <Button
          type="submit"
          size="sm"
          variant="outline-primary"
          className="mt-2"
          aria-label={`Keep as version ${text.version + 1}: ${TEXT_NAMES[text.kind]}`}
        >
          Keep as version {text.version + 1}
        </Button>
      )}
    </Form>
  );
}
