import { randomBytes } from 'node:crypto';

/** A visitor with a session of their own, as a browser sends its forms and scripts. */
export class Visitor {
  cookie = '';
  readonly url: string;
  private readonly fetching: typeof fetch;
  constructor(url: string, fetching: typeof fetch = fetch) {
    this.url = url;
    this.fetching = fetching;
  }
  async send(path: string, init: RequestInit = {}): Promise<Response> {
    const answer = await this.fetching(`${this.url}${path}`, {
      redirect: 'manual',
      ...init,
      headers: {
        origin: this.url,
        ...(this.cookie ? { cookie: this.cookie } : {}),
        ...(init.headers as Record<string, string>),
      },
    });
    for (const set of answer.headers.getSetCookie()) {
      const [pair] = set.split(';');
      if (pair!.includes('velvet-session')) this.cookie = pair!;
    }
    return answer;
  }
  form(path: string, fields: Record<string, string>): Promise<Response> {
    return this.send(path, { method: 'POST', body: new URLSearchParams(fields) });
  }
  json(path: string, body: unknown): Promise<Response> {
    return this.send(path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  }
  /** Opens a practice and is signed in to it. */
  async openPractice(email = `owner-${randomBytes(5).toString('hex')}@quay.example`): Promise<string> {
    const answer = await this.form('/new-practice', {
      practice: 'Quay Street Hands',
      timeZone: 'Europe/Lisbon',
      name: 'Rafe Oyelaran',
      email,
      password: 'a long enough one',
    });
    if (answer.status !== 302) throw new Error(`new practice: ${answer.status} ${await answer.text()}`);
    return email;
  }
  /** Adds a client; its id. */
  async addClient(name = 'Jun Castellan'): Promise<string> {
    const answer = await this.form('/clients/new', { name, 'complaints[0].kind': 'jaw', 'complaints[0].side': 'left' });
    return answer.headers.get('location')!.split('/').pop()!;
  }
  /** Starts a visit; its id. */
  async startVisit(clientId: string): Promise<string> {
    const answer = await this.form(`/clients/${clientId}`, {});
    return answer.headers.get('location')!.split('/')[2]!;
  }
}
