import type { AtlasEntry } from '../core/atlas/index.ts';
import { PHASE_NAMES } from '../core/words/index.ts';
import { TECHNIQUES } from './catalogue.ts';
import { LANDMARKS } from './facts/landmarks.ts';
import { LYMPH_NODES } from './facts/lymph.ts';
import { MUSCLES } from './facts/muscles/index.ts';
import { POINTS } from './facts/points/index.ts';

/** Everything that the atlas can be searched for. */
export const ATLAS_ENTRIES: readonly AtlasEntry[] = [
  ...POINTS.map((p): AtlasEntry => ({
    kind: 'point',
    id: p.id,
    name: `${p.id} ${p.name}`,
    also: p.gloss,
    regions: [p.region],
    serves: p.tradition,
    muscles: p.muscles,
    words: `${p.where} ${p.find}`,
  })),
  ...MUSCLES.map((m): AtlasEntry => ({
    kind: 'muscle',
    id: m.id,
    name: m.name,
    also: m.id.replaceAll('-', ' '),
    regions: [m.region],
    serves: m.serves,
    muscles: [m.id],
    words: `${m.find} ${m.action} muscle`,
  })),
  ...LYMPH_NODES.map((n): AtlasEntry => ({
    kind: 'node',
    id: n.id,
    name: `Nodes: ${n.name}`,
    also: n.id.replaceAll('-', ' '),
    regions: [n.region],
    serves: ['puffiness'],
    muscles: [],
    words: `lymph node group drainage ${n.where} ${n.note}`,
  })),
  ...LANDMARKS.map((l): AtlasEntry => ({
    kind: 'landmark',
    id: l.id,
    name: l.name,
    also: l.code,
    regions: [],
    serves: [],
    muscles: [],
    words: `landmark ${l.what}`,
  })),
  ...TECHNIQUES.map((t): AtlasEntry => ({
    kind: 'technique',
    id: t.id,
    name: t.name,
    also: PHASE_NAMES[t.phase].toLowerCase(),
    regions: t.regions,
    serves: t.serves,
    muscles: t.muscles,
    words: `${t.direction} ${t.motion} ${t.contacts.join(' ')} ${t.points.join(' ')} ${t.craft}`,
  })),
];
