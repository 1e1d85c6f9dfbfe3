import { remindersDue } from '../../../server/access/reminders.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { takeAsFile } from '../../../server/db/queries/reminders.server';
import { letterFile } from '../../../server/mail.server';
import type { Route } from './+types/reminder-file';

/** One reminder as a file, to be sent by whatever the practice writes with; it does not go out by itself afterwards. */
export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'rules');
  const { settings, today, due } = await remindersDue(who.practiceId, new Date());
  const letter = await takeAsFile(
    who,
    params.reminderId,
    today,
    due.map((d) => d.about),
  );
  if (!letter) notFound('reminder');
  const { id, address, subject, body } = letter;
  const file = await letterFile({
    id,
    from: settings.mailFrom,
    practice: settings.practice,
    to: address,
    subject,
    body,
  });
  return new Response(new Uint8Array(file), {
    headers: {
      'Content-Type': 'message/rfc822',
      'Content-Disposition': 'attachment; filename="reminder.eml"',
      'Cache-Control': 'no-store',
    },
  });
}
export const loader = () => notFound('page');
