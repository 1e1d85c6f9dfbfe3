import type { AtlasEntry, EntryKind } from '../../core/atlas';
import MiniSearch from 'minisearch';
import { ATLAS_ENTRIES } from '../../reference/atlas-entries';
import { findClients } from '../../server/db/queries/clients.server';
import { findTemplatesByName } from '../../server/db/queries/templates.server';
import { may } from '../../server/access/may';
import { queryText } from '../schemas/read';
import { permitted } from '../../server/access/session.server';
import type { Found } from '../parts/frame/find-box';
import type { Route } from './+types/find';

const WHAT: Record<EntryKind, string> = {
  point: 'point',
  muscle: 'muscle',
  node: 'lymph node',
  landmark: 'landmark',
  technique: 'technique',
};
const keyOf = (e: AtlasEntry): string => `${e.kind}/${e.id}`;
let index: MiniSearch<AtlasEntry & { key: string }> | null = null;
/** Places and techniques of the trade, in spite of a slip of the hand; made when it is first asked. */
function inAtlas(text: string, limit: number): Found[] {
  if (!index) {
    index = new MiniSearch({
      idField: 'key',
      fields: ['name', 'also', 'words'],
      storeFields: ['kind', 'id', 'name'],
      searchOptions: { boost: { name: 4, also: 2 }, fuzzy: 0.2, prefix: true, combineWith: 'AND' },
    });
    index.addAll(ATLAS_ENTRIES.map((e) => ({ ...e, key: keyOf(e) })));
  }
  return index
    .search(text)
    .slice(0, limit)
    .map((hit) => ({
      to: `/atlas/${String(hit.kind)}/${encodeURIComponent(String(hit.id))}`,
      name: hit.kind === 'point' ? `${String(hit.id)} ${String(hit.name)}` : String(hit.name),
      what: WHAT[hit.kind as EntryKind],
    }));
}

/** What the find box in the top bar finds: clients, routines, places and techniques. */
export async function loader({ request }: Route.LoaderArgs): Promise<{ found: Found[] }> {
  const who = await permitted(request, 'see', 'people');
  const text = queryText(new URL(request.url).searchParams, 'q', 80).trim();
  if (!text) return { found: [] };
  const namesOnly = !may(who, 'see', 'care');
  const [clients, templates] = await Promise.all([
    findClients(who.practiceId, text, 6, { namesOnly }),
    may(who, 'see', 'routines') ? findTemplatesByName(who.practiceId, text, 4) : [],
  ]);
  return {
    found: [
      ...clients.map((c) => ({
        to: namesOnly ? `/today?for=${c.id}` : `/clients/${c.id}`,
        name: c.name,
        what: c.about || 'client',
      })),
      ...templates.map((t) => ({ to: `/routines/${t.id}`, name: t.name, what: 'routine' })),
      ...inAtlas(text, 5),
    ],
  };
}
