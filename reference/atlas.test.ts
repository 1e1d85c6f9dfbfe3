import { wayToTerminus } from '../core/atlas/index.ts';
import { VIEWS } from '../core/drawing/index.ts';
import { reachOfPlace } from '../core/limits/index.ts';
import { COMPLAINT_KINDS, REGIONS } from '../core/words/index.ts';
import { readFileSync, statSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { BODY_INCHES } from './facts/body-inches.ts';
import { CAUTIONS } from './facts/cautions/index.ts';
import FIBRES from './derived/fibres.json' with { type: 'json' };
import PLACES from './derived/places.json' with { type: 'json' };
import { LANDMARKS } from './facts/landmarks.ts';
import { DRAINAGE_PATHS, LYMPH_NODES } from './facts/lymph.ts';
import { MUSCLES } from './facts/muscles/index.ts';
import { KEEP_OFF, REGION_PATCHES } from './facts/other-places.ts';
import { POINTS } from './facts/points/index.ts';

type Placed = { mm: [number, number, number]; body?: 'hand'; views: Record<string, { x: number; y: number }> };
const places = PLACES as unknown as Record<string, Placed>;
const cautionKeys = new Set(CAUTIONS.map((c) => c.key));
const muscleIds = new Set(MUSCLES.map((m) => m.id));
const landmarkIds = new Set(LANDMARKS.map((l) => l.id));
const TRADITIONS: readonly string[] = [...COMPLAINT_KINDS, 'migraine', 'sleep'];

describe('tables', () => {
  test('no two rows of a table share an id', () => {
    for (const table of [
      POINTS,
      MUSCLES,
      LANDMARKS,
      LYMPH_NODES,
      DRAINAGE_PATHS,
      KEEP_OFF,
      REGION_PATCHES,
      BODY_INCHES,
    ])
      expect(new Set(table.map((row) => row.id)).size).toBe(table.length);
  });
  test('every point names a landmark, muscles, cautions and traditions that exist', () => {
    for (const p of POINTS) {
      expect(landmarkIds, p.id).toContain(p.place.landmark);
      for (const m of p.muscles) expect(muscleIds, p.id).toContain(m);
      for (const c of p.cautions) expect(cautionKeys, p.id).toContain(c);
      for (const t of p.tradition) expect(TRADITIONS, p.id).toContain(t);
      expect(REGIONS).toContain(p.region);
      for (const words of [p.where, p.find, p.press, p.name, p.gloss]) expect(words.length, p.id).toBeGreaterThan(3);
      expect(`${p.where} ${p.find} ${p.press}`).not.toMatch(/detox|cure|toxin|heal\b/i);
    }
  });
  test('what a caution takes away at a point is told on its sheet, and every caution told there reaches it', () => {
    for (const p of POINTS) {
      const place = { region: p.region, point: p.id };
      for (const c of CAUTIONS) {
        const closed = c.appliesTo.some((clause) => clause.point?.includes(p.id)) && reachOfPlace(c, place);
        if (closed && closed.effect === 'off' && c.group !== 'everyone')
          expect(p.cautions, `${c.key} and ${p.id}`).toContain(c.key);
      }
      for (const key of p.cautions) expect(cautionKeys, `${p.id}: ${key}`).toContain(key);
    }
  });
  test('every muscle is whole: attachments, action, nerve, a way to feel it, cautions that exist', () => {
    for (const m of MUSCLES) {
      for (const words of [m.origin, m.insertion, m.action, m.nerve, m.find, m.work])
        expect(words.length, m.id).toBeGreaterThan(3);
      for (const c of m.cautions) expect(cautionKeys, m.id).toContain(c);
      for (const region of m.referral.fields)
        expect(
          REGION_PATCHES.map((r) => r.id),
          m.id,
        ).toContain(region);
      expect(m.fibreDegrees === null || (m.fibreDegrees >= 0 && m.fibreDegrees < 180), m.id).toBe(true);
    }
  });
  test('every node group drains to where the great veins meet', () => {
    for (const n of LYMPH_NODES) expect(wayToTerminus(LYMPH_NODES, n.id).at(-1), n.id).toBe('terminus');
  });
  test('every region but hands, arms and the like has a way to drain', () => {
    const covered = new Set(DRAINAGE_PATHS.map((p) => p.region));
    for (const region of REGION_PATCHES.map((r) => r.id))
      if (!['hand', 'arm', 'lips'].includes(region)) expect(covered, region).toContain(region);
    for (const p of DRAINAGE_PATHS)
      expect(
        LYMPH_NODES.map((n) => n.id),
        p.id,
      ).toContain(p.to);
  });
});

describe('positions on the chart', () => {
  test('all rows of points, muscles, landmarks and nodes are there, but those of the leg', () => {
    const has = (key: string, paired: boolean) =>
      expect(places[`${key}.${paired ? 'left' : 'midline'}`], key).toBeDefined();
    for (const p of POINTS.filter((x) => x.place.from !== 'leg')) has(`point:${p.id}`, p.paired);
    for (const l of LANDMARKS.filter((x) => x.anchor)) has(`landmark:${l.id}`, l.paired);
    for (const m of MUSCLES) has(`muscle:${m.id}`, m.paired);
    for (const n of LYMPH_NODES) has(`node:${n.id}`, true);
    expect(POINTS.filter((x) => x.place.from === 'leg').map((p) => p.id)).toEqual(['LR3', 'ST36']);
    expect(LANDMARKS.filter((l) => !l.anchor)).toHaveLength(5);
  });
  test('every paired place has two sides that mirror each other, every other one lies on the midline', () => {
    for (const [key, { mm, body }] of Object.entries(places)) {
      if (key.endsWith('.left')) {
        const right = places[key.replace(/\.left$/, '.right')];
        expect(right, key).toBeDefined();
        expect(right!.mm).toEqual([body ? mm[0] : 0 - mm[0], mm[1], mm[2]]);
        if (!body && !key.startsWith('drainage:')) expect(mm[0], key).toBeGreaterThan(0);
      } else if (key.endsWith('.midline')) expect(Math.abs(mm[0]), key).toBeLessThan(0.5);
    }
  });
  test('every place can be seen in at least one view', () => {
    expect(
      Object.entries(places)
        .filter(([, p]) => !Object.keys(p.views).length)
        .map(([key]) => key),
    ).toEqual([]);
  });
  test('left is at the right edge from the front, from above and on the hands, and at the left edge from behind', () => {
    for (const [key, p] of Object.entries(places).filter(([k]) => k.endsWith('.left') && !k.startsWith('drainage:'))) {
      for (const [view, half] of [
        ['front', 220],
        ['top', 160],
        ['chest', 360],
        ['palms', 320],
        ['backs', 320],
      ] as const)
        if (p.views[view]) expect(p.views[view].x, `${key} ${view}`).toBeGreaterThan(half);
      if (p.views.back) expect(p.views.back.x, key).toBeLessThan(220);
    }
  });
  test('every muscle but the tongue has fibres in some view on both sides', () => {
    for (const m of MUSCLES.filter((x) => x.fan))
      for (const side of ['left', 'right'])
        expect(
          Object.keys((FIBRES as Record<string, object>)[`${m.id}.${side}`] ?? {}).length,
          `${m.id} ${side}`,
        ).toBeGreaterThan(0);
  });
});

describe('drawings that ship', () => {
  test.each(VIEWS)('%s is under 130 kB and carries no style, no script, no address', (view) => {
    const svg = readFileSync(`app/parts/chart/terrain/${view}.svg`, 'utf8');
    expect(svg.length).toBeLessThan(130_000);
    expect(svg).not.toMatch(/<style|style=|<script|on[a-z]+=|href="[^#]/);
    expect(svg.replace('http://www.w3.org/2000/svg', '')).not.toMatch(/https?:/);
    for (const layer of ['chart-skin', 'chart-relief', 'chart-contours', 'chart-edges', 'chart-features'])
      expect(svg).toContain(layer);
  });
  test('the small pictures of all views come in one file of at most 30 kB', () =>
    expect(statSync('app/parts/chart/terrain/thumbs.svg').size).toBeLessThan(30_000));
  test('the fibres of all muscles in one view are under 120 kB', () => {
    for (const view of VIEWS)
      expect(
        Object.values(FIBRES as unknown as Record<string, Record<string, { outline: string; fibres: string }>>).reduce(
          (sum, m) => sum + (m[view] ? m[view].outline.length + m[view].fibres.length : 0),
          0,
        ),
        view,
      ).toBeLessThan(120_000);
    expect(statSync('reference/derived/places.json').size).toBeLessThan(120_000);
  });
});
