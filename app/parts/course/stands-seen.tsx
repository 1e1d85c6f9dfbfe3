import { wilson } from '../../../core/measures';
import type { Stands } from '../../../core/record';

/** How the complaints of some clients stand: counts with their intervals, never a share of a handful. */
export function StandsSeen({ clients, stands }: { clients: number; stands: Stands | null }) {
  if (!stands) return <span className="soft">{clients ? 'too few to tell' : 'not used yet'}</span>;
  const { of, better, worse, same } = stands;
  const untold = of - better - worse - same;
  const share = (n: number) => {
    const { low, high } = wilson(n, of)!;
    return ` (${Math.round(low * 100)} to ${Math.round(high * 100)} %)`;
  };
  return (
    <>
      {better > 0 && (
        <div className="better">
          ↓ {better} of {of} better
          {share(better)}
        </div>
      )}
      {worse > 0 && (
        <div className="worse">
          ↑ {worse} of {of} worse
          {share(worse)}
        </div>
      )}
      {same > 0 && (
        <div className="soft">
          {same} of {of} about the same
        </div>
      )}
      {untold > 0 && (
        <div className="soft">
          {untold} of {of} cannot be told
        </div>
      )}
    </>
  );
}

/** How clients stand, a row for each thing that they share: a routine, a technique, a complaint. */
export function StandsTable({
  title,
  rows,
}: {
  title: string;
  rows: readonly { id: string; name: string; clients: number; stands: Stands | null }[];
}) {
  if (!rows.length)
    return (
      <>
        <h2>{title}</h2>
        <p className="soft">None was worked with yet.</p>
      </>
    );
  return (
    <table className="table table-sm stands-table">
      <caption className="visually-hidden">{title}</caption>
      <thead>
        <tr>
          <th scope="col">{title}</th>
          <th scope="col" className="text-end">
            Clients
          </th>
          <th scope="col">How they stand</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => (
          <tr key={r.id}>
            <th scope="row" className="fw-normal">
              {r.name}
            </th>
            <td className="num text-end">{r.clients}</td>
            <td className="small">
              <StandsSeen clients={r.clients} stands={r.stands} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
