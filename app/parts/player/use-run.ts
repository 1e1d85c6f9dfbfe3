import {
  advance,
  type GuideEvent,
  type GuideMoment,
  type GuideState,
  initialState,
  stateAt,
} from '../../../core/guide';
import { expandRoutine, type Routine } from '../../../core/routine';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSignedInAgain } from '../frame/signed-out';
import { nowMs } from './clock';
import { EventQueue } from './event-queue';
import type { OpenRun, RunPort } from './port';

/** A run that nobody saw for this long was interrupted: it stands paused at where it was last seen. */
const INTERRUPTED_AFTER_MS = 20_000;

/**
 * The picture is drawn anew so often: a ring that shrinks over seconds looks the same as with every frame, and what
 * sounds and speaks is not held up by drawing. What happens at a moment is drawn at that moment.
 */
const REDRAW_MS = 50;

/** The run on this device: its log, the state now, and the way every key takes. */
export function useRun(port: RunPort, routine: Routine, open: OpenRun | null) {
  const [run, setRun] = useState<OpenRun | null>(open);
  const [unsent, setUnsent] = useState(0);
  /** Events that the server will never take. */
  const [refused, setRefused] = useState(0);
  const [failed, setFailed] = useState(false);
  /** Whether the end of the run stands on the server, still goes there, or could not be brought there so far. */
  const [ending, setEnding] = useState<'going' | 'kept' | 'waiting'>('going');
  const played = run?.routine ?? routine;
  const cues = useMemo(() => expandRoutine(played), [played]);
  const events = useRef<GuideEvent[]>([]);
  /** State right after the last event: every frame goes on from here. */
  const base = useRef<GuideState>(null);
  base.current ??= initialState(cues);
  const queue = useRef<EventQueue>(null);
  const [state, setState] = useState<GuideState>(() => initialState(cues));
  const wanted = useRef<GuideMoment[]>([]);
  /** Made on the device: asked for twice, the same run begins once. */
  const newId = useRef<string>(null!);
  newId.current ??= crypto.randomUUID();
  /** Grows with every event, so that what was planned ahead is planned anew. */
  const [turn, setTurn] = useState(0);

  const refresh = useCallback(
    () => setState(advance(cues, base.current!, Math.max(nowMs(), base.current!.atMs))),
    [cues],
  );

  const take = useCallback(
    (moment: GuideMoment, atMs: number) => {
      // Told apart by their times alone: two of one moment would be put in any order elsewhere.
      const event = {
        ...moment,
        id: crypto.randomUUID(),
        atMs: Math.max(atMs, (events.current.at(-1)?.atMs ?? 0) + 0.01),
      };
      events.current = [...events.current, event];
      base.current = stateAt(cues, events.current, event.atMs);
      queue.current?.add(event);
      setTurn((t) => t + 1);
      refresh();
    },
    [cues, refresh],
  );

  // Pick up a run: what the server has, what this device has not sent yet, in order.
  useEffect(() => {
    if (!run) return;
    const mine = new EventQueue(
      run.id,
      (batch) => port.send(run.id, batch),
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
    base.current = stateAt(cues, events.current, Math.min(now, lastSeen));
    if (base.current.status === 'running' && now - lastSeen > INTERRUPTED_AFTER_MS) take({ kind: 'pause' }, lastSeen);
    setTurn((t) => t + 1);
    refresh();
    for (const moment of wanted.current) take(moment, now);
    wanted.current = [];
    void mine.flush();
    // Once per run: the log is what is read here, and everything else follows from it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [run?.id]);

  useSignedInAgain(() => void queue.current?.flush());

  // Nothing counts frames: each one that is drawn only asks the clock.
  const running = state.status === 'running';
  useEffect(() => {
    if (!running) return;
    let drawnAt = 0;
    let frame = requestAnimationFrame(function step(at) {
      if (at - drawnAt >= REDRAW_MS) {
        drawnAt = at;
        refresh();
      }
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
      // The end stands when whoever keeps the run says so too.
      const answer = !queue.current?.unsent.length && (await port.packet({ ...run, events: events.current }));
      // Taken up again meanwhile: this end was none, and says nothing about the next.
      if (over) return;
      if (answer) queue.current?.forget();
      setEnding(answer ? 'kept' : 'waiting');
      setUnsent(answer ? 0 : Math.max(1, queue.current?.unsent.length ?? 0));
      if (!answer) setTimeout(() => void tell(), 2000);
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
    /** Begins, at the first step or at another one. */
    start: async (step: number, waitsForHands: boolean) => {
      const first: GuideMoment[] = [
        { kind: 'start' },
        ...(step > 0 ? [{ kind: 'go-to' as const, step }] : []),
        ...(waitsForHands ? [{ kind: 'wait-for-hands' as const, on: true }] : []),
      ];
      if (run) return first.forEach((m) => take(m, nowMs()));
      const made = await port.begin(newId.current);
      setFailed(!made);
      if (!made) return;
      // The log is attached in the effect above; the first events wait for it.
      wanted.current = first;
      setRun(made);
    },
    /** Goes on with a run that was stopped: this one, or one of before. */
    takeUp: (stopped: OpenRun | null, waitsForHands: boolean) => {
      setEnding('going');
      const first: GuideMoment[] = [{ kind: 'take-up' }, { kind: 'wait-for-hands', on: waitsForHands }];
      if (!stopped || stopped.id === run?.id) return first.forEach((m) => take(m, nowMs()));
      wanted.current = first;
      setRun(stopped);
    },
    /** Draws what the clock says now. */
    refresh,
    press: (moment: GuideMoment) => take(moment, nowMs()),
    /** The log so far. */
    events: () => events.current,
  };
}
