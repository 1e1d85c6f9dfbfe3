import { cpus } from 'node:os';
import { DIRECTORY, PARTS } from '../../../server/db/partitioning.ts';
import type { Failover, LoadResult } from './load.ts';
import { quantile } from './load.ts';

/** What the arithmetic stands on. Ours, and not measured. */
const ASSUMED = {
  practices: 10_000,
  practitioners: 3,
  visitsADay: 6,
  daysAYear: 250,
  /** Share of a day's visits that the busiest hour holds. */
  busiestHour: 1 / 6,
  /** Of a processor, how much may be busy. */
  usedShare: 0.5,
};
const n = (value: number, digits = 0): string =>
  value.toLocaleString('en-GB', { minimumFractionDigits: digits, maximumFractionDigits: digits });

const KINDS = { page: 'a page', save: 'a write', guide: 'an event of the guide' } as const;
const rowsOf = (results: readonly LoadResult[]): string =>
  results
    .flatMap((r) =>
      (Object.keys(KINDS) as (keyof typeof KINDS)[]).map((kind) => {
        const t = r.byKind[kind];
        return `| ${r.practitioners} | ${KINDS[kind]} | ${n(t.asked)} | ${n(t.p50)} | ${n(t.p95)} | ${n(t.p99)} | ${t.errors} |`;
      }),
    )
    .join('\n');
const HEAD = `| practitioners | asked for | how often | p50 ms | p95 ms | p99 ms | errors |
|---|---|---|---|---|---|---|`;
const costs = (results: readonly LoadResult[]): string =>
  results
    .map(
      (r) =>
        `| ${r.practitioners} | ${n(r.webSeconds, 2)} | ${n(r.databaseSeconds, 2)} | ${n(r.busyCores, 2)} | ${n(r.seconds)} |`,
    )
    .join('\n');
const COSTS_HEAD = `| practitioners | web, s of a processor a visit | databases, the same | processors busy | s from the first to the last |
|---|---|---|---|---|`;

interface Measured {
  seconds: number;
  processes: number;
  one: readonly LoadResult[];
  many: readonly LoadResult[];
  failovers: readonly Failover[];
}

export function scalingText({ seconds, processes, one, many, failovers }: Measured): string {
  const a = ASSUMED;
  const dearest = many.reduce((d, r) => (r.webSeconds + r.databaseSeconds > d.webSeconds + d.databaseSeconds ? r : d));
  const each = (kind: keyof typeof KINDS): string => n(many[0]!.byKind[kind].asked / many[0]!.practitioners);
  const visitsADay = a.practices * a.practitioners * a.visitsADay;
  const perSecond = (visitsADay * a.busiestHour) / 3600;
  const cores = (perVisit: number) => (perSecond * perVisit) / a.usedShare;
  const bytes = many.at(-1)!.bytes;
  const aYear = visitsADay * a.daysAYear * bytes;
  const gaps = failovers.map((f) => f.gapMs);
  return `# Growing past one machine

Written by \`npm run load\` on ${cpus().length} processors (${cpus()[0]?.model.trim() ?? 'unknown'}). Whoever asks runs on the
same processors as the service, both databases and the proxy, so times are longer than they would be apart; what a visit
costs is counted for the service alone.

## One visit, many times at once

Each practitioner works one visit within ${seconds} s: ${each('page')} pages (the day, the client, each stage), ${each('save')} writes, ${each('guide')} requests of a
guided run, and all along the way on which the page hears of other screens. A proposal is worked out on the device and
asks the service for its page and for the write that takes it. Hands take about an hour for that: ${n(many[1]!.practitioners)} at this pace ask as much as
${n((many[1]!.practitioners * 3600) / seconds)} who work by the hour.

Against one web process, without a proxy:

${HEAD}
${rowsOf(one)}

Against ${processes} web processes behind one proxy, each request to the next of them:

${HEAD}
${rowsOf(many)}

What one visit costs, against one process and against ${processes}. Where the last column is longer than ${seconds} s, this machine did not
keep up, and what was asked waited: more processes on the same processors change little. With few at once, what runs all
the time anyway is counted to fewer visits; the dearest line is the one that is reckoned with below.

${COSTS_HEAD}
${costs(one)}
${costs(many)}

## When something is gone

- **A web process**: whoever was asking it asks another one. Pages are asked again by the proxy, writes by the page that
  made them, under their own id. Tests kill two of three and two of four in the middle of the work: of what was told to be
  saved nothing is missing (\`tests/service/machines.test.ts\`, \`tests/e2e/machines.spec.ts\`).
- **The primary database**: a write is told as done when the copy has it on disk too (\`synchronous_commit\`), so the copy
  can take over at any moment. Killed ${failovers.length} times under 8 writers: ${n(failovers.reduce((s, f) => s + f.acknowledged, 0))} writes acknowledged, ${failovers.reduce((s, f) => s + f.lost, 0)} lost; nobody could
  write for ${n(Math.min(...gaps))} to ${n(Math.max(...gaps))} ms, ${n(quantile(gaps, 0.5))} in the middle. Here one supervisor on one machine decides who the primary is, and sees
  at once that a process has ended; across machines somebody has to find out first, and has to be sure that the other one
  is gone (half a minute is usual; from memory). For the trial both write without \`fsync\`: what is told outlives every
  process, not the power of the one machine.
- **The copy**: writes go on without it until a new one follows; in that time a write is safe on one machine only.
- Pages that are sums (Practice › Numbers, Across clients) are read from the copy and say of when they are; where it is
  more than a minute behind, or away, the primary is asked. What is worked with is never read from it.

## ${n(a.practices)} practices

Assumed, not measured: ${a.practitioners} practitioners a practice, ${a.visitsADay} visits each a day, ${a.daysAYear} days a year, a ${n(1 / a.busiestHour)}th of the day's visits in
its busiest hour, processors half busy.

- Visits: ${n(a.practices)} × ${a.practitioners} × ${a.visitsADay} = **${n(visitsADay)} a day**; in the busiest hour ${n(visitsADay)} / ${n(1 / a.busiestHour)} / 3600 = **${n(perSecond, 1)} a second**.
- Web: ${n(perSecond, 1)} × ${n(dearest.webSeconds, 2)} s / ${a.usedShare} = **${n(cores(dearest.webSeconds), 1)} processors**. A process takes one; they keep nothing, so machines are
  added and taken away as one likes.
- Databases: ${n(perSecond, 1)} × ${n(dearest.databaseSeconds, 2)} s / ${a.usedShare} = **${n(cores(dearest.databaseSeconds), 1)} processors**, primary and copy together.
- Rows: ${n(bytes / 1000)} kB a visit, keys and indexes included × ${n(visitsADay * a.daysAYear)} visits = **${n(aYear / 1e12, 2)} TB a year**. Photos are in it only where they are taken
  (up to 8 MB each, none in this load).
- Connections: every web process holds up to 10 and one that listens; ${n(Math.ceil(cores(dearest.webSeconds)))} processes hold ${n(Math.ceil(cores(dearest.webSeconds)) * 11)}, which one server bears. Above some hundreds
  a pooler stands between; what is set for a query is set with \`set local\` inside its own transaction, so one that gives a
  connection for a transaction is enough, but for the one that listens.

So one large primary with a copy bears the processors of ${n(a.practices)} practices; what does not fit it for long is the rows.

## Spreading the rows

All ${n(PARTS)} parts of every table lie by the hash of the practice; every primary key, unique key, index and reference begins with it, and
every query names it. Tables that are asked before anybody is known lie whole: ${DIRECTORY.join(', ')}.

1. **A sharding extension** (Citus for PostgreSQL, free; or a managed service that runs it): each table distributed by
   \`practice_id\`, all together, the whole ones as reference tables. Its demands (from memory, not tried here): the
   distribution column in every unique key and in every reference between distributed tables, and every query with it. All
   of that is so; tests/service/walls.test.ts holds it. To change: the migration that makes the parts (the extension makes its
   own), the setting \`velvet.practice\` has to be handed on to the workers, and the owner's functions that erase a client
   have to be marked as running where the rows are. In queries nothing.
2. **Parts on servers of their own**, without an extension: a part is moved whole by logical replication, and
   \`server/db/connection.ts\`, which knows the practice of every query, chooses the server by its hash. To change: that one
   function, and the whole tables, which every server needs a copy of. In queries nothing.
3. A managed PostgreSQL with a standby takes the place of the pair of servers here as it is: \`DATABASE_URL\` to the
   primary, \`DATABASE_READ_URL\` to the standby.

Not shown here: machines apart from each other, networks that lose something, disks that fill up, ${n(a.practices)} practices in one
database.
`;
}
