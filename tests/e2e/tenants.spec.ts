import { OWN_TECHNIQUES } from '../../demo/techniques.ts';
import type { RouteConfigEntry } from '@react-router/dev/routes';
import { expect, openPractice, signIn, test } from './base.ts';

/** All addresses of the application that carry an id, read from its own list of routes. */
async function addressesWithIds(): Promise<string[]> {
  (globalThis as { __reactRouterAppDirectory?: string }).__reactRouterAppDirectory = 'app';
  const routes = (await import('../../app/routes.ts')).default as RouteConfigEntry[];
  const out: string[] = [];
  const walk = (entries: RouteConfigEntry[], base: string): void => {
    for (const entry of entries) {
      const path = [base, entry.path].filter(Boolean).join('/');
      if (entry.path?.includes(':') || (base.includes(':') && (entry.path || entry.index))) out.push(`/${path}`);
      walk(entry.children ?? [], path);
    }
  };
  walk(routes, '');
  return [...new Set(out)];
}

test('another practice’s ids answer 404 on every route, for reading and for writing', async ({
  page,
  browser,
  baseURL,
}) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Noor Halvorsen', exact: true }).first().click();
  await page.waitForURL('**/compose');
  const ids: Record<string, string> = {
    techniqueId: OWN_TECHNIQUES[0]!.id,
    // A private link has no session: what nobody was given opens nothing, for whomever.
    secret: 'A'.repeat(43),
    // Nothing of the demo: whatever it is, it is not the stranger’s.
    reminderId: crypto.randomUUID(),
    recordId: crypto.randomUUID(),
    fileId: crypto.randomUUID(),
    n: '0',
    practitionerId: crypto.randomUUID(),
    // No table is called so.
    what: 'nothing',
    visitId: /visits\/([^/]+)/.exec(page.url())![1]!,
  };
  await page.locator('.client-strip').getByRole('link', { name: 'Noor Halvorsen', exact: true }).click();
  await page.waitForURL(/clients\/[0-9a-f-]{36}/);
  ids.clientId = /clients\/([^/?]+)/.exec(page.url())![1]!;
  await page.goto(`/visits/${ids.visitId}/assess`);
  await page.getByRole('button', { name: 'Open the photo' }).click();
  ids.photoId = /photo\/([0-9a-f-]{36})/.exec((await page.locator('.photo-frame image').getAttribute('href'))!)![1]!;
  await page.goto('/routines');
  await page.getByRole('link', { name: 'Evening headache' }).click();
  await page.waitForURL(/routines\/[0-9a-f-]{36}/);
  ids.templateId = /routines\/([^/?]+)/.exec(page.url())![1]!;

  // The atlas is the same for every practice.
  const addresses = (await addressesWithIds())
    .filter((a) => !a.startsWith('/atlas') && !a.startsWith('/paper/atlas'))
    .map((a) => a.replace(/:(\w+)/g, (_, name: string) => ids[name] ?? `unknown-${name}`));
  expect(addresses.length).toBeGreaterThanOrEqual(14);
  expect(addresses.filter((a) => a.includes('unknown-'))).toEqual([]);

  const stranger = await browser.newContext({ baseURL });
  const other = await stranger.newPage();
  await openPractice(other);
  const origin = new URL(baseURL!).origin;
  for (const address of addresses) {
    const read = await other.request.get(address, { maxRedirects: 0 });
    expect(read.status(), `GET ${address}`).toBe(404);
    const forms = await other.request.post(address, {
      headers: { origin },
      form: { name: 'Taken', version: '1', do: 'delete', outcome: 'x', day: '2030-01-01', time: '10:00' },
      maxRedirects: 0,
    });
    expect([404, 405, 415, 422], `POST ${address} ${forms.status()}`).toContain(forms.status());
  }
  for (const address of [
    `/pad?client=${ids.clientId}`,
    `/pad/rehearse?visit=${ids.visitId}`,
    `/pad/rehearse?routine=${ids.templateId}`,
  ])
    expect((await other.request.get(address)).status(), `GET ${address}`).toBe(404);
  // Asked as the owner's own pages would ask: still there is nothing at these addresses.
  for (const [address, form] of [
    [`/clients/${ids.clientId}`, {}],
    [`/clients/${ids.clientId}/details`, { name: 'Taken', version: '1' }],
    [`/clients/${ids.clientId}/let-go`, { how: 'erase', password: 'a long enough one' }],
    [`/clients/${ids.clientId}/measure`, { takenOn: '2026-03-01', hairlineBrow: '58' }],
    [`/routines/${ids.templateId}`, { name: 'Taken', version: '1' }],
    [`/routines/${ids.templateId}`, { do: 'delete' }],
    [`/visits/${ids.visitId}/outcome`, { outcome: 'x' }],
    [`/visits/${ids.visitId}/record`, { words: 'x' }],
  ] as [string, Record<string, string>][])
    expect((await other.request.post(address, { headers: { origin }, form, maxRedirects: 0 })).status(), address).toBe(
      404,
    );
  for (const [address, body] of [
    [`/clients/${ids.clientId}/consent`, { kind: 'work', do: 'give', textVersion: 0 }],
    [`/clients/${ids.clientId}/patch-test`, { productId: ids.visitId, testedOn: '2026-11-02', reacted: false }],
    [
      `/visits/${ids.visitId}/override`,
      { caution: 'pregnancy', reason: 'Past the sixth week, agreed.', password: 'x' },
    ],
    [`/visits/${ids.visitId}/photo/${ids.photoId}`, { do: 'erase' }],
    [
      `/visits/${ids.visitId}/save`,
      { saveId: 'steal-00001', expectedVersion: 1, patch: { kind: 'stage', stage: 'done' } },
    ],
    [
      `/clients/${ids.clientId}/ratings?do=keep`,
      { complaintId: ids.visitId, value: 5, day: '2026-11-02', time: '10:00', source: 'home' },
    ],
    [`/clients/${ids.clientId}/ratings?do=remove`, { id: ids.visitId }],
    [`/clients/${ids.clientId}/home-plan/do?do=end`, {}],
    [`/clients/${ids.clientId}/home-plan/do?do=link`, {}],
    [`/clients/${ids.clientId}/home-plan/do?do=end-link`, {}],
    [`/clients/${ids.clientId}/home-plan/do?do=seen`, { id: ids.visitId }],
    [`/clients/${ids.clientId}/home-plan/do?do=note`, { planId: ids.visitId, day: '2026-11-02', times: 1 }],
    [
      `/clients/${ids.clientId}/home-plan/do?do=keep`,
      {
        steps: [{ technique: 'masseter-hold', words: 'Slowly.' }],
        timesADay: 1,
        weekdays: [1],
        from: '2026-11-02',
        until: '2026-11-03',
        reviewOn: '2026-11-04',
      },
    ],
    [`/clients/${ids.clientId}/decide`, { choice: 'go-on', seen: 'go-on', reason: '' }],
    ['/bookings', { clientId: ids.clientId, day: '2030-01-01', time: '10:00', minutes: 60 }],
    [`/bookings/${ids.visitId}/move`, { day: '2030-01-01', time: '10:00', minutes: 60 }],
    [`/bookings/${ids.visitId}/end`, { as: 'missed' }],
    [`/bookings/${ids.visitId}/link`, {}],
    [`/practice/reminders/${ids.visitId}`, {}],
    [`/visits/${ids.visitId}/run`, { kind: 'open' }],
    [`/visits/${ids.visitId}/run`, { kind: 'events', runId: ids.visitId, events: [] }],
  ] as const)
    expect((await other.request.post(address, { headers: { origin }, data: body })).status(), address).toBe(404);

  // The owner still finds everything as it was; a stream is only given to who asks for one.
  for (const address of addresses.filter(
    (a) =>
      !/^\/(h|c|join)\//.test(a) &&
      !/^\/practice\/(reminders|kept|out|in|colleagues)\//.test(a) &&
      !/\/(save|swap|run|outcome|score|override|photo|consent|patch-test|ratings|decide|do|move|end|link|referral|calendar|live)$/.test(
        a,
      ),
  ))
    expect((await page.request.get(address)).status(), address).toBeLessThan(400);
  await stranger.close();
});

test('nobody signed in sees nothing but the door', async ({ request }) => {
  for (const path of ['/today', '/clients', '/routines', '/find?q=noor', '/clients/new']) {
    const answer = await request.get(path, { maxRedirects: 0 });
    expect(answer.status(), path).toBe(302);
    expect(answer.headers().location, path).toContain('/sign-in');
  }
  // A stream has no page to be sent to: it is told so, and may ask again when somebody is signed in.
  for (const path of ['/devices/pad?pad=Studio', `/visits/${crypto.randomUUID()}/live`]) {
    const answer = await request.get(path, { headers: { accept: 'text/event-stream' }, maxRedirects: 0 });
    expect(answer.status(), path).toBe(401);
  }
});
