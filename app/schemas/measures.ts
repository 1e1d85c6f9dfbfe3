import {
  CLIENT_MEASURE_IDS,
  CLIENT_MEASURES,
  type ClientMeasureId,
  type ClientMeasures,
  refusedMeasures,
} from '../../core/atlas';
import { number, object, ValidationError } from 'yup';
import { calendarDay } from './day';
import { once } from './once';

/** "54,5" and "54.5" are numbers, nothing is nothing, everything else is refused at its field. */
const millimetres = (id: ClientMeasureId) =>
  number()
    .transform((_v, original: unknown) => {
      const text = String(original ?? '')
        .trim()
        .replace(',', '.');
      return text === '' ? undefined : Number(text);
    })
    .typeError(`${CLIENT_MEASURES[id].name}: a number of mm is accepted.`);

export const measuresSchema = object({
  once,
  takenOn: calendarDay.required('Choose a day.'),
  ...(Object.fromEntries(CLIENT_MEASURE_IDS.map((id) => [id, millimetres(id)])) as Record<
    ClientMeasureId,
    ReturnType<typeof millimetres>
  >),
}).test('together', function (form) {
  const values = measuresOf(form as Record<string, unknown>);
  if (!Object.keys(values).length)
    return this.createError({ path: CLIENT_MEASURE_IDS[0], message: 'Type at least one measure.' });
  const refused = refusedMeasures(values);
  return refused.length
    ? new ValidationError(refused.map((r) => this.createError({ path: r.field, message: `${r.message}.` })))
    : true;
});
/** What was typed, as measures in mm. */
export const measuresOf = (form: Readonly<Record<string, unknown>>): ClientMeasures =>
  Object.fromEntries(
    CLIENT_MEASURE_IDS.flatMap((id) =>
      typeof form[id] === 'number' && !Number.isNaN(form[id]) ? [[id, form[id]]] : [],
    ),
  );
