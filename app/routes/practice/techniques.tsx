import { readOwnFile } from '../../../core/routine';
import { InputError } from '../../../core/words';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData, useFetcher } from 'react-router';
import {
  changeTechnique,
  importTechniques,
  KNOWN_HERE,
  ownTechniques,
} from '../../../server/db/queries/techniques.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { checkForm, readForm } from '../../schemas/read';
import { techniqueFileSchema } from '../../schemas/technique';
import type { Route } from './+types/techniques';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'stock');
  return { techniques: await ownTechniques(practiceId) };
}

const told = (message: string, status: number) => data({ told: message, done: '' }, { status });

/** Retires a technique, offers it again, or takes a file of them in: the whole file or nothing of it. */
export async function action({ request }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'stock');
  const form = await readForm(request);
  const what = form.get('do');
  if (what === 'retire' || what === 'return') {
    const result = await changeTechnique(who, form.get('id') ?? '', Number(form.get('version')), {
      retired: what === 'retire',
    });
    if (result === 'missing') notFound('technique');
    if (result === 'stale') return told('It was changed in another window meanwhile. Load the page again.', 409);
    if (result === 'name-taken')
      return told('Another technique in use has this name. Change one of the two first.', 409);
    return redirect('/practice/techniques');
  }
  const input = await checkForm(techniqueFileSchema, form);
  if (!input.ok) return told(Object.values(input.errors)[0]!, 422);
  try {
    const result = await importTechniques(who, readOwnFile(JSON.parse(input.value.file), KNOWN_HERE));
    if (result === 'too-many')
      return told('This would be more techniques than a practice keeps. Nothing was taken in.', 422);
    if ('taken' in result)
      return told(`“${result.taken}” is there already, in other words. Nothing was taken in.`, 422);
    const same = result.same ? `, ${result.same} were there already` : '';
    return { told: '', done: `${result.added} taken in${same}.` };
  } catch (error) {
    if (error instanceof SyntaxError) return told('The file is no JSON. Nothing was taken in.', 422);
    if (error instanceof InputError) return told(`${error.message}. Nothing was taken in.`, 422);
    throw error;
  }
}

export default function Techniques({ loaderData: { techniques } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Techniques of this practice</h1>
          <span className="soft">beside the library’s; capped, checked and screened like all others</span>
        </div>
        <div className="d-flex gap-2 flex-wrap mb-3">
          <Link to="/practice/techniques/new" className="btn btn-primary">
            New technique
          </Link>
          {techniques.some((t) => !t.retired) && (
            <a className="btn btn-outline-primary" href="/practice/techniques/file" download>
              Take as a file
            </a>
          )}
          <TakeIn />
        </div>
        {answered?.told && (
          <p className="caution" role="alert">
            {answered.told}
          </p>
        )}
        {techniques.length === 0 && (
          <p className="soft narrow">
            None yet. Make one from nothing, or open a technique in the Atlas and copy it; what you change is yours, the
            library stays as it is.
          </p>
        )}
        <ul className="plain-list narrow">
          {techniques.map(({ own, retired, version }) => (
            <li key={own.id} className={`rule-row${retired ? ' is-off' : ''}`}>
              <div>
                <strong>{own.name}</strong> <span className="soft small">{retired ? 'no longer offered' : 'own'}</span>
                <div className="soft small">{own.cue}</div>
              </div>
              <Form method="post" className="d-flex gap-2 align-items-start">
                <input type="hidden" name="id" value={own.id} />
                <input type="hidden" name="version" value={version} />
                <Link
                  to={`/practice/techniques/${own.id}`}
                  className="btn btn-sm btn-outline-primary"
                  aria-label={`Change: ${own.name}`}
                >
                  Change
                </Link>
                <Link
                  to={`/practice/techniques/new?from=${own.id}`}
                  className="btn btn-sm btn-outline-primary"
                  aria-label={`Copy: ${own.name}`}
                >
                  Copy
                </Link>
                <Button
                  size="sm"
                  variant="outline-primary"
                  type="submit"
                  name="do"
                  value={retired ? 'return' : 'retire'}
                  aria-label={`${retired ? 'Offer again' : 'Retire'}: ${own.name}`}
                >
                  {retired ? 'Offer again' : 'Retire'}
                </Button>
              </Form>
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}

/** Larger than any file of ours. */
const LARGEST = 900_000;

/** A file of techniques, read here and sent as text. */
function TakeIn() {
  const send = useFetcher<typeof action>();
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (input.current) input.current.value = '';
    if (file.size > LARGEST) return setProblem('The file is larger than is accepted. Nothing was taken in.');
    setProblem('');
    await send.submit({ do: 'import', file: await file.text() }, { method: 'post' });
  };
  const words = problem || send.data?.told;
  return (
    <>
      <label className="btn btn-outline-primary mb-0">
        Take in a file
        <input
          ref={input}
          type="file"
          accept=".json,application/json"
          className="visually-hidden"
          onChange={(e) => void take(e.target.files?.[0])}
        />
      </label>
      {words ? (
        <p className="caution mb-0 align-self-center" role="alert">
          {words}
        </p>
      ) : (
        <p className="mb-0 align-self-center" role="status">
          {send.data?.done}
        </p>
      )}
    </>
  );
}
