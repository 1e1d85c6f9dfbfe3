import type { HomeFlag, HomeLook, OpenReferral, ReviewDue } from '../../../core/record';
import { adviceWords, type Attention, courseTitle } from '../../../core/relief';
import { complaintName } from '../../../core/words';
import { Button } from 'react-bootstrap';
import { Link, useFetcher } from 'react-router';
import { CAUTIONS } from '../../../reference/facts/cautions/index';
import type { FieldErrors } from '../../schemas/read';
import { FieldFrame } from '../../parts/fields/field';
import { HomeFlags, HomeLooks } from './home-looks';
import { useDates } from '../../parts/frame/use-dates';

/** People to think of today: licensed care first, then reviews, what may be adjusted, the silent, and referrals whose outcome is not known. */
export function NeedsALook({
  attention,
  referrals,
  reviews,
  flags,
  home,
  more,
  today,
}: {
  attention: Attention[];
  referrals: OpenReferral[];
  reviews: ReviewDue[];
  flags: HomeFlag[];
  home: HomeLook[];
  more: number;
  today: string;
}) {
  const { shortDay, dayWords } = useDates();
  const nothing = ![attention, referrals, reviews, flags, home].some((list) => list.length);
  return (
    <aside aria-label="Needs a look" id="needs-a-look">
      <h2>Needs a look</h2>
      {nothing && <p className="soft mt-2">Nothing today.</p>}
      <HomeFlags flags={flags} />
      {attention
        .filter((a) => a.why === 'refer')
        .map((a) => (
          <AttentionItem key={a.course.complaintId} item={a} />
        ))}
      {reviews.map((r) => (
        <div key={r.visitId} className="look">
          <h3 className={r.reviewOn <= today ? 'now' : ''}>
            {r.reviewOn < today ? 'Review overdue since' : r.reviewOn === today ? 'Review today' : 'Review due'}{' '}
            {r.reviewOn === today ? '' : dayWords(r.reviewOn)}
          </h3>
          <p>{r.clientName}</p>
          <Link to={`/clients/${r.clientId}`}>Open relief</Link>
        </div>
      ))}
      {attention
        .filter((a) => a.why !== 'refer')
        .map((a) => (
          <AttentionItem key={`${a.why}-${a.course.complaintId}`} item={a} />
        ))}
      <HomeLooks looks={home} />
      {referrals.map((r) => (
        <ReferralItem key={r.visitId} referral={r} day={shortDay(r.startsAt)} />
      ))}
      {more > 0 && (
        <p className="soft mt-2">And {more} more that are less pressing: they come up as these are seen to.</p>
      )}
    </aside>
  );
}

const ASKED_WORDS = { refer: 'think of licensed care', review: 'review', adjust: 'adjust the routine' } as const;

function AttentionItem({ item }: { item: Attention }) {
  const { course } = item;
  return (
    <div className="look">
      {item.why === 'silent' ? (
        <>
          <h3>No home ratings for {item.days} days</h3>
          <p>
            {course.clientName}, {complaintName(course).toLowerCase()}.
          </p>
        </>
      ) : (
        <>
          <h3 className={course.judgement.verdict === 'worse' || item.why === 'refer' ? 'worse' : 'now'}>
            {course.judgement.verdict === 'worse' ? '▲ ' : ''}
            {course.clientName}: {ASKED_WORDS[item.why]}
          </h3>
          <p>
            {courseTitle(complaintName(course), course.judgement)}. {adviceWords(course.judgement)}
          </p>
        </>
      )}
      <Link to={`/clients/${course.clientId}`}>Open relief</Link>
    </div>
  );
}

function ReferralItem({ referral, day }: { referral: OpenReferral; day: string }) {
  const note = useFetcher<{ errors?: FieldErrors }>();
  const why = referral.referral.cautions.map((key) => CAUTIONS.find((c) => c.key === key)?.title ?? key).join(', ');
  return (
    <div className="look">
      <h3 className="caution">Refer out, outcome not known</h3>
      <p>
        <Link to={`/clients/${referral.clientId}`}>{referral.clientName}</Link>: {why.toLowerCase()}, {day}.{' '}
        {referral.referral.seeWho}
      </p>
      <note.Form method="post" action={`/visits/${referral.visitId}/outcome`} className="d-flex gap-2 align-items-end">
        <FieldFrame
          name="outcome"
          label="What came of it"
          maxLength={320}
          message={note.data?.errors?.outcome}
          className="flex-grow-1"
        />
        <Button type="submit" size="sm" variant="outline-primary">
          Note
        </Button>
      </note.Form>
    </div>
  );
}
