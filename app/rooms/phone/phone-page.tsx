import { lazy, Suspense, useEffect, useState } from 'react';
import type { Felt } from '../../../core/record';
import type { HomePacket } from '../../../core/schedule';
import type { RedFlagKey } from '../../../reference/facts/at-home';
import { After } from './after';
import { Before } from './before';
import { Flags } from './flags';
import { useInstalled } from './installed';
import { NotInUse } from './not-in-use';
import { Sending } from './sending-line';
import { PhoneHead } from './phone-head';
import { mayNow, usePhone } from './use-phone';

const loadPlayer = () => import('./home-player');
const HomePlayer = lazy(() => loadPlayer().then((m) => ({ default: m.HomePlayer })));

type Stage =
  | { at: 'before' }
  | { at: 'flags' }
  | { at: 'run' }
  | { at: 'after'; runId: string; before: number | null; stopped: string | null };

/** One plan on one phone: before, the questions of the day, the run, after; with and without a network. */
export function PhonePage({ secret, given }: { secret: string; given: HomePacket }) {
  const phone = usePhone(secret, given);
  const { packet, today, runsToday, kept } = phone;
  const [stage, setStage] = useState<Stage>({ at: 'before' });
  const [before, setBefore] = useState<number | null>(null);
  const [stands, setStands] = useState(false);
  const planId = packet.plan.id;
  // What draws and guides is fetched when the page answers: a slow phone does one thing at a time.
  const answers = !!kept || phone.storeFails;
  useEffect(() => {
    if (answers) void loadPlayer().then(() => setStands(true));
  }, [answers]);
  useInstalled(secret, stands);
  useEffect(() => void window.scrollTo(0, 0), [stage.at]);

  const may = mayNow(phone);
  const base = () => ({ id: crypto.randomUUID(), planId, at: new Date().toISOString() });
  const begin = () => {
    if (before !== null && packet.complaint && !kept?.open)
      void phone.keep({ ...base(), kind: 'rating', complaintId: packet.complaint.id, value: before });
    setStage({ at: 'run' });
  };
  const start = () => (kept?.askedOn === today ? begin() : setStage({ at: 'flags' }));
  const answered = (yes: RedFlagKey[]) => {
    void phone.asked();
    void phone.keep({ ...base(), kind: 'flags', yes });
    if (yes.length) setStage({ at: 'before' });
    else begin();
  };
  const close = ({ value, felt, note }: { value: number | null; felt: Felt[]; note: string }) => {
    if (stage.at === 'after' && (value !== null || felt.length || note))
      void phone.keep({ ...base(), kind: 'after', runId: stage.runId, value, felt, note });
    setBefore(null);
    setStage({ at: 'before' });
  };

  if (phone.sent === 'gone') return <NotInUse practice={packet.practice} contact={packet.contact} />;
  if (stage.at === 'run')
    return (
      <Suspense fallback={<p className="phone plain">One moment …</p>}>
        <HomePlayer
          packet={packet}
          open={kept?.open?.run ?? null}
          before={before}
          onEnded={async (runId, stopped) => {
            await phone.again();
            setStage({ at: 'after', runId, before: kept?.open?.before ?? before, stopped });
          }}
          onLeave={async () => {
            await phone.again();
            setStage({ at: 'before' });
          }}
        />
      </Suspense>
    );
  const sending = <Sending sent={phone.sent} waiting={kept?.items.length ?? 0} sentAt={kept?.sentAt ?? null} />;
  const runDays = [
    ...packet.runs.flatMap((r) => (r.day === today ? [] : [r.day])),
    ...Array<string>(runsToday.length).fill(today),
  ];
  return (
    <main className="phone">
      <PhoneHead packet={packet} />
      {phone.storeFails && (
        <p className="caution" role="alert">
          This phone keeps nothing for this page (a private window, or no room): what you do cannot be told to your
          practice.
        </p>
      )}
      {stage.at === 'flags' ? (
        <Flags onAnswered={answered} />
      ) : stage.at === 'after' ? (
        <After
          packet={packet}
          before={stage.before}
          today={today}
          runDays={runDays}
          stopped={stage.stopped}
          onClose={close}
          sending={sending}
        />
      ) : (
        <Before
          secret={secret}
          packet={packet}
          today={today}
          may={may}
          runsToday={runsToday}
          before={before}
          onBefore={setBefore}
          draws={stands}
          isOpen={!!kept?.open}
          isReady={answers}
          onStart={start}
          sending={sending}
        />
      )}
    </main>
  );
}
