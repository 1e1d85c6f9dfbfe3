import { MEMBER_ROLES, type MemberRole } from '../../core/record/index.ts';

/** What there is to see and to change. */
export type Thing =
  /** The own account: password, second factor, sessions, own training. */
  | 'self'
  /** Who comes when, in which room, and who waits: nothing of why. */
  | 'book'
  /** That somebody is a client, by name. */
  | 'people'
  /** Everything that is known of a client: complaints, visits, readings, plans, notes. */
  | 'care'
  /** Routines of the practice. One is changed by who made it and by the owner: said with `by`. */
  | 'routines'
  | 'atlas'
  /** Techniques and products of the practice. */
  | 'stock'
  /** Rules, school, texts, reminders, rooms: what holds for everybody. */
  | 'rules'
  /** Numbers over all clients. */
  | 'sums'
  /** Who works here, and whose a client is. */
  | 'colleagues'
  /** The whole of the records: taking out, bringing in, letting go, keeping. */
  | 'records'
  | 'trail';
export type Act = 'see' | 'change';

interface Grant {
  /** The least of the roles that may. */
  see: MemberRole;
  change: MemberRole;
  /** Told to who may not. */
  words: string;
}

const ASSISTANT_SEES = 'Who books sees when clients come, and nothing of why.';
/** Who may what. An assistant books and sees no notes; what holds for everybody is the owner's. */
const GRANTS: Record<Thing, Grant> = {
  self: { see: 'assistant', change: 'assistant', words: '' },
  book: { see: 'assistant', change: 'assistant', words: '' },
  people: { see: 'assistant', change: 'assistant', words: '' },
  atlas: { see: 'assistant', change: 'owner', words: 'The atlas is not changed.' },
  care: { see: 'practitioner', change: 'practitioner', words: ASSISTANT_SEES },
  routines: {
    see: 'practitioner',
    change: 'practitioner',
    words: 'A routine is changed by who made it and by the owner of the practice.',
  },
  stock: {
    see: 'practitioner',
    change: 'practitioner',
    words: 'Techniques and products are for those who work with them.',
  },
  rules: {
    see: 'practitioner',
    change: 'owner',
    words: 'What holds for everybody is set by the owner of the practice.',
  },
  sums: { see: 'owner', change: 'owner', words: 'Numbers over all clients are the owner’s.' },
  colleagues: { see: 'owner', change: 'owner', words: 'Who works here is the owner’s to say.' },
  records: {
    see: 'owner',
    change: 'owner',
    words: 'Records are taken out, brought in and let go by the owner of the practice.',
  },
  trail: { see: 'owner', change: 'owner', words: 'The trail is read by the owner of the practice.' },
};
export const THINGS = Object.keys(GRANTS) as Thing[];

const rank = (role: MemberRole): number => MEMBER_ROLES.indexOf(role);

/**
 * Whether somebody may see or change a thing of their practice. Asked by every page and every action; that a record is
 * of this practice is asked in each query besides.
 * @param by who made the record, where only they and the owner may change it
 */
export function may(
  who: { role: MemberRole; practitionerId: string },
  act: Act,
  thing: Thing | { thing: Thing; by: string | null },
): boolean {
  const { thing: name, by } = typeof thing === 'string' ? { thing, by: undefined } : thing;
  if (rank(who.role) < rank(GRANTS[name][act])) return false;
  return by === undefined || who.role === 'owner' || by === who.practitionerId;
}

/** What is told to who may not. */
export const whyMayNot = (thing: Thing): string => GRANTS[thing].words;
