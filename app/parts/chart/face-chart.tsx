import type { ClientMeasureId, ClientMeasures } from '../../../core/atlas';
import type { OneSide } from '../../../core/words';
import { lazy, memo, Suspense, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useInBrowser } from '../fields/use-in-browser';
import { ChartTools } from './chart-tools';
import { ClientChart } from './client-chart';
import { useFibres } from './fibres';
import {
  ChangeLayer,
  ContactRing,
  KeepOffLayer,
  RouteLayer,
  TendernessLayer,
  type Change,
  type KeepOff,
  type RingState,
  type Sounding,
  type Stop,
} from './layers';
import type { MapLayer } from './map-layer-names';
import { PathLayer, type PathMark } from './path-layer';
import { PickLayer, type Pickable } from './pick-layer';
import {
  bestView,
  edgesOf,
  placeKey,
  places as standardPlaces,
  sheetOf,
  shownIn,
  VIEW_NAMES,
  VIEWS,
  type Place,
  type Shown,
  type View,
} from './places';
import type { FittedHead } from './fitted';
import { THUMBS_URL, useTerrain } from './terrain';
import { useSize } from './use-size';
import { useZoom, type Aim } from './use-zoom';

const MapLayers = lazy(() => import('./map-layers'));

interface MuscleSide {
  id: string;
  side: OneSide;
  chosen?: boolean;
}
interface Props {
  stops?: readonly Stop[];
  onChooseStop?: (id: string) => void;
  /** Paths drawn with ring and arrow. */
  paths?: readonly PathMark[];
  soundings?: readonly Sounding[];
  keepOff?: readonly KeepOff[];
  muscles?: readonly MuscleSide[];
  changes?: readonly Change[];
  pick?: {
    places: readonly Pickable[];
    onPick: (place: Place) => void;
    onKey?: (place: Place, key: string) => boolean;
  };
  ring?: RingState | null;
  /** The chart turns to show these and, with `zoom`, comes near. */
  follow?: readonly Place[];
  zoom?: boolean;
  /** Layers of the map that are on from the start. */
  map?: readonly MapLayer[];
  /** Nothing but the drawing: the map cannot be asked. */
  bare?: boolean;
  chosen?: Place | null;
  second?: Place | null;
  measures?: ClientMeasures | null;
  focusedMeasure?: ClientMeasureId | null;
  /** The chart comes near to these whenever they change. */
  nearTo?: readonly Place[];
  /** The chart turns here whenever this changes. */
  turn?: View | null;
  /** Drawings fitted to this client instead of the standard ones. */
  fitted?: FittedHead | null;
  /** Marks of the page's own, drawn on top. */
  over?: (view: View, shown: Shown, unit: number, mirrored: boolean) => ReactNode;
  /** A click, in px of the unmirrored sheet. */
  onPoint?: (view: View, x: number, y: number) => void;
  onView?: (view: View) => void;
  /** Views to choose from; all where nothing is said. The first is the one that opens. */
  views?: readonly View[];
}

type Layer = 'Route' | 'Tenderness' | 'Muscle work' | 'Keep off' | 'Places';

/** The one drawing that everything is placed on: views and layers at its sides, R and L at its edges. */
export function FaceChart(props: Props) {
  const {
    stops,
    onChooseStop,
    paths,
    soundings,
    keepOff,
    muscles,
    changes,
    pick,
    ring,
    follow,
    zoom,
    map,
    chosen = null,
    second = null,
    focusedMeasure = null,
    turn = null,
    nearTo,
    over,
    onPoint,
    onView,
    bare,
    views = VIEWS,
  } = props;
  const client = useContext(ClientChart);
  const measures = props.measures ?? client.measures;
  const fitted = props.fitted ?? client.head;
  const followed = `${turn ?? ''} ${follow?.map(placeKey).join(' ') ?? ''}`;
  const [view, turnTo] = useState<View>(() => turn ?? (follow?.length ? bestView(follow) : views[0]!));
  const [mirrored, setMirrored] = useState(false);
  const [hidden, setHidden] = useState<ReadonlySet<Layer>>(new Set());
  const [mapOn, setMapOn] = useState<ReadonlySet<MapLayer>>(new Set(map));
  const [turnedFor, setTurnedFor] = useState(followed);
  if (followed !== turnedFor) {
    setTurnedFor(followed);
    if (turn) turnTo(turn);
    else if (follow?.length) turnTo(bestView(follow));
  }
  if (!views.includes(view)) turnTo(views[0]!);
  useEffect(() => onView?.(view), [onView, view]);
  // The drawing itself is fetched by the browser, so the marks on it need not travel in the page.
  const inBrowser = useInBrowser();
  const frame = useRef<HTMLDivElement>(null);
  const moving = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const standardFibres = useFibres(!!muscles?.length);
  const fibres = fitted?.fibres ?? standardFibres;
  const table = fitted?.places ?? standardPlaces;
  const shown = useMemo(() => shownIn(view, mirrored, table), [view, mirrored, table]);
  const aim = useMemo(
    () => (nearTo?.length ? aimAt(nearTo, sheetOf(view), size, shown) : null),
    [nearTo, view, size, shown],
  );
  const zoomed = useZoom(frame, moving, view, aim, !zoom);

  const sheet = sheetOf(view);
  const { drawn } = zoomed;
  const part = useMemo(
    () => (zoom && follow?.length ? near(follow, sheetOf(view), shown) : visiblePart(sheetOf(view), size, drawn)),
    [zoom, follow, view, shown, size, drawn],
  );
  const unit = size.width ? Math.max(part.width / size.width, part.height / size.height) : 1;
  const taken = useMemo(() => wordBoxes(part, size, unit), [part, size, unit]);
  // To fill the frame with a wide sheet would cut away both sides, and with them what is shown.
  const svg = {
    viewBox: `${part.x} ${part.y} ${part.width} ${part.height}`,
    preserveAspectRatio: zoom && part.height >= part.width ? 'xMidYMid slice' : 'xMidYMid meet',
  };
  const flip = mirrored ? `matrix(-1 0 0 1 ${sheet.width} 0)` : undefined;
  const on = (layer: Layer) => !hidden.has(layer);
  const own = (
    [
      ['Route', stops],
      ['Tenderness', soundings],
      ['Muscle work', muscles],
      ['Keep off', keepOff],
      ['Places', pick?.places],
    ] as const
  )
    .filter(([, has]) => has)
    .map(([name]) => name);
  const [leftEdge, rightEdge] = edgesOf(view, mirrored);
  const layer = { shown, unit: Math.max(1, unit) };

  return (
    <section className={`face-chart${zoom ? ' is-near' : ''}`} aria-label="Face chart">
      <div className="chart-rail">
        {views.map((v) => (
          <button key={v} type="button" className="view-button" aria-pressed={v === view} onClick={() => turnTo(v)}>
            <span className="view-thumb" style={thumbOf(v)} aria-hidden="true" />
            {VIEW_NAMES[v]}
          </button>
        ))}
      </div>
      <ChartTools
        own={own}
        hidden={hidden}
        onHide={(l) => setHidden(toggled(hidden, l as Layer))}
        mapOn={mapOn}
        onMap={(l) => setMapOn(toggled(mapOn, l))}
        listed={bare ? 'never' : map?.length ? 'at once' : 'when asked'}
        mirrored={mirrored}
        onMirror={() => setMirrored(!mirrored)}
        zoom={zoom ? null : zoomed}
      />
      <div
        className="chart-drawing"
        ref={frame}
        tabIndex={zoom ? undefined : -1}
        onClick={onPoint && ((e) => tell(e, (x, y) => onPoint(view, mirrored ? sheet.width - x : x, y)))}
      >
        <div className="chart-moving" ref={moving}>
          <Terrain view={view} flip={flip} fitted={fitted?.svg[view]} {...svg} />
          <svg {...svg} role="group" aria-label={`${VIEW_NAMES[view]} view${mirrored ? ', mirrored' : ''}`}>
            {inBrowser && (mapOn.size > 0 || chosen) && (
              <Suspense>
                <MapLayers
                  view={view}
                  mirrored={mirrored}
                  unit={unit}
                  part={part}
                  taken={taken}
                  shown={shown}
                  table={table}
                  fitted={fitted?.fibres ?? null}
                  on={mapOn}
                  chosen={chosen}
                  second={second}
                  measures={measures}
                  focusedMeasure={focusedMeasure}
                />
              </Suspense>
            )}
            {inBrowser && muscles && on('Muscle work') && (
              <g transform={flip}>
                {muscles.map((m) => {
                  const drawing = fibres[`${m.id}.${m.side}`]?.[view];
                  return (
                    drawing && (
                      <g key={`${m.id}.${m.side}`} className={`chart-muscle${m.chosen ? ' is-chosen' : ''}`}>
                        <path className="body" d={drawing.outline} />
                        <path d={drawing.fibres} />
                      </g>
                    )
                  );
                })}
              </g>
            )}
            {inBrowser && keepOff && on('Keep off') && <KeepOffLayer {...layer} zones={keepOff} />}
            {inBrowser && stops && on('Route') && (
              <RouteLayer
                {...layer}
                stops={stops}
                avoid={on('Tenderness') ? (soundings ?? []).map((s) => s.place) : []}
                onChoose={onChooseStop}
              />
            )}
            {inBrowser && soundings && on('Tenderness') && <TendernessLayer {...layer} soundings={soundings} />}
            {inBrowser && changes && <ChangeLayer {...layer} changes={changes} />}
            {inBrowser && paths && on('Route') && <PathLayer {...layer} paths={paths} />}
            {ring && <ContactRing {...layer} ring={ring} radius={zoom ? 24 : 22} />}
            {inBrowser && pick && on('Places') && (
              <PickLayer
                shown={shown}
                sheetWidth={sheet.width}
                unit={unit}
                pickables={map ? pick.places.filter((p) => mapOn.has(LAYER_OF[p.place.kind] ?? 'Points')) : pick.places}
                onPick={pick.onPick}
                onKey={pick.onKey}
              />
            )}
            {inBrowser && over?.(view, shown, unit, mirrored)}
          </svg>
        </div>
        {!zoom && <Edges left={leftEdge} right={rightEdge} />}
        {!zoom && view === 'opened' && <span className="chart-edge-word">{OPENED_IS}</span>}
        {zoom && (
          <span className="chart-corner-word">
            {view === 'left' || view === 'right' ? leftEdge : `client’s ${leftEdge === 'R' ? 'right' : 'left'} is here`}
          </span>
        )}
      </div>
    </section>
  );
}

/** Said beside the opened face, once. */
const OPENED_IS = 'opened: both sides, ear to ear; a map, not a likeness';

/** The small picture of a view, out of the one file that holds them all. */
const thumbOf = (view: View) => ({
  maskImage: `url(${THUMBS_URL})`,
  maskPosition: `${(VIEWS.indexOf(view) / (VIEWS.length - 1)) * 100}% 0`,
  maskSize: `${VIEWS.length * 100}% 100%`,
});

const toggled = <T,>(set: ReadonlySet<T>, value: T): ReadonlySet<T> =>
  new Set(set.has(value) ? [...set].filter((v) => v !== value) : [...set, value]);

/** A click in px of the sheet as it is shown. */
function tell(event: React.MouseEvent<HTMLElement>, onPoint: (x: number, y: number) => void): void {
  const matrix = event.currentTarget.querySelector<SVGSVGElement>('svg:not(.chart-terrain)')?.getScreenCTM();
  if (!matrix) return;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
  onPoint(x, y);
}

/** The drawing itself, on a layer of its own: marks that move above it do not make it be painted again. */
const Terrain = memo(function Terrain({
  view,
  flip,
  fitted,
  ...svg
}: {
  view: View;
  flip: string | undefined;
  fitted: string | undefined;
  viewBox: string;
  preserveAspectRatio: string;
}) {
  const standard = useTerrain(view);
  const markup = useMemo(() => ({ __html: fitted ?? standard }), [fitted, standard]);
  return (
    <svg {...svg} className="chart-terrain" aria-hidden="true">
      <g transform={flip} dangerouslySetInnerHTML={markup} />
    </svg>
  );
});

function Edges({ left, right }: { left: string; right: string }) {
  return left.length > 1 ? (
    <span className="chart-edge-word">{left}</span>
  ) : (
    <>
      <span className="chart-edge is-left">{left}</span>
      <span className="chart-edge is-right">{right}</span>
    </>
  );
}

interface Part {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The part of the sheet that a frame of some size shows at a scale, with the sheet centred as it is drawn at scale 1. */
function visiblePart(
  sheet: { width: number; height: number },
  frame: { width: number; height: number },
  { k, x, y }: { k: number; x: number; y: number },
): Part {
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

/** On a chart that is a map, places of a kind can be picked while their layer is on. */
const LAYER_OF: Partial<Record<Place['kind'], MapLayer>> = {
  point: 'Points',
  muscle: 'Muscles',
  node: 'Lymph',
  landmark: 'Landmarks',
};

/** Where the layers stand as words, in CSS px: names of the map keep off them. */
const TOOLS = { width: 84, height: 140 };

function wordBoxes(
  part: Part,
  frame: { width: number; height: number },
  unit: number,
): { x0: number; y0: number; x1: number; y1: number }[] {
  const x = (css: number) => part.x + (css - (frame.width - part.width / unit) / 2) * unit;
  const y = (css: number) => part.y + (css - (frame.height - part.height / unit) / 2) * unit;
  return [
    { x0: x(0), y0: y(0), x1: x(TOOLS.width), y1: y(TOOLS.height) },
    { x0: x(frame.width - TOOLS.width), y0: y(0), x1: x(frame.width), y1: y(TOOLS.height) },
  ];
}

const NEAR_SCALE = 2.3;

/** The middle of some places in px of the frame, and how near to come. */
function aimAt(
  places: readonly Place[],
  sheet: { width: number; height: number },
  frame: { width: number; height: number },
  shown: Shown,
): Aim | null {
  const spots = places.map(shown).filter((s) => s !== null);
  if (!spots.length || !frame.width) return null;
  const unit = Math.max(sheet.width / frame.width, sheet.height / frame.height);
  const middle = (values: number[]) => (Math.min(...values) + Math.max(...values)) / 2;
  return {
    x: middle(spots.map((s) => s.x)) / unit + (frame.width - sheet.width / unit) / 2,
    y: middle(spots.map((s) => s.y)) / unit + (frame.height - sheet.height / unit) / 2,
    k: NEAR_SCALE,
  };
}

/** The part of the sheet around some places, never so near that the face cannot be told. */
function near(places: readonly Place[], sheet: { width: number; height: number }, shown: Shown): Part {
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
