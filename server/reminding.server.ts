import { remindersDue } from './access/reminders.server.ts';
import { practicesThatRemind, sendOne } from './db/queries/reminders.server.ts';
import { inRequest } from './db/scope.ts';
import { log, told } from './log.ts';
import { deliver, hasMail } from './mail.server.ts';

/** How often is looked whether something is due. */
const LOOK_EVERY_MS = 60_000;

/** Sends what is due now, practice after practice. Any number of processes may do so at once. @returns letters that were tried. */
export async function remindAll(now: Date): Promise<number> {
  let tried = 0;
  for (const practiceId of await practicesThatRemind())
    // What goes wrong in one practice holds up no other.
    await inRequest(async () => {
      const { settings, today, due } = await remindersDue(practiceId, now);
      const about = due.map((d) => d.about);
      const send = () =>
        sendOne(practiceId, today, about, ({ id, address, subject, body }) =>
          deliver({ id, from: settings.mailFrom, practice: settings.practice, to: address, subject, body }),
        );
      while (await send()) tried++;
    }).catch((error: unknown) => log.warn(told(error), 'reminders of a practice could not be sent'));
  return tried;
}

/** Looks again and again while the process serves, where a mail server is connected. @returns what ends it. */
export function startReminding(): () => void {
  if (!hasMail()) return () => {};
  let running = false;
  const look = async () => {
    if (running) return;
    running = true;
    await remindAll(new Date()).catch((error: unknown) => log.warn(told(error), 'reminders could not be sent'));
    running = false;
  };
  const timer = setInterval(() => void look(), LOOK_EVERY_MS);
  timer.unref();
  return () => clearInterval(timer);
}
