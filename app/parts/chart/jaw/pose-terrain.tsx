import type { PoseName } from '../../../../core/drawing';
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { sheetOf } from '../places';
import { Terrain } from '../terrain-layer';
import { carriedDrawing, drawingsFor, drawnMm, type Profile } from './carried';
import { LinePainter, type DrawingLayers } from './line-painter';
import { usePoseMarkup } from './pose-drawings';
import { isProfile, type PosedView } from './posed';
import { useJawFrames } from './use-jaw-frames';

interface Sheet {
  flip: string | undefined;
  viewBox: string;
  preserveAspectRatio: string;
}

/** The drawing of a head whose jaw is posed; until it has come, the shut one. */
export function PoseTerrain({ posed, ...sheet }: { posed: PosedView } & Sheet) {
  return isProfile(posed.view) ? (
    <CarriedTerrain key={posed.drawings.key} posed={posed} view={posed.view} {...sheet} />
  ) : (
    <DrawnTerrain posed={posed} {...sheet} />
  );
}

function DrawnTerrain({ posed: { view, drawings, drawing, flipped }, flip, ...svg }: { posed: PosedView } & Sheet) {
  const wanted = useMemo(() => [drawing], [drawing]);
  const markup = usePoseMarkup(drawings, view, wanted).get(drawing);
  const html = useMemo(() => ({ __html: markup ?? '' }), [markup]);
  if (!markup) return <Terrain view={view} flip={flip} fitted={drawings.shut?.[view]} {...svg} />;
  const aside = flipped ? `matrix(-1 0 0 1 ${sheetOf(view).width} 0)` : undefined;
  return (
    <svg {...svg} className="chart-terrain" aria-hidden="true" data-pose={drawing}>
      <g transform={flip}>
        <g transform={aside} dangerouslySetInnerHTML={html} />
      </g>
    </svg>
  );
}

/** Shade is soft: while the jaw moves it follows so often. */
const AREAS_EVERY_MS = 50;

/** A profile whose lines are carried along with the skin between its drawn poses. */
function CarriedTerrain({ posed, view, flip, ...svg }: { posed: PosedView; view: Profile } & Sheet) {
  const { drawings, drawing, moving } = posed;
  const names = useMemo(() => drawingsFor({ view, drawing, moving }), [view, drawing, moving]);
  const markup = usePoseMarkup(drawings, view, names);
  const layers = useRef(new Map<PoseName | null, Partial<DrawingLayers>>());
  const painters = useRef(new WeakMap<Element, LinePainter>());
  const areasAt = useRef(0);
  const [, setReady] = useState(0);
  const key = `${names.join(' ')} ${[...markup.keys()].join(' ')}`;
  useEffect(() => {
    let current = true;
    for (const name of names)
      void carriedDrawing(drawings, view, name)
        .then((drawing) => {
          const { areas, base, lines } = layers.current.get(name) ?? {};
          if (!current || !areas || !base || !lines || painters.current.has(base)) return;
          painters.current.set(base, new LinePainter({ areas, base, lines }, drawing));
          setReady((n) => n + 1);
        })
        // Without it the drawings stand as they are.
        .catch(() => {});
    return () => {
      current = false;
    };
    // Their names say which drawings are wanted, and which have come.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [drawings, view, key]);
  useJawFrames(posed, (mm) => {
    // The nearest of those that are here.
    const away = (of: PoseName | null) => Math.abs(drawnMm(of) - mm);
    const here = [...layers.current.keys()];
    const on = here.length ? here.reduce((a, b) => (away(b) < away(a) ? b : a)) : undefined;
    for (const [of, drawing] of layers.current)
      for (const layer of Object.values(drawing)) layer.classList.toggle('is-on', of === on);
    const base = on === undefined ? undefined : layers.current.get(on)?.base;
    const now = performance.now();
    const whole = !posed.moving || now - areasAt.current >= AREAS_EVERY_MS;
    if (whole) areasAt.current = now;
    if (base) painters.current.get(base)?.paint(mm, whole);
  });
  if (!markup.size) return <Terrain view={view} flip={flip} fitted={drawings.shut?.[view]} {...svg} />;
  const keep = (name: PoseName | null, layer: keyof DrawingLayers) => (g: SVGGElement | null) => {
    const kept = { ...layers.current.get(name) };
    if (g) kept[layer] = g;
    else delete kept[layer];
    if (Object.keys(kept).length) layers.current.set(name, kept);
    else layers.current.delete(name);
  };
  return LAYERS.map((layer) => (
    <svg
      key={layer}
      {...svg}
      className={`chart-terrain is-carried is-${layer}${posed.moving ? ' is-moving' : ''}`}
      aria-hidden="true"
      data-pose={posed.drawing ?? 'shut'}
    >
      <g transform={flip}>
        {[...markup].map(([name, text]) => (
          <DrawingGroup key={name ?? 'shut'} text={layer === 'base' ? text : ''} onGroup={keep(name, layer)} />
        ))}
      </g>
    </svg>
  ));
}

const LAYERS = ['areas', 'base', 'lines'] as const satisfies readonly (keyof DrawingLayers)[];

/** What is put into it stays as it was put. */
const DrawingGroup = memo(
  function DrawingGroup({ text, onGroup }: { text: string; onGroup: (g: SVGGElement | null) => void }) {
    const html = useMemo(() => ({ __html: text }), [text]);
    return <g className="pose-drawing" ref={onGroup} dangerouslySetInnerHTML={html} />;
  },
  (a, b) => a.text === b.text,
);
