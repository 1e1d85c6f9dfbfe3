import type { Alternative, Proposal, ProposalAnswer, ProposalCase } from '../../../core/proposal';
import { startTransition, use, useCallback, useEffect, useRef, useState } from 'react';
import { OwnTechniques, type OwnHere } from '../catalogue/own-techniques';

export interface ProposeRequest {
  /** Answers to an earlier request are not looked at any more. */
  id: number;
  asked: ProposalCase;
  own: OwnHere;
}
export type ProposeMessage = { id: number } & (
  | { answer: ProposalAnswer; proven: boolean }
  | { alternatives: Alternative[] }
  | { worthOfAnHour: number | null }
  | { failed: string }
  | { done: true }
);

export interface Proposing {
  /** The latest answer to what was asked; null before the first. */
  answer: ProposalAnswer | null;
  /** It is proven best. */
  proven: boolean;
  alternatives: readonly Alternative[];
  worthOfAnHour: number | null;
  busy: boolean;
  failed: string | null;
  /** What the answer answers. */
  asked: ProposalCase | null;
}
const NOTHING: Proposing = {
  answer: null,
  proven: false,
  alternatives: [],
  worthOfAnHour: null,
  busy: false,
  failed: null,
  asked: null,
};

/** Proposals worked out in a worker of their own; it is loaded when the first is asked for, and ended to cancel one. */
export function useProposal(): Proposing & { ask: (asked: ProposalCase) => void; cancel: () => void } {
  const own = use(OwnTechniques);
  const [state, setState] = useState(NOTHING);
  const worker = useRef<Worker | null>(null);
  const latest = useRef(0);
  const end = useCallback(() => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => end, [end]);

  const hear = useCallback(({ data }: MessageEvent<ProposeMessage>) => {
    if (data.id !== latest.current) return;
    // A list with its chart is much to draw: in pieces, so that the page stays quick meanwhile.
    startTransition(() =>
      setState((s): Proposing => {
        if ('failed' in data) return { ...s, busy: false, failed: data.failed };
        if ('done' in data) return { ...s, busy: false };
        if ('alternatives' in data) return { ...s, alternatives: data.alternatives };
        if ('worthOfAnHour' in data) return { ...s, worthOfAnHour: data.worthOfAnHour };
        return { ...s, answer: data.answer, proven: data.proven };
      }),
    );
  }, []);

  const ask = useCallback(
    (asked: ProposalCase) => {
      // What is still worked on for an earlier request is of no use.
      if (state.busy) end();
      if (!worker.current) {
        worker.current = new Worker(new URL('../../workers/propose.ts', import.meta.url), { type: 'module' });
        worker.current.onmessage = hear;
        worker.current.onerror = () => {
          // One that never woke answers nobody: the next request gets another.
          end();
          setState((s) => ({ ...s, busy: false, failed: 'the program that does it could not be fetched.' }));
        };
      }
      latest.current++;
      setState((s) => ({ ...NOTHING, answer: s.answer, asked, busy: true }));
      worker.current.postMessage({ id: latest.current, asked, own } satisfies ProposeRequest);
    },
    [end, hear, own, state.busy],
  );
  const cancel = useCallback(() => {
    end();
    latest.current++;
    setState((s) => ({ ...s, busy: false }));
  }, [end]);
  return { ...state, ask, cancel };
}

/** The proposal of an answer; null where there is none. */
export const proposedIn = (answer: ProposalAnswer | null): Proposal | null =>
  answer?.status === 'proposed' ? answer : null;
