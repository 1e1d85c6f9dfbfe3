import { type Stage, STAGES } from '../../../core/record';
import { useMemo } from 'react';
import { Outlet, useLocation, useRevalidator } from 'react-router';
import { schoolOf } from '../../../server/db/queries/practice.server';
import { besideVisit } from '../../../server/db/queries/beside-visit.server';
import { helpedBefore, storedCourses } from '../../../server/db/queries/courses.server';
import { findClient } from '../../../server/db/queries/clients.server';
import { latestMeasures } from '../../../server/db/queries/measures.server';
import { scoresOfClient } from '../../../server/db/queries/scores.server';
import { readingsBefore, readingsOfVisit } from '../../../server/db/queries/readings.server';
import { saidBefore } from '../../../server/db/queries/said-before.server';
import { findVisit, visitBefore, visitNumber } from '../../../server/db/queries/visits.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { hasGauge } from '../../../server/gauge.server';
import { OwnTechniques } from '../../parts/catalogue/own-techniques';
import { ClientChart } from '../../parts/chart/client-chart';
import { ClientJaw } from '../../parts/chart/jaw/client-jaw';
import { useOpeningLimits } from '../../rooms/visit/assess/jaw-readings';
import { useFitted } from '../../parts/chart/fitted';
import { notFound, permitted } from '../../../server/access/session.server';
import { ClientStrip } from '../../rooms/visit/frame/client-strip';
import { useVisit, VisitProvider } from '../../rooms/visit/session/context';
import type { Route } from './+types/visit';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, practiceName, practitionerId, name, email, timeZone } = await permitted(request, 'see', 'care');
  const visit = await findVisit(practiceId, params.visitId);
  if (!visit) notFound('visit');
  const { clientId } = visit;
  const [
    client,
    measures,
    scores,
    readings,
    earlier,
    number,
    before,
    { rules, texts, products, photos, ...beside },
    practiceSchool,
    own,
    courses,
    helped,
    said,
  ] = await Promise.all([
    findClient(practiceId, clientId),
    latestMeasures(practiceId, clientId),
    scoresOfClient(practiceId, clientId),
    readingsOfVisit(practiceId, visit.id),
    readingsBefore(practiceId, visit),
    visitNumber(practiceId, visit),
    visitBefore(practiceId, visit),
    besideVisit(practiceId, visit),
    schoolOf(practiceId),
    ownTechniques(practiceId),
    storedCourses(practiceId, [clientId]),
    helpedBefore(practiceId, clientId),
    saidBefore(practiceId, visit),
  ]);
  if (!client) notFound('client');
  return {
    visit,
    number,
    client,
    measures,
    scores: scores.filter((s) => s.visitId === visit.id || s.takenAt < visit.startsAt),
    practiceName,
    practiceSchool,
    own,
    helped,
    worse: courses.filter((c) => c.judgement.verdict === 'worse').map((c) => c.complaintId),
    who: { practitionerId, name, email },
    timeZone,
    readings,
    earlier,
    lastScreen: before?.screen ?? null,
    said,
    lastFindings: before?.findings ?? null,
    rules,
    texts,
    products: products.filter((p) => !p.retired || p.id === visit.screen.product),
    hasGauge: hasGauge(),
    alongside: { ...beside, photos: photos.filter((p) => p.visitId === visit.id || p.takenAt < visit.startsAt) },
  };
}
/** A visit in work is the browser's; it is read again only when asked to, or for another visit. */
export const shouldRevalidate = ({
  currentParams,
  nextParams,
  currentUrl,
  nextUrl,
}: {
  currentParams: Record<string, string | undefined>;
  nextParams: Record<string, string | undefined>;
  currentUrl: URL;
  nextUrl: URL;
}): boolean => currentParams.visitId !== nextParams.visitId || currentUrl.href === nextUrl.href;

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.client.name ?? 'Visit'} · Velvet Compass` },
];

export default function VisitFrame({ loaderData }: Route.ComponentProps) {
  const { revalidate } = useRevalidator();
  const { measures } = loaderData;
  const { head } = useFitted(measures);
  const whose = useMemo(() => ({ measures, head }), [measures, head]);
  return (
    <VisitProvider key={loaderData.visit.id} data={loaderData} reload={() => void revalidate()}>
      <ClientChart value={whose}>
        <OwnTechniques value={loaderData.own}>
          <Inside />
        </OwnTechniques>
      </ClientChart>
    </VisitProvider>
  );
}

function Inside() {
  const { pathname } = useLocation();
  const last = pathname.split('/').at(-1) as Stage;
  const showing = STAGES.includes(last) ? last : 'screen';
  const { ended } = useVisit();
  const jaw = useOpeningLimits();
  return (
    <div className={`visit${ended ? ' has-ended' : ''}`}>
      <ClientStrip showing={showing} />
      <ClientJaw value={jaw}>
        <Outlet />
      </ClientJaw>
    </div>
  );
}
