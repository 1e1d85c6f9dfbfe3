import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { findClient } from '../../../server/db/queries/clients.server';
import { latestMeasures } from '../../../server/db/queries/measures.server';
import { ATLAS_ENTRIES } from '../../../reference/atlas-entries';
import { notFound, permitted } from '../../../server/access/session.server';
import { standingMarks } from '../../parts/chart/chart-marks';
import { useFitted } from '../../parts/chart/fitted';
import { bestView, spotOf, type Place, type View } from '../../parts/chart/places';
import { PaperCharts, viewsShowing } from '../../parts/paper/paper-charts';
import { Sheet } from '../../parts/paper/sheet';
import { openingIn } from '../../rooms/atlas/jaw-dial';
import { pathsOfEntry, placesOfEntry } from '../../rooms/atlas/places-of';
import { Sheet as AtlasSheet } from '../../rooms/atlas/sheet';
import type { Route } from './+types/atlas';

/** The view that shows it best, and one more where that hides a part of it. */
function viewsOf(places: readonly Place[]): View[] {
  if (!places.length) return [];
  const best = bestView(places);
  return [best, ...viewsShowing(places.filter((p) => !spotOf(p, best)))].slice(0, 2);
}

const entryOf = ({ kind, id }: { kind?: string; id?: string }) =>
  ATLAS_ENTRIES.find((e) => e.kind === kind && e.id === id) ?? null;

export async function loader({ request, params }: Route.LoaderArgs) {
  const { practiceId } = await permitted(request, 'see', 'atlas');
  if (!entryOf(params)) notFound('sheet');
  const clientId = new URL(request.url).searchParams.get('client');
  const [client, measures] = await Promise.all([
    clientId ? findClient(practiceId, clientId) : null,
    clientId ? latestMeasures(practiceId, clientId) : null,
  ]);
  return { whose: client && measures ? { id: client.id, name: client.name, measures } : null };
}
export const meta: Route.MetaFunction = ({ params }) => [
  { title: `${entryOf(params)?.name ?? 'Atlas'} · Velvet Compass` },
];

/** One sheet of the atlas on paper, with its chart. */
export default function AtlasOnPaper({ loaderData: { whose }, params }: Route.ComponentProps) {
  const entry = entryOf(params)!;
  const { paths, places } = useMemo(() => ({ paths: pathsOfEntry(entry), places: placesOfEntry(entry) }), [entry]);
  const views = useMemo(() => viewsOf(places), [places]);
  const keepOff = useMemo(() => standingMarks(), []);
  const { head } = useFitted(whose?.measures ?? null);
  const [query] = useSearchParams();
  const openingMm = openingIn(query);
  const jaw = openingMm ? { pose: { openingMm } } : null;
  const search = query.size ? `?${query}` : '';
  return (
    <Sheet
      title="Atlas"
      who={whose ? `in the measures of ${whose.name}` : ''}
      back={{ to: `/atlas/${entry.kind}/${entry.id}${search}`, words: 'Back to the atlas' }}
    >
      {places.length > 0 && (
        <PaperCharts
          views={jaw && !views.includes('left') ? ['left', ...views.slice(0, 1)] : views}
          jaw={jaw}
          chosen={paths ? null : (places[0] ?? null)}
          paths={paths}
          keepOff={keepOff}
          measures={whose?.measures ?? null}
          fitted={head}
        />
      )}
      <article className="atlas-sheet">
        <AtlasSheet entry={entry} whose={whose} />
      </article>
    </Sheet>
  );
}
