import { createTransport } from 'nodemailer';
import MailComposer from 'nodemailer/lib/mail-composer/index.js';
import type { Letter } from '../core/schedule/index.ts';
import { readMail } from './settings.ts';

/** A mail server that does not answer by then is tried again later. */
const ANSWER_MS = 10_000;

/** Whether a mail server is connected to this installation. */
export const hasMail = (): boolean => readMail(process.env) !== null;

export interface Addressed extends Letter {
  /** Of the reminder: the same letter has the same name, so that one that goes out twice is known as one. */
  id: string;
  from: string;
  practice: string;
  to: string;
}
const message = ({ id, from, practice, to, subject, body }: Addressed) => ({
  from: { name: practice, address: from },
  to,
  subject,
  text: body,
  messageId: `<${id}@velvet-compass.invalid>`,
  headers: { 'Auto-Submitted': 'auto-generated' },
  // No attachment and no address in a letter is ever fetched.
  disableFileAccess: true,
  disableUrlAccess: true,
});

/** Hands one letter to the mail server. @throws Error with a `code` where it was not taken. */
export async function deliver(letter: Addressed): Promise<void> {
  const at = readMail(process.env);
  if (!at) throw Object.assign(new Error('no mail server is connected'), { code: 'NO_SERVER' });
  const transport = createTransport(at, {
    disableFileAccess: true,
    disableUrlAccess: true,
    connectionTimeout: ANSWER_MS,
    greetingTimeout: ANSWER_MS,
    socketTimeout: ANSWER_MS,
  } as never);
  try {
    await transport.sendMail(message(letter));
  } finally {
    transport.close();
  }
}

/** The letter as a file that any mail program opens. */
export const letterFile = (letter: Addressed): Promise<Buffer> => new MailComposer(message(letter)).compile().build();
