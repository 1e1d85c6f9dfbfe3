import type { ChartData, ClientMeasures } from '../../../core/atlas';
import type { JawFibreRow, Proportions } from '../../../core/drawing';
import { useEffect, useRef, useState } from 'react';
import type { View } from './places';
import { innerSvg } from './terrain';

/** A head drawn to one client's own proportions, with everything on it. */
export interface FittedHead extends ChartData {
  /** Under what it is kept. */
  key: string;
  /** Inner markup by view. */
  svg: Partial<Record<View, string>>;
  /** What its jaw opens by; its drawings with an open jaw are made when they are asked for. */
  jaw: {
    proportions: Partial<Proportions>;
    /** How deep the skin lies at the places of the shut profiles' paths. */
    depths: Record<'left' | 'right', number[]>;
    /** Fibres that it moves. */
    fibres: Record<string, JawFibreRow>;
  };
}
export type FitMessage = { done: number; of: number } | { head: Omit<FittedHead, 'key'> } | { failed: string };

/** Changes when the drawing does, so that what was kept from before is not used. */
const KEPT_AS = 'velvet-fitted-3';
/** Samples per px: about a quarter of the work of the standard drawing, nearly the same at 440 px. */
export const FIT_RESOLUTION = 0.8;

const keyOf = (measures: ClientMeasures): string =>
  `/fitted/${
    Object.entries(measures)
      .sort()
      .map(([k, v]) => `${k}-${v}`)
      .join('_') || 'standard'
  }`;

/** Something drawn that was kept on this device at an earlier time. */
export async function kept<T>(key: string): Promise<T | null> {
  if (!('caches' in globalThis)) return null;
  const found = await (await caches.open(KEPT_AS)).match(key);
  return found ? ((await found.json()) as T) : null;
}
export async function keep(key: string, drawn: unknown): Promise<void> {
  if (!('caches' in globalThis)) return;
  await (
    await caches.open(KEPT_AS)
  ).put(key, new Response(JSON.stringify(drawn), { headers: { 'Content-Type': 'application/json' } }));
}

export interface Fitting {
  head: FittedHead | null;
  /** 0–1 while it is being drawn. */
  progress: number | null;
  failed: string | null;
  /** Draw it now, in a worker; about half a minute, once per client. Null when there is nothing to fit. */
  draw: (() => void) | null;
}

/** The chart fitted to a client's measures: taken from this device if it was drawn before, else drawn when asked. */
export function useFitted(measures: ClientMeasures | null): Fitting {
  const key = keyOf(measures ?? {});
  const [state, set] = useState<{
    key: string;
    head: FittedHead | null;
    progress: number | null;
    failed: string | null;
  }>({ key: '', head: null, progress: null, failed: null });
  const worker = useRef<Worker | null>(null);
  const wanted = JSON.stringify(measures ?? {});
  const nothing = wanted === '{}';
  useEffect(() => {
    let current = true;
    if (!nothing)
      void kept<FittedHead>(key)
        .then((head) => current && head && set({ key, head, progress: null, failed: null }))
        .catch(() => {});
    return () => {
      current = false;
      worker.current?.terminate();
      worker.current = null;
    };
  }, [key, nothing]);
  const draw = () => {
    worker.current?.terminate();
    const drawing = new Worker(new URL('../../workers/fit-head.ts', import.meta.url), { type: 'module' });
    worker.current = drawing;
    set({ key, head: null, progress: 0, failed: null });
    drawing.onmessage = ({ data }: MessageEvent<FitMessage>) => {
      if ('done' in data) set({ key, head: null, progress: data.done / data.of, failed: null });
      else if ('failed' in data) set({ key, head: null, progress: null, failed: data.failed });
      else {
        const head: FittedHead = {
          ...data.head,
          key,
          svg: Object.fromEntries(Object.entries(data.head.svg).map(([view, text]) => [view, innerSvg(text)])),
        };
        set({ key, head, progress: null, failed: null });
        void keep(key, head).catch(() => {});
        drawing.terminate();
      }
    };
    drawing.onerror = () => set({ key, head: null, progress: null, failed: 'The drawing stopped.' });
    drawing.postMessage({ measures: JSON.parse(wanted), resolution: FIT_RESOLUTION });
  };
  const mine = state.key === key ? state : { head: null, progress: null, failed: null };
  return { head: mine.head, progress: mine.progress, failed: mine.failed, draw: nothing ? null : draw };
}
