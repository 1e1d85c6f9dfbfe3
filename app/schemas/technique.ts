import { number, object, string } from 'yup';
import { once } from './once';

/** A technique comes as one document; its reader names every field in it. */
const document = (most: number) => string().required('Nothing was sent.').max(most, 'This is larger than is accepted.');
export const keepTechniqueSchema = object({
  once,
  version: number().integer().min(1).optional(),
  technique: document(40_000),
});
export const techniqueFileSchema = object({ do: string().oneOf(['import']).required(), file: document(900_000) });
