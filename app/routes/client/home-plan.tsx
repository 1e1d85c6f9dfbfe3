import { emptyRoutine } from '../../../core/routine';
import { HOME_STEPS_MOST } from '../../../core/schedule';
import { TECHNIQUE_TOOLS } from '../../../core/words';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { Link, useRevalidator, useRouteLoaderData, useSearchParams } from 'react-router';
import { homeOffer } from '../../../server/access/home.server';
import { storedCourses } from '../../../server/db/queries/courses.server';
import { schoolOf } from '../../../server/db/queries/practice.server';
import { ownTechniques } from '../../../server/db/queries/techniques.server';
import { homeRunsTold } from '../../../server/db/queries/home-looks.server';
import { linkOfPlan } from '../../../server/db/queries/links.server';
import { notFound, permitted } from '../../../server/access/session.server';
import { FaceChart } from '../../parts/chart/face-chart';
import { stopsOf } from '../../parts/chart/chart-marks';
import { send } from '../../parts/frame/send';
import { dayOf } from '../../../core/schedule';
import { GiveLink } from '../../rooms/home/give-link';
import { HowItWent } from '../../rooms/home/how-it-went';
import { RunsTold } from '../../rooms/home/runs-told';
import { OwnTechniques } from '../../parts/catalogue/own-techniques';
import { ProposeSteps } from '../../rooms/home/propose-steps';
import { PlanForm } from '../../rooms/home/plan-form';
import type { Route } from './+types/home-plan';
import type { loader as frame } from './client';
import { Failed } from '../../parts/frame/failed';

export type HomeCandidate = Route.ComponentProps['loaderData']['candidates'][number];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'care');
  const asked = new URL(request.url).searchParams;
  const shown = TECHNIQUE_TOOLS.filter((tool) => asked.getAll('shown').includes(tool));
  const proposed = asked.getAll('proposed').slice(0, HOME_STEPS_MOST);
  const [offer, own, school, courses] = await Promise.all([
    homeOffer(practiceId, params.clientId, new Set(shown), proposed),
    ownTechniques(practiceId),
    schoolOf(practiceId),
    storedCourses(practiceId, [params.clientId]),
  ]);
  if (!offer) notFound('client');
  const { screening, catalogue: _catalogue, ...rest } = offer;
  const inForce = rest.plans.find((p) => p.endedAt === null);
  const runsTold = await homeRunsTold(practiceId, params.clientId);
  const link = inForce ? await linkOfPlan(practiceId, inForce.id) : null;
  return {
    ...rest,
    link,
    runsTold,
    own,
    school,
    screening,
    proposed,
    /** As they were rated last. */
    complaints: courses.map((c) => ({
      kind: c.kind,
      side: c.side === 'left' || c.side === 'right' ? c.side : null,
      score: c.recent.at(-1) ?? 0,
    })),
    shown,
    minded: [...screening.hits['refer-out'], ...screening.hits.avoid, ...screening.hits.adapt]
      .filter((c) => c.group !== 'everyone')
      .map((c) => c.title),
    today: dayOf(new Date().toISOString(), timeZone),
  };
}

/** What the client does between visits: the plan in force, the next one, and how the earlier ones went. */
export default function HomePlanPage({ loaderData }: Route.ComponentProps) {
  const {
    routine,
    candidates,
    notHome,
    plans,
    noLonger,
    isScreened,
    minded,
    link,
    runsTold,
    shown: tools,
    today,
    proposed,
  } = loaderData;
  const [, setAsked] = useSearchParams();
  const { client } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof frame>>;
  const { revalidate } = useRevalidator();
  const current = plans.find((p) => p.endedAt === null) ?? null;
  const [chosen, setChosen] = useState<readonly string[]>(() =>
    candidates
      .map((c) => c.step.technique)
      .filter((technique) =>
        proposed.length ? proposed.includes(technique) : current?.steps.some((s) => s.step.technique === technique),
      ),
  );
  const [isEnding, setEnding] = useState(false);
  const [failed, setFailed] = useState('');
  const end = async () => {
    const answer = await send(`/clients/${client.id}/home-plan/do?do=end`, {});
    setFailed(answer.ok ? '' : answer.message);
    setEnding(false);
    void revalidate();
  };
  const drawn = chosen.flatMap((id) => candidates.find((c) => c.step.technique === id)?.step ?? []);
  return (
    <div className="page with-aside">
      <main>
        <div className="page-head">
          <h1>Home plan</h1>
          <span className="soft">
            {current ? `plan ${current.number} is in force` : 'none is in force'}
            {routine && `; steps of “${routine}”`}
          </span>
        </div>
        {noLonger.length > 0 && (
          <div className="note-bar" role="alert">
            <strong>Plan {current!.number} may no longer be given as it stands.</strong>{' '}
            {noLonger.map((n) => `${n.name}: ${n.why}`).join('; ')}. Keep one without it, or end it.
          </div>
        )}
        <OwnTechniques value={loaderData.own}>
          <ProposeSteps
            complaints={loaderData.complaints}
            screening={loaderData.screening}
            school={loaderData.school}
            shown={tools}
            onProposed={(techniques) => {
              setChosen(techniques);
              setAsked({ shown: tools, proposed: [...techniques] }, { replace: true, preventScrollReset: true });
            }}
          />
        </OwnTechniques>
        {candidates.length ? (
          <PlanForm
            key={`${current?.id ?? 'first'} ${proposed.join()}`}
            proposed={proposed}
            clientId={client.id}
            candidates={candidates}
            current={current}
            shown={tools}
            today={today}
            onChosen={setChosen}
            onKept={() => void revalidate()}
          />
        ) : (
          <p className="empty">
            <strong>Nothing to choose from yet</strong>
            Compose a routine at a visit; what can be done on oneself is then offered here.
          </p>
        )}
        {notHome.length > 0 && (
          <details className="mt-3">
            <summary>{notHome.length} not for home</summary>
            <ul>
              {notHome.map((n) => (
                <li key={n.name}>
                  {n.name}: {n.why}{' '}
                  {n.tool && (
                    <Button
                      variant="link"
                      onClick={() =>
                        setAsked({ shown: [...tools, n.tool!], proposed }, { replace: true, preventScrollReset: true })
                      }
                    >
                      It was shown
                    </Button>
                  )}
                </li>
              ))}
            </ul>
          </details>
        )}
      </main>
      <aside>
        <div style={{ height: 380, margin: '-24px -24px 12px' }}>
          <FaceChart stops={stopsOf({ ...emptyRoutine('Home'), items: drawn }, null)} />
        </div>
        <h2>Minded</h2>
        <p>
          {!isScreened
            ? 'Nothing was asked of this client yet: screen first.'
            : minded.length
              ? minded.join(', ')
              : 'Nothing was answered that closes anything.'}
        </p>
        {current && (
          <>
            <h2>Give it</h2>
            {noLonger.length === 0 && (
              <>
                <p>
                  <Link to={`/paper/clients/${client.id}/home-plan`}>Print the hand-out</Link> ·{' '}
                  <a href={`/clients/${client.id}/calendar`} download>
                    Calendar file
                  </a>
                </p>
                <GiveLink
                  key={current.id}
                  clientId={client.id}
                  clientName={client.name}
                  link={link}
                  onChanged={() => void revalidate()}
                />
              </>
            )}
            {isEnding ? (
              <p>
                End plan {current.number}?{' '}
                <Button size="sm" onClick={() => void end()}>
                  End it
                </Button>{' '}
                <Button size="sm" variant="outline-primary" onClick={() => setEnding(false)}>
                  Let it go on
                </Button>
              </p>
            ) : (
              <Button size="sm" variant="outline-primary" onClick={() => setEnding(true)}>
                End plan {current.number}
              </Button>
            )}
            <Failed words={failed} />
          </>
        )}
        <h2 className="mt-4">How it went</h2>
        {plans.length === 0 && <p className="soft">No plan before this one.</p>}
        {plans.map((p) => (
          <HowItWent key={p.id} clientId={client.id} plan={p} today={today} onNoted={() => void revalidate()} />
        ))}
        <RunsTold runs={runsTold} />
      </aside>
    </div>
  );
}
