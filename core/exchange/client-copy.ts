/** The format of a client's own copy: docs/formats/client-copy.md. */
export const CLIENT_COPY_FORMAT = 'velvet-compass-client';
export const CLIENT_COPY_VERSION = 2;

/**
 * Kinds of facts that are on record of a client, in the order in which a copy tells them, and whether the law may ask to
 * keep them: the work itself is, nothing by which somebody is reached or watched.
 */
const KINDS = {
  clients: true,
  complaints: true,
  consents: true,
  'body-measures': false,
  'patch-tests': true,
  'said-before': false,
  visits: true,
  waiting: false,
  overrides: true,
  amendments: true,
  readings: true,
  scores: true,
  runs: true,
  'run-events': false,
  photos: false,
  decisions: true,
  'home-plans': false,
  'home-runs': false,
  'home-after': false,
  'home-flags': false,
  links: false,
  reminders: false,
} as const;
export type CopyKind = keyof typeof KINDS;
export const COPY_KINDS = Object.keys(KINDS) as CopyKind[];

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

/** The part of a copy that is put away: what was asked, found, agreed and done; no address, no picture, no message. */
export function limitedCopy(copy: ClientCopy): ClientCopy {
  const kinds = Object.fromEntries(
    COPY_KINDS.map((kind) => [kind, KINDS[kind] ? copy.kinds[kind] : []]),
  ) as ClientCopy['kinds'];
  return { ...copy, kinds: { ...kinds, clients: kinds.clients.map((c) => ({ ...c, email: '' })) } };
}
