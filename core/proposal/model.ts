import { isFrame } from './candidates.ts';
import { TIE_BREAK } from './constants.ts';
import type { Problem } from './problem.ts';
import { ownCost, unitCost } from './value.ts';

/** A mixed-integer program, to be made as large as it can be. No solver in it. */
export interface Model {
  columns: { name: string; cost: number; lower: number; upper: number; isWhole: boolean }[];
  rows: { name: string; terms: readonly (readonly [column: number, factor: number])[]; least: number; most: number }[];
  /** Column of each candidate. */
  chosenAt: number[];
  /** Columns of what a relaxation gives up, by the index of their count. */
  droppedAt: ReadonlyMap<number, number>;
}

/** What is sought: most worth; or, where nothing fits, the least of one kind of requirement given up. */
export type ModelGoal = 'worth' | 'least-seconds' | 'fewest-kept-dropped' | 'fewest-frames-dropped';

/** Columns and rows as they are gathered. */
class Build {
  readonly columns: Model['columns'] = [];
  readonly rows: Model['rows'] = [];
  column(name: string, cost: number, upper: number, isWhole: boolean, lower = 0): number {
    this.columns.push({ name, cost, lower, upper, isWhole });
    return this.columns.length - 1;
  }
  row(name: string, terms: Model['rows'][number]['terms'], least: number, most: number): void {
    this.rows.push({ name, terms, least, most });
  }
}

const LETTING_GO = 1000;

/**
 * The choice as a program: worth with falling returns as blocks, each worth less than the one before, so that they fill
 * in order. Indicators are whole although their costs would make them so: the solver may branch on them, which is the one
 * large gain in speed.
 * @param tieBreak A hair of cost in the order of the pool, so that equally good choices have one order.
 */
export function modelOf(p: Problem, goal: ModelGoal = 'worth', tieBreak: number = TIE_BREAK): Model {
  const b = new Build();
  const isWorth = goal === 'worth';
  const fixed = new Set(p.fixed);
  const droppedAt = new Map<number, number>();
  const n = p.candidates.length;
  const x = p.candidates.map((c, i) => {
    const drops = goal === 'fewest-kept-dropped' && fixed.has(i);
    const costs = {
      worth: -ownCost(p, c) - (tieBreak * i) / n,
      'least-seconds': -c.seconds,
      'fewest-kept-dropped': drops ? LETTING_GO + c.seconds : 0,
      'fewest-frames-dropped': 0,
    };
    return b.column(`x${i}`, costs[goal], 1, true, fixed.has(i) && !drops ? 1 : 0);
  });
  const unitAt = new Map(
    p.units.map(
      (u) =>
        [
          u.name,
          b.column(`unit_${u.name}`, isWorth ? -unitCost(p, u) : goal === 'least-seconds' ? -u.seconds : 0, 1, true),
        ] as const,
    ),
  );
  p.candidates.forEach((c, i) => {
    for (const need of c.needs) {
      const unit = unitAt.get(need);
      if (unit === undefined) b.row(`needs_${i}_${need}`, [[x[i]!, 1]], -Infinity, 0);
      else
        b.row(
          `needs_${i}_${need}`,
          [
            [unit, 1],
            [x[i]!, -1],
          ],
          0,
          Infinity,
        );
    }
  });
  if (goal !== 'least-seconds')
    b.row(
      'time',
      [
        ...p.candidates.map((c, i) => [x[i]!, c.seconds] as const),
        ...p.units.map((u) => [unitAt.get(u.name)!, u.seconds] as const),
      ],
      -Infinity,
      p.budgetSeconds,
    );
  p.counts.forEach((k, i) => {
    const terms: [number, number][] = k.of.map((j) => [x[j]!, 1]);
    if (goal === 'fewest-frames-dropped' && k.what === 'frame') {
      const drop = b.column(`drop_${i}`, -1, k.least, true);
      droppedAt.set(i, drop);
      terms.push([drop, 1]);
    }
    b.row(`count_${i}`, terms, k.least || -Infinity, k.most);
  });
  p.lightFirst.forEach((l, i) =>
    b.row(`light_${i}`, [...l.oneOf.map((j) => [x[j]!, 1] as const), [x[l.of]!, -1]], 0, Infinity),
  );
  limitRows(b, p, x);
  const [gloves, product] = [unitAt.get('gloves'), unitAt.get('product')];
  if (gloves !== undefined && product !== undefined)
    b.row(
      'oil_under_current',
      [
        [gloves, 1],
        [product, 1],
      ],
      -Infinity,
      1,
    );
  if (isWorth) worthRows(b, p, x);
  return { columns: b.columns, rows: b.rows, chosenAt: x, droppedAt };
}

/** Ceilings of regions and hands, where all candidates together could pass them. */
function limitRows(b: Build, p: Problem, x: readonly number[]): void {
  const atMost = (name: string, most: number, of: (i: number) => number): void => {
    const terms = p.candidates.flatMap((_, i) => (of(i) > 0 ? [[x[i]!, of(i)] as const] : []));
    if (terms.reduce((s, [, v]) => s + v, 0) > most) b.row(name, terms, -Infinity, most);
  };
  const at = (i: number) => p.candidates[i]!;
  for (const { region, most } of p.ceilings)
    atMost(`ceiling_${region}`, most, (i) => (at(i).region === region ? at(i).seconds : 0));
  for (const { part, most } of p.hands)
    atMost(`hand_${part}`, most, (i) => (at(i).hand?.part === part ? at(i).hand!.minutes : 0));
}

/** What targets are worth, what is left out costs, warmth before work, areas gone to and tools taken up. */
function worthRows(b: Build, p: Problem, x: readonly number[]): void {
  const where = (of: (i: number) => number | undefined) =>
    p.candidates.flatMap((_, i) => {
      const v = of(i);
      return v ? [[x[i]!, v] as const] : [];
    });
  for (const t of p.targets) {
    const terms = where((i) => p.candidates[i]!.credits.get(t.id));
    if (terms.length)
      b.row(
        `returns_${t.id}`,
        [
          ...terms,
          ...t.returns.map(
            ([width, share], k) => [b.column(`y_${t.id}_${k}`, t.worth * share, width, false), -1] as const,
          ),
        ],
        0,
        Infinity,
      );
    if (!t.must) continue;
    const reaching = where((i) => (p.candidates[i]!.reaches.has(t.id) ? 1 : 0));
    b.row(`must_${t.id}`, [...reaching, [b.column(`u_${t.id}`, -t.leaveCost, 1, true), 1]], 1, Infinity);
  }
  for (const [i, w] of p.warmth.entries()) {
    const g = b.column(`warmth_${i}`, w.worth, 1, true);
    b.row(`warm_${i}`, [...w.warm.map((j) => [x[j]!, 1] as const), [g, -1]], 0, Infinity);
    b.row(`work_${i}`, [...w.work.map((j) => [x[j]!, 1] as const), [g, -1]], 0, Infinity);
  }
  shared(b, p, x, 'area', p.areaCost, (i) => (isFrame(p.candidates[i]!) ? null : p.candidates[i]!.area));
  shared(b, p, x, 'tool', p.toolCost, (i) => p.candidates[i]!.tool);
}

/** A cost that is paid once for all that share a key. Variants of one technique exclude each other: one row holds them all. */
function shared(
  b: Build,
  p: Problem,
  x: readonly number[],
  label: string,
  cost: number,
  key: (i: number) => string | null,
): void {
  const byKey = new Map<string, Map<string, number[]>>();
  p.candidates.forEach((c, i) => {
    const k = key(i);
    if (k === null) return;
    const techniques = byKey.get(k) ?? new Map<string, number[]>();
    byKey.set(k, techniques);
    const t = c.kept ? `kept${i}` : c.technique.id;
    techniques.set(t, [...(techniques.get(t) ?? []), i]);
  });
  for (const [k, techniques] of byKey) {
    const z = b.column(`${label}_${k}`, -cost, 1, true);
    for (const [t, is] of techniques)
      b.row(`${label}_${k}_${t}`, [[z, 1], ...is.map((i) => [x[i]!, -1] as const)], 0, Infinity);
  }
}
