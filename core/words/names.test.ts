import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';

const files = ['core', 'reference', 'demo', 'devices', 'server'].flatMap((room) =>
  readdirSync(room, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && !name.includes('migrations'))
    .map((name) => join(room, name)),
);

test('an exported name means one thing in the whole of core, reference, demo, devices and server', () => {
  const homes = new Map<string, string[]>();
  for (const file of files)
    for (const [, name] of readFileSync(file, 'utf8').matchAll(
      /^export (?:async )?(?:const|function|class|interface|type) (\w+)/gm,
    ))
      homes.set(name!, [...(homes.get(name!) ?? []), file]);
  expect(files.length).toBeGreaterThan(200);
  expect([...homes].filter(([, where]) => where.length > 1)).toEqual([]);
});
