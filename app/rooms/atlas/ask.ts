import {
  type AtlasAsk,
  type AtlasEntry,
  ENTRY_KINDS,
  type EntryKind,
  searchAtlas,
  type Tradition,
} from '../../../core/atlas';
import { type Reach, reachOfPlace, reachOfTechnique } from '../../../core/limits';
import { type Region, REGIONS } from '../../../core/words';
import { ATLAS_ENTRIES } from '../../../reference/atlas-entries';
import { CATALOGUE } from '../../../reference/catalogue';
import { CAUTIONS } from '../../../reference/facts/cautions';
import { POINTS } from '../../../reference/facts/points';

export const TRADITIONS: readonly Tradition[] = [
  'jaw',
  'headache',
  'migraine',
  'eye-strain',
  'stress',
  'neck-tension',
  'sinus',
  'sleep',
  'puffiness',
];
export const KIND_NAMES: Record<EntryKind, string> = {
  point: 'Points',
  muscle: 'Muscles',
  node: 'Lymph nodes',
  landmark: 'Landmarks',
  technique: 'Techniques',
};

export interface Ask extends AtlasAsk {
  caution: string | null;
}

/** The question that an address asks; whatever it does not know is left out. */
export function readAsk(query: URLSearchParams): Ask {
  const of = <T extends string>(name: string, known: readonly T[]): T | null =>
    known.find((k) => k === query.get(name)) ?? null;
  return {
    text: (query.get('q') ?? '').slice(0, 80),
    kind: of('kind', ENTRY_KINDS),
    region: of<Region>('region', REGIONS),
    complaint: of('complaint', TRADITIONS),
    muscle: query.get('muscle'),
    caution: of(
      'caution',
      CAUTIONS.map((c) => c.key),
    ),
  };
}

export interface Answer {
  entry: AtlasEntry;
  /** How the asked caution touches it. */
  reach: Reach | null;
}

/** Rows that answer; with a caution, only what it touches, the hardest first. */
export function answersTo(ask: Ask): Answer[] {
  const found = searchAtlas(ATLAS_ENTRIES, ask);
  const caution = CAUTIONS.find((c) => c.key === ask.caution);
  if (!caution) return found.map((entry) => ({ entry, reach: null }));
  const hardness = { off: 0, capped: 1, care: 2 };
  return found
    .flatMap((entry) => {
      const reach = reachOf(caution.key, entry);
      return reach ? [{ entry, reach }] : [];
    })
    .sort((a, b) => hardness[a.reach.effect] - hardness[b.reach.effect]);
}

/** Each caution by itself, as the atlas asks. */
const ALONE = new Map(CAUTIONS.map((c) => [c.key, [c]]));

/** How a caution touches an entry of the atlas. */
export function reachOf(cautionKey: string, entry: Pick<AtlasEntry, 'kind' | 'id' | 'regions'>): Reach | null {
  const caution = CAUTIONS.find((c) => c.key === cautionKey);
  if (!caution) return null;
  if (entry.kind === 'technique') {
    const technique = CATALOGUE.techniques.get(entry.id);
    return technique
      ? (reachOfTechnique(ALONE.get(caution.key)!, technique, CATALOGUE).get(caution.key) ?? null)
      : null;
  }
  const region = entry.regions[0] ?? null;
  if (entry.kind === 'point')
    return reachOfPlace(caution, { region: POINTS.find((p) => p.id === entry.id)?.region ?? null, point: entry.id });
  return reachOfPlace(caution, entry.kind === 'muscle' ? { region, muscle: entry.id } : { region });
}

const EFFECT_WORDS: Record<Reach['effect'], string> = { off: 'off limits', capped: 'limited', care: 'with care' };
export const reachWords = (reach: Reach): string =>
  reach.effect === 'capped'
    ? `no ${reach.what}`
    : reach.what
      ? `${EFFECT_WORDS[reach.effect]}: ${reach.what}`
      : EFFECT_WORDS[reach.effect];
