import { USUAL_BOOKING_MINUTES } from '../../../core/record';
import { clockValue, dayOf, type DaySpan, type Lane, type RailVisit } from '../../../core/schedule';
import { useState } from 'react';
import { whenOf } from '../../parts/booking/booking-form';
import { draftAt, laneOf, minutesOf, movedTo, type Draft } from './rail/draft';

const STEP_MS = 5 * 60_000;
/** The next five minutes from a moment on. */
export const nextStep = (ms: number): number => Math.ceil(ms / STEP_MS) * STEP_MS;

interface Day {
  day: string;
  timeZone: string;
  nowIso: string;
  isToday: boolean;
  by: 'room' | 'person';
  lanes: readonly Lane[];
  axis: DaySpan;
  people: readonly { id: string }[];
  rooms: readonly { id: string; isClosed: boolean }[];
  own: { id: string };
  forClient: { id: string; name: string } | null;
}

/** The booking in the making on a day: begun in free time or from a visit, moved by pointer, keys and its form. */
export function useDayDraft(props: Day) {
  const { lanes, axis, by, people, rooms, own, timeZone: zone, forClient } = props;
  const defaults = {
    zone,
    person: people.some((p) => p.id === own.id) ? own.id : (people[0]?.id ?? ''),
    room: rooms.find((r) => !r.isClosed)?.id ?? '',
  };
  const at = (ms: number, lane: Lane | undefined, client: Draft['client'] = null): Draft => ({
    visitId: null,
    client,
    waits: false,
    when: draftAt(nextStep(ms), lane, by, defaults),
  });
  /** In the first free time that is still to come, in the own lane where there is one. */
  const inFreeTime = (client: Draft['client'] = null): Draft => {
    const from = props.isToday ? Date.parse(props.nowIso) : axis.fromMs;
    // Long enough for the usual visit, where there is such time; else the first that is free at all.
    for (const leastMs of [USUAL_BOOKING_MINUTES * 60_000, 1])
      for (const lane of [...lanes].sort((a, b) => Number(b.id === own.id) - Number(a.id === own.id))) {
        const gap = lane.gaps.find((g) => g.toMs - Math.max(g.fromMs, from) >= leastMs);
        if (gap) return at(Math.max(gap.fromMs, from), lane, client);
      }
    return at(axis.fromMs, lanes[0], client);
  };
  const [draft, setDraft] = useState<Draft | null>(() => (forClient ? inFreeTime(forClient) : null));
  const fromMs = draft ? momentOn(props, draft.when.day, draft.when.time) : null;
  const span = draft && fromMs !== null ? { fromMs, toMs: fromMs + minutesOf(draft.when) * 60_000 } : null;
  const lane = draft && span ? laneOf(draft.when, lanes, by) : undefined;
  const move = (to: { fromMs?: number; laneId?: string }) =>
    draft && setDraft({ ...draft, when: movedTo(draft.when, { ...to, by }, zone) });
  const setMinutes = (minutes: number) =>
    draft && setDraft({ ...draft, when: { ...draft.when, minutes: String(Math.min(480, Math.max(5, minutes))) } });
  const onKey = (e: React.KeyboardEvent) => {
    if (!draft || !span) return;
    const step = e.key === 'ArrowLeft' ? -5 : e.key === 'ArrowRight' ? 5 : 0;
    const down = e.key === 'ArrowUp' ? -1 : e.key === 'ArrowDown' ? 1 : 0;
    if (step && e.shiftKey) setMinutes(minutesOf(draft.when) + step);
    else if (step) move({ fromMs: span.fromMs + step * 60_000 });
    else if (down) {
      const next = lanes[lanes.findIndex((l) => l.id === lane?.id) + down];
      if (next) move({ laneId: next.id });
    } else if (e.key === 'Enter') document.querySelector<HTMLFormElement>('.booking-panel form')?.requestSubmit();
    else if (e.key === 'Escape') setDraft(null);
    else return;
    e.preventDefault();
    e.stopPropagation();
  };
  /** A booked visit as it would be elsewhere. */
  const moving = (laid: RailVisit, to: { fromMs?: number; laneId?: string }): Draft => {
    const { visitId, clientId, clientName, startsAt } = laid.booking;
    const minutes = (laid.booked.toMs - laid.booked.fromMs) / 60_000;
    const when = whenOf(dayOf(startsAt, zone), clockValue(startsAt, zone), minutes, laid.booking);
    return {
      visitId,
      client: { id: clientId, name: clientName },
      waits: false,
      when: movedTo(when, { ...to, by }, zone),
    };
  };
  return { draft, setDraft, fromMs, span, lane, at, inFreeTime, move, moving, setMinutes, onKey };
}

/** A typed time of the day that is shown as a moment; null on another day, or where none is typed. */
function momentOn({ day, timeZone, axis }: Day, on: string, time: string): number | null {
  if (on !== day || !/^\d\d:\d\d$/.test(time)) return null;
  // Counted from the beginning of the axis, which is of this day: clocks that change at night do not come between.
  const start = clockValue(new Date(axis.fromMs).toISOString(), timeZone);
  const minutes = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));
  return axis.fromMs + (minutes(time) - minutes(start)) * 60_000;
}
