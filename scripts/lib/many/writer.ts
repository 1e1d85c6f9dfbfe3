import { EMPTY_RECORD } from '../../../core/record/index.ts';
import { randomUUID } from 'node:crypto';
import type { Visitor } from '../visitor.ts';

const sleep = (ms: number) => new Promise<void>((done) => setTimeout(done, ms));

/**
 * Somebody who writes into one visit, entry after entry. Each goes out under its own id until it is acknowledged, as a
 * page sends it; what was acknowledged is known, so that it can be looked for afterwards.
 */
export class Writer {
  private readonly visitor: Visitor;
  readonly visitId: string;
  /** Ids of what was told to be saved, in order. */
  readonly acknowledged: string[] = [];
  /** What the last of them said. */
  lastNote = '';
  /** When each was acknowledged, on this clock. */
  readonly atMs: number[] = [];
  /** Tries that were not answered, or not with an answer of ours. */
  failed = 0;
  private version = 1;
  private isStopped = false;

  constructor(visitor: Visitor, visitId: string) {
    this.visitor = visitor;
    this.visitId = visitId;
  }

  /** Writes one entry; settles when it was acknowledged. @throws Error when it was refused */
  async write(note: string): Promise<void> {
    const body = {
      saveId: randomUUID(),
      expectedVersion: this.version,
      patch: { kind: 'record', record: { ...EMPTY_RECORD, note } },
    };
    for (;;) {
      const answer = await this.visitor.json(`/visits/${this.visitId}/save`, body).catch(() => null);
      const said = answer?.ok ? ((await answer.json().catch(() => null)) as { version?: number } | null) : null;
      if (said?.version) {
        this.version = said.version;
        this.acknowledged.push(body.saveId);
        this.lastNote = note;
        this.atMs.push(performance.now());
        return;
      }
      if (answer && !answer.ok && answer.status < 500) throw new Error(`a write was refused: ${answer.status}`);
      this.failed++;
      await sleep(50);
    }
  }
  /** Writes until it is told to stop. */
  async goOn(pauseMs: number): Promise<void> {
    for (let n = 1; !this.isStopped; n++) {
      await this.write(`entry ${n}`);
      await sleep(pauseMs);
    }
  }
  stop(): void {
    this.isStopped = true;
  }
}
