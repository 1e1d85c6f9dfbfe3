/**
 * A stand-in for a practice's mail server, for demonstration and tests: it takes letters over SMTP on loopback, delivers
 * none, and writes each into a folder as a file that any mail program opens.
 */
import { mkdirSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { join } from 'node:path';
import { SMTPServer } from 'smtp-server';

export interface Mailbox {
  /** smtp://127.0.0.1:PORT */
  address: string;
  /** Letters as they came, whole. */
  letters: { to: string[]; text: string }[];
  close: () => Promise<void>;
}

/**
 * @param folder Where each letter is written as NUMBER.eml; none are written without one.
 * @param refuse Whom no letter is taken for.
 */
export async function startMailbox({
  port = 0,
  folder,
  refuse = () => false,
}: { port?: number; folder?: string; refuse?: (to: string) => boolean } = {}): Promise<Mailbox> {
  const letters: Mailbox['letters'] = [];
  const server = new SMTPServer({
    authOptional: true,
    disabledCommands: ['AUTH', 'STARTTLS'],
    logger: false,
    onRcptTo({ address }, _session, done) {
      done(refuse(address) ? Object.assign(new Error('not taken here'), { responseCode: 550 }) : null);
    },
    onData(stream, session, done) {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        const text = Buffer.concat(parts).toString('utf8');
        letters.push({ to: session.envelope.rcptTo.map((r) => r.address), text });
        if (folder) {
          mkdirSync(folder, { recursive: true });
          writeFileSync(join(folder, `${String(letters.length).padStart(4, '0')}.eml`), text);
        }
        done();
      });
    },
  });
  // A client that breaks off is no reason to end.
  server.on('error', () => {});
  server.listen(port, '127.0.0.1');
  await once(server.server, 'listening');
  const at = server.server.address();
  return {
    address: `smtp://127.0.0.1:${typeof at === 'object' && at ? at.port : port}`,
    letters,
    close: () => new Promise((done) => server.close(done)),
  };
}
