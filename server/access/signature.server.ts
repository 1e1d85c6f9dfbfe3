import { isOwnPassword } from '../db/queries/accounts.server';
import { forgetTries, takeTry } from '../db/queries/attempts.server';

/** What cannot be taken back is signed with the own password; null where it is, else why not, for the field. */
export async function whyUnsigned(
  who: Parameters<typeof isOwnPassword>[0],
  password: string,
): Promise<{ message: string; status: 422 | 429 } | null> {
  const wait = await takeTry('signature', who.practitionerId);
  if (wait) return { message: `Too many wrong tries. Try again in ${wait} min.`, status: 429 };
  if (!(await isOwnPassword(who, password))) return { message: 'This is not your password.', status: 422 };
  await forgetTries('signature', who.practitionerId);
  return null;
}
