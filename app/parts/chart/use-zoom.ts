import { select, zoom, zoomIdentity, type Selection, type ZoomBehavior, type ZoomTransform } from 'd3';
import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';

const MOST = 8;
/** After the last movement the sheet is drawn anew at its new scale. */
const SETTLE_MS = 140;

export interface Zoom {
  /** The scale and shift that the sheet is drawn at. */
  drawn: { k: number; x: number; y: number };
  nearer: () => void;
  farther: () => void;
  whole: () => void;
  /** Shift by shares of the frame. */
  pan: (dx: number, dy: number) => void;
}

/** A place of the frame in px at scale 1, to be brought to its middle at a scale. */
export interface Aim {
  x: number;
  y: number;
  k: number;
}

/**
 * Wheel, pinch and drag over a frame. While it moves, only a transform of the layer changes, which the compositor
 * does alone; when it rests, the sheet is drawn crisp at the new scale.
 */
export function useZoom(
  frame: RefObject<HTMLElement | null>,
  layer: RefObject<HTMLElement | null>,
  view: string,
  aim: Aim | null,
  enabled: boolean,
): Zoom {
  const [drawn, setDrawn] = useState({ k: 1, x: 0, y: 0 });
  const now = useRef<{ transform: ZoomTransform; drawn: { k: number; x: number; y: number } }>({
    transform: zoomIdentity,
    drawn,
  });
  const element = useRef<HTMLElement | null>(null);
  const behaviour = useRef<ZoomBehavior<HTMLElement, unknown> | null>(null);

  useLayoutEffect(() => {
    now.current.drawn = drawn;
    layer.current?.style.removeProperty('transform');
  }, [drawn, layer]);

  useEffect(() => {
    const on = frame.current;
    const moved = layer.current;
    if (!on || !moved || !enabled) return;
    element.current = on;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const z = zoom<HTMLElement, unknown>()
      .scaleExtent([1, MOST])
      .extent(() => [
        [0, 0],
        [on.clientWidth, on.clientHeight],
      ])
      .translateExtent([
        [0, 0],
        [on.clientWidth, on.clientHeight],
      ])
      .filter((event: MouseEvent) => !event.button && !(event.target as Element).closest('.chart-asks'))
      .on('zoom', ({ transform }: { transform: ZoomTransform }) => {
        now.current.transform = transform;
        const { k, x, y } = now.current.drawn;
        const by = transform.k / k;
        moved.style.transform = `translate(${transform.x - x * by}px, ${transform.y - y * by}px) scale(${by})`;
        clearTimeout(timer);
        timer = setTimeout(() => setDrawn({ k: transform.k, x: transform.x, y: transform.y }), SETTLE_MS);
      });
    behaviour.current = z;
    select(on).call(z).on('dblclick.zoom', null);
    return () => {
      clearTimeout(timer);
      select(on).on('.zoom', null);
      behaviour.current = null;
    };
  }, [frame, layer, enabled]);

  // Another view begins whole, unless there is something to come near to.
  useEffect(() => {
    const on = element.current;
    if (!on || !behaviour.current) return;
    const to = aim
      ? zoomIdentity.translate(on.clientWidth / 2 - aim.x * aim.k, on.clientHeight / 2 - aim.y * aim.k).scale(aim.k)
      : zoomIdentity;
    behaviour.current.transform(select<HTMLElement, unknown>(on), to);
  }, [view, aim]);

  const call = (
    act: (
      z: ZoomBehavior<HTMLElement, unknown>,
      on: Selection<HTMLElement, unknown, null, undefined>,
      size: [number, number],
    ) => void,
  ) => {
    const on = element.current;
    if (on && behaviour.current)
      act(behaviour.current, select<HTMLElement, unknown>(on), [on.clientWidth, on.clientHeight]);
  };
  return {
    drawn,
    nearer: () => call((z, on) => z.scaleBy(on, 1.6)),
    farther: () => call((z, on) => z.scaleBy(on, 1 / 1.6)),
    whole: () => call((z, on) => z.transform(on, zoomIdentity)),
    pan: (dx, dy) =>
      call((z, on, [w, h]) =>
        z.translateBy(on, (dx * w) / now.current.transform.k, (dy * h) / now.current.transform.k),
      ),
  };
}
