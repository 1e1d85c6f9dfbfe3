import type { TakenMeasures } from '../../../core/record';
import { CLIENT_MEASURE_IDS, CLIENT_MEASURES, compareMeasures } from '../../../core/atlas';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { useDates } from '../../parts/frame/use-dates';

/** Measures side by side, newest first; what changed beyond measuring error is told. */
export function MeasureHistory({ taken }: { taken: readonly TakenMeasures[] }) {
  const { dayWords } = useDates();
  const shown = taken.slice(0, 4);
  const [now, before] = shown;
  if (!now) return null;
  const changes = before ? compareMeasures(before.valuesMm, now.valuesMm) : [];
  const rows = CLIENT_MEASURE_IDS.filter((id) => shown.some((t) => t.valuesMm[id] !== undefined));
  return (
    <section className="section">
      <h2>Taken so far</h2>
      <table className="table table-sm measure-history">
        <thead>
          <tr>
            <th scope="col">mm</th>
            {shown.map((t) => (
              <th key={t.id} scope="col" className="text-end">
                {dayWords(t.takenOn)}
                <Form
                  method="post"
                  onSubmit={(e) => !confirm(`Remove the measures of ${dayWords(t.takenOn)}?`) && e.preventDefault()}
                >
                  <input type="hidden" name="remove" value={t.id} />
                  <Button variant="link" size="sm" type="submit" className="p-0">
                    Remove
                  </Button>
                </Form>
              </th>
            ))}
            {before && <th scope="col">change</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((id) => {
            const change = changes.find((c) => c.id === id);
            return (
              <tr key={id}>
                <td>{CLIENT_MEASURES[id].name}</td>
                {shown.map((t) => (
                  <td key={t.id} className="num text-end">
                    {t.valuesMm[id] ?? ''}
                  </td>
                ))}
                {before && (
                  <td className={change?.beyondError ? 'fw-bold' : 'soft'}>
                    {!change
                      ? ''
                      : change.beyondError
                        ? `${change.after > change.before ? '+' : '−'}${Math.abs(Math.round((change.after - change.before) * 10) / 10)} mm`
                        : 'within error'}
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
