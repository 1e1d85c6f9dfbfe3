import { useCallback, useMemo, useState, type RefObject } from 'react';
import type { Fibres } from './fibres';
import { inOrder, meant, type Pickable, type Spotted } from './picking';
import { flipX, placeKey, type Place, type Shown, type Spot, type View } from './places';

/** The values that a press on a place may get, laid round the finger. */
export interface Choices {
  /** What is chosen: "tenderness". */
  of: string;
  /** `sign` stands large: the figure, or the key that chooses it. */
  options: readonly { value: number; sign: string; word: string }[];
  valueAt: (place: Place) => number | undefined;
  /** null takes away what is there. */
  onChoose: (place: Place, value: number | null) => void;
  /** One thing more that can be done there, once a value stands. */
  more?: { word: string; onMore: (place: Place) => void; isOffered: (value: number) => boolean };
}
export interface Pick {
  places: readonly Pickable[];
  /** What a pick means where no values are to be chosen. */
  onPick?: (place: Place) => void;
  onKey?: (place: Place, key: string) => boolean;
  choices?: Choices;
}
/** What the chart asks beside the finger: which of a few places, or which value. At px of the frame. */
export type Asking = { at: Spot } & ({ kind: 'which'; spots: Spotted[] } | { kind: 'value'; spot: Spotted });

interface Sheet {
  view: View;
  mirrored: boolean;
  shown: Shown;
  /** Sheet px per px on the screen. */
  unit: number;
  fibres: Fibres;
}

/** What a pointer means on the chart: the nearest place within its reach, a muscle anywhere on its drawing. */
export function usePicking(
  pick: Pick | undefined,
  frame: RefObject<HTMLElement | null>,
  { view, mirrored, shown, unit, fibres }: Sheet,
) {
  const [namedKey, setNamed] = useState<string | null>(null);
  const [asking, setAsking] = useState<Asking | null>(null);
  const [askedIn, setAskedIn] = useState(view);
  if (askedIn !== view) {
    setAskedIn(view);
    setAsking(null);
  }
  const places = pick?.places;
  const spots = useMemo(
    () =>
      inOrder(
        (places ?? []).flatMap((p) => {
          const spot = shown(p.place);
          return spot ? [{ ...p, key: placeKey(p.place), ...spot }] : [];
        }),
      ),
    [places, shown],
  );
  const outlineOf = useCallback(
    ({ place }: Spotted) =>
      place.kind === 'muscle' ? (fibres[`${place.id}.${place.side}`]?.[view]?.outline ?? null) : null,
    [fibres, view],
  );
  const named = spots.find((s) => s.key === namedKey) ?? null;

  const meantBy = (event: { clientX: number; clientY: number; pointerType?: string }): Spotted[] => {
    const at = sheetSpot(frame.current, event);
    if (!at) return [];
    const drawn = { x: flipX(at.x, mirrored, view), y: at.y };
    const isOn = (spot: Spotted): boolean => {
      const path = outlineOf(spot);
      return path !== null && isInside(path, drawn);
    };
    return meant(spots, at, { unit, coarse: isCoarse(event.pointerType), isOn });
  };
  const open = (spot: Spotted, at: Spot) => {
    if (pick?.choices) setAsking({ kind: 'value', spot, at });
    else {
      setAsking(null);
      pick?.onPick?.(spot.place);
    }
  };
  /** Where a place is drawn, in px of the frame: for the keyboard. */
  const onFrame = (spot: Spot): Spot => {
    const matrix = svgOf(frame.current)?.getScreenCTM();
    const box = frame.current?.getBoundingClientRect();
    if (!matrix || !box) return { x: 0, y: 0 };
    const { x, y } = new DOMPoint(spot.x, spot.y).matrixTransform(matrix);
    return { x: x - box.left, y: y - box.top };
  };
  const close = () => {
    const key = asking?.kind === 'value' ? asking.spot.key : null;
    setAsking(null);
    // Back to where the keyboard was.
    if (key)
      frame.current?.querySelector<SVGGElement>(`[data-place="${CSS.escape(key)}"]`)?.focus({ preventScroll: true });
  };

  return {
    spots,
    named,
    outline: named && outlineOf(named),
    setNamed,
    asking,
    close,
    open,
    pickByKey: (spot: Spotted) => open(spot, onFrame(spot)),
    onMove: (event: React.PointerEvent) => {
      // A finger that moves turns the chart; it points at nothing.
      if (!spots.length || isCoarse(event.pointerType)) return;
      setNamed(meantBy(event)[0]?.key ?? null);
    },
    onClick: (event: React.MouseEvent) => {
      const target = event.target as Element;
      if (!pick || target.closest('.chart-asks, .chart-disc-group')) return;
      // Without a place of its own it was made by assistive technology, or by a script.
      const told = event.detail === 0 ? target.closest('[data-place]')?.getAttribute('data-place') : null;
      const found = told ? spots.filter((s) => s.key === told) : meantBy(event.nativeEvent as PointerEvent);
      const box = frame.current!.getBoundingClientRect();
      const at = told ? onFrame(found[0]!) : { x: event.clientX - box.left, y: event.clientY - box.top };
      if (found.length > 1) setAsking({ kind: 'which', spots: found, at });
      else if (found[0]) open(found[0], at);
      else setAsking(null);
    },
  };
}

const isCoarse = (pointerType: string | undefined): boolean => pointerType === 'touch';

const svgOf = (frame: HTMLElement | null) => frame?.querySelector<SVGSVGElement>('svg:not(.chart-terrain)') ?? null;

/** A place of the screen in px of the sheet as it is shown. */
export function sheetSpot(
  frame: HTMLElement | null,
  { clientX, clientY }: { clientX: number; clientY: number },
): Spot | null {
  const matrix = svgOf(frame)?.getScreenCTM();
  if (!matrix) return null;
  const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix.inverse());
  return { x, y };
}

const paths = new Map<string, Path2D>();
let canvas: CanvasRenderingContext2D | null = null;
/** Whether a place lies inside a drawing. */
function isInside(path: string, { x, y }: Spot): boolean {
  canvas ??= document.createElement('canvas').getContext('2d');
  let made = paths.get(path);
  if (!made) paths.set(path, (made = new Path2D(path)));
  return canvas?.isPointInPath(made, x, y) ?? false;
}
