import type { Place, Shown } from './places';
import type { Aim } from './use-zoom';

interface Size {
  width: number;
  height: number;
}
/** The part of a sheet that is shown, in its px. */
export interface Part extends Size {
  x: number;
  y: number;
}

/** The part of the sheet that a frame of some size shows at a scale, with the sheet centred as it is drawn at scale 1. */
export function visiblePart(sheet: Size, frame: Size, { k, x, y }: { k: number; x: number; y: number }): Part {
  if (!frame.width || k === 1) return { x: 0, y: 0, ...sheet };
  const unit = Math.max(sheet.width / frame.width, sheet.height / frame.height);
  const left = (sheet.width - frame.width * unit) / 2;
  const top = (sheet.height - frame.height * unit) / 2;
  return {
    x: left + (-x / k) * unit,
    y: top + (-y / k) * unit,
    width: (frame.width / k) * unit,
    height: (frame.height / k) * unit,
  };
}

/** Where the layers stand as words, in CSS px: names of the map keep off them. */
const TOOLS = { width: 84, height: 140 };

export function wordBoxes(part: Part, frame: Size, unit: number): { x0: number; y0: number; x1: number; y1: number }[] {
  const x = (css: number) => part.x + (css - (frame.width - part.width / unit) / 2) * unit;
  const y = (css: number) => part.y + (css - (frame.height - part.height / unit) / 2) * unit;
  return [
    { x0: x(0), y0: y(0), x1: x(TOOLS.width), y1: y(TOOLS.height) },
    { x0: x(frame.width - TOOLS.width), y0: y(0), x1: x(frame.width), y1: y(TOOLS.height) },
  ];
}

/** How near a chart comes where nothing else is said. */
const NEAR_SCALE = 2.3;

/**
 * The middle of some places in px of the frame, and how near to come.
 * @param span so much of the sheet stays in sight, px, however large the frame is
 */
export function aimAt(places: readonly Place[], sheet: Size, frame: Size, shown: Shown, span?: Size): Aim | null {
  const spots = places.map(shown).filter((s) => s !== null);
  if (!spots.length || !frame.width) return null;
  const unit = Math.max(sheet.width / frame.width, sheet.height / frame.height);
  const middle = (values: number[]) => (Math.min(...values) + Math.max(...values)) / 2;
  return {
    x: middle(spots.map((s) => s.x)) / unit + (frame.width - sheet.width / unit) / 2,
    y: middle(spots.map((s) => s.y)) / unit + (frame.height - sheet.height / unit) / 2,
    k: span ? Math.min((frame.width * unit) / span.width, (frame.height * unit) / span.height) : NEAR_SCALE,
  };
}

/** The part of the sheet around some places, never so near that the face cannot be told. */
export function near(places: readonly Place[], sheet: Size, shown: Shown): Part {
  const spots = places.map(shown).filter((s) => s !== null);
  if (!spots.length) return { x: 0, y: 0, ...sheet };
  const xs = spots.map((s) => s.x);
  const ys = spots.map((s) => s.y);
  const width = Math.min(sheet.width, Math.max(260, Math.max(...xs) - Math.min(...xs) + 140));
  const height = (width * sheet.height) / sheet.width;
  const clamp = (centre: number, size: number, most: number) => Math.min(Math.max(centre - size / 2, 0), most - size);
  return {
    x: clamp((Math.min(...xs) + Math.max(...xs)) / 2, width, sheet.width),
    y: clamp((Math.min(...ys) + Math.max(...ys)) / 2, height, sheet.height),
    width,
    height,
  };
}
