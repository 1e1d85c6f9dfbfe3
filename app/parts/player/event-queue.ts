import { readGuideEvent, type GuideEvent } from '../../../core/guide';
import { InputError } from '../../../core/words';

interface Kept {
  events: GuideEvent[];
  /** Last moment at which the run was seen alive on this device. */
  aliveMs: number;
}
const keyOf = (runId: string) => `velvet-run-${runId}`;

/** One that cannot be read would never be taken either. */
function inPresentForm(event: unknown): GuideEvent[] {
  try {
    return [readGuideEvent(event)];
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return [];
  }
}

/** Nothing of a run stays on this device. */
export const forgetRun = (runId: string): void => localStorage.removeItem(keyOf(runId));

function read(runId: string): Kept {
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(runId)) ?? '') as Kept;
    // An earlier form of the application may have left them.
    return { aliveMs: kept.aliveMs, events: kept.events.flatMap(inPresentForm) };
  } catch {
    return { events: [], aliveMs: 0 };
  }
}

/** The ids the server has now; refused when it never will have any of them; null when it was not reached. */
export type SendEvents = (events: GuideEvent[]) => Promise<string[] | 'refused' | null>;

/**
 * Events of a run, kept on the device until the server has them. They survive a reload and a lost network; the server
 * takes each id once, so that sending twice does no harm.
 */
export class EventQueue {
  private kept: Kept;
  private sending: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private readonly runId: string;
  private readonly send: SendEvents;
  private readonly tell: (unsent: number) => void;
  /** Events that the server will never take; they are told and hold up nothing. */
  refused = 0;

  constructor(runId: string, send: SendEvents, tell: (unsent: number) => void) {
    this.runId = runId;
    this.send = send;
    this.tell = tell;
    this.kept = read(runId);
  }

  get unsent(): readonly GuideEvent[] {
    return this.kept.events;
  }
  get aliveMs(): number {
    return this.kept.aliveMs;
  }

  alive(nowMs: number): void {
    this.kept.aliveMs = nowMs;
    this.store();
  }

  add(event: GuideEvent): void {
    this.kept.events = [...this.kept.events, event];
    this.store();
    void this.flush();
  }

  /** Settles when the sending under way has its answer, good or bad, so that nobody takes "on its way" for "refused". */
  flush(): Promise<void> {
    if (this.sending) return this.sending;
    if (!this.kept.events.length) return Promise.resolve();
    this.sending = this.sendAll().finally(() => (this.sending = null));
    return this.sending;
  }

  private async sendAll(): Promise<void> {
    this.tell(this.kept.events.length);
    const batch = this.kept.events;
    let taken = await this.send(batch);
    // One that cannot be taken must not hold up the others.
    if (taken === 'refused' && batch.length > 1) {
      taken = [];
      for (const event of batch) {
        const one = await this.send([event]);
        if (one === null) break;
        if (one === 'refused') this.refused++;
        taken = [...taken, event.id];
      }
    } else if (taken === 'refused') {
      this.refused++;
      taken = [batch[0]!.id];
    }
    if (taken) {
      const done = new Set(taken);
      this.kept.events = this.kept.events.filter((e) => !done.has(e.id));
      this.store();
    }
    this.tell(this.kept.events.length);
    if (this.timer) clearTimeout(this.timer);
    if (this.kept.events.length) this.timer = setTimeout(() => void this.flush(), taken ? 0 : 2000);
  }

  forget(): void {
    if (!this.kept.events.length) localStorage.removeItem(keyOf(this.runId));
  }

  private store(): void {
    try {
      localStorage.setItem(keyOf(this.runId), JSON.stringify(this.kept));
    } catch {
      // A full or forbidden store costs the safety net, not the run.
    }
  }
}
