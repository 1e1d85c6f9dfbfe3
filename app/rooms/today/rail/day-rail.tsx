import type { Lane, RailVisit as Laid, DaySpan } from '../../../../core/schedule';
import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useRef, type ReactNode } from 'react';
import { useDates } from '../../../parts/frame/use-dates';
import { Ghost } from './ghost';
import { hoursWords, percentOf, placed, snapped, startIn } from './places';
import { RailVisit } from './rail-visit';

const HOUR_MS = 3_600_000;
/** A gap that is shorter has no room for its length in words. */
const TOLD_GAP_MS = 25 * 60_000;

/** A booking in the making, as the rail draws it. */
export interface RailDraft {
  laneId: string;
  span: DaySpan;
  words: string;
}

/** Rooms or people as lanes over one axis of time; free time is touched to book, what is booked is dragged to move. */
export function DayRail({
  lanes,
  axis,
  now,
  draft,
  chosen,
  wordsOf,
  onFree,
  onChoose,
  onDrop,
  onLength,
  onDraftKey,
}: {
  lanes: readonly Lane[];
  axis: DaySpan;
  /** On this day; null on another. */
  now: number | null;
  draft: RailDraft | null;
  chosen: string | null;
  wordsOf: (laid: Laid) => ReactNode;
  onFree: (lane: Lane, fromMs: number) => void;
  onChoose: (laid: Laid) => void;
  /** A visit, or the draft, let go at another moment or lane. */
  onDrop: (visitId: string | null, fromMs: number, laneId: string | null) => void;
  onLength: (minutes: number) => void;
  onDraftKey: (e: React.KeyboardEvent) => void;
}) {
  const { timeOfDay } = useDates();
  const track = useRef<HTMLDivElement>(null);
  // A finger that scrolls does not drag: it holds first.
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 5 } }),
    useSensor(TouchSensor, { activationConstraint: { delay: 250, tolerance: 8 } }),
  );
  const hours = Array.from(
    { length: Math.floor((axis.toMs - axis.fromMs) / HOUR_MS) + 1 },
    (_, i) => axis.fromMs + i * HOUR_MS,
  );
  const dropped = ({ active, over, delta }: DragEndEvent) => {
    const width = track.current?.getBoundingClientRect().width ?? 0;
    if (!width) return;
    const byMs = (delta.x / width) * (axis.toMs - axis.fromMs);
    if (active.id === 'draft-end') {
      if (draft) onLength(Math.max(5, snapped(draft.span.toMs - draft.span.fromMs + byMs) / 60_000));
      return;
    }
    const visitId = active.id === 'draft' ? null : String(active.id);
    const from = visitId
      ? lanes.flatMap((l) => l.visits).find((v) => v.booking.visitId === visitId)?.booked.fromMs
      : draft?.span.fromMs;
    if (from !== undefined) onDrop(visitId, snapped(from + byMs), over ? String(over.id) : null);
  };
  return (
    <DndContext id="day" sensors={sensors} onDragEnd={dropped}>
      <div className="day-rail">
        <div className="rail-axis" aria-hidden="true">
          <div className="rail-name" />
          <div className="rail-track" ref={track}>
            {hours.map((ms) => (
              <span key={ms} className="num" style={{ left: `${percentOf(ms, axis)}%` }}>
                {timeOfDay(new Date(ms).toISOString())}
              </span>
            ))}
            {now !== null && (
              <span className="rail-now num" style={{ left: `${percentOf(now, axis)}%` }}>
                {timeOfDay(new Date(now).toISOString())}
              </span>
            )}
          </div>
        </div>
        {lanes.map((lane) => (
          <RailLane key={lane.id} lane={lane} axis={axis} hours={hours} now={now} onFree={onFree}>
            {lane.visits.map((laid) => (
              <RailVisit
                key={laid.booking.visitId}
                laid={laid}
                axis={axis}
                roomToRight={percentOf(nextStart(lane, laid, axis), axis) - percentOf(laid.booked.fromMs, axis)}
                isChosen={chosen === laid.booking.visitId}
                isNow={now !== null && laid.booked.fromMs <= now && now < laid.booked.toMs}
                onChoose={() => onChoose(laid)}
              >
                {wordsOf(laid)}
              </RailVisit>
            ))}
            {draft?.laneId === lane.id && (
              <Ghost span={draft.span} axis={axis} row={0} words={draft.words} onKeyDown={onDraftKey} />
            )}
          </RailLane>
        ))}
      </div>
    </DndContext>
  );
}

const nextStart = (lane: Lane, laid: Laid, axis: DaySpan): number =>
  Math.min(
    axis.toMs,
    ...lane.visits
      .filter((v) => v.row === laid.row && v.booked.fromMs > laid.booked.fromMs)
      .map((v) => v.booked.fromMs),
  );

function RailLane({
  lane,
  axis,
  hours,
  now,
  onFree,
  children,
}: {
  lane: Lane;
  axis: DaySpan;
  hours: readonly number[];
  now: number | null;
  onFree: (lane: Lane, fromMs: number) => void;
  children: ReactNode;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: lane.id });
  const touched = (e: React.MouseEvent<HTMLDivElement>) => {
    if ((e.target as HTMLElement).closest('button, a, .rail-words')) return;
    const { left, width } = e.currentTarget.getBoundingClientRect();
    const fromMs = startIn(lane, axis.fromMs + ((e.clientX - left) / width) * (axis.toMs - axis.fromMs));
    if (fromMs !== null) onFree(lane, fromMs);
  };
  return (
    <section className={`rail-lane${isOver ? ' is-over' : ''}`} aria-label={lane.name}>
      <div className="rail-name">
        <strong>{lane.name}</strong>
        {lane.with.map((name) => (
          <div key={name} className="soft small">
            {name}
          </div>
        ))}
      </div>
      {/* Free time is also booked by the button above, and moved by keys: the surface is for a pointer. */}
      <div
        ref={setNodeRef}
        className="rail-track"
        style={{ '--rows': lane.rows } as React.CSSProperties}
        onClick={touched}
      >
        {hours.map((ms) => (
          <span key={ms} className="rail-hour" style={{ left: `${percentOf(ms, axis)}%` }} />
        ))}
        {lane.gaps.map((gap) => (
          <span key={gap.fromMs} className="rail-gap" style={placed(gap, axis)}>
            {gap.toMs - gap.fromMs >= TOLD_GAP_MS && <span className="num">{hoursWords(gap)}</span>}
          </span>
        ))}
        {now !== null && <span className="rail-now-line" style={{ left: `${percentOf(now, axis)}%` }} />}
        {children}
      </div>
    </section>
  );
}
