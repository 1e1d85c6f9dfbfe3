/** Writes docs/formats: the JSON Schemas of the files as they are now, and an example of each. Those of version 1 stay as they are. */
import { ROUTINE_JSON_SCHEMA, TECHNIQUES_JSON_SCHEMA } from '../core/routine/index.ts';
import { ARCHIVE_JSON_SCHEMA } from '../core/exchange/index.ts';
import { CASE_JSON_SCHEMA } from '../core/proposal/index.ts';
import { writeGaugeSession } from '../core/devices/index.ts';
import { GAUGE_HELLO, pressLines } from '../devices/algometer.ts';
import { writeFileSync } from 'node:fs';
import { ROUTINES } from '../demo/routines.ts';
import { PROPOSAL_CASE } from '../demo/proposal-case.ts';
import { TECHNIQUES_FILE } from '../demo/techniques.ts';

const write = (name: string, value: unknown) =>
  writeFileSync(`docs/formats/${name}`, `${JSON.stringify(value, null, 2)}\n`);
write('routine.schema.json', ROUTINE_JSON_SCHEMA);
write('routine.example.json', ROUTINES.jaw);
write('techniques.schema.json', TECHNIQUES_JSON_SCHEMA);
write('techniques.example.json', TECHNIQUES_FILE);
write('proposal-case.schema.json', CASE_JSON_SCHEMA);
write('proposal-case.example.json', PROPOSAL_CASE);
write('practice-archive.schema.json', ARCHIVE_JSON_SCHEMA);
writeFileSync(
  'docs/formats/algometer.session.txt',
  writeGaugeSession({
    hello: GAUGE_HELLO,
    presses: [1, 2, 3].map((trial) => ({
      target: 'masseter-superficial.left',
      trial,
      lines: [...pressLines('masseter-superficial.left', trial)],
    })),
  }).replace('\n', '\n# Three presses of the stand-in: none of these figures is a measurement.\n'),
);
