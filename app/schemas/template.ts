import { once } from './once';
import { number, object, string } from 'yup';

const templateName = string()
  .trim()
  .required('Give the template a name.')
  .max(120, 'At most 120 characters are accepted.');
export const keepTemplateSchema = object({ once, name: templateName, routine: string().required().max(400_000) });
export const importTemplateSchema = object({
  once,
  do: string().max(20),
  name: templateName,
  routine: string().required('Choose a file first.').max(400_000),
});
export const proposedTemplateSchema = object({
  once,
  routine: string().required().max(400_000),
  edit: string().max(1),
});
export const changeTemplateSchema = object({
  do: string().max(20),
  routine: string().required().max(400_000),
  version: number().integer().min(1).required(),
});
export const renameTemplateSchema = object({ name: templateName, version: number().integer().min(1).required() });
