import { ENTRY_KINDS, type EntryKind } from '../../core/atlas';
import { screen } from '../../core/limits';
import { lazy, Suspense, useMemo, useRef } from 'react';
import { Form as BsForm } from 'react-bootstrap';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { findClient } from '../../server/db/queries/clients.server';
import { latestMeasures, measuredClients } from '../../server/db/queries/measures.server';
import { answersTo, readAsk, reachOf } from '../rooms/atlas/ask';
import { chartAsSvg } from '../parts/export/picture';
import { PictureButtons } from '../parts/export/picture-buttons';
import { JawDial, openingIn, withOpening } from '../rooms/atlas/jaw-dial';
import { Results } from '../rooms/atlas/results';
import { SearchPanel } from '../rooms/atlas/search-panel';
import { Sheet } from '../rooms/atlas/sheet';
import { pathsOfEntry, placesOfEntry } from '../rooms/atlas/places-of';
import { PLACE_INDEX } from '../../reference/place-index';
import { CAUTIONS } from '../../reference/facts/cautions';
import { FaceChart } from '../parts/chart/face-chart';
import { useFitted } from '../parts/chart/fitted';
import { placesOn, type Place } from '../parts/chart/places';
import { permitted } from '../../server/access/session.server';
import { keepOffMarks } from '../parts/chart/chart-marks';
import type { Route } from './+types/atlas';
import { ATLAS_ENTRIES } from '../../reference/atlas-entries';

export async function loader({ request }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'atlas');
  const clientId = new URL(request.url).searchParams.get('client');
  const [client, measures, measured] = await Promise.all([
    clientId ? findClient(practiceId, clientId) : null,
    clientId ? latestMeasures(practiceId, clientId) : null,
    measuredClients(practiceId),
  ]);
  return { whose: client && measures ? { id: client.id, name: client.name, measures } : null, measured };
}

export const meta: Route.MetaFunction = ({ params }) => {
  const entry = ATLAS_ENTRIES.find((e) => e.kind === params.kind && e.id === params.id);
  return [{ title: `${entry?.name ?? 'Atlas'} · Velvet Compass` }];
};

/** Fetched when a jaw is opened. */
const JawChanges = lazy(() => import('../rooms/atlas/jaw-changes-told'));

const PICKABLE: readonly EntryKind[] = ['point', 'muscle', 'node', 'landmark'];

/** Points, muscles, nodes, landmarks and techniques: found by words, on the chart, and read as a sheet. */
export default function Atlas({ loaderData: { whose, measured }, params }: Route.ComponentProps) {
  const [query, setQuery] = useSearchParams();
  const navigate = useNavigate();
  const chart = useRef<HTMLDivElement>(null);
  const ask = readAsk(query);
  const key = query.toString();
  const answers = useMemo(() => answersTo(readAsk(new URLSearchParams(key))), [key]);
  const kind = ENTRY_KINDS.find((k) => k === params.kind) ?? null;
  const entry = ATLAS_ENTRIES.find((e) => e.kind === kind && e.id === params.id) ?? null;
  const paths = useMemo(() => (entry ? pathsOfEntry(entry) : undefined), [entry]);
  const chosen = useMemo(() => (entry ? placesOfEntry(entry) : []), [entry]);
  const second = query.get('with') ? (placesOn({ kind: 'point', id: query.get('with')! }, 'left')[0] ?? null) : null;
  const search = query.size ? `?${query}` : '';
  const pick = {
    places: useMemo(
      () =>
        ATLAS_ENTRIES.filter((e) => PICKABLE.includes(e.kind)).flatMap((e) =>
          placesOn({ kind: e.kind as 'point', id: e.id }, 'both').map((place) => ({
            place,
            name: e.name,
            region: PLACE_INDEX.regionOf(place),
            off: !!ask.caution && reachOf(ask.caution, e)?.effect === 'off',
          })),
        ),
      [ask.caution],
    ),
    onPick: (place: Place) => void navigate(`/atlas/${place.kind}/${place.id}${search}`, { preventScrollReset: true }),
  };
  const region = useMemo(
    () => (ask.region && !entry ? placesOn({ kind: 'region', id: ask.region }, 'left') : []),
    [ask.region, entry],
  );
  const caution = CAUTIONS.find((c) => c.key === ask.caution);
  const keepOff = useMemo(() => keepOffMarks(screen(caution ? [{ ...caution, question: null }] : [], {})), [caution]);
  const openingMm = openingIn(query);
  const jaw = useMemo(() => (openingMm ? { pose: { openingMm } } : null), [openingMm]);
  const fitting = useFitted(whose?.measures ?? null);
  return (
    <div className="visit-body is-page atlas">
      <div className="chart-side" ref={chart}>
        <JawDial
          openingMm={openingMm}
          onOpening={(mm) => setQuery(withOpening(query, mm), { preventScrollReset: true, replace: true })}
        />
        <FaceChart
          map={['Points']}
          pick={pick}
          chosen={paths ? null : (chosen[0] ?? null)}
          paths={paths}
          second={second}
          follow={second ? [...chosen.slice(0, 1), second] : region.length ? region : chosen}
          nearTo={region}
          keepOff={keepOff}
          measures={whose?.measures ?? null}
          fitted={fitting.head}
          jaw={jaw}
          turn={openingMm ? 'left' : null}
        />
      </div>
      <main className="work">
        <div className="work-head no-print">
          <h1>Atlas</h1>
          <div className="end">
            <BsForm.Select
              size="sm"
              aria-label="Whose measures"
              value={whose?.id ?? ''}
              onChange={(e) => {
                const next = new URLSearchParams(query);
                if (e.target.value) next.set('client', e.target.value);
                else next.delete('client');
                setQuery(next, { preventScrollReset: true });
              }}
            >
              <option value="">Average adult</option>
              {measured.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </BsForm.Select>
            <Link to="/atlas/find-it" className="btn btn-outline-primary btn-sm text-nowrap">
              Find-it trainer
            </Link>
          </div>
        </div>
        <div className="atlas-columns">
          <div className="atlas-list no-print">
            <SearchPanel ask={ask} clientId={whose?.id ?? null} />
            <Results answers={answers} ask={ask} query={search} chosen={entry ? `${entry.kind}/${entry.id}` : null} />
          </div>
          <article className="atlas-sheet" aria-live="polite">
            {openingMm > 0 && (
              <Suspense>
                <JawChanges openingMm={openingMm} />
              </Suspense>
            )}
            {entry ? (
              <>
                <div className="sheet-actions no-print">
                  <Link
                    to={`/paper/atlas/${entry.kind}/${entry.id}?${withOpening(new URLSearchParams(whose ? { client: whose.id } : {}), openingMm)}`}
                    className="btn btn-sm btn-outline-primary"
                  >
                    Print
                  </Link>
                  <PictureButtons
                    what="Chart"
                    name={`face-chart-${entry.id.toLowerCase()}`}
                    drawing={() => chart.current && chartAsSvg(chart.current)}
                  />
                </div>
                <Sheet entry={entry} whose={whose} />
              </>
            ) : (
              <p className="empty">
                <strong>{params.id ? 'The atlas has no such sheet' : 'Choose from the list or on the chart'}</strong>
                {params.id
                  ? `Nothing is filed under ${params.kind} ${params.id}.`
                  : 'Layers beside the chart show points, muscles and fibres, landmarks, lymph and measuring lines.'}
              </p>
            )}
          </article>
        </div>
      </main>
    </div>
  );
}
