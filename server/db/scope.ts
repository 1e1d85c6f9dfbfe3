import { AsyncLocalStorage } from 'node:async_hooks';

/**
 * Whose rows the present work may touch. The database holds every query against it by its own policies, so that a
 * query that forgets its `where` still reaches nobody else's rows.
 */
interface Scope {
  practiceId: string | null;
  /** Asked of the copy for reading. */
  isOfCopy?: boolean;
}

/** One for the process, although the build and a script beside it hold two copies of this module. */
const holder = globalThis as { velvetScope?: AsyncLocalStorage<Scope> };
const scope = (holder.velvetScope ??= new AsyncLocalStorage<Scope>());

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;
/** Ids come from addresses that anybody may type: what is no UUID cannot be found. */
export const isUuid = (id: string): boolean => UUID.test(id);

export const practiceInScope = (): string | null => scope.getStore()?.practiceId ?? null;

/** The span of one request; whose it is becomes known when its session is read. */
export const inRequest = <T>(work: () => T): T => scope.run({ practiceId: null }, work);

/** From here on the request belongs to this practice and to no other. */
export function requestBelongsTo(practiceId: string): void {
  const at = scope.getStore();
  if (at) at.practiceId = practiceId;
}

/** Work on the rows of one practice. @throws Error when the request belongs to another one. */
export function inPractice<T>(practiceId: string, work: () => Promise<T>): Promise<T> {
  if (!isUuid(practiceId)) throw new Error('a practice is named by its id');
  const outer = practiceInScope();
  if (outer !== null && outer !== practiceId) throw new Error('this request belongs to another practice');
  return scope.run({ ...scope.getStore(), practiceId }, work);
}

export const readsCopy = (): boolean => scope.getStore()?.isOfCopy === true;
/** Work that asks the copy for reading: a query within it that writes is refused by the database. */
export const inCopy = <T>(work: () => Promise<T>): Promise<T> =>
  scope.run({ practiceId: practiceInScope(), isOfCopy: true }, work);

type Who = string | { readonly practiceId: string };

/** A query of one practice: the first argument says which, as its id or as somebody who belongs to it. */
export function byPractice<A extends [Who, ...unknown[]], R>(
  work: (...args: A) => Promise<R>,
): (...args: A) => Promise<R> {
  return (...args) => inPractice(typeof args[0] === 'string' ? args[0] : args[0].practiceId, () => work(...args));
}
