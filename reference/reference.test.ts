import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { REGIONS, type Region } from '../core/atlas/regions.ts';
import { expandRoutine } from '../core/routine/cues.ts';
import { parseRoutine } from '../core/routine/schema.ts';
import { PHASES } from '../core/routine/technique.ts';
import { parseAppliesTo } from '../core/screening/grammar.ts';
import { SEVERITIES } from '../core/screening/screen.ts';
import { pressureRank } from '../core/units.ts';
import { routineOf, stepOf } from '../tests/support/routines.ts';
import { CATALOGUE, TECHNIQUES } from './catalogue.ts';
import { CAUTIONS } from './cautions.ts';
import PLACES from './chart/places.json' with { type: 'json' };
import { LANDMARKS } from './landmarks.ts';
import { MUSCLES } from './muscles.ts';
import { KEEP_OFF, LYMPH_NODES, REGION_PATCHES } from './other-places.ts';
import { POINTS } from './points.ts';
import { PREPARATION } from './preparation.ts';

const unique = (ids: readonly string[]) => expect(ids.length).toBe(new Set(ids).size);
type Located = { mm: [number, number, number]; views: Record<string, { x: number; y: number; visible: boolean }> };
const places = PLACES as unknown as Record<string, Located>;

describe('ids', () => {
  test('no two rows of a table share one', () => {
    for (const table of [TECHNIQUES, POINTS, MUSCLES, LANDMARKS, LYMPH_NODES, KEEP_OFF, REGION_PATCHES]) unique(table.map((row) => row.id));
    unique(CAUTIONS.map((c) => c.key));
    unique(PREPARATION.map((p) => p.key));
  });
});

describe('techniques', () => {
  test('there are enough for every complaint, opening and closing', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(24);
    for (const kind of ['jaw', 'headache', 'eye-strain', 'stress'] as const) expect(TECHNIQUES.filter((t) => t.serves.includes(kind)).length, kind).toBeGreaterThanOrEqual(6);
    for (const phase of ['breathe', 'open-drainage', 'neck', 'release', 'press', 'close-drainage', 'settle'] as const) expect(TECHNIQUES.some((t) => t.phase === phase), phase).toBe(true);
  });
  test.each(TECHNIQUES.map((t) => [t.id, t] as const))('%s is whole', (id, t) => {
    const step = stepOf(id, 'a');
    expect(() => parseRoutine(routineOf([step]))).not.toThrow();
    expect(expandRoutine(routineOf([step])).length).toBeGreaterThan(1);
    expect(PHASES).toContain(t.phase);
    for (const region of t.regions) expect(REGIONS).toContain(region);
    for (const place of step.places) expect(CATALOGUE.placeName(place), `${id}: ${place.kind}:${place.id}`).not.toBeNull();
    for (const muscle of t.muscles) expect(MUSCLES.some((m) => m.id === muscle), muscle).toBe(true);
    for (const point of t.points) expect(POINTS.some((p) => p.id === point), point).toBe(true);
    if (t.pressure) expect(pressureRank(t.pressure.least)).toBeLessThanOrEqual(pressureRank(t.pressure.most));
    expect(t.pressure === null).toBe(step.pressure === null);
    expect(t.contacts).toContain(step.contact);
    expect(t.cue.length).toBeGreaterThan(5);
    expect(`${t.name} ${t.cue} ${t.clientCue}`).not.toMatch(/detox|cure|toxin|heal/i);
  });
});

describe('cautions', () => {
  test.each(CAUTIONS.map((c) => [c.key, c] as const))('%s is whole', (_key, c) => {
    expect(SEVERITIES).toContain(c.severity);
    const clauses = parseAppliesTo(c.appliesTo);
    for (const term of clauses.flat()) if (term.kind === 'region') for (const v of term.values) expect(REGIONS).toContain(v as Region);
    expect(c.source.length).toBeGreaterThan(5);
    expect(c.advice.length).toBeGreaterThan(5);
    if (c.group === 'red-flag') expect(c.seeWho, 'a red flag says who to see').not.toBe('');
    expect(c.group === 'everyone').toBe(c.question === null);
    if (c.question) expect(c.question).toMatch(/\?$/);
    expect(`${c.title} ${c.advice}`).not.toMatch(/diagnos|you have/i);
  });
});

describe('positions on the chart', () => {
  test('every paired place has two sides that mirror each other, every other one lies on the midline', () => {
    for (const [key, { mm }] of Object.entries(places)) {
      if (key.endsWith('.left')) {
        const right = places[key.replace(/\.left$/, '.right')];
        expect(right, key).toBeDefined();
        expect(right!.mm).toEqual([-mm[0], mm[1], mm[2]]);
        expect(mm[0], key).toBeGreaterThan(0);
      } else if (key.endsWith('.midline')) expect(Math.abs(mm[0]), key).toBeLessThan(9);
    }
  });
  test('every place can be seen in at least one view, but those under the chin and on top', () => {
    const hidden = Object.entries(places).filter(([, p]) => !Object.values(p.views).some((v) => v.visible)).map(([key]) => key);
    expect(hidden.filter((k) => !/vertex|gnathion|menton|under-chin|digastric|eyeball/.test(k))).toEqual([]);
  });
  test('all rows of points, muscles, landmarks and nodes are there', () => {
    for (const p of POINTS.filter((x) => x.anchor)) expect(places[`point:${p.id}.${p.paired ? 'left' : 'midline'}`], p.id).toBeDefined();
    for (const l of LANDMARKS) expect(places[`landmark:${l.id}.${l.paired ? 'left' : 'midline'}`], l.id).toBeDefined();
    for (const n of LYMPH_NODES) expect(places[`node:${n.id}.left`], n.id).toBeDefined();
  });
  test('anatomy holds: which lies above, outside, before which', () => {
    const at = (key: string) => places[key]!.mm;
    const [x, y, z] = [0, 1, 2];
    expect(at('point:GB14.left')[y]!).toBeGreaterThan(at('landmark:brow-peak.left')[y]!);
    expect(at('point:BL2.left')[x]!).toBeLessThan(at('point:EX-HN4.left')[x]!);
    expect(at('point:EX-HN4.left')[x]!).toBeLessThan(at('point:TE23.left')[x]!);
    expect(at('point:ST6.left')[z]!).toBeGreaterThan(at('landmark:gonion.left')[z]!);
    expect(at('point:ST7.left')[z]!).toBeGreaterThan(at('landmark:condylion.left')[z]!);
    expect(at('point:ST3.left')[y]!).toBeLessThan(at('point:ST2.left')[y]!);
    expect(at('point:TE17.left')[z]!).toBeLessThan(at('landmark:tragion.left')[z]!);
    expect(at('point:GB20.left')[z]!).toBeLessThan(at('landmark:mastoid.left')[z]!);
    expect(at('point:ST12.left')[y]!).toBeGreaterThan(at('landmark:clavicle-mid.left')[y]!);
    expect(at('muscle:masseter-superficial.left')[y]!).toBeLessThan(at('landmark:zygion.left')[y]!);
  });
  test('left is at the right edge from the front and at the left edge from behind', () => {
    for (const [key, p] of Object.entries(places).filter(([k]) => k.endsWith('.left'))) {
      expect(p.views.front!.x, key).toBeGreaterThan(220);
      expect(p.views.back!.x, key).toBeLessThan(220);
    }
  });
});

describe('drawings that ship', () => {
  test.each(['front', 'left', 'right', 'back'])('%s is under 120 kB and carries no style, no script, no address', (view) => {
    const svg = readFileSync(`app/chart/terrain/${view}.svg`, 'utf8');
    expect(svg.length).toBeLessThan(120_000);
    expect(svg).not.toMatch(/<style|style=|<script|href=|on[a-z]+=/);
    expect(svg.replace('http://www.w3.org/2000/svg', '')).not.toMatch(/https?:/);
    for (const layer of ['chart-skin', 'chart-relief', 'chart-contours', 'chart-edges', 'chart-features']) expect(svg).toContain(layer);
  });
});
