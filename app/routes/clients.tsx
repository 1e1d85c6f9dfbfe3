import { CLIENT_SORTS, type ClientSort } from '../../core/record';
import { complaintName } from '../../core/words';
import { Form as BsForm, Pagination } from 'react-bootstrap';
import { Form, Link, useSearchParams, useSubmit } from 'react-router';
import { listClients } from '../../server/db/queries/clients.server';
import { findTemplate } from '../../server/db/queries/templates.server';
import { may } from '../../server/access/may';
import { queryText } from '../schemas/read';
import { permitted } from '../../server/access/session.server';
import { useDates } from '../parts/frame/use-dates';
import type { Route } from './+types/clients';

const PAGE_SIZE = 15;
export const meta = () => [{ title: 'Clients · Velvet Compass' }];

export async function loader({ request }: Route.LoaderArgs) {
  const who = await permitted(request, 'see', 'people');
  const { practiceId } = who;
  const namesOnly = !may(who, 'see', 'care');
  const query = new URL(request.url).searchParams;
  const sort = CLIENT_SORTS.find((s) => s === query.get('sort')) ?? 'name';
  const descending = query.get('down') === '1';
  const page = Math.min(10_000, Math.max(1, Math.trunc(Number(query.get('page'))) || 1));
  const find = queryText(query, 'find', 80);
  const chosen = query.get('with');
  const template = chosen && !namesOnly ? await findTemplate(practiceId, chosen) : null;
  return {
    ...(await listClients(practiceId, { find, sort, descending, page, pageSize: PAGE_SIZE, namesOnly })),
    namesOnly,
    sort,
    descending,
    page,
    find,
    routine: template && { id: template.id, name: template.name },
  };
}

export default function Clients({
  loaderData: { rows, total, sort, descending, page, find, routine, namesOnly },
}: Route.ComponentProps) {
  const { shortDay } = useDates();
  const [query] = useSearchParams();
  const submit = useSubmit();
  const pages = Math.max(1, Math.ceil(total / PAGE_SIZE));
  const href = (change: Record<string, string>) => {
    const next = new URLSearchParams(query);
    for (const [key, value] of Object.entries(change)) next.set(key, value);
    return `?${next}`;
  };
  const head = (key: ClientSort, label: string) => (
    <th scope="col" aria-sort={sort === key ? (descending ? 'descending' : 'ascending') : 'none'}>
      <Link to={href({ sort: key, down: sort === key && !descending ? '1' : '0', page: '1' })}>
        {label} {sort === key ? (descending ? '▼' : '▲') : ''}
      </Link>
    </th>
  );
  return (
    <div className="page">
      <main>
        <div className="page-head">
          <h1>Clients</h1>
          <span className="soft">{total}</span>
          <div className="actions">
            <Form role="search" onChange={(e) => void submit(e.currentTarget, { replace: true })}>
              <BsForm.Control
                name="find"
                defaultValue={find}
                placeholder={namesOnly ? 'Find by name' : 'Find by name, seat or a fact: pregnant'}
                aria-label="Find a client"
                maxLength={80}
              />
            </Form>
            <Link to="/clients/new" className="btn btn-primary">
              Add a client
            </Link>
          </div>
        </div>
        {routine && (
          <p className="note-bar" role="status">
            Choose whom “{routine.name}” is for. <Link to="/clients">No one now</Link>
          </p>
        )}
        {rows.length ? (
          <table className="table">
            <thead>
              <tr>
                {head('name', 'Name')}
                {!namesOnly && <th scope="col">Known by</th>}
                {!namesOnly && <th scope="col">Complaints</th>}
                {head('visits', 'Visits')}
                {head('last', 'Last visit')}
              </tr>
            </thead>
            <tbody>
              {rows.map((c) => (
                <tr key={c.id}>
                  <td>
                    <Link
                      to={namesOnly ? `/today?for=${c.id}` : `/clients/${c.id}${routine ? `?with=${routine.id}` : ''}`}
                      className="fw-bold"
                    >
                      {c.name}
                    </Link>
                  </td>
                  {!namesOnly && <td>{c.about}</td>}
                  {!namesOnly && <td>{c.complaints.map(complaintName).join('; ')}</td>}
                  <td className="num">{c.visits}</td>
                  <td>{c.lastVisitAt ? shortDay(c.lastVisitAt) : <span className="soft">none yet</span>}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : (
          <p className="empty">
            <strong>{find ? 'Nobody answers to that' : 'No clients yet'}</strong>
            {find
              ? 'Try fewer letters.'
              : 'Add the first one; then start a visit from their page, or book one on Today.'}
          </p>
        )}
        {pages > 1 && (
          <nav aria-label="Pages" className="mt-3">
            <Pagination>
              {Array.from({ length: pages }, (_, i) => i + 1)
                .filter((p) => p === 1 || p === pages || Math.abs(p - page) <= 3)
                .map((p) => (
                  <li key={p} className={`page-item${p === page ? ' active' : ''}`}>
                    <Link
                      className="page-link"
                      to={href({ page: String(p) })}
                      aria-current={p === page ? 'page' : undefined}
                    >
                      {p}
                    </Link>
                  </li>
                ))}
            </Pagination>
          </nav>
        )}
      </main>
    </div>
  );
}
