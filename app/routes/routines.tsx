import { routineSeconds, stepCount } from '../../core/routine';
import { clock, COMPLAINT_NAMES } from '../../core/words';
import { Button } from 'react-bootstrap';
import { data, Form, Link, redirect, useActionData } from 'react-router';
import { CATALOGUE } from '../../reference/catalogue';
import { STARTING_ROUTINES } from '../../reference/routines';
import { bringStartingRoutines } from '../../server/db/queries/starting.server';
import { hideTemplate, listTemplates } from '../../server/db/queries/templates.server';
import { notFound, requirePractitioner } from '../../server/access/session.server';
import { shortDay } from '../parts/marks/time';
import { readForm } from '../schemas/read';
import type { Route } from './+types/routines';

export const meta = () => [{ title: 'Routines · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, practitionerId, role, timeZone } = await requirePractitioner(request);
  const templates = await listTemplates(practiceId);
  const origins = new Map(STARTING_ROUTINES.map((s) => [s.id, s]));
  return {
    timeZone,
    missing: STARTING_ROUTINES.filter((s) => !templates.some((t) => t.origin === s.id)).length,
    templates: templates.map(({ body, origin, createdById, ...t }) => ({
      ...t,
      steps: stepCount(body),
      seconds: routineSeconds(body),
      school: CATALOGUE.schools.get(body.school)?.name ?? '',
      serves: (origin && origins.get(origin)?.serves) || [],
      came: origin !== null,
      mine: role === 'owner' || createdById === practitionerId,
    })),
  };
}

/** Hides a template, shows it again, or brings in what came with the application. */
export async function action({ request }: Route.ActionArgs) {
  const who = await requirePractitioner(request);
  const form = await readForm(request);
  if (form.get('do') === 'bring') {
    await bringStartingRoutines(who);
    return redirect('/routines');
  }
  const hidden = form.get('do') === 'hide';
  if (!hidden && form.get('do') !== 'show') notFound('page');
  const result = await hideTemplate(who, form.get('id') ?? '', hidden);
  if (result === 'missing') notFound('routine');
  if (result === 'not-yours')
    return data(
      { told: 'Only who made it, or the owner of the practice, may hide it or show it again.' },
      { status: 403 },
    );
  return redirect('/routines');
}

type Row = Route.ComponentProps['loaderData']['templates'][number];

function TemplateRow({ t, timeZone }: { t: Row; timeZone: string }) {
  return (
    <tr>
      <td>
        <Link to={`/routines/${t.id}`} className="fw-bold">
          {t.name}
        </Link>
        {t.serves.length > 0 && (
          <div className="soft small">for {t.serves.map((s) => COMPLAINT_NAMES[s].toLowerCase()).join(', ')}</div>
        )}
      </td>
      <td>{t.school}</td>
      <td className="num">{t.steps}</td>
      <td className="num">{clock(t.seconds)}</td>
      <td>{t.came ? 'came with Velvet Compass' : t.createdBy}</td>
      <td>{shortDay(t.updatedAt, timeZone)}</td>
      <td className="text-end">
        {t.mine && (
          <Form method="post" preventScrollReset>
            <input type="hidden" name="id" value={t.id} />
            <Button
              variant="outline-primary"
              size="sm"
              type="submit"
              name="do"
              value={t.hidden ? 'show' : 'hide'}
              aria-label={`${t.hidden ? 'Show again' : 'Hide'}: ${t.name}`}
            >
              {t.hidden ? 'Show again' : 'Hide'}
            </Button>
          </Form>
        )}
      </td>
    </tr>
  );
}

function TemplateTable({ rows, timeZone }: { rows: readonly Row[]; timeZone: string }) {
  return (
    <div className="table-wrap">
      <table className="table">
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">School</th>
            <th scope="col">Steps</th>
            <th scope="col">Length</th>
            <th scope="col">Made by</th>
            <th scope="col">Changed</th>
            <th scope="col">
              <span className="visually-hidden">In the lists</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((t) => (
            <TemplateRow key={t.id} t={t} timeZone={timeZone} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

export default function Routines({ loaderData: { templates, timeZone, missing } }: Route.ComponentProps) {
  const answered = useActionData<typeof action>();
  const shown = templates.filter((t) => !t.hidden);
  const hidden = templates.filter((t) => t.hidden);
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Routines</h1>
          <span className="soft">templates of this practice; a visit starts from a copy</span>
        </div>
        {answered?.told && (
          <p className="caution" role="alert">
            {answered.told}
          </p>
        )}
        {shown.length ? (
          <TemplateTable rows={shown} timeZone={timeZone} />
        ) : (
          <p className="empty">
            <strong>No templates in use</strong>
            Compose a routine in a visit and keep it as a template; it is listed here.
          </p>
        )}
        {hidden.length > 0 && (
          <details>
            <summary>Hidden ({hidden.length})</summary>
            <TemplateTable rows={hidden} timeZone={timeZone} />
          </details>
        )}
        {missing > 0 && (
          <Form method="post" className="mt-3">
            <Button variant="outline-primary" type="submit" name="do" value="bring">
              Bring in {missing === 1 ? 'the routine' : `${missing} routines`} that came with Velvet Compass
            </Button>
          </Form>
        )}
      </main>
    </div>
  );
}
