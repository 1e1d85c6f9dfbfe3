import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { MEMBER_ROLES } from '../../core/record/index.ts';
import { may, whyMayNot, type Thing, THINGS } from './may.ts';

const who = (role: (typeof MEMBER_ROLES)[number]) => ({ role, practitionerId: 'me' });
const things = (role: (typeof MEMBER_ROLES)[number], act: 'see' | 'change'): Thing[] =>
  THINGS.filter((thing) => may(who(role), act, thing));

describe('who may what', () => {
  test('an assistant books, and sees nothing of why somebody comes', () => {
    expect(things('assistant', 'see')).toEqual(['self', 'book', 'people', 'atlas']);
    expect(things('assistant', 'change')).toEqual(['self', 'book', 'people']);
  });
  test('a practitioner works with clients, and sets nothing for everybody', () => {
    expect(things('practitioner', 'see')).toEqual([
      ...['self', 'book', 'people', 'atlas', 'care', 'routines', 'stock', 'rules'],
    ]);
    expect(things('practitioner', 'change')).toEqual(['self', 'book', 'people', 'care', 'routines', 'stock']);
  });
  test('an owner may everything', () => {
    expect([things('owner', 'see'), things('owner', 'change')]).toEqual([THINGS, THINGS]);
  });
  test('a routine is changed by who made it and by the owner, by nobody who may not change routines', () => {
    const theirs = { thing: 'routines', by: 'somebody' } as const;
    const mine = { thing: 'routines', by: 'me' } as const;
    const nobodys = { thing: 'routines', by: null } as const;
    expect(MEMBER_ROLES.map((role) => may(who(role), 'change', theirs))).toEqual([false, false, true]);
    expect(MEMBER_ROLES.map((role) => may(who(role), 'change', mine))).toEqual([false, true, true]);
    expect(MEMBER_ROLES.map((role) => may(who(role), 'change', nobodys))).toEqual([false, false, true]);
  });
  test('every refusal says why', () => {
    for (const thing of THINGS)
      if (!may(who('assistant'), 'change', thing)) expect(whyMayNot(thing).length, thing).toBeGreaterThan(20);
  });
});

/** Routes that open without anybody being signed in, or that ask nobody: each with its reason. */
const OPEN: Record<string, string> = {
  'home.tsx': 'sends on',
  'sign-in.tsx': 'the door',
  'sign-in-here.ts': 'the door',
  'signed-in.ts': 'the door',
  'sign-out.ts': 'the door',
  'new-practice.tsx': 'the door',
  'join.tsx': 'opened by a one-time link',
  'room.ts': 'a setting of the browser',
  'lost.tsx': 'nothing is there',
  'work-calendar.ts': 'opened by a private link',
  'phone/page.tsx': 'opened by a private link',
  'phone/keep.ts': 'opened by a private link',
  'phone/before.ts': 'opened by a private link',
  'phone/calendar.ts': 'opened by a private link',
  'phone/manifest.ts': 'opened by a private link',
};
const ROUTES = join(import.meta.dirname, '../../app/routes');
const doors = readdirSync(ROUTES, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.tsx?$/.test(name) && !(name in OPEN))
  .flatMap((name) =>
    readFileSync(join(ROUTES, name), 'utf8')
      .split(/^(?=export (?:async )?(?:function|const) )/m)
      .flatMap((text) => {
        const what = /^export (?:async )?(?:function|const) (loader|action)\b/.exec(text)?.[1];
        return what ? [{ name: `${name} ${what}`, what, text }] : [];
      }),
  );

describe('every door asks', () => {
  test('all of them were found', () => expect(doors.length).toBeGreaterThan(90));
  test('each loader and each action asks before it waits for anything else', () => {
    // What only says that nothing is there needs no leave.
    const asking = doors.filter((d) => !/^export const loader = \(\) => notFound\('[a-z]+'\);\n/.test(d.text));
    const late = asking.filter((d) => {
      const first = d.text.indexOf('await ');
      return first < 0 || !d.text.startsWith("await permitted(request, '", first);
    });
    expect(late.map((d) => d.name)).toEqual([]);
  });
  test('an action asks to change', () => {
    const seeing = doors.filter((d) => d.what === 'action' && !/permitted\(request, 'change'/.test(d.text));
    expect(seeing.map((d) => d.name)).toEqual([]);
  });
});
