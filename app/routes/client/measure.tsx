import { CLIENT_MEASURES, type ClientMeasureId, type ClientMeasures } from '../../../core/atlas';
import { useState } from 'react';
import { Button, ProgressBar } from 'react-bootstrap';
import { data, Link, redirect, useActionData, useRouteLoaderData } from 'react-router';
import { addMeasures, measuresOfClient, removeMeasures } from '../../../server/db/queries/measures.server';
import { useFitted } from '../../parts/chart/fitted';
import { useDrawnAhead } from '../../parts/chart/jaw/own-drawings';
import { FaceChart } from '../../parts/chart/face-chart';
import { MeasureForm } from '../../rooms/client/measure-form';
import { MeasureHistory } from '../../rooms/client/measure-history';
import { measuresOf, measuresSchema } from '../../schemas/measures';
import { checkForm, readForm } from '../../schemas/read';
import { notFound, permitted } from '../../../server/access/session.server';
import { dayOf } from '../../../core/schedule';
import type { Route } from './+types/measure';
import type { loader as clientLoader } from './client';

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId, timeZone } = await permitted(request, 'see', 'care');
  return {
    taken: await measuresOfClient(practiceId, params.clientId),
    today: dayOf(new Date().toISOString(), timeZone),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const who = await permitted(request, 'change', 'care');
  const form = await readForm(request);
  const remove = form.get('remove');
  if (remove !== undefined) {
    if ((await removeMeasures(who, params.clientId, remove)) === 'missing') notFound('measure');
    return redirect(`/clients/${params.clientId}/measure`);
  }
  const input = await checkForm(measuresSchema, form);
  if (!input.ok) return data({ errors: input.errors, typed: input.typed }, { status: 422 });
  if (
    (await addMeasures(who, params.clientId, input.value.takenOn, measuresOf(input.value), input.value.once)) ===
    'missing'
  )
    notFound('client');
  return redirect(`/clients/${params.clientId}/measure`);
}

/** This client's own measures: taken in order, kept with their date, compared, and drawn. */
export default function Measure({ loaderData: { taken, today } }: Route.ComponentProps) {
  const { client } = useRouteLoaderData('routes/client/client') as Awaited<ReturnType<typeof clientLoader>>;
  const [focused, setFocused] = useState<ClientMeasureId | null>(null);
  const latest: ClientMeasures | null = taken.length
    ? (Object.assign({}, ...taken.toReversed().map((t) => t.valuesMm)) as ClientMeasures)
    : null;
  const fitting = useFitted(latest);
  const ahead = useDrawnAhead(fitting.head);
  return (
    <div className="visit-body is-page">
      <div className="chart-side">
        <FaceChart
          map={['Measures']}
          turn={focused && CLIENT_MEASURES[focused].view}
          focusedMeasure={focused}
          measures={latest}
          fitted={fitting.head}
        />
      </div>
      <main className="work">
        <div className="work-head">
          <h1>Measure</h1>
          <span className="soft">every point then says how far it lies on this face</span>
          <div className="end">
            {latest && (
              <Link to={`/atlas?client=${client.id}`} className="btn btn-outline-primary btn-sm">
                Open in the atlas
              </Link>
            )}
            {fitting.draw && !fitting.head && fitting.progress === null && (
              <Button
                size="sm"
                variant="outline-primary"
                onClick={fitting.draw}
                title="Draws every view of this head on this device, about half a minute, once; then with its jaw open, while this page stands"
              >
                Draw this head
              </Button>
            )}
          </div>
        </div>
        {fitting.progress !== null && (
          <ProgressBar
            now={fitting.progress * 100}
            label="Drawing this head"
            className="mb-3"
            aria-label="Drawing this head"
          />
        )}
        {fitting.failed && <p role="alert">{fitting.failed} The standard drawing stays.</p>}
        {fitting.head && (
          <p className="soft small">
            The chart is drawn to this client’s measures and kept on this device.
            {ahead && ` With its jaw open: ${ahead.done} of ${ahead.of}; what is missing is drawn when it is needed.`}
          </p>
        )}
        <MeasureHistory taken={taken} />
        <MeasureForm
          key={taken.length}
          today={today}
          before={latest}
          answered={useActionData<typeof action>()}
          onFocus={setFocused}
        />
      </main>
    </div>
  );
}
