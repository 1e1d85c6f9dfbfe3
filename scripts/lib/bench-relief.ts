/** Measures what the length of a course and the size of a practice cost a page, as ratios to a bare page of the same run. */
import { type Bench, inLargePractice, timed } from './bench-service.ts';
import type { Size } from './large-practice.ts';
import { throwAwayCluster } from './postgres.ts';

const VISITS_AROUND_TODAY = 4;
/** Today shows as many visits in a small practice as in a large one: what is measured is the size, not the day. */
const SAME_DAY = `update visits set starts_at = starts_at - interval '3 days' where id in
  (select id from visits where starts_at between now() - interval '1 day' and now() + interval '1 day' order by starts_at offset ${VISITS_AROUND_TODAY})`;

/** Pages of a practice of a size and its bare page, timed in turn, so that whatever else the machine does falls on all; medians in ms. */
const inPracticeOf = (
  { quantile }: Bench,
  clusterUrl: string,
  name: string,
  size: Size,
  rounds: number,
  pathsOf: (clientId: string) => string[],
): Promise<number[]> =>
  inLargePractice(
    clusterUrl,
    name,
    size,
    async ({ who, clientId }) => {
      const paths = ['/clients/new', ...pathsOf(clientId)];
      const times: number[][] = paths.map(() => []);
      for (let i = 0; i < rounds + 10; i++)
        for (const [k, path] of paths.entries()) {
          const { ms } = await timed(who, path);
          if (i >= 10) times[k]!.push(ms);
        }
      return times.map((all) => quantile(all, 0.5));
    },
    SAME_DAY,
  );

export async function measureReliefPages(bench: Bench): Promise<void> {
  const { say, short } = bench;
  const cluster = await throwAwayCluster();
  const rounds = short ? 25 : 60;
  try {
    say('\n## The length of a course\n');
    say(
      `One client’s readings over two complaints; Relief against the bare page of the same practice, asked in turn, ${rounds} times each, median.\n`,
    );
    say('| readings of the client | bare ms | Relief ms | × bare | aim |');
    say('|---|---|---|---|---|');
    for (const [readings, aim] of [
      [200, ''],
      [2_000, 'under 2.5'],
      [20_000, 'under 3'],
    ] as const) {
      const [bare, relief] = await inPracticeOf(
        bench,
        cluster.url,
        `course_${readings}`,
        { clients: 6, visitsEach: 8, readings: 6 * readings },
        rounds,
        (id) => [`/clients/${id}`],
      );
      say(
        `| ${readings.toLocaleString('en')} | ${bare!.toFixed(1)} | ${relief!.toFixed(1)} | ${(relief! / bare!).toFixed(2)} | ${aim} |`,
      );
    }
    say('\n## The size of a practice\n');
    say(
      `Each page against the bare page of the same practice; flat is within 1.3 times the smallest. ${rounds} times each, median.\n`,
    );
    say('| readings of the practice | Today × bare | Clients × bare | Routines × bare |');
    say('|---|---|---|---|');
    const first: number[] = [];
    for (const readings of short ? [100, 10_000, 200_000] : [100, 10_000, 100_000, 1_000_000]) {
      const clients = Math.max(40, Math.round(readings / 500));
      const [bare, ...pages] = await inPracticeOf(
        bench,
        cluster.url,
        `size_${readings}`,
        { clients, visitsEach: 8, readings },
        rounds,
        () => ['/today', '/clients', '/routines'],
      );
      const ratios = pages.map((ms) => ms / bare!);
      if (!first.length) first.push(...ratios);
      say(
        `| ${readings.toLocaleString('en')} | ${ratios.map((r, i) => `${r.toFixed(2)} (${(r / first[i]!).toFixed(2)} of the smallest)`).join(' | ')} |`,
      );
    }
  } finally {
    await cluster.stop();
  }
}
