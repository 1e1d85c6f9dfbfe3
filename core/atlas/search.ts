import type { Region } from '../words/index.ts';
import type { Tradition } from './rows.ts';

export const ENTRY_KINDS = ['point', 'muscle', 'node', 'landmark', 'technique'] as const;
export type EntryKind = (typeof ENTRY_KINDS)[number];

/** One row of the atlas as it is searched. */
export interface AtlasEntry {
  /** What it is. */
  kind: EntryKind;
  /** Of its row. */
  id: string;
  /** As it is shown. */
  name: string;
  /** Said after the name: translation, anatomical name, phase. */
  also: string;
  /** Regions it lies in or works. */
  regions: readonly Region[];
  /** Complaints it is used for; of points, by tradition. */
  serves: readonly Tradition[];
  /** Ids of muscles it has to do with. */
  muscles: readonly string[];
  /** Further words that find it, lower case. */
  words: string;
}

export interface AtlasAsk {
  /** Words to look for; empty for all. */
  text: string;
  /** Only this kind; null for all. */
  kind: EntryKind | null;
  /** Only in this region; null for all. */
  region: Region | null;
  /** Only what serves this; null for all. */
  complaint: Tradition | null;
  /** Only what has to do with this muscle; null for all. */
  muscle: string | null;
}

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase()
    .replace(/[’']/g, '');

/** How well an entry answers to some words, 0 = not at all. Every word must be found somewhere. */
export function entryScore(entry: AtlasEntry, text: string): number {
  const words = plain(text)
    .split(/[^a-z0-9.]+/)
    .filter(Boolean);
  if (!words.length) return 1;
  const id = plain(entry.id);
  const name = plain(entry.name);
  const rest = plain(`${entry.id} ${entry.also} ${entry.words} ${entry.regions.join(' ')} ${entry.serves.join(' ')}`);
  let score = plain(text).trim() === id ? 100 : 0;
  for (const word of words) {
    if (id === word) score += 40;
    else if (name.split(/[^a-z0-9]+/).some((w) => w.startsWith(word))) score += 12;
    else if (id.startsWith(word)) score += 10;
    else if (name.includes(word)) score += 6;
    else if (rest.split(/[^a-z0-9]+/).some((w) => w.startsWith(word))) score += 3;
    else if (rest.includes(word)) score += 1;
    else return 0;
  }
  return score;
}

/** Entries that answer, best first; equal ones stay in the order they came in. */
export function searchAtlas<E extends AtlasEntry>(entries: readonly E[], ask: AtlasAsk): E[] {
  return entries
    .filter(
      (e) =>
        (!ask.kind || e.kind === ask.kind) &&
        (!ask.region || e.regions.includes(ask.region)) &&
        (!ask.complaint || e.serves.includes(ask.complaint)) &&
        (!ask.muscle || e.muscles.includes(ask.muscle) || (e.kind === 'muscle' && e.id === ask.muscle)),
    )
    .map((entry, i) => ({ entry, i, score: entryScore(entry, ask.text) }))
    .filter((s) => s.score > 0)
    .sort((a, b) => b.score - a.score || a.i - b.i)
    .map((s) => s.entry);
}
