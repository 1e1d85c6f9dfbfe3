import { clock } from '../words/index.ts';
import type { Candidate } from './candidates.ts';
import type { LeftOut, LeftOutWhy } from './case.ts';
import type { Problem } from './problem.ts';
import { HAND_CLASS_NAMES, type HandClass } from './trade.ts';
import { valueOf } from './value.ts';
import { oneDecimal } from './words.ts';

type Said = Pick<LeftOut, 'why' | 'text'>;
interface Exchange extends Said {
  gain: number;
}

/**
 * What keeps a technique out: found by putting it in at every dose, alone, in place of each chosen step, and in place of
 * each pair when no single one gives room. The limit that would remain with time to spare is named, time only where
 * nothing else stands in the way; the best exchange says what it would cost.
 * @param value Of the choice.
 * @param variants Of the technique.
 */
export function whyNot(p: Problem, chosen: readonly number[], value: number, variants: readonly Candidate[]): Said {
  let best: Exchange | null = null;
  const better = (gain: number, why: LeftOutWhy, text: string): void => {
    if (!best || gain > best.gain) best = { gain, why, text };
  };
  const limits = new Map<string, number>();
  const without = (...out: number[]) => chosen.filter((i) => !out.includes(i));
  const nameOf = (i: number) => p.candidates[i]!.technique.name;
  const free = { ...p, budgetSeconds: Infinity };
  for (const x of variants) {
    const added = valueOf(p, [...chosen, x.index]);
    if (!added.broken) {
      const gain = added.value - value;
      better(gain, 'less-use', `would cost ${oneDecimal(-gain)} more than it adds`);
    } else {
      // With more minutes it would be in only where nothing but time stands in the way.
      const limit = valueOf(free, [...chosen, x.index]).broken ?? added.broken;
      limits.set(limit, Math.max(limits.get(limit) ?? -Infinity, added.free - value));
    }
    for (const out of chosen) {
      if (p.fixed.includes(out)) continue;
      const swapped = valueOf(p, [...without(out), x.index]);
      if (swapped.broken) continue;
      const isTwin = p.candidates[out]!.group === x.group;
      const less = oneDecimal(value - swapped.value);
      if (isTwin)
        better(swapped.value - value, 'duplicate', `nearly the same as ${nameOf(out)}, which is worth ${less} more`);
      else better(swapped.value - value, 'time', `in place of ${nameOf(out)} it would be worth ${less} less`);
    }
  }
  if (!best)
    for (const x of variants)
      for (const [k, a] of chosen.entries())
        for (const b of chosen.slice(k + 1)) {
          if (p.fixed.includes(a) || p.fixed.includes(b)) continue;
          const swapped = valueOf(p, [...without(a, b), x.index]);
          if (swapped.broken) continue;
          const less = oneDecimal(value - swapped.value);
          better(
            swapped.value - value,
            'time',
            `in place of ${nameOf(a)} and ${nameOf(b)} it would be worth ${less} less`,
          );
        }
  return told(p, chosen, variants, limits, best);
}

function told(
  p: Problem,
  chosen: readonly number[],
  variants: readonly Candidate[],
  limits: ReadonlyMap<string, number>,
  best: Exchange | null,
): Said {
  const first = limits.has('time') ? 'time' : [...limits].sort((a, b) => b[1] - a[1])[0]?.[0];
  const tail = best ? `; ${best.text}` : '';
  const [what, name = ''] = first?.split(':') ?? [];
  switch (what) {
    case 'duplicate': {
      const rival = chosen.map((i) => p.candidates[i]!).find((o) => variants.some((x) => x.group === o.group));
      if (best?.why === 'duplicate') return { why: 'duplicate', text: best.text };
      return { why: 'duplicate', text: `nearly the same as ${rival?.technique.name ?? 'what is in'}` };
    }
    case 'enough-there': {
      const most = p.counts.find((k) => k.name === name && k.what === 'enough-there')?.most;
      return { why: 'enough-there', text: `${name} has its ${most ?? 'share'} already${tail}` };
    }
    case 'steps':
      return { why: 'enough-there', text: `no more steps in this time${tail}` };
    case 'hands':
      return { why: 'hands', text: `the ${HAND_CLASS_NAMES[name as HandClass]} load is used up${tail}` };
    case 'ceiling':
      return { why: 'ceiling', text: `${name} has its minutes for the day${tail}` };
    case 'sent-back':
      return { why: 'needs', text: `the rules speak against it beside what is in (${name.replaceAll('-', ' ')})` };
    case 'light-first':
      return { why: 'needs', text: `nothing lighter there before it${tail}` };
    case 'time': {
      const least = Math.min(...variants.map((x) => x.seconds));
      const left = Math.max(0, p.budgetSeconds - valueOf(p, chosen).seconds);
      return { why: 'time', text: `${clock(least)} at least, ${clock(left)} free${tail}` };
    }
    default:
      return best ? { why: best.why, text: best.text } : { why: 'less-use', text: 'helps less than what is in' };
  }
}
