import type { Around, Room, WaitingClient } from '../../../core/record';
import { clockValue, dayOf, type DaySpan, type Lane } from '../../../core/schedule';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useNavigate, useRevalidator } from 'react-router';
import { whenOf } from '../../parts/booking/booking-form';
import { useKeys } from '../../parts/keys/use-keys';
import { BookingPanel } from './booking-panel';
import { CourseWords, type DayCourse } from './course-words';
import { DayList, type DayVisit } from './day-list';
import { HandsToday, type Hands } from './hands-today';
import { PickedVisit } from './picked-visit';
import { DayRail } from './rail/day-rail';
import type { Draft } from './rail/draft';
import { nextStep, useDayDraft } from './use-day-draft';
import { WaitingList, type WaitingFit } from './waiting-list';

export interface DayBookProps {
  day: string;
  timeZone: string;
  /** ISO 8601, as the page was made. */
  nowIso: string;
  isToday: boolean;
  by: 'room' | 'person';
  lanes: Lane[];
  axis: DaySpan;
  visits: DayVisit[];
  /** By client; null for who sees nothing of why somebody comes. */
  courses: Record<string, DayCourse[]> | null;
  missed: Record<string, number>;
  rooms: Room[];
  people: { id: string; name: string }[];
  around: Around;
  /** Of who is signed in. */
  own: { id: string; gaps: DaySpan[] };
  waiting: WaitingClient[];
  fits: WaitingFit[];
  /** Somebody who is to be booked, named in the address. */
  forClient: { id: string; name: string } | null;
  nowVisitId: string | null;
  /** Load of one person's hands along the day; null for who does not work with clients. */
  hands: Hands | null;
  /** Somebody else's may be looked at. */
  maySwitchHands: boolean;
}

/** The day as it is booked: rail or list, the booking in the making, the hands, and who waits. */
export function DayBook(props: DayBookProps) {
  const { lanes, axis, by, rooms, people, own, timeZone: zone, forClient, day } = props;
  const { revalidate } = useRevalidator();
  const navigate = useNavigate();
  const { draft, setDraft, fromMs, span, lane, at, inFreeTime, move, moving, setMinutes, onKey } = useDayDraft(props);
  const [chosen, setChosen] = useState<string | null>(null);
  const opens = props.courses !== null;
  const moment = Date.parse(props.nowIso);
  // Before the axis begins and after it ends nothing of now is drawn.
  const now = props.isToday && axis.fromMs <= moment && moment <= axis.toMs ? moment : null;
  const changed = () => void revalidate();
  const begin = (next: Draft) => {
    setChosen(null);
    setDraft(next);
  };
  const done = () => {
    setDraft(null);
    if (forClient) void navigate(`?day=${day}`, { replace: true });
    changed();
  };
  useKeys({
    n: () => begin(inFreeTime()),
    // Only where there is something to leave: a dialog has the same key.
    ...((draft || chosen) && {
      Escape: () => {
        setChosen(null);
        setDraft(null);
      },
    }),
  });
  const all = lanes.flatMap((l) => l.visits);
  const picked = all.find((v) => v.booking.visitId === chosen);
  return (
    <>
      <div className="day-acts">
        {rooms.length > 0 && (
          <span className="soft small">
            {by === 'room' ? (
              <>
                Rooms · <Link to={`?day=${day}&by=person`}>People</Link>
              </>
            ) : (
              <>
                <Link to={`?day=${day}`}>Rooms</Link> · People
              </>
            )}
          </span>
        )}
        <span className="soft small">
          Frame booked, filled the routine, thin before and after it, dashed the room turned over
        </span>
        <Button className="ms-auto" variant="outline-primary" onClick={() => begin(inFreeTime())}>
          New visit
        </Button>
      </div>
      <DayRail
        lanes={lanes}
        axis={axis}
        now={now}
        draft={draft && span && lane ? { laneId: lane.id, span, words: draft.client?.name ?? 'new' } : null}
        chosen={chosen}
        wordsOf={(laid) => (
          <>
            <VisitName booking={laid.booking} opens={opens} />
            {props.courses && <CourseWords courses={props.courses[laid.booking.clientId] ?? []} />}
          </>
        )}
        onFree={(free, ms) => (draft ? move({ fromMs: ms, laneId: free.id }) : begin(at(ms, free)))}
        onChoose={(laid) => {
          setDraft(null);
          setChosen(chosen === laid.booking.visitId ? null : laid.booking.visitId);
        }}
        onDrop={(visitId, ms, laneId) => {
          const to = { fromMs: ms, ...(laneId !== null && { laneId }) };
          if (!visitId) return void move(to);
          const laid = all.find((v) => v.booking.visitId === visitId);
          if (laid) begin(moving(laid, to));
        }}
        onLength={(minutes) => void setMinutes(minutes)}
        onDraftKey={onKey}
      />
      {picked && (
        <PickedVisit
          picked={picked}
          rooms={rooms}
          missed={props.missed[picked.booking.clientId] ?? 0}
          isFirst={props.visits.find((v) => v.visitId === chosen)?.isFirst ?? false}
          opens={opens}
          onLonger={(minutes) => {
            const next = moving(picked, {});
            begin({ ...next, when: { ...next.when, minutes: String(minutes) } });
          }}
          onChanged={changed}
        />
      )}
      {draft && (
        <BookingPanel
          key={draft.visitId ?? 'new'}
          draft={draft}
          lane={lane}
          waiting={props.waiting}
          rooms={rooms}
          around={props.around}
          fromMs={fromMs ?? axis.fromMs}
          mayOpenClients={opens}
          onDraft={setDraft}
          onBooked={done}
          onLeave={() => setDraft(null)}
        />
      )}
      <DayList
        visits={props.visits}
        courses={props.courses}
        gaps={props.isToday ? ahead(own.gaps, moment) : own.gaps}
        nowVisitId={props.nowVisitId}
        nowIso={props.nowIso}
        opens={opens}
        onGap={(gap) =>
          begin(
            at(
              gap.fromMs,
              lanes.find((l) => l.id === own.id),
            ),
          )
        }
        onChanged={changed}
      />
      {props.hands && (
        <HandsToday
          hands={props.hands}
          axis={axis}
          now={now}
          isOwn={props.hands.person.id === own.id}
          names={new Map(props.visits.map((v) => [v.visitId, v.clientName]))}
          others={props.maySwitchHands ? people : []}
          toPerson={(id) => `?day=${day}&hands=${id}${by === 'person' ? '&by=person' : ''}`}
          onChanged={changed}
        />
      )}
      <WaitingList
        waiting={props.waiting}
        fits={props.fits}
        people={people}
        rooms={rooms}
        onChanged={changed}
        onFit={(w, fit) => {
          const iso = new Date(fit.fromMs).toISOString();
          begin({
            visitId: null,
            client: { id: w.clientId, name: w.clientName },
            waits: true,
            isFromList: true,
            when: whenOf(dayOf(iso, zone), clockValue(iso, zone), w.minutes, fit),
          });
        }}
      />
    </>
  );
}

function VisitName({ booking, opens }: { booking: { visitId: string; clientName: string }; opens: boolean }) {
  return opens ? (
    <Link to={`/visits/${booking.visitId}`} className="who" title={booking.clientName}>
      {booking.clientName}
    </Link>
  ) : (
    <span className="who" title={booking.clientName}>
      {booking.clientName}
    </span>
  );
}

/** What of free time is still to come, from the next five minutes on. */
const ahead = (gaps: readonly DaySpan[], nowMs: number): DaySpan[] =>
  gaps.map((g) => ({ ...g, fromMs: Math.max(g.fromMs, nextStep(nowMs)) })).filter((g) => g.toMs > g.fromMs);
