import { afterEach, expect, test } from 'vitest';
import { currentState, readCurrentLine, type CurrentReading } from '../../core/devices/index.ts';
import { startCurrentUnit } from '../../devices/current-unit.ts';
import { currentStream, hasCurrentUnit, switchCurrentOff } from '../../server/current.server.ts';

let close: (() => Promise<void>) | null = null;
afterEach(async () => {
  await close?.();
  close = null;
  delete process.env.VELVET_DEVICES;
});
const started = async (plan?: Parameters<typeof startCurrentUnit>[0]) => {
  const unit = await startCurrentUnit(plan);
  close = unit.close;
  process.env.VELVET_DEVICES = `current ${unit.address} Unit`;
  return unit;
};
/** Reads the unit until `enough` says so. */
async function heard(enough: (readings: CurrentReading[], text: string) => boolean): Promise<string> {
  const reader = currentStream(new AbortController().signal)!.getReader();
  const words = new TextDecoder();
  let text = '';
  for (;;) {
    const { value, done } = await reader.read();
    if (done) return text;
    text += words.decode(value);
    const readings = [...text.matchAll(/^data: (.*)$/gm)].flatMap(([, line]) => {
      const message = readCurrentLine(line!);
      return message?.kind === 'reading' ? [message] : [];
    });
    if (!enough(readings, text)) continue;
    await reader.cancel();
    return text;
  }
}

test('a unit is read until its contact is lost; switched off, nothing flows', async () => {
  await started({ plan: { firstMs: 500, goneMs: 3000, everyMs: 40_000 } });
  expect(hasCurrentUnit()).toBe(true);
  const text = await heard((readings) => currentState(readings) === 'no-contact');
  expect(text).toContain('data: CURRENT protocol=1 most=600 stand-in=yes');
  const off = heard((readings) => currentState(readings) === 'off');
  await new Promise((done) => setTimeout(done, 300));
  expect(await switchCurrentOff()).toBe(true);
  expect(await off).toContain('level=0 flows=0');
});
test('one that goes away is told; one that is not named is none', async () => {
  const unit = await started();
  const reading = heard((_, text) => text.includes('event: gone'));
  await new Promise((done) => setTimeout(done, 300));
  await unit.close();
  close = null;
  expect(await reading).toContain('does not answer any more');
  expect(await switchCurrentOff()).toBe(false);
  delete process.env.VELVET_DEVICES;
  expect(hasCurrentUnit()).toBe(false);
  expect(currentStream(new AbortController().signal)).toBeNull();
  expect(await switchCurrentOff()).toBeNull();
});
