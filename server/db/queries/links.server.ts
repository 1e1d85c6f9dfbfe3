import { createHash, randomBytes } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { isStillBooked } from '../../../core/record/index.ts';
import { addDays } from '../../../core/schedule/index.ts';
import { blockAddress, blockedForMs } from '../../sign-in-block.ts';
import { database } from '../connection.ts';
import { byPractice, isUuid, requestBelongsTo } from '../scope.ts';
import type { Member } from './accounts.server.ts';
import { takeTry } from './attempts.server.ts';
import { writeAudit } from './audit.server.ts';
import { lockVisit } from './shared.server.ts';

/** A link ends so long after the review. */
const LINK_DAYS_AFTER_REVIEW = 30;
const SECRET_BYTES = 32;
const SECRET = /^[\w-]{43}$/;
const digest = (secret: string) => createHash('sha256').update(secret).digest('hex');

/** The link of a plan, as the practice knows it: its secret is nobody’s here. */
export interface KeptLink {
  id: string;
  planId: string;
  madeAt: string;
  expiresOn: string;
  /** When it was last opened; null while nobody did. */
  usedAt: string | null;
}

/** The link of the plan in force; null where there is none. */
export const linkOfPlan = byPractice(async (practiceId: string, planId: string): Promise<KeptLink | null> => {
  if (!isUuid(planId)) return null;
  const [row] = await database().query<Omit<KeptLink, 'madeAt' | 'usedAt'> & { made: Date; used: Date | null }>(
    `select id, plan_id as "planId", made_at as made, expires_on::text as "expiresOn", used_at as used from client_links
     where practice_id = :practiceId and plan_id = :planId and ended_at is null`,
    { replacements: { practiceId, planId }, type: QueryTypes.SELECT },
  );
  if (!row) return null;
  const { made, used, ...link } = row;
  return { ...link, madeAt: made.toISOString(), usedAt: used?.toISOString() ?? null };
});

/** A new link for the plan in force; the one before ends with it. Its secret is told this once and stored as a hash. */
export const makeLink = byPractice(async (who: Member, clientId: string): Promise<string | null> => {
  if (!isUuid(clientId)) return null;
  return database().transaction(async (transaction) => {
    const [plan] = await database().query<{ id: string; review: string }>(
      `select id, plan->>'reviewOn' as review from home_plans where practice_id = :practiceId and client_id = :clientId and ended_at is null for update`,
      { replacements: { practiceId: who.practiceId, clientId }, type: QueryTypes.SELECT, transaction },
    );
    if (!plan) return null;
    const expiresOn = addDays(plan.review, LINK_DAYS_AFTER_REVIEW);
    const secret = await replaceLink(who, { clientId, planId: plan.id, visitId: null, expiresOn }, transaction);
    await writeAudit(who, 'home-link-made', { client: clientId }, transaction);
    return secret;
  });
});

/**
 * A new link for a first visit that stands in the book; the one before ends with it. It opens until the day of the visit
 * is over or its screening is left. `late` where the client was here before.
 */
export const makeBeforeLink = byPractice(async (who: Member, visitId: string): Promise<string | 'late' | null> => {
  const { practiceId } = who;
  return database().transaction(async (transaction) => {
    const visit = await lockVisit(practiceId, visitId, transaction);
    if (!visit) return null;
    if (!isStillBooked(visit) || !(await isFirstVisit(practiceId, visit.clientId, transaction))) return 'late';
    const about = { clientId: visit.clientId, planId: null, visitId, expiresOn: null };
    const secret = await replaceLink(who, about, transaction);
    await writeAudit(who, 'before-link-made', { visit: visitId }, transaction);
    return secret;
  });
});

/** Whether nobody has worked with a client yet. */
const isFirstVisit = async (practiceId: string, clientId: string, transaction: Transaction): Promise<boolean> => {
  const rows = await database().query(
    `select 1 from visits where practice_id = :practiceId and client_id = :clientId and stage not in ('screen', 'cancelled', 'missed') limit 1`,
    { replacements: { practiceId, clientId }, type: QueryTypes.SELECT, transaction },
  );
  return rows.length === 0;
};

async function replaceLink(
  { practiceId, practitionerId }: Member,
  about: { clientId: string; planId: string | null; visitId: string | null; expiresOn: string | null },
  transaction: Transaction,
): Promise<string> {
  const secret = randomBytes(SECRET_BYTES).toString('base64url');
  const replacements = { practiceId, practitionerId, hash: digest(secret), ...about };
  await database().query(
    `update client_links set ended_at = now() where practice_id = :practiceId and ended_at is null
     and (plan_id = cast(:planId as uuid) or visit_id = cast(:visitId as uuid))`,
    { replacements, transaction },
  );
  await database().query(
    `insert into client_links (practice_id, client_id, plan_id, visit_id, token_hash, made_by, expires_on)
     values (:practiceId, :clientId, :planId, :visitId, :hash, :practitionerId, :expiresOn)`,
    { replacements, transaction },
  );
  return secret;
}

/** Ends the link of a client’s plan; false where there is none. */
export const endLink = byPractice(async (who: Member, clientId: string): Promise<boolean> => {
  if (!isUuid(clientId)) return false;
  return database().transaction(async (transaction) => {
    const ended = await database().query(
      'update client_links set ended_at = now() where practice_id = :practiceId and client_id = :clientId and plan_id is not null and ended_at is null returning id',
      { replacements: { practiceId: who.practiceId, clientId }, type: QueryTypes.SELECT, transaction },
    );
    if (!ended.length) return false;
    await writeAudit(who, 'home-link-ended', { client: clientId }, transaction);
    return true;
  });
});

/** Who stands behind a secret. */
export interface LinkHolder {
  id: string;
  practiceId: string;
  clientId: string;
  /** What it is for: one of the two. */
  planId: string | null;
  visitId: string | null;
}
/** Not told apart for whoever asks: a secret that is wrong, ended, or too old. */
type Opened = { holder: LinkHolder } | { refused: 'unknown' } | { refused: 'too-many' };

/** Looks a secret up. Wrong ones are counted by the address they come from, and masses of them are turned away unread. */
export async function openLink(secret: string, address: string): Promise<Opened> {
  const key = `link:${address}`;
  if (blockedForMs(key)) return { refused: 'too-many' };
  const [holder] = SECRET.test(secret)
    ? await database().query<LinkHolder>('select * from link_of(:hash)', {
        replacements: { hash: digest(secret) },
        type: QueryTypes.SELECT,
      })
    : [];
  if (holder) {
    requestBelongsTo(holder.practiceId);
    return { holder };
  }
  const wait = await takeTry('links', address);
  if (wait) blockAddress(key, wait * 60_000);
  return { refused: wait ? 'too-many' : 'unknown' };
}

export const linkWasUsed = byPractice(async (practiceId: string, id: string): Promise<void> => {
  await database().query('update client_links set used_at = now() where practice_id = :practiceId and id = :id', {
    replacements: { practiceId, id },
  });
});

/** IANA zone in which the days of a practice begin and end. */
export const zoneOfPractice = byPractice(async (practiceId: string): Promise<string> => {
  const [row] = await database().query<{ zone: string }>(
    'select time_zone as zone from practices where id = :practiceId',
    { replacements: { practiceId }, type: QueryTypes.SELECT },
  );
  return row!.zone;
});
