import type { ReadingEntry, SaveResult, VisitPatch } from '../../server/db/queries/save-visit.server';

export type SaveAnswer = SaveResult | { result: 'invalid'; message: string } | { result: 'unreachable' };
export type SaveState = { status: 'saved' | 'saving' | 'waiting' } | { status: 'stale' | 'ended'; theirs: Extract<SaveResult, { result: 'stale' }>['visit'] } | { status: 'refused'; message: string };

export type Post = (body: { saveId: string; expectedVersion: number; patch: VisitPatch }) => Promise<SaveAnswer>;
interface Waiting {
  saveId: string;
  patch: VisitPatch;
}

const sameReading = (a: ReadingEntry, b: ReadingEntry) => a.measure === b.measure && a.complaintId === b.complaintId && a.place === b.place && a.side === b.side && a.phase === b.phase;

/** A later change that replaces an earlier one not yet sent; null when both are needed. */
export function joined(earlier: VisitPatch, later: VisitPatch): VisitPatch | null {
  if (earlier.kind !== later.kind || later.kind === 'stage') return null;
  if (earlier.kind !== 'readings' || later.kind !== 'readings') return later;
  return { kind: 'readings', entries: [...earlier.entries.filter((e) => !later.entries.some((l) => sameReading(e, l))), ...later.entries] };
}

/**
 * Writes of one visit, one after the other, each on the version the one before made. A write whose answer is lost is
 * sent again under the same id until it is acknowledged; a write on an old version stops the queue until somebody
 * chose between the two.
 */
export class SaveQueue {
  private waiting: Waiting[] = [];
  private inFlight = false;
  private halted = false;
  private version: number;
  private readonly post: Post;
  private readonly tell: (state: SaveState) => void;
  private readonly makeId: () => string;
  private readonly retryMs: number;

  constructor(options: { version: number; post: Post; tell: (state: SaveState) => void; makeId: () => string; retryMs?: number }) {
    this.version = options.version;
    this.post = options.post;
    this.tell = options.tell;
    this.makeId = options.makeId;
    this.retryMs = options.retryMs ?? 2000;
  }

  get isIdle(): boolean {
    return !this.inFlight && !this.waiting.length;
  }

  add(patch: VisitPatch): void {
    const last = this.waiting[this.waiting.length - 1];
    // The first one waiting may already be on its way and must not change under its id.
    const mayJoin = last && !(this.inFlight && this.waiting.length === 1);
    const one = mayJoin ? joined(last.patch, patch) : null;
    if (one) last!.patch = one;
    else this.waiting.push({ saveId: this.makeId(), patch });
    void this.run();
  }

  /** Give up what was not written and go on from what is stored. */
  takeTheirs(version: number): void {
    this.waiting = [];
    this.version = version;
    this.halted = false;
    this.tell({ status: 'saved' });
  }

  /** Write over what is stored. */
  keepMine(version: number): void {
    this.version = version;
    this.halted = false;
    void this.run();
  }

  private async run(): Promise<void> {
    if (this.inFlight || this.halted) return;
    const next = this.waiting[0];
    if (!next) return;
    this.inFlight = true;
    this.tell({ status: 'saving' });
    const answer = await this.post({ saveId: next.saveId, expectedVersion: this.version, patch: next.patch });
    this.inFlight = false;
    switch (answer.result) {
      case 'saved':
        this.version = answer.version;
        this.waiting.shift();
        if (!this.waiting.length) this.tell({ status: 'saved' });
        break;
      case 'stale':
      case 'ended':
        this.halted = true;
        this.tell({ status: answer.result, theirs: answer.visit });
        return;
      case 'unreachable':
        this.tell({ status: 'waiting' });
        setTimeout(() => void this.run(), this.retryMs);
        return;
      default:
        this.waiting.shift();
        this.tell({ status: 'refused', message: 'message' in answer ? answer.message : 'This visit is not here any more.' });
    }
    void this.run();
  }
}
