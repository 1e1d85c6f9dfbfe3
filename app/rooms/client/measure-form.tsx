import {
  CLIENT_MEASURE_IDS,
  CLIENT_MEASURES,
  clientInches,
  type ClientMeasureId,
  type ClientMeasures,
} from '../../../core/atlas';
import { Button } from 'react-bootstrap';
import { Form } from 'react-router';
import { BODY_INCHES } from '../../../reference/facts/body-inches';
import { measuresSchema, measuresOf } from '../../schemas/measures';
import { Field, useCheckedForm, type Answered } from '../../parts/fields/field';
import { OnceKey } from '../../parts/fields/once-key';

type Typed = Record<ClientMeasureId, string> & { takenOn: string };

const number = (text: string | undefined): number | undefined => {
  const value = Number((text ?? '').trim().replace(',', '.'));
  return (text ?? '').trim() && Number.isFinite(value) ? value : undefined;
};

/** Measures in the order in which they are taken; the chart beside it shows where each one is. */
export function MeasureForm({
  today,
  before,
  answered,
  onFocus,
}: {
  today: string;
  before: ClientMeasures | null;
  answered: Answered;
  onFocus: (id: ClientMeasureId) => void;
}) {
  const { form, bind } = useCheckedForm<Typed>(measuresSchema, answered, { takenOn: today } as Typed);
  const typed = form.watch();
  const live: ClientMeasures = {
    ...before,
    ...measuresOf(Object.fromEntries(CLIENT_MEASURE_IDS.map((id) => [id, number(typed[id])]))),
  };
  const inches = clientInches(BODY_INCHES, live);
  return (
    <Form {...bind} className="measure-form">
      <div>
        <OnceKey />
        <Field form={form} name="takenOn" label="Taken on" type="date" max={today} className="mb-2" />
        {CLIENT_MEASURE_IDS.map((id) => {
          const m = CLIENT_MEASURES[id];
          return (
            <Field
              key={id}
              form={form}
              name={id}
              className="measure-field"
              label={m.name}
              hint={`${m.how} ${m.leastMm} to ${m.mostMm} mm.${before?.[id] === undefined ? '' : ` Last time ${before[id]} mm.`}`}
              inputMode="decimal"
              autoComplete="off"
              onFocus={() => onFocus(id)}
            />
          );
        })}
        <Button type="submit">Keep these measures</Button>
      </div>
      <aside aria-label="Body-inches">
        <h2>Body-inches</h2>
        <p className="soft small">
          A share of a distance on this body, different in every region. ± is two standard deviations.
        </p>
        <table className="table table-sm">
          <tbody>
            {BODY_INCHES.map((row) => {
              const inch = inches[row.id];
              return (
                <tr key={row.id}>
                  <td>
                    {row.name}
                    <div className="soft small">{inch.basis}</div>
                  </td>
                  <td className="num text-end text-nowrap">
                    {inch.mm.toFixed(1)} mm
                    <div className="soft small">± {(2 * inch.errorMm).toFixed(1)}</div>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </aside>
    </Form>
  );
}
