import { data } from 'react-router';
import { type LinkHolder, openLink, zoneOfPractice } from '../db/queries/links.server';
import { addressOf } from './sign-in.server';

/**
 * Who stands behind a secret. Wrong, ended, too old, or tried in masses: the same plain answer, so that nobody learns
 * which it was.
 */
export async function holderOf(secret: string, context: unknown): Promise<{ holder: LinkHolder; zone: string }> {
  const opened = await openLink(secret, addressOf(context));
  if (!('holder' in opened)) throw data('', { status: opened.refused === 'too-many' ? 429 : 404 });
  return { holder: opened.holder, zone: await zoneOfPractice(opened.holder.practiceId) };
}
