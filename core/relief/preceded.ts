import jStat from 'jstat';
import { leastSquares } from './least-squares.ts';
import { Mixture } from './mixture.ts';
import { type CoursePoint, DAY_MS } from './ratings.ts';

/** A run that has ended, at a visit or at home. */
export interface RunDone {
  /** When it ended, milliseconds since 1970. */
  atMs: number;
  /** Ids of the techniques that were worked. */
  techniques: readonly string[];
}

/** One technique, or several that were always used together. */
interface PrecededRow {
  /** Ids; more than one where they cannot be told apart. */
  techniques: string[];
  /** Uses that have a rating on either side, and such uses without it. */
  uses: number;
  without: number;
  /** Change of the next rating against what was foretold, points; below 0 = easier. Null where too few tell it. */
  effect: number | null;
  /** Standard error of it. */
  error: number | null;
  /** 95 %, not drawn towards nought. */
  low: number | null;
  high: number | null;
}

/** What came before easier days on one course. */
export interface Preceded {
  /** Uses with a rating on either side. */
  uses: number;
  /** Variance of one use, points²; null where nothing could be told. */
  variance: number | null;
  /** Most used first. */
  rows: PrecededRow[];
}

/** Ratings this near to a use belong to it. Our choice. */
const NEAR_DAYS = 3;
/** A technique needs so many uses and so many times without, and the whole so many degrees of freedom. Our choice. */
const LEAST_USES = 4;
const LEAST_FREEDOM = 4;
/** The scatter that is left is not taken for less than half of what was foretold. Our choice. */
const LEAST_RESIDUAL = 0.25;

interface Use {
  techniques: ReadonlySet<string>;
  /** The next rating less what was foretold for it, and the standard deviation of that forecast. */
  off: number;
  sd: number;
}

/** Uses with a rating on either side; what was done between two ratings is one use. */
function usesOf(points: readonly CoursePoint[], workDay: number, firstMs: number, runs: readonly RunDone[]): Use[] {
  const mixture = new Mixture(workDay);
  const reference = points[0]!.setting;
  const ordered = [...runs].sort((a, b) => a.atMs - b.atMs);
  const uses: Use[] = [];
  let next = 0;
  points.forEach((p, i) => {
    const previous = points[i - 1];
    const between = new Set<string>();
    for (; next < ordered.length; next++) {
      const day = (ordered[next]!.atMs - firstMs) / DAY_MS;
      if (day >= p.day) break;
      if (previous && day - previous.day <= NEAR_DAYS && p.day - day <= NEAR_DAYS)
        for (const technique of ordered[next]!.techniques) between.add(technique);
    }
    const other = p.setting !== reference;
    if (between.size) {
      const { mean, sd } = mixture.forecast(p.day, other);
      uses.push({ techniques: between, off: p.value - mean, sd });
    }
    mixture.take({ day: p.day, value: p.value, other });
  });
  return uses;
}

/**
 * Which techniques were followed by easier ratings than the course itself let expect: one weighted regression over all
 * uses. What was seen together, no proof.
 * @param startDay Day of the course on which the work began; null while none has.
 * @param firstMs Moment of day 0.
 */
export function precededOf(
  points: readonly CoursePoint[],
  startDay: number | null,
  firstMs: number,
  runs: readonly RunDone[],
): Preceded {
  if (!points.length) return { uses: 0, variance: null, rows: [] };
  const uses = usesOf(points, startDay === null ? Infinity : Math.max(startDay, points[0]!.day), firstMs, runs);
  const groups = usedTogether(uses);
  const count = (g: Group): number => g.column.reduce((a, b) => a + b, 0);
  const isEnough = (g: Group): boolean => count(g) >= LEAST_USES && uses.length - count(g) >= LEAST_USES;
  const asked = groups.filter(isEnough);
  const weights = uses.map((u) => 1 / u.sd ** 2);
  const fit = leastSquares(
    asked.map((g) => g.column),
    uses.map((u) => u.off),
    weights,
  );
  const freedom = uses.length - fit.rank;
  const isTold = asked.length > 0 && freedom >= LEAST_FREEDOM;
  const residual = isTold ? Math.max(LEAST_RESIDUAL, fit.residual / freedom) : 0;
  const t = isTold ? jStat.studentt.inv(0.975, freedom) : 0;
  const rows = groups.map((g): PrecededRow => {
    const k = asked.indexOf(g);
    const effect = isTold && k >= 0 && !fit.repeated.has(k) ? fit.effects[k]! : null;
    const error = effect === null ? null : Math.sqrt(residual * fit.inverse[k]!);
    return {
      techniques: g.techniques,
      uses: count(g),
      without: uses.length - count(g),
      effect,
      error,
      low: effect === null ? null : effect - t * error!,
      high: effect === null ? null : effect + t * error!,
    };
  });
  return {
    uses: uses.length,
    variance: isTold ? (residual * uses.length) / weights.reduce((a, b) => a + b, 0) : null,
    rows: rows.sort((a, b) => b.uses - a.uses || a.techniques[0]!.localeCompare(b.techniques[0]!)),
  };
}

interface Group {
  techniques: string[];
  /** 1 where they were used. */
  column: number[];
}
function usedTogether(uses: readonly Use[]): Group[] {
  const groups = new Map<string, Group>();
  for (const technique of [...new Set(uses.flatMap((u) => [...u.techniques]))].sort()) {
    const column = uses.map((u) => (u.techniques.has(technique) ? 1 : 0));
    const key = column.join('');
    const so = groups.get(key);
    if (so) so.techniques.push(technique);
    else groups.set(key, { techniques: [technique], column });
  }
  return [...groups.values()];
}

/** How techniques of a practice scatter: over pairs of technique and client. */
export interface EffectSpread {
  pairs: number;
  /** Mean of the squared effect less its squared error, points². */
  meanSquare: number;
}
/** Until so many pairs are known, the usual pull is taken; later that of the practice, within bounds. Our choice, by simulation. */
const PAIRS_TO_LEARN_FROM = 20;
const USUAL_PULL = 9;
const PULL_BOUNDS = [4, 40] as const;
const LEAST_SPREAD = 0.05;

/** An effect drawn towards nought by as much as little is known of it: what is shown, and what a proposal takes. */
export function drawnToNought(
  { effect, error }: { effect: number; error: number },
  variance: number,
  { pairs, meanSquare }: EffectSpread,
): number {
  const [least, most] = PULL_BOUNDS;
  const pull =
    pairs < PAIRS_TO_LEARN_FROM
      ? USUAL_PULL
      : Math.min(most, Math.max(least, variance / Math.max(LEAST_SPREAD, meanSquare)));
  const worth = variance / error ** 2;
  return (effect * worth) / (worth + pull);
}

/** What is known of one technique on one course: as a proposal takes it. */
export interface Helped {
  technique: string;
  /** Fall of the next rating against what was foretold, drawn towards nought, points; below 0 = it rose. */
  effect: number;
  standardError: number;
}
export interface HelpedBefore {
  complaintId: string;
  techniques: Helped[];
}

/** Techniques of which something can be told by themselves: those that were always used together tell nothing of each. */
export const helpedBy = ({ rows, variance }: Preceded, spread: EffectSpread): Helped[] =>
  rows.flatMap(({ techniques, effect, error }) =>
    effect === null || techniques.length > 1
      ? []
      : [
          {
            technique: techniques[0]!,
            effect: -drawnToNought({ effect, error: error! }, variance!, spread),
            standardError: error!,
          },
        ],
  );

/** The same with the names of the techniques, as it is shown. */
export interface NamedPreceded {
  /** Uses with a rating on either side. */
  uses: number;
  rows: {
    /** More than one where they were always used together. */
    names: string[];
    uses: number;
    /** Change by the next rating, points, drawn towards nought. Null where too few tell it. */
    shown: number | null;
    /** 95 %, of the plain estimate. */
    low: number | null;
    high: number | null;
  }[];
}

/** Null where nothing was used with a rating on either side. */
export function named(
  preceded: Preceded | null,
  spread: EffectSpread,
  nameOf: (technique: string) => string,
): NamedPreceded | null {
  if (!preceded?.uses) return null;
  const { uses, variance, rows } = preceded;
  return {
    uses,
    rows: rows.map(({ techniques, effect, error, low, high, ...row }) => ({
      names: techniques.map(nameOf),
      uses: row.uses,
      shown: effect === null ? null : drawnToNought({ effect, error: error! }, variance!, spread),
      low,
      high,
    })),
  };
}
