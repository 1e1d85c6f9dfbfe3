import type { Known, ProposalCase } from '../core/proposal/index.ts';
import { COMPLAINT_KINDS, type OneSide } from '../core/words/index.ts';
import { seeded } from './random.ts';
import { CAUTIONS } from '../reference/facts/cautions/index.ts';
import { MUSCLES } from '../reference/facts/muscles/index.ts';
import { SCHOOLS } from '../reference/schools/index.ts';
import { caseOf, screenedWith } from './proposal-cases.ts';

type Press = Known['tenderness'][number];
const QUESTIONS = CAUTIONS.filter((x) => x.question !== null && x.group !== 'red-flag' && !x.after).map((x) => x.key);

/** A case of nobody: complaints, presses, up to three cautions, a cap now and then, any school and length. */
export function randomCase(seed: number): ProposalCase {
  const r = seeded(seed * 7919);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(r() * from.length)]!;
  const some = <T>(most: number, make: () => T): T[] => Array.from({ length: Math.floor(r() * (most + 1)) }, make);
  const yes = [...new Set(some(3, () => pick(QUESTIONS)))];
  const presses = new Map(
    some(7, () => {
      const muscle = pick(MUSCLES).id;
      const side: OneSide = pick(['left', 'right']);
      const press: Press = { muscle, side, grade: pick([1, 2, 3] as const), theirPain: r() < 0.3, feltIn: [] };
      return [`${muscle} ${side}`, press] as const;
    }),
  );
  return caseOf(
    `Case ${seed}`,
    {
      complaints: [
        { kind: pick(COMPLAINT_KINDS), side: pick([null, null, 'left', 'right']), score: 1 + Math.floor(r() * 10) },
        ...(r() < 0.5 ? [{ kind: pick(COMPLAINT_KINDS), side: null, score: Math.floor(r() * 11) }] : []),
      ],
      tenderness: [...presses.values()],
      openingMm: r() < 0.4 ? 36 : null,
      clickSide: r() < 0.2 ? 'left' : null,
    },
    {
      minutes: pick([3, 5, 8, 10, 15, 20, 30, 45, null]),
      school: pick(SCHOOLS).id,
      hands: pick(['practitioner', 'practitioner', 'own'] as const),
      gentler: r() < 0.2,
      fewerChanges: r() < 0.2,
      exercises: r() < 0.2,
      sides: pick(['equal', 'extra-on-sorer', 'extra-on-sorer', 'sore-side-only'] as const),
      tools: r() < 0.2 ? ['ball'] : r() < 0.1 ? ['microcurrent-device'] : [],
    },
    screenedWith(yes, r() < 0.2 ? pick(['light', 'medium'] as const) : null),
  );
}
