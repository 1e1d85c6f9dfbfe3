import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { afterEach, expect, test } from 'vitest';
import { readGaugeSession } from '../../core/devices/index.ts';
import { startAlgometer } from '../../devices/algometer.ts';
import { hasGauge, pressStream } from '../../server/gauge.server.ts';

let close: (() => Promise<void>) | null = null;
afterEach(async () => {
  await close?.();
  close = null;
  delete process.env.VELVET_DEVICES;
});
const started = async (speed = 40) => {
  const gauge = await startAlgometer({ speed });
  close = gauge.close;
  process.env.VELVET_DEVICES = `gauge ${gauge.address} Gauge`;
  return gauge;
};
async function read(stream: ReadableStream<Uint8Array>): Promise<string> {
  let all = '';
  for await (const chunk of stream as unknown as AsyncIterable<Uint8Array>) all += new TextDecoder().decode(chunk);
  return all;
}
const press = { kind: 'press', target: 'masseter-superficial.left', trial: 1 } as const;

test('a press arrives line by line, from the first word to letting go', async () => {
  await started();
  const events = (await read(pressStream(press, new AbortController().signal)!)).trim().split('\n\n');
  expect(events[0]).toBe('event: line\ndata: GAUGE protocol=1 tip=1 name=stand-in_gauge');
  expect(events.filter((e) => e.includes('data: P ')).length).toBeGreaterThan(100);
  expect(events.filter((e) => e.includes('data: MARK '))).toHaveLength(1);
  expect(events.at(-1)).toBe('event: over\ndata: let go');
});

test('a recorded session is played press by press, as it was recorded', async () => {
  const session = readGaugeSession(readFileSync('docs/formats/algometer.session.txt', 'utf8'));
  const gauge = await startAlgometer({ speed: 60, session });
  close = gauge.close;
  process.env.VELVET_DEVICES = `gauge ${gauge.address} Gauge`;
  for (const { lines } of [...session.presses, session.presses.at(-1)!]) {
    const events = (await read(pressStream(press, new AbortController().signal)!)).trim().split('\n\n');
    const told = events.flatMap((e) => /data: ((?:P|MARK) .*)$/.exec(e)?.[1] ?? []);
    expect(told).toEqual(lines.map((l) => l.line).filter((l) => /^(P|MARK) /.test(l)));
  }
});

test('two presses at once do not mix', async () => {
  await started();
  const [a, b] = await Promise.all([
    read(pressStream(press, new AbortController().signal)!),
    read(pressStream({ ...press, trial: 2 }, new AbortController().signal)!),
  ]);
  expect(a).not.toBe(b);
  expect([a, b].map((t) => t.match(/MARK/g)?.length)).toEqual([1, 1]);
});

test('a page that goes in the middle of a press takes nothing down: its reader may leave before its request does', async () => {
  await started();
  const uncaught: Error[] = [];
  const note = (error: Error): number => uncaught.push(error);
  process.on('uncaughtException', note);
  const left = pressStream(press, new AbortController().signal)!.getReader();
  await left.read();
  await left.cancel();
  // Another one whose request had ended before the stream began.
  const gone = pressStream(press, AbortSignal.abort())!.getReader();
  await read(pressStream({ ...press, trial: 2 }, new AbortController().signal)!);
  await gone.cancel();
  process.off('uncaughtException', note);
  expect(uncaught).toEqual([]);
});

test('without a gauge there is no stream; a gauge that does not answer is told', async () => {
  expect(hasGauge()).toBe(false);
  expect(pressStream(press, new AbortController().signal)).toBeNull();
  const gauge = await started();
  await gauge.close();
  close = null;
  expect(await read(pressStream(press, new AbortController().signal)!)).toContain('event: gone');
});

test('a page that goes away lets the gauge go', async () => {
  await started(1);
  const leave = new AbortController();
  const reader = pressStream(press, leave.signal)!.getReader();
  await reader.read();
  leave.abort();
  // The next connection is served as if nothing had been.
  process.env.VELVET_DEVICES = `gauge ${(await started()).address} Gauge`;
  expect(await read(pressStream(press, new AbortController().signal)!)).toContain('MARK');
});

test('the stand-in lets lines pass that are none of its own', async () => {
  const { address } = await started();
  const socket = connect(Number(address.split(':')[1]), '127.0.0.1');
  let heard = '';
  socket.on('data', (chunk) => (heard += chunk.toString()));
  socket.write('HELLO\nPRESS target=../x trial=1\nPRESS target=a.left trial=1\n');
  await expect.poll(() => heard, { timeout: 10_000 }).toContain('END');
  expect(heard.match(/MARK/g)).toHaveLength(1);
  socket.destroy();
});
