import { number, object, string, type ObjectSchema } from 'yup';
import type { MeasureAnswers, MeasureDef } from '../../core/measures/catalogue';

/** The answers of one measure: whole numbers of each field's range, short words; what is empty is not answered. */
export function answersSchema(def: MeasureDef): ObjectSchema<Record<string, unknown>> {
  return object(
    Object.fromEntries(
      def.fields.map((f) => [
        f.key,
        f.kind === 'words'
          ? string().trim().default('').max(120, `${f.label}: at most 120 characters are accepted.`)
          : number()
              .transform((_v, original: unknown) => (original === '' || original === null || original === undefined ? undefined : Number(String(original).trim().replace(',', '.'))))
              .typeError(`${f.label}: a whole number from ${f.least} to ${f.most} is accepted.`)
              .integer(`${f.label}: a whole number from ${f.least} to ${f.most} is accepted.`)
              .min(f.least, `${f.label}: a whole number from ${f.least} to ${f.most} is accepted.`)
              .max(f.most, `${f.label}: a whole number from ${f.least} to ${f.most} is accepted.`),
      ]),
    ),
  ) as ObjectSchema<Record<string, unknown>>;
}

/** What was typed, as answers: null where nothing was. */
export const answersOf = (def: MeasureDef, form: Readonly<Record<string, unknown>>): MeasureAnswers =>
  Object.fromEntries(def.fields.map((f) => {
    const value = form[f.key];
    return [f.key, f.kind === 'words' ? (typeof value === 'string' && value.trim() ? value.trim() : null) : typeof value === 'number' ? value : null];
  }));
