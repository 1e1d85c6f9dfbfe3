import { createServer, type Socket } from 'node:net';
import { once } from 'node:events';

/** A device that is made up, listening on loopback. */
export interface StandIn {
  /** 127.0.0.1:PORT */
  address: string;
  close: () => Promise<void>;
}
/** What a stand-in says and does to one who listens. */
interface Talk {
  /** Said first. */
  hello: string;
  onLine?: (line: string) => void;
  onGone?: () => void;
}

/** A line that never ends is cut off. */
const LONGEST_LINE = 500;

/**
 * Speaks a line protocol over TCP on loopback: says hello to each who comes, hands on what it is told line by line.
 * @param talk made for each connection, while `open` still holds those before it
 */
export async function serveLines(
  port: number,
  talk: (socket: Socket, open: ReadonlySet<Socket>) => Talk,
): Promise<StandIn & { open: ReadonlySet<Socket> }> {
  const open = new Set<Socket>();
  const server = createServer((socket) => {
    socket.setEncoding('utf8');
    socket.setNoDelay(true);
    const { hello, onLine, onGone } = talk(socket, open);
    open.add(socket);
    socket.write(`${hello}\n`);
    let rest = '';
    socket.on('data', (chunk: string) => {
      const lines = (rest + chunk).split('\n');
      rest = lines.pop()!.slice(-LONGEST_LINE);
      for (const line of lines) onLine?.(line.trim());
    });
    const gone = () => {
      if (open.delete(socket)) onGone?.();
    };
    socket.on('close', gone);
    socket.on('error', gone);
  });
  server.listen(port, '127.0.0.1');
  await once(server, 'listening');
  const at = server.address();
  return {
    address: `127.0.0.1:${typeof at === 'object' && at ? at.port : port}`,
    open,
    close: async () => {
      for (const socket of open) socket.destroy();
      server.close();
      await once(server, 'close').catch(() => {});
    },
  };
}
