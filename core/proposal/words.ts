import { CONTACT_NAMES, type OneSide } from '../words/index.ts';
import { type Candidate, isFrame } from './candidates.ts';
import type { Library, ProposalCase } from './case.ts';
import { movesJaw } from './credits.ts';
import { muscleName, type Target } from './targets.ts';
import { areaOfMuscle, HAND_CLASS } from './trade.ts';
import { worthOn } from './value.ts';

type FrameWords = Partial<Record<Candidate['technique']['phase'], string>>;
const FRAME_WORDS: FrameWords = {
  breathe: 'arrive before the work',
  settle: 'something soothing to end',
  'open-drainage': 'the way out is opened',
  'close-drainage': 'carries off what the work stirred up, down to the collarbone',
  compare: 'the one number there is, taken again',
  prepare: 'arrive and notice',
};
/** Two reasons are told; the second only when it weighs a quarter of the first. */
const SECOND_SHARE = 0.25;

export const oneDecimal = (v: number): string => v.toFixed(1);

/** Why a chosen step is in, in one plain line with its numbers. */
export function reasonOf(
  c: ProposalCase,
  x: Candidate,
  targets: ReadonlyMap<string, Target>,
  library: Library,
): string {
  if (x.kept) return 'kept, as you asked';
  const words: string[] = [];
  const frame = FRAME_WORDS[x.technique.phase];
  if (isFrame(x) && frame) words.push(frame);
  const helped = [...x.credits]
    .map(([id, minutes]) => ({ t: targets.get(id)!, worth: worthOn(targets.get(id)!, minutes) }))
    .sort((a, b) => b.worth - a.worth || (a.t.id < b.t.id ? -1 : 1));
  const seen = new Set<string>();
  for (const { t, worth } of helped) {
    if (seen.size >= (isFrame(x) ? 1 : 2) || (seen.size && worth < SECOND_SHARE * helped[0]!.worth)) break;
    const key = t.kind === 'muscle' ? areaOfMuscle(t.of) : t.id;
    if (seen.has(key)) continue;
    seen.add(key);
    words.push(t.kind === 'muscle' ? bothSides(c, t, library) : t.words);
  }
  const { extra, mode } = x.main.sides;
  if (extra) words.push(lowerFirst(extra.reason.replace(/\.$/, '')));
  else if (mode === 'each' && c.clickSide && movesJaw(x.main))
    words.push(`stop before the click on the ${c.clickSide}`);
  const contact = x.technique.defaults.contact;
  if (HAND_CLASS[contact] === 'thumb' && x.main.contact !== contact)
    words.push(`${CONTACT_NAMES[x.main.contact]} in place of the thumb spares your thumbs`);
  const usual = x.technique.defaults.pressure?.there;
  if (x.lowered && x.main.pressure && usual !== x.main.pressure.there)
    words.push(`${x.main.pressure.there} instead of ${usual}: ${cautionIn(x.lowered, x.technique.name)}`);
  const own = c.response.find((r) => r.technique === x.technique.id);
  if (own)
    words.push(
      `after it the rating ${own.effect < 0 ? 'rose' : 'fell'} by ${oneDecimal(Math.abs(own.effect))} ± ${oneDecimal(own.standardError)} before`,
    );
  if (x.care) words.push(`with care: ${cautionIn(x.care, x.technique.name)}`);
  return words.join('; ') || 'fills the time with light work';
}

/** The caution alone, of what a rule says of a step: without the step's name before it and the advice behind it. */
const cautionIn = (said: string, name: string): string => {
  const rest = said.startsWith(`${name}: `) ? said.slice(name.length + 2) : said;
  return rest.replace(/^(is )?off limits\. /, '').split(':')[0]!;
};

const lowerFirst = (s: string): string => s.replace(/^./, (a) => a.toLowerCase());

/** "masseter left 3, right 1 of 3, their pain": both sides in one. */
function bothSides(c: ProposalCase, t: Target, library: Library): string {
  const grade = (side: OneSide) => c.tenderness.find((x) => x.muscle === t.of && x.side === side)?.grade ?? 0;
  const [left, right] = [grade('left'), grade('right')];
  if (!left && !right) return t.words;
  const more = t.words.split(', ').filter((w) => w === 'their pain' || w.startsWith('felt at'));
  const name = muscleName(t.of, library);
  const graded =
    left && right
      ? left === right
        ? `${name} ${left} of 3 on both sides`
        : `${name} left ${left}, right ${right} of 3`
      : `${left ? 'left' : 'right'} ${name} ${left || right} of 3`;
  return [graded, ...more].join(', ');
}

/** Why a shared step is in. */
export function unitReason(role: string | undefined, chosen: readonly Candidate[]): string {
  switch (role) {
    case 'spreads-glide': {
      const n = chosen.filter((x) => x.needs.includes('product')).length;
      return `${n === 1 ? '1 step glides' : `${n} steps glide`} or want slip; skin is not dragged`;
    }
    case 'opens-collarbone':
      return 'opens the hollow before anything is sent there';
    case 'closes-collarbone':
      return 'closes where it was opened';
    default:
      return 'set up before the work';
  }
}
