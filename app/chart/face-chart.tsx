import { memo, useState } from 'react';
import type { OneSide } from '../../core/units';
import { useFibres } from './fibres';
import { ChangeLayer, ContactRing, KeepOffLayer, RouteLayer, TendernessLayer, type Change, type KeepOff, type RingState, type Sounding, type Stop } from './layers';
import { PickLayer, type Pickable } from './pick-layer';
import { bestView, CHART_HEIGHT, CHART_WIDTH, edgesOf, flipX, spotOf, VIEW_NAMES, VIEWS, type Place, type View } from './places';
import { useInBrowser } from '../ui/use-in-browser';
import { TERRAIN_URLS, useTerrain } from './terrain';

export interface MuscleSide {
  id: string;
  side: OneSide;
  chosen?: boolean;
}
interface Props {
  stops?: readonly Stop[];
  onChooseStop?: (id: string) => void;
  soundings?: readonly Sounding[];
  keepOff?: readonly KeepOff[];
  muscles?: readonly MuscleSide[];
  changes?: readonly Change[];
  pick?: { places: readonly Pickable[]; onPick: (place: Place) => void; onKey?: (place: Place, key: string) => boolean };
  ring?: RingState | null;
  /** The chart turns to show these and, with `zoom`, comes near. */
  follow?: readonly Place[];
  zoom?: boolean;
}

type Layer = 'Route' | 'Tenderness' | 'Muscles' | 'Keep off' | 'Places';

/** The one drawing that everything is placed on: views and layers at its left, R and L at its edges. */
export function FaceChart({ stops, onChooseStop, soundings, keepOff, muscles, changes, pick, ring, follow, zoom }: Props) {
  const followed = follow?.map((p) => `${p.kind}:${p.id}.${p.side}`).join(' ') ?? '';
  const [view, setView] = useState<View>(() => (follow?.length ? bestView(follow) : 'front'));
  const [mirrored, setMirrored] = useState(false);
  const [hidden, setHidden] = useState<ReadonlySet<Layer>>(new Set());
  const [turnedFor, setTurnedFor] = useState(followed);
  if (followed !== turnedFor) {
    setTurnedFor(followed);
    if (follow?.length) setView(bestView(follow));
  }
  // The drawing itself is fetched by the browser, so the marks on it need not travel in the page.
  const inBrowser = useInBrowser();
  const fibres = useFibres(!!muscles?.length);
  const on = (layer: Layer) => !hidden.has(layer);
  const toggle = (layer: Layer) => setHidden((before) => new Set(before.has(layer) ? [...before].filter((l) => l !== layer) : [...before, layer]));
  const layers = ([['Route', stops], ['Tenderness', soundings], ['Muscles', muscles], ['Keep off', keepOff], ['Places', pick?.places]] as const).filter(([, has]) => has).map(([name]) => name);
  const [leftEdge, rightEdge] = edgesOf(view, mirrored);
  const flip = mirrored ? `matrix(-1 0 0 1 ${CHART_WIDTH} 0)` : undefined;
  const { x, y, width, height } = zoom && follow?.length ? near(follow, view, mirrored) : { x: 0, y: 0, width: CHART_WIDTH, height: CHART_HEIGHT };
  const sheet = { viewBox: `${x} ${y} ${width} ${height}`, preserveAspectRatio: zoom ? 'xMidYMid slice' : 'xMidYMid meet' };

  return (
    <section className={`face-chart${zoom ? ' is-near' : ''}`} aria-label="Face chart">
      <div className="chart-rail">
        {VIEWS.map((v) => (
          <button key={v} type="button" className="view-button" aria-pressed={v === view} onClick={() => setView(v)}>
            <span className="view-thumb" style={{ maskImage: `url(${TERRAIN_URLS[v]})` }} aria-hidden="true" />
            {VIEW_NAMES[v]}
          </button>
        ))}
      </div>
      <div className="chart-layers" role="group" aria-label="Layers">
          {layers.map((layer) => (
            <button key={layer} type="button" aria-pressed={on(layer)} onClick={() => toggle(layer)}>
              {layer}
            </button>
          ))}
          <button type="button" aria-pressed={mirrored} onClick={() => setMirrored(!mirrored)} title="Flip the chart for work in front of a mirror" className="mirror">
            Mirror{mirrored ? ' on' : ''}
          </button>
      </div>
      <div className="chart-drawing">
        <Terrain view={view} flip={flip} {...sheet} />
        <svg {...sheet} role="group" aria-label={`${VIEW_NAMES[view]} view${mirrored ? ', mirrored' : ''}`}>
          {inBrowser && muscles && on('Muscles') && (
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
          {inBrowser && keepOff && on('Keep off') && <KeepOffLayer view={view} mirrored={mirrored} zones={keepOff} />}
          {inBrowser && stops && on('Route') && <RouteLayer view={view} mirrored={mirrored} stops={stops} avoid={on('Tenderness') ? (soundings ?? []).map((s) => s.place) : []} onChoose={onChooseStop} />}
          {inBrowser && soundings && on('Tenderness') && <TendernessLayer view={view} mirrored={mirrored} soundings={soundings} />}
          {inBrowser && changes && <ChangeLayer view={view} mirrored={mirrored} changes={changes} />}
          {ring && <ContactRing view={view} mirrored={mirrored} ring={ring} radius={zoom ? 24 : 22} />}
          {inBrowser && pick && on('Places') && <PickLayer view={view} mirrored={mirrored} pickables={pick.places} onPick={pick.onPick} onKey={pick.onKey} />}
          {!zoom && <Edges left={leftEdge} right={rightEdge} />}
        </svg>
        {zoom && <span className="chart-corner-word">{view === 'left' || view === 'right' ? leftEdge : `client’s ${leftEdge === 'R' ? 'right' : 'left'} is here`}</span>}
      </div>
    </section>
  );
}

/** The drawing itself, on a layer of its own: marks that move above it do not make it be painted again. */
const Terrain = memo(function Terrain({ view, flip, ...sheet }: { view: View; flip: string | undefined; viewBox: string; preserveAspectRatio: string }) {
  const terrain = useTerrain(view);
  return (
    <svg {...sheet} className="chart-terrain" aria-hidden="true">
      <g transform={flip} dangerouslySetInnerHTML={{ __html: terrain }} />
    </svg>
  );
});

function Edges({ left, right }: { left: string; right: string }) {
  const single = left.length > 1;
  return (
    <>
      <text className={single ? 'chart-edge-word' : 'chart-edge'} x={single ? CHART_WIDTH / 2 : 12} y={single ? CHART_HEIGHT - 14 : 326} textAnchor={single ? 'middle' : 'start'}>
        {left}
      </text>
      <text className="chart-edge" x={CHART_WIDTH - 12} y={326} textAnchor="end">
        {right}
      </text>
    </>
  );
}

/** The part of the sheet around some places, never so near that the face cannot be told. */
function near(places: readonly Place[], view: View, mirrored: boolean): { x: number; y: number; width: number; height: number } {
  const spots = places.map((p) => spotOf(p, view)).filter((s) => s?.visible);
  if (!spots.length) return { x: 0, y: 0, width: CHART_WIDTH, height: CHART_HEIGHT };
  const xs = spots.map((s) => flipX(s!.x, mirrored));
  const ys = spots.map((s) => s!.y);
  const width = Math.min(CHART_WIDTH, Math.max(260, Math.max(...xs) - Math.min(...xs) + 140));
  const height = (width * CHART_HEIGHT) / CHART_WIDTH;
  const clamp = (centre: number, size: number, most: number) => Math.min(Math.max(centre - size / 2, 0), most - size);
  return {
    x: clamp((Math.min(...xs) + Math.max(...xs)) / 2, width, CHART_WIDTH),
    y: clamp((Math.min(...ys) + Math.max(...ys)) / 2, height, CHART_HEIGHT),
    width,
    height,
  };
}
