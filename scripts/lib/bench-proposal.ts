import load from 'highs';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { propose, solverOf } from '../../core/proposal/index.ts';
import { checkRoutine } from '../../core/rules/index.ts';
import { LIBRARY, TRADE_CASES } from '../../demo/proposal-cases.ts';
import { randomCase } from '../../demo/random-case.ts';
import { ROOT } from './paths.ts';

type Say = (text: string) => void;
type Quantile = (values: readonly number[], q: number) => number;

/** Whole proposals over the trade's cases by minutes, against the unreduced program, and random cases held against the rules. */
export async function measureProposals(say: Say, quantile: Quantile, short: boolean): Promise<void> {
  const solve = solverOf(await load());
  const timed = <T>(work: () => T): [T, number] => {
    const start = performance.now();
    const made = work();
    return [made, performance.now() - start];
  };
  propose(TRADE_CASES[3]!, LIBRARY, solve);
  say('\n## Proposals\n');
  say('| minutes | proposed | middle ms | worst ms | first answer, middle ms | most nodes | order proven |');
  say('| --: | --: | --: | --: | --: | --: | --: |');
  for (const minutes of short ? [10, 20] : [10, 20, 30, 45]) {
    const all: number[] = [];
    const first: number[] = [];
    let [exact, nodes, proposed] = [0, 0, 0];
    for (const c of TRADE_CASES) {
      let firstMs: number | null = null;
      const start = performance.now();
      const asked = { ...c, ask: { ...c.ask, minutes } };
      const [answer, ms] = timed(() =>
        propose(asked, LIBRARY, solve, { onBetter: () => (firstMs ??= performance.now() - start) }),
      );
      all.push(ms);
      first.push(firstMs ?? ms);
      if (answer.status !== 'proposed') continue;
      proposed++;
      if (answer.order.exact) exact++;
      nodes = Math.max(nodes, answer.stats.nodes);
    }
    say(
      `| ${minutes} | ${proposed} of ${TRADE_CASES.length} | ${quantile(all, 0.5).toFixed(0)} | ${Math.max(...all).toFixed(0)} | ${quantile(first, 0.5).toFixed(0)} | ${nodes} | ${exact} of ${proposed} |`,
    );
  }
  const ratios = TRADE_CASES.slice(0, 5).map((c) => {
    const [reduced, ms] = timed(() => propose(c, LIBRARY, solve, { reasons: false }));
    const [whole, wholeMs] = timed(() => propose(c, LIBRARY, solve, { reasons: false, reduce: false }));
    const same =
      reduced.status === 'proposed' && whole.status === 'proposed' && Math.abs(reduced.value - whole.value) < 1e-3;
    return { ratio: ms / wholeMs, same };
  });
  say(
    `\nWith candidates that cannot be in the answer taken out before: ${quantile(
      ratios.map((r) => r.ratio),
      0.5,
    ).toFixed(
      2,
    )} × the time of the unreduced program (middle of five cases), the same worth in ${ratios.filter((r) => r.same).length} of ${ratios.length}.`,
  );
  const many = short ? 60 : 300;
  let [stops, avoidable, care, none] = [0, 0, 0, 0];
  for (let seed = 1; seed <= many; seed++) {
    const c = randomCase(seed);
    const answer = propose(c, LIBRARY, solve, { gap: 0.3, reasons: false });
    if (answer.status !== 'proposed') {
      none++;
      continue;
    }
    const found = checkRoutine(answer.routine, LIBRARY.catalogue, c.screening);
    if (found.some((f) => f.severity === 'stop')) stops++;
    const warned = found.filter((f) => f.severity === 'warn');
    if (warned.some((f) => f.rule === 'screening-care')) care++;
    if (warned.some((f) => f.rule !== 'screening-care' && f.rule !== 'even-sides')) avoidable++;
  }
  say(
    `${many} random cases: ${many - none} proposed, ${stops} with a stop, ${avoidable} with a warning that could have been avoided, ${care} with care asked where nothing else reaches a sore place.`,
  );
  const assets = join(ROOT, 'build', 'client', 'assets');
  const kB = readdirSync(assets)
    .filter((f) => /^(propose-.*\.js|highs-.*\.wasm|proposal-view-.*\.js)$/.test(f))
    .map(
      (f) => `${f.replace(/-[\w-]+\./, '.')} ${(gzipSync(readFileSync(join(assets, f))).length / 1000).toFixed(0)} kB`,
    );
  say(`Loaded only when Propose is pressed (gzipped): ${kB.join(', ')}.`);
}

/** In the browser: from the press to the first answer and to the proof, cold and warm, and frames lost meanwhile. */
export async function measureProposing(page: Page, visit: string, say: Say): Promise<void> {
  await page.goto(`${visit}/compose`);
  await page.evaluate(`(() => {
    window.longest = 0;
    new PerformanceObserver((list) => list.getEntries().forEach((e) => (window.longest = Math.max(window.longest, e.duration)))).observe({ entryTypes: ['longtask'] });
  })()`);
  await page.getByRole('button', { name: 'Propose' }).click();
  const untilFirst = async (start: number) => {
    await page.locator('.quality strong').waitFor();
    return Date.now() - start;
  };
  const cold = await untilFirst(Date.now());
  await page
    .getByText(/of what an hour could do/)
    .first()
    .waitFor({ timeout: 60_000 });
  await page.evaluate('(window.longest = 0)');
  await page.getByLabel('For', { exact: true }).fill('18');
  const start = Date.now();
  await page.getByRole('button', { name: 'Ask again' }).click();
  await page
    .getByText(/for these 18 minutes/)
    .first()
    .waitFor({ timeout: 60_000 });
  const first = Date.now() - start;
  await page
    .getByText(/for these 18 minutes, proven/)
    .first()
    .waitFor({ timeout: 60_000 });
  const proven = Date.now() - start;
  await page
    .getByText(/of what an hour could do/)
    .first()
    .waitFor({ timeout: 60_000 });
  const longest = await page.evaluate<number>('window.longest');
  say(
    `\nIn the browser, 18 to 20 minutes for the demo's jaw client: first answer after ${cold} ms with everything still to be fetched, ${first} ms once warm (aim: under 1000), proven after ${proven} ms (aim: under 4000); longest task of the page meanwhile ${longest.toFixed(0)} ms (aim: none over 50).`,
  );
}
