import { type BrowserContext, expect, test as plain, type Page } from '@playwright/test';
import { CAUTIONS } from '../../reference/facts/cautions/index.ts';

const IMKE = { email: 'imke@harbour-row.example', password: 'velvet-harbour' };

/** Messages that a test asks for itself: the answer 4xx or 5xx that it provokes. */
const ASKED_FOR =
  /Failed to load resource: the server responded with a status of (4\d\d|5\d\d)|net::ERR_(INTERNET_DISCONNECTED|FAILED|CONNECTION_REFUSED)/;

/** Every test fails on a request that leaves this machine and on an error in the console. */
export const test = plain.extend<{ watched: void }>({
  watched: [
    async ({ context }, run) => {
      const outside: string[] = [];
      const errors: string[] = [];
      context.on('request', (request) => {
        const { hostname, protocol } = new URL(request.url());
        if (protocol.startsWith('http') && hostname !== '127.0.0.1') outside.push(request.url());
      });
      context.on('console', (message) => {
        if (message.type() === 'error' && !ASKED_FOR.test(message.text())) errors.push(message.text());
      });
      context.on('weberror', (error) => {
        const { message } = error.error();
        // The router let go of a page that it was still reading, because another one was asked for.
        if (message !== 'signal is aborted without reason') errors.push(message);
      });
      await run();
      expect(outside, 'requests that left the machine').toEqual([]);
      expect(errors, 'errors in the console').toEqual([]);
    },
    { auto: true },
  ],
  /** A page that was gone to answers by itself before anything is pressed: a key before that is nobody's. */
  page: async ({ page, javaScriptEnabled }, run) => {
    if (!javaScriptEnabled) return run(page);
    const goto = page.goto.bind(page);
    page.goto = async (url, options) => {
      const answer = await goto(url, options);
      await answering(page);
      return answer;
    };
    const reload = page.reload.bind(page);
    page.reload = async (options) => {
      const answer = await reload(options);
      await answering(page);
      return answer;
    };
    await run(page);
  },
});
export { expect };

/** Waits until the page answers by itself, on every page that has a place for work. */
const answering = (page: Page) =>
  page.waitForFunction(() => {
    const work = document.querySelector('#work');
    return !work || Object.keys(work).some((key) => key.startsWith('__react'));
  });

/** Through the same door without the form, for tests that are about something else. */
export async function letIn(page: Page, who = IMKE): Promise<void> {
  await posted(page, '/sign-in', { ...who, to: '/today' });
}
export async function signIn(page: Page, who = IMKE): Promise<void> {
  await letIn(page, who);
  await page.goto('/today');
}

/** Waits until the page answers by itself: what is chosen or typed over before that, React puts back. */
export const awake = (page: Page) =>
  page.waitForFunction(() =>
    Object.keys(document.querySelector('#work') ?? {}).some((key) => key.startsWith('__react')),
  );

let practices = 0;
const somebody = () => ({
  email: `owner-${Date.now()}-${++practices}-${process.pid}@quay.example`,
  password: 'a long enough one',
});

/** A practice that has nothing but what is typed in. */
export async function openPracticeByHand(page: Page): Promise<{ email: string; password: string }> {
  const who = somebody();
  await page.goto('/new-practice');
  await page.getByLabel('Name of the practice').fill('Quay Street Hands');
  await page.getByLabel('Time zone').fill('Europe/Lisbon');
  await page.getByLabel('Your name').fill('Rafe Oyelaran');
  await page.getByLabel('E-mail address').fill(who.email);
  await page.getByLabel('Password').fill(who.password);
  await page.getByRole('button', { name: 'Open the practice' }).click();
  await page.waitForURL('**/today');
  return who;
}

export async function addClientByHand(page: Page, name = 'Jun Castellan', kind = 'Jaw', side = 'left'): Promise<void> {
  await page.goto('/clients/new');
  await page.getByLabel('Name', { exact: true }).fill(name);
  await page.getByLabel('Known by').fill('stage manager');
  await page.getByLabel('What').selectOption({ label: kind });
  await page.getByLabel('Client’s side').selectOption({ label: side });
  await page.getByLabel('Goal').fill('Yawn without thinking about it');
  await page.getByRole('button', { name: 'Add the client' }).click();
  await page.waitForURL(/\/clients\/[0-9a-f-]{36}$/);
}

export async function startVisitByHand(page: Page): Promise<void> {
  await page.getByRole('button', { name: /Start visit/ }).click();
  await page.waitForURL('**/screen');
}

/** The client that a page works on, for the short ways below. */
const clients = new WeakMap<Page, string>();
/** Where a page is served from. */
const originOf = (page: Page): string =>
  new URL(page.url().startsWith('http') ? page.url() : process.env.VELVET_URL!).origin;

export async function posted(page: Page, path: string, form: Record<string, string>): Promise<string> {
  const answer = await page.request.post(path, { form, headers: { origin: originOf(page) }, maxRedirects: 0 });
  expect(answer.status(), `POST ${path}`).toBe(302);
  return answer.headers().location!;
}

/** The same as by hand, through the same doors without the forms: for tests that are about something else. */
export async function openPractice(page: Page, timeZone = 'Europe/Lisbon'): Promise<void> {
  const who = somebody();
  await posted(page, '/new-practice', {
    practice: 'Quay Street Hands',
    timeZone,
    name: 'Rafe Oyelaran',
    ...who,
  });
}
export async function addClient(page: Page, name = 'Jun Castellan', kind = 'jaw', side = 'left'): Promise<void> {
  const at = await posted(page, '/clients/new', {
    name,
    about: 'stage manager',
    'complaints[0].kind': kind,
    'complaints[0].side': side,
  });
  clients.set(page, at.split('/').pop()!);
}
async function visitOf(page: Page): Promise<string> {
  const at = await posted(page, `/clients/${clients.get(page)}`, {});
  return at.replace(/\/screen$/, '');
}
export async function startVisit(page: Page): Promise<void> {
  await page.goto(`${await visitOf(page)}/screen`);
}
/** Straight to Compose with an empty routine and every question answered no. */
export async function toCompose(page: Page): Promise<void> {
  const visit = await visitOf(page);
  const answers = Object.fromEntries(CAUTIONS.filter((c) => c.question).map((c) => [c.key, 'no']));
  const patches = [
    { kind: 'screen', screen: { answers, preparation: [] } },
    { kind: 'stage', stage: 'compose' },
  ];
  for (const [i, patch] of patches.entries())
    expect(
      (
        await page.request.post(`${visit}/save`, {
          headers: { origin: originOf(page) },
          data: { saveId: `setup-000${i}`, expectedVersion: i + 1, patch },
        })
      ).status(),
    ).toBe(200);
  await page.goto(`${visit}/compose`);
}

/** One press for a group, and the answer to the question whether it is meant. */
export async function noneApplies(page: Page, group: string | RegExp): Promise<void> {
  await page.getByRole('button', { name: group }).first().click();
  await page.getByRole('group', { name: 'None applies?' }).getByRole('button').first().click();
}
export async function answerAllNo(page: Page): Promise<void> {
  for (const name of ['None of these', 'None today', 'None of these']) await noneApplies(page, name);
}
export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
}

export async function addStep(page: Page, line: string): Promise<void> {
  const box = page.getByRole('combobox', { name: 'Add a step' });
  await box.fill(line);
  await expect(page.getByRole('option').first()).toBeVisible();
  await box.press('Enter');
  await expect(box).toHaveValue('');
  await page.keyboard.press('Escape');
}

/** Ends the visit; what is open is asked about once. */
export async function finish(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await page.getByRole('button', { name: 'Finish all the same' }).click();
}

/** A voice that writes down what it says, so that somebody who does not look can act on it. */
export const listen = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const said: string[] = [];
    Object.assign(window, {
      said,
      SpeechSynthesisUtterance: class {
        constructor(public text: string) {}
      },
    });
    const voice = { name: 'Test voice', lang: 'en-GB', localService: true } as SpeechSynthesisVoice;
    Object.defineProperty(window, 'speechSynthesis', {
      value: {
        speaking: false,
        getVoices: () => [voice],
        speak: (u: { text: string }) => said.push(u.text),
        cancel: () => {},
        addEventListener: () => {},
        removeEventListener: () => {},
      },
    });
  });
/** What the voice has said so far. */
export const said = (page: Page): Promise<string[]> =>
  page.evaluate(() => (window as unknown as { said: string[] }).said);

/** Windows that hear nothing of each other, as where something on the way holds streams back; those that are open hear on. */
export const hearingNothing = (context: BrowserContext): Promise<unknown> =>
  context.route('**/visits/*/live', (route) => route.abort());

/** A question of the screening, and its yes. */
export const question = (page: Page, text: RegExp) => page.locator('.question').filter({ hasText: text });
export const yes = (page: Page, text: RegExp) => question(page, text).getByText('Yes', { exact: true }).click();

/** Asks a colleague in by a link and comes in as them, in a browser of their own. The owner's page stands at Colleagues afterwards. */
export async function colleagueOf(owner: Page, name: string, role: 'practitioner' | 'assistant'): Promise<Page> {
  await owner.goto('/practice/colleagues');
  await owner.getByLabel('Name', { exact: true }).fill(name);
  await owner.getByLabel('Role').selectOption(role);
  await owner.getByRole('button', { name: 'Make a link' }).click();
  const link = (await owner.locator('code.address').textContent())!;
  const baseURL = new URL(owner.url()).origin;
  const theirs = await (await owner.context().browser()!.newContext({ baseURL })).newPage();
  await theirs.goto(link);
  await theirs.getByLabel('E-mail address').fill(somebody().email);
  await theirs.getByLabel('Password').fill('harbour lamps by noon');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await theirs.waitForURL('**/today');
  return theirs;
}
