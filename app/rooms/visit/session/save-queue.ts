import {
  joined,
  leftOf,
  type SaveResult,
  type StoredVisit,
  type VisitPatch,
  withPatch,
  type Working,
  workingOf,
} from '../../../../core/record';

export type SaveAnswer =
  | SaveResult
  | { result: 'invalid'; message: string; field?: string }
  | { result: 'unreachable' }
  | { result: 'signed-out' };
export type Post = (body: { saveId: string; expectedVersion: number; patch: VisitPatch }) => Promise<SaveAnswer>;

/** One change on its way. From `sent` on it is never altered: the server may have it. */
export interface Write {
  saveId: string;
  patch: VisitPatch;
  state: 'waiting' | 'sent' | 'refused';
  /** Why it was refused, and at which field. */
  message?: string;
  field?: string;
}
/** What outlives the page: the writes in order, and the version that the first of them was made on. */
export interface Kept {
  version: number;
  writes: Write[];
}

type Theirs = Extract<SaveResult, { result: 'stale' | 'ended' }>;
export type SaveStatus =
  { status: 'opening' | 'saved' | 'saving' | 'waiting' | 'signed-out' } | { status: 'stale' | 'ended'; theirs: Theirs };
/**
 * How the writes stand. "saved" is told only when the screen shows what is stored; before it is known what an earlier
 * page left behind, it may not.
 */
export type SaveState = SaveStatus & {
  /** Not written and not tried again until changed or taken back. */
  refused: readonly Write[];
};

export interface Options {
  visitId: string;
  version: number;
  stored: Working;
  post: Post;
  /** Hears of every change of what is shown and of how it stands. */
  tell: (shown: Working, save: SaveState) => void;
  /** Hears of every change of what should outlive the page. */
  keep: (kept: Kept) => void;
  makeId: () => string;
  now?: () => string;
  retryMs?: number;
}

const RETRY_MS = 2000;

/**
 * Writes of one visit, one after the other, each on the version the one before made. What the screen shows is what is
 * stored with the writes on top, so that the two cannot drift apart. A write whose answer is lost is sent again as it
 * was, under its own id, until it is acknowledged. One that cannot succeed is set aside and what is behind it goes on.
 * A write on an old version, and an ended session, stop the queue until somebody acts.
 */
export class SaveQueue {
  private writes: Write[] = [];
  private stored: Working;
  private version: number;
  private status: SaveStatus = { status: 'saved' };
  private inFlight = false;
  /** Nothing is sent before it is known what an earlier page left behind. */
  private ready = false;
  private begun = false;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private readonly o: Options;

  constructor(options: Options) {
    this.o = options;
    this.stored = options.stored;
    this.version = options.version;
  }

  /** What should be on the screen. */
  get shown(): Working {
    return this.writes.reduce(
      (state, w) =>
        w.state === 'refused' && w.patch.kind === 'stage'
          ? state
          : withPatch(state, w.patch, this.o.visitId, this.now()),
      this.stored,
    );
  }
  get save(): SaveState {
    const pending = this.writes.some((w) => w.state !== 'refused');
    const atRest = pending ? 'saving' : this.begun ? 'saved' : 'opening';
    const status: SaveStatus = this.status.status === 'saved' ? { status: atRest } : this.status;
    return { ...status, refused: this.writes.filter((w) => w.state === 'refused') };
  }
  /** True when nothing is lost by closing the page. */
  get isIdle(): boolean {
    return !this.inFlight && !this.writes.length;
  }

  /** Takes up what an earlier page could not write, and begins. The server may know any of it. */
  start(kept: Kept | null): void {
    if (kept?.writes.length) {
      this.version = kept.version;
      this.writes = [
        ...kept.writes.map((w): Write => (w.state === 'refused' ? w : { ...w, state: 'sent' })),
        ...this.writes,
      ];
    }
    this.ready = true;
    this.begun = true;
    this.changed();
    void this.run();
  }

  add(patch: VisitPatch): void {
    this.writes = this.writes.flatMap((w): Write[] => {
      const rest = w.state === 'refused' ? leftOf(w.patch, patch) : w.patch;
      return rest ? [{ ...w, patch: rest }] : [];
    });
    const last = this.writes[this.writes.length - 1];
    const one = last?.state === 'waiting' ? joined(last.patch, patch) : null;
    if (one) this.writes = [...this.writes.slice(0, -1), { ...last!, patch: one }];
    else this.writes = [...this.writes, { saveId: this.o.makeId(), patch, state: 'waiting' }];
    this.changed();
    void this.run();
  }

  /** Takes a refused write off: the screen shows again what is stored. */
  takeBack(saveId: string): void {
    this.writes = this.writes.filter((w) => w.saveId !== saveId || w.state !== 'refused');
    this.changed();
  }

  /** Give up what was not written and go on from what is stored. */
  takeTheirs(): void {
    if (!('theirs' in this.status)) return;
    this.writes = [];
    this.goOnFrom(this.status.theirs);
  }

  /** Write over what is stored. */
  keepMine(): void {
    if (this.status.status !== 'stale') return;
    this.goOnFrom(this.status.theirs);
  }

  /** Whether another screen has written past what is known here, while nothing of here is on its way. */
  isBehind(version: number): boolean {
    return this.ready && this.isIdle && this.status.status === 'saved' && version > this.version;
  }
  /**
   * Shows what another screen wrote. False where something was entered here meanwhile: that goes out as always, and what
   * stands against it is told.
   */
  takeNewer(stored: StoredVisit): boolean {
    if (!this.isBehind(stored.visit.version)) return false;
    this.goOnFrom(stored);
    return true;
  }

  /** Somebody signed in again. */
  resume(): void {
    if (this.status.status !== 'signed-out') return;
    this.status = { status: 'saved' };
    this.changed();
    void this.run();
  }

  /** The page goes: no more retries. What is not written stays kept. */
  stop(): void {
    if (this.timer) clearTimeout(this.timer);
    this.ready = false;
  }

  private goOnFrom({ visit, readings, scores }: StoredVisit): void {
    this.stored = workingOf(visit, readings, scores);
    this.version = visit.version;
    this.status = { status: 'saved' };
    this.changed();
    void this.run();
  }

  private now(): string {
    return this.o.now?.() ?? new Date().toISOString();
  }
  private changed(): void {
    this.o.keep({ version: this.version, writes: this.writes });
    this.o.tell(this.shown, this.save);
  }
  private set(saveId: string, change: Partial<Write>): void {
    this.writes = this.writes.map((w) => (w.saveId === saveId ? { ...w, ...change } : w));
  }

  private async run(): Promise<void> {
    if (this.inFlight || !this.ready || this.status.status === 'signed-out' || 'theirs' in this.status) return;
    const next = this.writes.find((w) => w.state !== 'refused');
    if (!next) return;
    if (this.timer) clearTimeout(this.timer);
    this.inFlight = true;
    this.set(next.saveId, { state: 'sent' });
    if (this.status.status !== 'waiting') this.status = { status: 'saving' };
    this.changed();
    const answer = await this.o.post({ saveId: next.saveId, expectedVersion: this.version, patch: next.patch });
    this.inFlight = false;
    const goOn = this.take(next, answer);
    this.changed();
    if (goOn) void this.run();
  }

  /** True when the next write may go. */
  private take(sent: Write, answer: SaveAnswer): boolean {
    switch (answer.result) {
      case 'saved':
        this.stored = withPatch(this.stored, sent.patch, this.o.visitId, this.now());
        this.version = answer.version;
        this.writes = this.writes.filter((w) => w.saveId !== sent.saveId);
        this.status = { status: 'saved' };
        return true;
      case 'stale':
      case 'ended':
        this.status = { status: answer.result, theirs: answer };
        return false;
      case 'signed-out':
        this.status = { status: 'signed-out' };
        return false;
      case 'unreachable':
        this.status = { status: 'waiting' };
        if (this.ready) this.timer = setTimeout(() => void this.run(), this.o.retryMs ?? RETRY_MS);
        return false;
      default:
        this.status = { status: 'saved' };
        this.set(sent.saveId, {
          state: 'refused',
          message: 'message' in answer ? answer.message : 'This visit is not here any more.',
          ...('field' in answer && answer.field ? { field: answer.field } : {}),
        });
        return true;
    }
  }
}
