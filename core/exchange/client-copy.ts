/** The format of a client's own copy: docs/formats/client-copy.md. */
export const CLIENT_COPY_FORMAT = 'velvet-compass-client';
export const CLIENT_COPY_VERSION = 1;

/** Kinds of facts that are on record of a client, in the order in which a copy tells them. */
export const COPY_KINDS = [
  'clients',
  'complaints',
  'consents',
  'body-measures',
  'patch-tests',
  'said-before',
  'visits',
  'overrides',
  'amendments',
  'readings',
  'scores',
  'runs',
  'run-events',
  'photos',
  'decisions',
  'home-plans',
  'home-runs',
  'home-after',
  'home-flags',
  'links',
  'reminders',
] as const;
export type CopyKind = (typeof COPY_KINDS)[number];

/** One fact as it is stored, by the names under which it is stored. Moments are ISO 8601 with their offset. */
export type CopiedRow = Record<string, unknown>;

/** Everything that a practice has on record of a client. */
export interface ClientCopy {
  format: typeof CLIENT_COPY_FORMAT;
  version: number;
  /** ISO 8601. */
  madeAt: string;
  practice: string;
  /** Names of those who wrote, by id. */
  members: Record<string, string>;
  kinds: Record<CopyKind, CopiedRow[]>;
}

/** What the law may ask a practice to keep of the work itself: nothing by which somebody is reached or watched. */
const KEPT_KINDS: ReadonlySet<CopyKind> = new Set<CopyKind>([
  'clients',
  'complaints',
  'consents',
  'patch-tests',
  'visits',
  'overrides',
  'amendments',
  'readings',
  'scores',
  'runs',
  'decisions',
]);

/** The part of a copy that is put away: what was asked, found, agreed and done; no address, no picture, no message. */
export function limitedCopy(copy: ClientCopy): ClientCopy {
  const kinds = Object.fromEntries(
    COPY_KINDS.map((kind) => [kind, KEPT_KINDS.has(kind) ? copy.kinds[kind] : []]),
  ) as ClientCopy['kinds'];
  return { ...copy, kinds: { ...kinds, clients: kinds.clients.map((c) => ({ ...c, email: '' })) } };
}
