import { createServer, type AddressInfo } from 'node:net';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { connect, isDatabaseAway } from './connection.ts';

const message = (type: string, body: Buffer): Buffer => {
  const length = Buffer.alloc(4);
  length.writeInt32BE(body.length + 4);
  return Buffer.concat([Buffer.from(type), length, body]);
};
const SIGNED_IN = message('R', Buffer.alloc(4));
const READY = message('Z', Buffer.from('I'));
const GOING = message(
  'E',
  Buffer.from('SFATAL\0C57P01\0Mterminating connection due to unexpected postmaster exit\0\0'),
);

/** A database that goes away in the same breath in which it lets somebody in. */
const server = createServer((socket) => {
  socket.on('error', () => {});
  socket.once('data', () => socket.end(Buffer.concat([SIGNED_IN, READY, GOING])));
});
beforeAll(() => new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve)));
afterAll(() => new Promise<void>((resolve) => void server.close(() => resolve())));

test('a server that goes away as it lets one in is away, and the process lives on', async () => {
  const uncaught: Error[] = [];
  const note = (error: Error): number => uncaught.push(error);
  process.on('uncaughtException', note);
  const sequelize = connect(`postgres://velvet:x@127.0.0.1:${(server.address() as AddressInfo).port}/velvet`);
  const error = await sequelize.query('select 1').catch((e: unknown) => e);
  expect(isDatabaseAway(error)).toBe(true);
  await sequelize.close();
  process.off('uncaughtException', note);
  expect(uncaught).toEqual([]);
});
