import { type Box, placeLabels, type Sheet } from '../../../core/atlas';
import { useMemo } from 'react';

export interface Named {
  key: string;
  text: string;
  x: number;
  y: number;
  clear: number;
  rank: number;
  kind: string;
  /** Kept clear of, but not named. */
  silent: boolean;
}

const FONT_PX = 11;
let pen: CanvasRenderingContext2D | null | undefined;

/** Width of a name on the screen in px; measured where there is a canvas, else a careful guess. */
function widthOf(text: string): number {
  if (pen === undefined) {
    pen = typeof document === 'undefined' ? null : document.createElement('canvas').getContext('2d');
    if (pen) pen.font = `600 ${FONT_PX}px 'Atkinson Hyperlegible Next Variable', sans-serif`;
  }
  return pen ? pen.measureText(text).width + 1 : text.length * FONT_PX * 0.58;
}

/** Names beside their marks; none covers another, a mark or the edge. What finds no room shows when the sheet is nearer. */
export function LabelLayer({
  named,
  unit,
  sheet,
  taken,
}: {
  named: readonly Named[];
  unit: number;
  sheet: Sheet;
  taken: readonly Box[];
}) {
  const { left, top, right, bottom } = sheet;
  const placed = useMemo(() => {
    const inside = named.filter((n) => n.x > left && n.x < right && n.y > top && n.y < bottom);
    const wishes = inside
      .filter((n) => !n.silent)
      .map((n) => ({ ...n, width: widthOf(n.text) * unit, height: FONT_PX * 1.15 * unit }));
    const names = new Map(wishes.map((w) => [w.key, w]));
    return placeLabels(
      wishes,
      { left, top, right, bottom },
      inside.filter((n) => n.silent),
      taken,
    ).placed.map((box) => ({ ...box, text: names.get(box.key)!.text, kind: names.get(box.key)!.kind }));
  }, [named, unit, left, top, right, bottom, taken]);
  return (
    <g className="map-labels" style={{ fontSize: FONT_PX * unit }}>
      {placed.map((p) => (
        <g key={p.key}>
          {p.leader && (
            <line x1={p.leader[0]} y1={p.leader[1]} x2={p.leader[2]} y2={p.leader[3]} strokeWidth={0.7 * unit} />
          )}
          <text className={`is-${p.kind}`} x={p.x} y={p.y + FONT_PX * 0.92 * unit} strokeWidth={2.6 * unit}>
            {p.text}
          </text>
        </g>
      ))}
    </g>
  );
}
