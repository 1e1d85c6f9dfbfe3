import { describe, expect, test } from 'vitest';
import { jawChanges } from './jaw-changes';
import { openingIn, withOpening } from './jaw-dial';

describe('the dial of the jaw', () => {
  test('stands in the address, and only its own openings are taken from there', () => {
    for (const mm of [0, 10, 25, 40] as const)
      expect(openingIn(withOpening(new URLSearchParams('q=ST7'), mm))).toBe(mm);
    expect(withOpening(new URLSearchParams('q=ST7&jaw=25'), 0).toString()).toBe('q=ST7');
    for (const wrong of ['7', '025', '-10', 'wide', '']) expect(openingIn(new URLSearchParams({ jaw: wrong }))).toBe(0);
  });
});

describe('what an open jaw changes', () => {
  const at = (mm: number) => {
    const { points, muscles } = jawChanges(mm);
    return {
      point: (id: string) => points.find((p) => p.id === id)?.mm ?? 0,
      muscle: (id: string) => muscles.find((m) => m.id === id)!,
      points,
    };
  };
  test('shut, nothing', () => {
    expect(jawChanges(0).points).toEqual([]);
    for (const m of jawChanges(0).muscles) expect(m.openMm).toBe(m.shutMm);
  });
  test('points over the jaw go along, those on the skull stay, the one that goes farthest first', () => {
    const wide = at(40);
    expect(wide.point('ST5')).toBeGreaterThan(wide.point('ST6'));
    expect(wide.point('ST6')).toBeGreaterThan(at(10).point('ST6'));
    for (const id of ['ST7', 'SI19', 'GB2', 'GB14', 'BL2', 'EX-HN5']) expect(wide.point(id), id).toBe(0);
    expect(wide.points.every(({ mm }, i, all) => mm >= 2 && (i === 0 || mm <= all[i - 1]!.mm))).toBe(true);
  });
  test('muscles between skull and jaw grow with every opening', () => {
    for (const id of ['masseter-superficial', 'temporalis-anterior', 'temporalis-posterior']) {
      const lengths = [10, 25, 40].map((mm) => at(mm).muscle(id).openMm);
      expect(lengths[0], id).toBeGreaterThanOrEqual(at(0).muscle(id).shutMm);
      expect(lengths[1], id).toBeGreaterThan(lengths[0]!);
      expect(lengths[2], id).toBeGreaterThan(lengths[1]!);
    }
  });
});
