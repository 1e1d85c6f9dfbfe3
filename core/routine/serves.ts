import { COMPLAINT_KINDS, type ComplaintKind } from '../words/index.ts';
import { stepsOf, type Routine } from './model.ts';
import type { Catalogue } from './technique.ts';

/** A routine serves a kind of complaint when so many of its working steps are used for it. Our choice. */
const SHARE = 0.6;
const FRAME = ['prepare', 'breathe', 'open-drainage', 'close-drainage', 'settle', 'compare'];

/** The kinds of complaint that most of a routine’s working steps are used for. */
export function servesOf(routine: Pick<Routine, 'items'>, catalogue: Pick<Catalogue, 'techniques'>): ComplaintKind[] {
  const working = stepsOf(routine).flatMap((s) => {
    const technique = catalogue.techniques.get(s.technique);
    return technique && !FRAME.includes(technique.phase) ? [technique] : [];
  });
  return COMPLAINT_KINDS.filter(
    (kind) => working.length > 0 && working.filter((t) => t.serves.includes(kind)).length >= SHARE * working.length,
  );
}
