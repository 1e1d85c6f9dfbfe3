import { routineSeconds, stepCount } from '../../core/routine';
import { clock } from '../../core/words';
import { Link } from 'react-router';
import { listTemplates } from '../../server/db/queries/templates.server';
import { requirePractitioner } from '../../server/access/session.server';
import { shortDay } from '../parts/marks/time';
import type { Route } from './+types/routines';

export const meta = () => [{ title: 'Routines · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await requirePractitioner(request);
  const templates = await listTemplates(practiceId);
  return {
    timeZone,
    templates: templates.map(({ body, ...t }) => ({
      ...t,
      steps: stepCount(body),
      seconds: routineSeconds(body),
      budgetMinutes: body.budgetMinutes,
    })),
  };
}

export default function Routines({ loaderData: { templates, timeZone } }: Route.ComponentProps) {
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Routines</h1>
          <span className="soft">templates of this practice</span>
        </div>
        {templates.length ? (
          <table className="table">
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">Steps</th>
                <th scope="col">Length</th>
                <th scope="col">Made by</th>
                <th scope="col">Changed</th>
              </tr>
            </thead>
            <tbody>
              {templates.map((t) => (
                <tr key={t.id}>
                  <td>
                    <Link to={`/routines/${t.id}`} className="fw-bold">
                      {t.name}
                    </Link>
                  </td>
                  <td className="num">{t.steps}</td>
                  <td className="num">
                    {clock(t.seconds)}
                    {t.budgetMinutes !== null && <span className="soft"> of {t.budgetMinutes}:00</span>}
                  </td>
                  <td>{t.createdBy}</td>
                  <td>{shortDay(t.updatedAt, timeZone)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p className="empty">
            <strong>No templates yet</strong>
            Compose a routine in a visit and keep it as a template; it is listed here.
          </p>
        )}
      </main>
    </div>
  );
}
