import { type OneSide, type Phase, PHASE_NAMES, pressureRank } from '../words/index.ts';
import { WORKING, type Cue } from './cues.ts';
import { stepsOf, type Routine } from './model.ts';
import type { Catalogue } from './technique.ts';

/** A block of the ribbon: from when to when, and how far it rises above (right) and below (left) the centre line, 0–5. */
export interface RibbonBlock {
  /** Id of the step. */
  stepId: string;
  /** Among all steps. */
  stepIndex: number;
  /** From the start. */
  startSeconds: number;
  /** From the start. */
  endSeconds: number;
  /** Rank of pressure above the line, 0–5. */
  right: number;
  /** Rank of pressure below the line, 0–5. */
  left: number;
  /** How it is drawn. */
  kind: 'pressure' | 'midline' | 'breath' | 'plain';
  /** When the next place begins, where one is worked after the other; from the start. */
  placeSeconds: number[];
  /** Breaths; 0 in other blocks. */
  cycles: number;
}
interface RibbonPhase {
  phase: Phase;
  name: string;
  startSeconds: number;
  endSeconds: number;
}
/** A stretch of a block on one side: all of the left, then all of the right. */
interface RibbonTurn {
  side: OneSide;
  /** The block has been on its other side before. */
  isSecond: boolean;
  startSeconds: number;
  endSeconds: number;
}
export interface RibbonData {
  /** In order of time. */
  blocks: RibbonBlock[];
  /** Stretches of one phase, in order. */
  phases: RibbonPhase[];
  /** Stretches of blocks on one side, in order. */
  turns: RibbonTurn[];
  /** Length of the whole. */
  totalSeconds: number;
}

/** The routine as one band, read off the cue list. Blocks of one step and side that touch are joined. */
export function ribbonOf(routine: Pick<Routine, 'items'>, cues: readonly Cue[], catalogue: Catalogue): RibbonData {
  const blocks: RibbonBlock[] = [];
  const phases: RibbonPhase[] = [];
  const turns: RibbonTurn[] = [];
  let turnOf: number | null = null;
  const steps = stepsOf(routine);
  let placeBefore: number | null = null;
  for (const cue of cues) {
    const phase = catalogue.techniques.get(steps[cue.stepIndex]!.technique)?.phase ?? 'release';
    const startSeconds = cue.startMs / 1000;
    const endSeconds = cue.endMs / 1000;
    const lastPhase = phases[phases.length - 1];
    if (lastPhase?.phase === phase) lastPhase.endSeconds = endSeconds;
    else if (cue.kind !== 'done') phases.push({ phase, name: PHASE_NAMES[phase], startSeconds, endSeconds });
    if (!WORKING.has(cue.kind)) continue;
    if (cue.blockIndex !== null && (cue.side === 'left' || cue.side === 'right')) {
      const turn = turns[turns.length - 1];
      if (turn && turnOf === cue.blockIndex && turn.side === cue.side) turn.endSeconds = endSeconds;
      else turns.push({ side: cue.side, isSecond: turnOf === cue.blockIndex, startSeconds, endSeconds });
      turnOf = cue.blockIndex;
    }
    const rank = cue.pressure ? pressureRank(cue.pressure) : 0;
    const block: RibbonBlock = {
      stepId: cue.stepId,
      stepIndex: cue.stepIndex,
      startSeconds,
      endSeconds,
      right: cue.side === 'right' || cue.side === 'both' || cue.side === 'midline' ? rank : 0,
      left: cue.side === 'left' || cue.side === 'both' || cue.side === 'midline' ? rank : 0,
      kind: cue.breath ? 'breath' : rank === 0 ? 'plain' : cue.side === 'midline' ? 'midline' : 'pressure',
      placeSeconds: [],
      cycles: cue.breath?.cycles ?? 0,
    };
    const before = blocks[blocks.length - 1];
    const joins =
      before &&
      before.stepId === block.stepId &&
      before.right === block.right &&
      before.left === block.left &&
      before.kind === block.kind &&
      block.startSeconds - before.endSeconds < 3;
    if (joins) {
      before.endSeconds = block.endSeconds;
      if (cue.placeIndex !== null && cue.placeIndex !== placeBefore) before.placeSeconds.push(startSeconds);
    } else blocks.push(block);
    placeBefore = cue.placeIndex;
  }
  return { blocks, phases, turns, totalSeconds: (cues[cues.length - 1]?.endMs ?? 0) / 1000 };
}
