import { closes, closesStep, factsOf, reachOfPlace, screen, type Caution, type Clause } from '../core/limits/index.ts';
import { PLANNED_WORDS, PRESSURES, REGIONS, type Pressure, type Region } from '../core/words/index.ts';
import { describe, expect, test } from 'vitest';
import { CAUTION_CASES } from '../tests/support/caution-cases.ts';
import { at, stepOf } from '../tests/support/routines.ts';
import { CATALOGUE, TECHNIQUES } from './catalogue.ts';
import { CAUTIONS } from './facts/cautions/index.ts';

type Facts = Parameters<typeof closesStep>[1];
const EFFECT = { '!': 'ban', '~': 'warn', '.': 'note' } as const;

interface Case {
  effect: 'ban' | 'warn' | 'note';
  /** Facts of a step that must be caught. */
  caught: Facts;
  /** The same one word lighter, which must be free; null where pressure does not matter. */
  free: Facts | null;
  wholeVisit: boolean;
  /** Where it must show; null when it is about no place. */
  place: Parameters<typeof reachOfPlace>[1] | null;
}

function read(text: string): Case {
  const [sign, ...words] = text.split(' ');
  const has: Record<string, string[]> = {
    work: [],
    pressure: [],
    tool: [],
    position: [],
    region: [],
    point: [],
    muscle: [],
  };
  let from: Pressure | null = null;
  for (const word of words) {
    const [kind, value] = word.includes(':') ? word.split(':') : ['', word];
    if (kind) has[{ pt: 'point', m: 'muscle', w: 'work', t: 'tool', pos: 'position' }[kind]!]!.push(value!);
    else if ((PRESSURES as readonly string[]).includes(word)) from = word as Pressure;
    else if ((REGIONS as readonly string[]).includes(word)) has.region!.push(word);
    else if (word !== 'visit') throw new Error(`cannot read "${word}" in "${text}"`);
  }
  const facts = (pressure: Pressure | undefined): Facts =>
    Object.fromEntries(
      Object.entries({ ...has, pressure: pressure ? [pressure] : [] }).map(([k, v]) => [k, new Set(v)]),
    ) as unknown as Facts;
  return {
    effect: EFFECT[sign as keyof typeof EFFECT],
    caught: facts(from ?? 'feather'),
    free: from ? facts(PRESSURES[PRESSURES.indexOf(from) - 1]) : null,
    wholeVisit: words[0] === 'visit',
    place:
      has.region!.length || has.point!.length || has.muscle!.length
        ? {
            region: (has.region![0] as Region | undefined) ?? null,
            ...(has.point![0] ? { point: has.point![0] } : {}),
            ...(has.muscle![0] ? { muscle: has.muscle![0] } : {}),
          }
        : null,
  };
}
const CASES = Object.entries(CAUTION_CASES).flatMap(([key, texts]) =>
  texts.map((text) => ({ key, text, ...read(text) })),
);

/** What a caution does to a step of these facts, by its clauses. */
const effectsOn = (caution: Caution, facts: Facts): string[] =>
  screen([{ ...caution, question: null }], {})
    .limits.filter((l) => closesStep(closes(l.clause), facts))
    .map((l) => l.effect);

const meets = (caution: Caution | undefined, c: Case): boolean =>
  !!caution &&
  effectsOn(caution, c.caught).includes(c.effect) &&
  (!c.wholeVisit || caution.appliesTo.some((clause) => closes(clause).wholeVisit)) &&
  !(c.free && effectsOn(caution, c.free).includes(c.effect)) &&
  (c.place === null || reachOfPlace(caution, c.place) !== null);
const unmet = (cautions: readonly Caution[]): string[] => {
  const byKey = new Map(cautions.map((c) => [c.key, c]));
  return CASES.filter((c) => !meets(byKey.get(c.key), c)).map((c) => `${c.key}: ${c.text}`);
};

/** Every way in which a row can be taken away, lose a clause, or be a word of pressure softer or harder. */
function weakened(): [string, readonly Caution[]][] {
  const out: [string, readonly Caution[]][] = [];
  for (const row of CAUTIONS) {
    out.push([`${row.key}: taken away`, CAUTIONS.filter((c) => c !== row)]);
    const put = (what: string, appliesTo: readonly Clause[]) =>
      out.push([`${row.key}: ${what}`, CAUTIONS.map((c) => (c === row ? { ...row, appliesTo } : c))]);
    const whole = row.appliesTo.some((clause) => closes(clause).wholeVisit);
    row.appliesTo.forEach((clause, i) => {
      // Beside the whole visit, places only say where to show it.
      if (whole && !closes(clause).wholeVisit) return;
      const others = row.appliesTo.filter((_, j) => j !== i);
      put(`without ${JSON.stringify(clause)}`, others);
      if (!clause.pressure) return;
      const lightest = PRESSURES.indexOf(clause.pressure[0]!);
      put(`${clause.pressure[0]} allowed in ${JSON.stringify(clause)}`, [
        ...others,
        { ...clause, pressure: clause.pressure.slice(1) },
      ]);
      if (lightest > 0)
        put(`${PRESSURES[lightest - 1]} closed in ${JSON.stringify(clause)}`, [
          ...others,
          { ...clause, pressure: [PRESSURES[lightest - 1]!, ...clause.pressure] },
        ]);
    });
  }
  return out;
}
const WEAKER = weakened();

describe('what each caution must do', () => {
  test.each(CASES.map((c) => [`${c.key}: ${c.text}`, c] as const))('%s', (_name, c) =>
    expect(
      meets(
        CAUTIONS.find((row) => row.key === c.key),
        c,
      ),
    ).toBe(true),
  );
  test('every row has a case, and no case is about a row that is not there', () =>
    expect(Object.keys(CAUTION_CASES).sort()).toEqual(CAUTIONS.map((c) => c.key).sort()));
  test(`each of ${WEAKER.length} ways to take away or change one of ${CAUTIONS.length} cautions by a word fails a case`, () => {
    expect(unmet(CAUTIONS)).toEqual([]);
    expect(WEAKER.filter(([, cautions]) => unmet(cautions).length === 0).map(([what]) => what)).toEqual([]);
  });
});

test('words of cautions that no technique has are the planned ones, and no others', () => {
  const has = new Set(
    TECHNIQUES.flatMap((t) =>
      [t.pressure?.least, t.pressure?.most].flatMap((p) => {
        const facts = factsOf(stepOf(t.id, 'x', p ? at(p) : (s) => s), CATALOGUE);
        return [...facts.work, ...facts.tool, ...facts.position];
      }),
    ),
  );
  const said = new Set(
    CAUTIONS.flatMap((c) => c.appliesTo.flatMap((x) => [...(x.work ?? []), ...(x.tool ?? []), ...(x.position ?? [])])),
  );
  said.delete('any');
  expect([...said].filter((word) => !has.has(word)).sort()).toEqual([...PLANNED_WORDS].sort());
});
