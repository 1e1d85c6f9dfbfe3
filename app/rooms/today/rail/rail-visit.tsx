import { isStillBooked } from '../../../../core/record';
import type { RailVisit as Laid, DaySpan } from '../../../../core/schedule';
import { useDraggable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import { useDates } from '../../../parts/frame/use-dates';
import { placed } from './places';

/** A visit on its lane: its frame as booked, in it the work with what goes around it; under it who comes. */
export function RailVisit({
  laid,
  axis,
  roomToRight,
  isChosen,
  isNow,
  onChoose,
  children,
}: {
  laid: Laid;
  axis: DaySpan;
  /** Percent of the axis until something else begins: what is written may be as wide. */
  roomToRight: number;
  isChosen: boolean;
  isNow: boolean;
  onChoose: () => void;
  children: ReactNode;
}) {
  const { timeOfDay } = useDates();
  const { booking, booked, before, routine, after, change, neededMinutes, overMinutes } = laid;
  const mayMove = isStillBooked(booking);
  const { setNodeRef, listeners, transform } = useDraggable({ id: booking.visitId, disabled: !mayMove });
  const bookedMinutes = (booked.toMs - booked.fromMs) / 60_000;
  const frame = { fromMs: booked.fromMs, toMs: Math.max(booked.toMs, change?.toMs ?? after.toMs) };
  const within = (s: DaySpan) => placed(s, frame);
  const lengthWords =
    neededMinutes === null ? `${bookedMinutes} min booked` : `needs ${neededMinutes} of ${bookedMinutes} min`;
  const state = booking.stage === 'missed' ? 'is-missed' : booking.stage === 'done' ? 'is-done' : '';
  return (
    <div
      className={`rail-visit ${state}${isNow ? ' is-now' : ''}${isChosen ? ' is-chosen' : ''}`}
      style={{ ...placed(frame, axis), top: `calc(${laid.row} * var(--rail-row))` }}
    >
      <button
        ref={setNodeRef}
        type="button"
        className="rail-frame"
        style={transform ? { transform: `translate(${transform.x}px, ${transform.y}px)` } : undefined}
        aria-pressed={isChosen}
        aria-label={`${booking.clientName}, ${timeOfDay(booking.startsAt)}, ${booking.stage === 'done' ? 'done' : booking.stage === 'missed' ? 'did not come' : lengthWords}`}
        onClick={onChoose}
        {...listeners}
      >
        <span className="booked" style={within(booked)} />
        <span className="around" style={within(before)} />
        {routine && <span className={`work${booking.isTypical ? ' is-typical' : ''}`} style={within(routine)} />}
        <span className="around" style={within(after)} />
        {change && <span className="change" style={within(change)} />}
        {overMinutes > 0 && <span className="over" style={within({ fromMs: booked.toMs, toMs: frame.toMs })} />}
      </button>
      <div className="rail-words" style={{ maxWidth: `${roomToRight}cqw` }}>
        <div className="rail-time">
          <span className="num">{timeOfDay(booking.startsAt)}</span>{' '}
          <span className={overMinutes > 0 ? 'worse fw-bold' : 'soft'}>
            {booking.stage === 'missed' ? (
              'did not come'
            ) : (
              <>
                {neededMinutes === null ? `${bookedMinutes} min` : `${neededMinutes} of ${bookedMinutes}`}
                {overMinutes > 0 && ' min'}
              </>
            )}
          </span>
        </div>
        {children}
      </div>
    </div>
  );
}
