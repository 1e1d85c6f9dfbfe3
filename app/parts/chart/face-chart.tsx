import type { ClientMeasureId, ClientMeasures } from '../../../core/atlas';
import type { PosableHead } from '../../../core/drawing';
import { lazy, memo, Suspense, useContext, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { useInBrowser } from '../fields/use-in-browser';
import { ChartTools } from './chart-tools';
import { ClientChart } from './client-chart';
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
import { aimAt, near, visiblePart, wordBoxes } from './part-of-sheet';
import { ChoiceRing } from './choice-ring';
import { PickLayer } from './pick-layer';
import { pickOn } from './pick-on';
import { bestView, edgesOf, placeKey, sheetOf, VIEW_NAMES, VIEWS, type Place, type Shown, type View } from './places';
import type { FittedHead } from './fitted';
import { isAtJoint, JawHollows } from './jaw/hollows';
import { JawLine, measuredBox } from './jaw/jaw-line';
import { PoseTerrain } from './jaw/pose-terrain';
import { isProfile, type JawShown } from './jaw/posed';
import { MusclesLayer, type MuscleSide } from './muscles-layer';
import type Layers from './map-layers';
import { Edges, Terrain } from './terrain-layer';
import { sheetSpot, usePicking, type Pick } from './use-picking';
import { useSheet } from './use-sheet';
import { useSize } from './use-size';
import { ViewRail } from './view-rail';
import { useZoom } from './use-zoom';

/** Without a network the chart stays without its map, and the page as it is. */
const MapLayers = lazy(() =>
  import('./map-layers').catch(() => ({ default: memo(() => null) as unknown as typeof Layers })),
);

interface Props {
  stops?: readonly Stop[];
  onChooseStop?: (id: string) => void;
  /** Paths drawn with ring and arrow. */
  paths?: readonly PathMark[];
  soundings?: readonly Sounding[];
  keepOff?: readonly KeepOff[];
  muscles?: readonly MuscleSide[];
  /** How the jaw of the drawn head is held; shut where nothing is said. */
  jaw?: JawShown | null;
  changes?: readonly Change[];
  pick?: Pick;
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
  /** So much of the sheet stays in sight then, px of the sheet. */
  nearSpan?: { width: number; height: number } | undefined;
  /** The chart turns here whenever this changes. */
  turn?: View | null;
  /** Drawings fitted to this client instead of the standard ones. */
  fitted?: FittedHead | null;
  /** Marks of the page's own, drawn on top. */
  over?: (view: View, shown: Shown, unit: number, mirrored: boolean, head: PosableHead) => ReactNode;
  /** A click, in px of the unmirrored sheet. */
  onPoint?: (view: View, x: number, y: number) => void;
  onView?: (view: View) => void;
  /** Begins as in a mirror: the client’s left on the left. */
  mirror?: boolean;
  /** Looked at by the one who is drawn: sides are told as their own. */
  isOwn?: boolean;
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
    jaw,
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
    nearSpan,
    over,
    onPoint,
    onView,
    bare,
    mirror = false,
    isOwn = false,
    views = VIEWS,
  } = props;
  const client = useContext(ClientChart);
  const measures = props.measures ?? client.measures;
  const fitted = props.fitted ?? client.head;
  const followed = `${turn ?? ''} ${follow?.map(placeKey).join(' ') ?? ''}`;
  const [view, turnTo] = useState<View>(() => turn ?? (follow?.length ? bestView(follow) : views[0]!));
  const [mirrored, setMirrored] = useState(mirror);
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
  const { posed, own, head, whose, fibres, table, shown, aimed } = useSheet({
    ...{ view, mirrored, jaw, fitted },
    needsFibres: !!muscles?.length || !!pick,
  });
  const aim = useMemo(
    () => (nearTo?.length ? aimAt(nearTo, sheetOf(view), size, aimed, nearSpan) : null),
    [nearTo, view, size, aimed, nearSpan],
  );
  const zoomed = useZoom(frame, moving, view, aim, !zoom);

  const sheet = sheetOf(view);
  const { drawn } = zoomed;
  /** What is worked, or asked, lies where the head of the jaw comes and goes. */
  const atJoint = !!map || [...(follow ?? []), ...(paths ?? []).flatMap((p) => p.sides.flat())].some(isAtJoint);
  /** A profile that opens keeps its mouth in sight. */
  const isOpen = !!jaw && isProfile(view);
  const part = useMemo(
    () =>
      zoom && follow?.length
        ? near(isOpen ? [...follow, ...JAW_FRAME] : follow, sheetOf(view), aimed)
        : visiblePart(sheetOf(view), size, drawn),
    [zoom, follow, isOpen, view, aimed, size, drawn],
  );
  const unit = size.width ? Math.max(part.width / size.width, part.height / size.height) : 1;
  const taken = useMemo(() => {
    const measured = measuredBox(posed, mirrored, unit);
    return [...wordBoxes(part, size, unit), ...(measured ? [measured] : [])];
  }, [part, size, unit, posed, mirrored]);
  // To fill the frame with a wide sheet would cut away both sides, and with them what is shown.
  const svg = {
    viewBox: `${part.x} ${part.y} ${part.width} ${part.height}`,
    preserveAspectRatio: zoom && part.height >= part.width ? 'xMidYMid slice' : 'xMidYMid meet',
  };
  const picking = usePicking(pickOn(pick, map ? mapOn : null, hidden.has('Places')), frame, {
    view,
    mirrored,
    shown,
    unit,
    fibres,
  });
  const flip = mirrored ? `matrix(-1 0 0 1 ${sheet.width} 0)` : undefined;
  const on = (layer: Layer) => !hidden.has(layer);
  const layers = (
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
      <ViewRail views={views} view={view} onView={turnTo} />
      <ChartTools
        own={layers}
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
        className={`chart-drawing${picking.named ? ' is-over-place' : ''}`}
        ref={frame}
        tabIndex={zoom ? undefined : -1}
        onPointerMove={picking.onMove}
        onPointerLeave={() => picking.setNamed(null)}
        onClick={(e) => {
          const at = onPoint && sheetSpot(frame.current, e);
          if (at) onPoint(view, mirrored ? sheet.width - at.x : at.x, at.y);
          else picking.onClick(e);
        }}
      >
        <div className="chart-moving" ref={moving}>
          {posed ? (
            <PoseTerrain posed={posed} flip={flip} {...svg} />
          ) : (
            <Terrain view={view} flip={flip} fitted={fitted?.svg[view]} {...svg} />
          )}
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
                  fitted={posed || own ? fibres : null}
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
                <MusclesLayer muscles={muscles} view={view} fibres={fibres} posed={posed} />
              </g>
            )}
            {inBrowser && posed && isProfile(view) && (
              <>
                {atJoint && <JawHollows posed={posed} mirrored={mirrored} />}
                <JawLine posed={posed} flip={flip} mirrored={mirrored} unit={layer.unit} frame={size.width} />
              </>
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
            {inBrowser && pick && (
              <PickLayer
                spots={picking.spots}
                sheetWidth={sheet.width}
                unit={unit}
                named={picking.asking ? null : picking.named}
                outline={picking.outline === null ? null : { path: picking.outline, flip }}
                onName={picking.setNamed}
                onPick={picking.pickByKey}
                onKey={pick.onKey}
              />
            )}
            {inBrowser && over?.(view, shown, unit, mirrored, head)}
          </svg>
        </div>
        {picking.asking && (
          <ChoiceRing
            asking={picking.asking}
            frame={size}
            choices={pick?.choices}
            onPick={(spot) => picking.open(spot, picking.asking!.at)}
            onKey={pick?.onKey}
            onClose={picking.close}
          />
        )}
        {!zoom && <Edges left={leftEdge} right={rightEdge} />}
        {!zoom && view === 'opened' && <span className="chart-edge-word">{OPENED_IS}</span>}
        {whose && <span className="chart-edge-word is-second">{whose}</span>}
        {zoom && (
          <span className="chart-corner-word">{nearWords(view, leftEdge, follow, isOwn ? 'your' : 'client’s')}</span>
        )}
      </div>
    </section>
  );
}

/** The places of the midline that an opening mouth keeps in sight. */
const JAW_FRAME: Place[] = ['subnasale', 'gnathion'].map((id) => ({ kind: 'landmark', id, side: 'midline' }));

/** Said beside the opened face, once. */
const OPENED_IS = 'opened: both sides, ear to ear; a map, not a likeness';

/** Near a place the edges are out of sight: which hand it is, or which side of the client the left edge lies on. */
function nearWords(
  view: View,
  leftEdge: string,
  follow: readonly Place[] | undefined,
  whose: 'your' | 'client’s',
): string {
  if (view === 'palms' || view === 'backs') {
    const sides = new Set(follow?.map((p) => p.side));
    return sides.size === 1 ? `${whose} ${[...sides][0]} hand` : 'both hands';
  }
  return view === 'left' || view === 'right' ? leftEdge : `${whose} ${leftEdge === 'R' ? 'right' : 'left'} is here`;
}

const toggled = <T,>(set: ReadonlySet<T>, value: T): ReadonlySet<T> =>
  new Set(set.has(value) ? [...set].filter((v) => v !== value) : [...set, value]);
