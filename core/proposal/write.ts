import type { Step } from '../routine/index.ts';
import type { Candidate } from './candidates.ts';
import { isWet } from './changes.ts';
import type { Unit, UnitName } from './units.ts';

/** A step of the proposed routine and the candidate it came from; null for what several share. */
export interface Written {
  step: Step;
  from: Candidate | null;
  /** It closes what the same candidate opened. */
  closes: boolean;
}

/**
 * The steps in their order: the collarbone opened before anything that wants it, glide right before it is first needed,
 * what was opened closed in mirror order before the client settles.
 */
export function written(path: readonly Candidate[], units: readonly Unit[]): Written[] {
  const out: Written[] = [];
  const push = (step: Step, from: Candidate | null, closes = false): void => void out.push({ step, from, closes });
  const used = (name: UnitName): Unit | undefined =>
    path.some((c) => c.needs.includes(name)) ? units.find((u) => u.name === name) : undefined;
  const [drainage, product, gloves] = [used('drainage'), used('product'), used('gloves')];
  const stations = path.filter((c) => c.technique.phase === 'open-drainage' && c.steps.length === 2);
  let [opened, spread, closed] = [false, false, false];
  const open = (): void => {
    if (opened) return;
    opened = true;
    drainage?.opens.forEach((s) => push(s, null));
  };
  const close = (): void => {
    if (closed) return;
    closed = true;
    for (const c of [...stations].reverse()) push(c.steps[1]!, c, true);
    drainage?.closes.forEach((s) => push(s, null));
  };
  gloves?.opens.forEach((s) => push(s, null));
  for (const c of path) {
    const { phase } = c.technique;
    if (phase !== 'prepare' && phase !== 'breathe') open();
    if (phase === 'settle' || phase === 'compare') close();
    if (!spread && isWet(c)) {
      spread = true;
      product?.opens.forEach((s) => push(s, null));
    }
    if (stations.includes(c)) push(c.steps[0]!, c);
    else for (const s of c.steps) push(s, c);
  }
  close();
  const taken = new Set(out.filter((w) => w.from?.kept).map((w) => w.step.id));
  let n = 0;
  const fresh = (): string => {
    do n++;
    while (taken.has(`s${n}`));
    return `s${n}`;
  };
  return out.map((w) => (w.from?.kept ? w : { ...w, step: { ...structuredClone(w.step), id: fresh() } }));
}
