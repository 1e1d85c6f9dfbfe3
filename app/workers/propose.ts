import { catalogueWith, fromOwn } from '../../core/routine';
import { alternativesTo, propose, solverOf, worthOfAnHour } from '../../core/proposal';
import { CATALOGUE } from '../../reference/catalogue';
import { MUSCLES } from '../../reference/facts/muscles';
import load from 'highs';
import wasm from 'highs/runtime?url';
import type { ProposeMessage, ProposeRequest } from '../parts/proposal/use-proposal';

const say = (message: ProposeMessage): void => self.postMessage(message);
const solving = load({ locateFile: () => wasm }).then(solverOf);
/** The first answer as soon as there is one, then the proven best, two that differ, and what an hour could do. */
self.onmessage = async ({ data }: MessageEvent<ProposeRequest>) => {
  const { id, asked, own } = data;
  try {
    const solve = await solving;
    const catalogue = catalogueWith(
      CATALOGUE,
      own.map((t) => fromOwn(t.own, CATALOGUE, t.retired)),
    );
    const library = { catalogue, muscles: MUSCLES };
    const best = propose(asked, library, solve, { onBetter: (soFar) => say({ id, answer: soFar, proven: false }) });
    say({ id, answer: best, proven: true });
    if (best.status !== 'proposed') return say({ id, done: true });
    say({ id, alternatives: alternativesTo(asked, best, library, solve) });
    say({ id, worthOfAnHour: worthOfAnHour(asked, library, solve) });
    say({ id, done: true });
  } catch (error) {
    say({ id, failed: (error as Error).message });
  }
};
