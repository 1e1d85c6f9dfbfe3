import {
  advance,
  type GuideEvent,
  type GuideEventKind,
  type GuideState,
  initialState,
  stateAt,
} from '../../../core/guide';
import { expandRoutine, type Routine } from '../../../core/routine';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { tellSignedOut, useSignedInAgain } from '../frame/signed-out';
import { nowMs } from './clock';
import { EventQueue } from './event-queue';

export interface OpenRun {
  id: string;
  routine: Routine;
  events: GuideEvent[];
}

/** A run that nobody saw for this long was interrupted: it stands paused at where it was last seen. */
const INTERRUPTED_AFTER_MS = 20_000;

async function post(visitId: string, body: unknown): Promise<unknown> {
  try {
    const response = await fetch(`/visits/${visitId}/run`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    if (response.status === 401) tellSignedOut();
    // The run has ended elsewhere, or the event is none that is taken: sending it again changes nothing.
    if (response.status === 409 || response.status === 422) return { refused: true };
    return response.ok && response.headers.get('Content-Type')?.includes('json') ? await response.json() : null;
  } catch {
    return null;
  }
}

/** The run on this device: its log, the state now, and the way every key takes. */
export function useRun(visitId: string, routine: Routine, open: OpenRun | null) {
  const [run, setRun] = useState<OpenRun | null>(open);
  const [unsent, setUnsent] = useState(0);
  /** Events that the server will never take. */
  const [refused, setRefused] = useState(0);
  const [failed, setFailed] = useState(false);
  /** Whether the end of the run stands on the server, still goes there, or could not be brought there so far. */
  const [ending, setEnding] = useState<'going' | 'kept' | 'waiting'>('going');
  const played = run?.routine ?? routine;
  const cues = useMemo(() => expandRoutine(played), [played]);
  const pressures = useMemo(() => played.steps.map((s) => s.pressure), [played]);
  const events = useRef<GuideEvent[]>([]);
  /** State right after the last event: every frame goes on from here. */
  const base = useRef<GuideState>(null);
  base.current ??= initialState(cues, pressures);
  const queue = useRef<EventQueue>(null);
  const [state, setState] = useState<GuideState>(() => initialState(cues, pressures));
  const startWanted = useRef(false);
  /** Grows with every event, so that what was planned ahead is planned anew. */
  const [turn, setTurn] = useState(0);

  const refresh = useCallback(
    () => setState(advance(cues, base.current!, Math.max(nowMs(), base.current!.atMs))),
    [cues],
  );

  const take = useCallback(
    (kind: GuideEventKind, atMs: number, text?: string) => {
      const event: GuideEvent = { id: crypto.randomUUID(), kind, atMs, ...(text === undefined ? {} : { text }) };
      events.current = [...events.current, event];
      base.current = stateAt(cues, pressures, events.current, atMs);
      queue.current?.add(event);
      setTurn((t) => t + 1);
      refresh();
    },
    [cues, pressures, refresh],
  );

  // Pick up a run: what the server has, what this device has not sent yet, in order.
  useEffect(() => {
    if (!run) return;
    const mine = new EventQueue(
      run.id,
      async (batch) => {
        const answer = (await post(visitId, { kind: 'events', runId: run.id, events: batch, nowMs: nowMs() })) as {
          taken?: string[];
          refused?: true;
        } | null;
        return answer?.refused ? 'refused' : (answer?.taken ?? null);
      },
      (left) => {
        setUnsent(left);
        setRefused(queue.current?.refused ?? 0);
      },
    );
    queue.current = mine;
    const known = new Set(run.events.map((e) => e.id));
    events.current = [...run.events, ...mine.unsent.filter((e) => !known.has(e.id))].sort((a, b) => a.atMs - b.atMs);
    const now = nowMs();
    const lastSeen = Math.max(mine.aliveMs, events.current.at(-1)?.atMs ?? 0);
    base.current = stateAt(cues, pressures, events.current, Math.min(now, lastSeen));
    if (base.current.status === 'running' && now - lastSeen > INTERRUPTED_AFTER_MS) take('pause', lastSeen);
    setTurn((t) => t + 1);
    refresh();
    if (startWanted.current) take('start', now);
    startWanted.current = false;
    void mine.flush();
    // Once per run: the log is what is read here, and everything else follows from it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [run?.id]);

  useSignedInAgain(() => void queue.current?.flush());

  // Nothing counts frames: each one only asks the clock.
  const running = state.status === 'running';
  useEffect(() => {
    if (!running) return;
    let frame = requestAnimationFrame(function step() {
      refresh();
      frame = requestAnimationFrame(step);
    });
    const seen = setInterval(() => queue.current?.alive(nowMs()), 1000);
    return () => {
      cancelAnimationFrame(frame);
      clearInterval(seen);
    };
  }, [running, refresh]);

  // The end that time brings by itself is told to the server like a key.
  useEffect(() => {
    if (!run || (state.status !== 'done' && state.status !== 'stopped')) return;
    let over = false;
    const tell = async (): Promise<void> => {
      await queue.current?.flush();
      // What was pressed while the first sending was under way goes with a second one.
      await queue.current?.flush();
      const told = queue.current?.unsent.length
        ? null
        : ((await post(visitId, { kind: 'events', runId: run.id, events: [], nowMs: nowMs() })) as {
            status?: string;
          } | null);
      // The end stands when the server, by its own clock, says so too.
      const answer = told?.status === 'open' ? null : told;
      if (answer) queue.current?.forget();
      setEnding(answer ? 'kept' : 'waiting');
      setUnsent(answer ? 0 : Math.max(1, queue.current?.unsent.length ?? 0));
      if (!answer && !over) setTimeout(() => void tell(), 2000);
    };
    void tell();
    return () => {
      over = true;
    };
    // Told once, when the run ends.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [state.status]);

  return {
    run,
    routine: played,
    cues,
    state,
    base,
    turn,
    unsent,
    refused,
    failed,
    ending,
    start: async () => {
      if (run) return take('start', nowMs());
      const made = ((await post(visitId, { kind: 'open' })) as { run: OpenRun } | null)?.run;
      setFailed(!made);
      if (!made) return;
      // The log is attached in the effect above; the first event waits for it.
      startWanted.current = true;
      setRun(made);
    },
    press: (kind: GuideEventKind, text?: string) => take(kind, nowMs(), text),
  };
}
