import { select, zoom, zoomIdentity, type ZoomBehavior, type ZoomTransform } from 'd3';
import { useCallback, useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';

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
  /** Bring a place of the frame, in px at scale 1, to the middle at some scale. */
  goTo: (x: number, y: number, k: number) => void;
}

/**
 * Wheel, pinch and drag over a frame. While it moves, only a transform of the layer changes, which the compositor
 * does alone; when it rests, the sheet is drawn crisp at the new scale.
 */
export function useZoom(frame: RefObject<HTMLElement | null>, layer: RefObject<HTMLElement | null>, enabled: boolean): Zoom {
  const [drawn, setDrawn] = useState({ k: 1, x: 0, y: 0 });
  const now = useRef<{ transform: ZoomTransform; drawn: { k: number; x: number; y: number } }>({ transform: zoomIdentity, drawn });
  const behaviour = useRef<ZoomBehavior<HTMLElement, unknown> | null>(null);

  useLayoutEffect(() => {
    now.current.drawn = drawn;
    if (layer.current) layer.current.style.transform = '';
  }, [drawn, layer]);

  useEffect(() => {
    const element = frame.current;
    if (!element || !enabled) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const z = zoom<HTMLElement, unknown>()
      .scaleExtent([1, MOST])
      .extent(() => [[0, 0], [element.clientWidth, element.clientHeight]])
      .translateExtent([[0, 0], [element.clientWidth, element.clientHeight]])
      // The wheel alone scrolls the page; on a chart that is already near it goes on zooming.
      .filter((event: MouseEvent) => !event.button && (event.type !== 'wheel' || event.ctrlKey || now.current.transform.k > 1 || event.shiftKey === false))
      .on('zoom', ({ transform }: { transform: ZoomTransform }) => {
        now.current.transform = transform;
        const { k, x, y } = now.current.drawn;
        const by = transform.k / k;
        if (layer.current) layer.current.style.transform = `translate(${transform.x - x * by}px, ${transform.y - y * by}px) scale(${by})`;
        clearTimeout(timer);
        timer = setTimeout(() => setDrawn({ k: transform.k, x: transform.x, y: transform.y }), SETTLE_MS);
      });
    behaviour.current = z;
    select(element).call(z).on('dblclick.zoom', null);
    return () => {
      clearTimeout(timer);
      select(element).on('.zoom', null);
      behaviour.current = null;
    };
  }, [frame, layer, enabled]);

  const call = useCallback(
    (act: (z: ZoomBehavior<HTMLElement, unknown>, on: ReturnType<typeof select<HTMLElement, unknown>>, size: [number, number]) => void) => {
      const element = frame.current;
      if (element && behaviour.current) act(behaviour.current, select<HTMLElement, unknown>(element), [element.clientWidth, element.clientHeight]);
    },
    [frame],
  );
  return {
    drawn,
    nearer: useCallback(() => call((z, on) => z.scaleBy(on, 1.6)), [call]),
    farther: useCallback(() => call((z, on) => z.scaleBy(on, 1 / 1.6)), [call]),
    whole: useCallback(() => call((z, on) => z.transform(on, zoomIdentity)), [call]),
    pan: useCallback((dx: number, dy: number) => call((z, on, [w, h]) => z.translateBy(on, (dx * w) / now.current.transform.k, (dy * h) / now.current.transform.k)), [call]),
    goTo: useCallback((x: number, y: number, k: number) => call((z, on, [w, h]) => z.transform(on, zoomIdentity.translate(w / 2 - x * k, h / 2 - y * k).scale(k))), [call]),
  };
}
