/** Writes docs/formats: the JSON Schema of the routine file as it is now, and an example. Those of version 1 stay as they are. */
import { ROUTINE_JSON_SCHEMA } from '../core/routine/index.ts';
import { writeFileSync } from 'node:fs';
import { ROUTINES } from '../demo/routines.ts';

const write = (name: string, value: unknown) =>
  writeFileSync(`docs/formats/${name}`, `${JSON.stringify(value, null, 2)}\n`);
write('routine.schema.json', ROUTINE_JSON_SCHEMA);
write('routine.example.json', ROUTINES.jaw);
