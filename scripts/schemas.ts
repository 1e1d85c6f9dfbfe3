/** Writes docs/formats: the JSON Schema of the routine file and an example. */
import { writeFileSync } from 'node:fs';
import { ROUTINES } from '../demo/routines.ts';
import { ROUTINE_JSON_SCHEMA } from '../core/routine/json-schema.ts';

const write = (name: string, value: unknown) =>
  writeFileSync(`docs/formats/${name}`, `${JSON.stringify(value, null, 2)}\n`);
write('routine.schema.json', ROUTINE_JSON_SCHEMA);
write('routine.example.json', ROUTINES.jaw);
