import type { Transaction } from 'sequelize';
import { database } from '../connection.ts';
import { isUuid } from '../scope.ts';

/**
 * Makes something once for a key that the form carries. The same key again, at once or later, answers with what was
 * made the first time; what refuses throws, so that the key is free again for the corrected form. Without a key (a
 * form of an older page) it is simply made.
 */
export async function once(
  practiceId: string,
  key: string | undefined,
  what: string,
  transaction: Transaction,
  make: () => Promise<string>,
): Promise<string> {
  if (!key || !isUuid(key)) return make();
  const replacements = { practiceId, key, what };
  // Two at once: the second waits here for the first.
  const [taken] = (await database().query(
    'insert into made_once (practice_id, key, what) values (:practiceId, :key, :what) on conflict do nothing returning key',
    { replacements, transaction },
  )) as [unknown[], unknown];
  if (!taken.length) {
    const [[known]] = (await database().query(
      'select what, made_id from made_once where practice_id = :practiceId and key = :key',
      { replacements, transaction },
    )) as [{ what: string; made_id: string }[], unknown];
    if (known!.what !== what) throw new Response('This form was sent for something else.', { status: 409 });
    return known!.made_id;
  }
  const made = await make();
  await database().query('update made_once set made_id = :made where practice_id = :practiceId and key = :key', {
    replacements: { ...replacements, made },
    transaction,
  });
  return made;
}

/** Whether something was made for this key already. */
export async function wasMade(practiceId: string, key: string | undefined, transaction: Transaction): Promise<boolean> {
  if (!key || !isUuid(key)) return false;
  const [known] = (await database().query('select 1 from made_once where practice_id = :practiceId and key = :key', {
    replacements: { practiceId, key },
    transaction,
  })) as [unknown[], unknown];
  return known.length > 0;
}
