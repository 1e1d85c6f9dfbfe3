import {
  openingPath,
  OPENING_KEYS,
  type OpeningKey,
  openingFromRuler,
  type OpeningPath,
} from '../../../../core/measures';
import { MOST_DRAWN_MM } from '../../../../core/drawing';
import type { OneSide } from '../../../../core/words';
import type { JawShown } from '../../../parts/chart/jaw/posed';
import type { View } from '../../../parts/chart/places';
import type { JawReadings } from './jaw-readings';

/** What of the jaw is being typed: then the chart opens to it. */
export type JawLook =
  | { at: 'opening'; measure: OpeningKey; typedMm: number | null; wasMm: number | null }
  | { at: 'click'; side: OneSide; opening: boolean; typedMm: number | null }
  | { at: 'way' };

/** While a field is typed in, what stood in it at first stays told. */
export const lookedOn = (last: JawLook | null, next: JawLook | null): JawLook | null =>
  next?.at === 'opening' && last?.at === 'opening' && last.measure === next.measure
    ? { ...next, wasMm: last.wasMm }
    : next;

/** The name of an opening on the chart. */
const OPENING_SHORT: Record<OpeningKey, string> = {
  'opening-mm': 'comfortable',
  'opening-furthest-mm': 'furthest',
  'opening-assisted-mm': 'helped',
};

/** An opening that is told on the chart: its jaw is a line. */
export interface ToldOpening {
  mm: number;
  words: string;
  /** Measured at an earlier visit. */
  earlier: boolean;
}
export interface JawScene {
  view: View;
  jaw: JawShown;
  /** The opening that is drawn, above what can be drawn too. */
  nowMm: number | null;
  /** Other openings of today, and earlier ones. */
  others: ToldOpening[];
  /** Clicks on the side that is looked at, by whether the jaw opens. */
  clicks: { mm: number; opening: boolean; side: OneSide }[];
  /** How the lower midline goes; null in profile. */
  way: { path: OpeningPath; offMm: number; side: OneSide } | null;
}

/** So many earlier openings are told, the latest ones. */
const EARLIER_MOST = 3;
/** Drawn where no opening was measured yet: wide enough to see how it goes. */
const WAY_MM = 30;
const SIDES = ['right', 'left'] as const;

const typedOpening = (look: Extract<JawLook, { at: 'opening' }>, jaw: JawReadings): number | null => {
  if (look.typedMm === null) return null;
  try {
    return openingFromRuler(look.typedMm, jaw.overlapMm ?? 0).openingMm;
  } catch {
    // Refused at its field.
    return null;
  }
};

/** What the chart shows while something of the jaw is typed. */
export function sceneOf(look: JawLook, jaw: JawReadings): JawScene {
  const kept = (measure: OpeningKey) => jaw.of(measure) ?? null;
  const widest = OPENING_KEYS.map(kept).reduce<number | null>(
    (most, mm) => (mm === null ? most : Math.max(most ?? 0, mm)),
    null,
  );
  if (look.at === 'way') {
    const offs = SIDES.flatMap((side) => {
      const offMm = jaw.of('path-off-mm', side);
      return offMm === undefined ? [] : [{ side, offMm }];
    });
    const off = offs[0] ?? { side: 'left' as const, offMm: 0 };
    const path = openingPath(off.offMm, jaw.of('path-returns') === 1);
    const openingMm = widest ?? WAY_MM;
    const leftMm = path === 'stays-off' ? (off.side === 'left' ? off.offMm : -off.offMm) : 0;
    return {
      ...{ view: 'front', jaw: { pose: { openingMm, leftMm } }, nowMm: widest },
      ...{ others: [], clicks: [], way: { path, ...off } },
    };
  }
  const keptClicks = SIDES.flatMap((side) =>
    (['click-opening-mm', 'click-closing-mm'] as const).flatMap((measure) => {
      const mm = jaw.of(measure, side);
      return mm === undefined ? [] : [{ mm, opening: measure === 'click-opening-mm', side }];
    }),
  );
  const typed = look.at === 'click' && look.typedMm !== null ? { ...look, mm: look.typedMm } : null;
  const clicks = typed
    ? [
        ...keptClicks.filter((c) => c.side !== typed.side || c.opening !== typed.opening),
        { mm: typed.mm, opening: typed.opening, side: typed.side },
      ]
    : keptClicks;
  const side =
    look.at === 'click' ? look.side : clicks.length && clicks.every((c) => c.side === 'right') ? 'right' : 'left';
  const clickMm =
    look.at === 'click' ? clicks.find((c) => c.side === side && c.opening === look.opening)?.mm : undefined;
  // A click is told where it is; it is no opening of its own.
  const nowMm = look.at === 'opening' ? typedOpening(look, jaw) : null;
  const drawnMm = nowMm ?? clickMm ?? (look.at === 'click' ? kept('opening-mm') : null) ?? 0;
  const measure = look.at === 'opening' ? look.measure : 'opening-mm';
  const was = look.at === 'opening' && look.wasMm !== null && look.wasMm !== nowMm ? look.wasMm : null;
  const others: ToldOpening[] = [
    ...jaw
      .past(measure)
      .slice(-EARLIER_MOST)
      .map((mm) => ({ mm, words: 'earlier', earlier: true })),
    ...(was === null ? [] : [{ mm: was, words: 'typed before', earlier: false }]),
    ...OPENING_KEYS.filter((key) => key !== measure || look.at === 'click').flatMap((key) => {
      const mm = kept(key);
      return mm === null ? [] : [{ mm, words: OPENING_SHORT[key], earlier: false }];
    }),
  ];
  return {
    ...{ view: side, jaw: { pose: { openingMm: drawnMm } }, nowMm, others },
    ...{ clicks: clicks.filter((c) => c.side === side), way: null },
  };
}

/** What is to be known of a drawing that opens, said above it. */
export function sceneWords({ nowMm, way }: JawScene): string {
  const beyond = (nowMm ?? 0) > MOST_DRAWN_MM ? ` ${nowMm} mm is told; up to ${MOST_DRAWN_MM} is drawn.` : '';
  return way
    ? `Drawn from what is typed, as jaws go on average: no lean of the face and nothing of the teeth is to be read from it.${beyond}`
    : `Opens as jaws do on average, from memory; the teeth are a hint.${beyond}`;
}
