import {
  bookingMinutes,
  keptMinutes,
  USUAL_BOOKING_MINUTES,
  USUAL_CHANGE_MINUTES,
  type Around,
  type Room,
  type WaitingClient,
} from '../../../core/record';
import { aboutMinutes, type Lane } from '../../../core/schedule';
import { useEffect, useRef } from 'react';
import { Form as BsForm } from 'react-bootstrap';
import { Link } from 'react-router';
import { BookingForm, type When } from '../../parts/booking/booking-form';
import { ClientField } from '../../parts/fields/client-field';
import { useRead } from '../../parts/frame/use-read';
import { minutesOf, type Draft } from './rail/draft';
import { hoursWords, nextIn } from './rail/places';

interface Usual {
  routineSeconds: number | null;
  practitionerId: string | null;
  roomId: string | null;
}

/** The booking in the making as a form: whom, when, how long, with whom, where; what is known of it beside. */
export function BookingPanel({
  draft,
  lane,
  waiting,
  rooms,
  around,
  fromMs,
  mayOpenClients,
  onDraft,
  onBooked,
  onLeave,
}: {
  draft: Draft;
  /** In which it is drawn. */
  lane: Lane | undefined;
  waiting: readonly WaitingClient[];
  rooms: readonly Room[];
  around: Around;
  fromMs: number;
  mayOpenClients: boolean;
  onDraft: (draft: Draft) => void;
  onBooked: () => void;
  onLeave: () => void;
}) {
  const { visitId, client, when } = draft;
  const panel = useRef<HTMLElement>(null);
  useEffect(() => void panel.current?.scrollIntoView({ block: 'nearest' }), []);
  const { load, data: usual } = useRead<Usual>();
  const clientId = client?.id;
  const withId = when.practitionerId;
  useEffect(() => {
    if (clientId) void load(`/bookings/length/${clientId}?with=${withId}`);
  }, [clientId, withId, load]);
  // What the client's visits usually take is proposed as long as nobody typed a length.
  const proposed = useRef(String(USUAL_BOOKING_MINUTES));
  const room = rooms.find((r) => r.id === when.roomId);
  const change = room?.changeMinutes ?? USUAL_CHANGE_MINUTES;
  useEffect(() => {
    if (visitId || draft.isFromList || usual?.routineSeconds == null || when.minutes !== proposed.current) return;
    const minutes = String(bookingMinutes(usual.routineSeconds, around, change));
    if (minutes === proposed.current) return;
    proposed.current = minutes;
    onDraft({ ...draft, when: { ...when, minutes } });
  }, [usual, visitId, draft, when, around, change, onDraft]);
  const minutes = minutesOf(when);
  const untilMs = fromMs + minutes * 60_000;
  const next = nextIn(lane, untilMs, visitId);
  const needs =
    usual?.routineSeconds != null
      ? keptMinutes({ minutes: 5, routineSeconds: usual.routineSeconds }, around, room?.changeMinutes ?? 0)
      : null;
  return (
    <section
      ref={panel}
      className="booking-panel"
      aria-label={visitId ? `Move ${client?.name}` : 'New visit'}
      onKeyDown={(e) => {
        if (e.key !== 'Escape') return;
        e.stopPropagation();
        onLeave();
      }}
    >
      <h2 className="h5">
        {visitId ? `Move ${client?.name}` : draft.isFromList ? `${client?.name}, who waited` : 'New visit'}
      </h2>
      {!visitId && !draft.isFromList && (
        <div className="mb-2">
          <ClientField
            label="Client"
            autoFocus
            chosen={client}
            onChoose={(c) => onDraft({ ...draft, client: c, waits: waiting.some((w) => w.clientId === c?.id) })}
          />
          {waiting.some((w) => w.clientId === clientId) && (
            <BsForm.Check
              id="waits-no-more"
              className="mt-1"
              label="Waits for a time: off the list once this is booked"
              checked={draft.waits}
              onChange={(e) => onDraft({ ...draft, waits: e.target.checked })}
            />
          )}
          {!client && (
            <Link to="/clients/new" className="small d-inline-block py-1">
              {mayOpenClients ? 'Somebody new' : 'Write down somebody new'}
            </Link>
          )}
        </div>
      )}
      <BookingForm
        label={visitId ? 'Move it' : `Book ${minutes} min`}
        clientId={client?.id ?? ''}
        visitId={visitId}
        waits={draft.waits}
        when={when}
        onWhen={(to: When) => onDraft({ ...draft, when: to })}
        onBooked={onBooked}
        onCancel={onLeave}
      >
        <p className={needs !== null && needs > minutes ? 'worse small mb-1' : 'soft small mb-1'} role="status">
          {needs !== null &&
            `Usually ${aboutMinutes(usual!.routineSeconds!)} of work, ${needs} min with what goes around it${room ? ' and the room' : ''}. `}
          {needs !== null && needs > minutes && `${needs - minutes} min more than booked. `}
          {usual && needs === null && 'No routine yet: the usual hour is proposed. '}
          {next && `${hoursWords(next.free)} before ${next.name}.`}
        </p>
      </BookingForm>
    </section>
  );
}
