import { type Box, CLIENT_MEASURES, type ClientMeasureId, type ClientMeasures } from '../../../core/atlas';
import { curveCatmullRom, line } from 'd3';
import { memo, useMemo } from 'react';
import { MUSCLES } from '../../../reference/facts/muscles';
import { useFibres, type FibreDrawing, type Fibres } from './fibres';
import { LabelLayer, type Named } from './label-layer';
import {
  drainageIn,
  isNamed,
  landmarkMarks,
  measureLines,
  muscleMarks,
  nodeMarks,
  pointMarks,
  type DrainageStroke,
  type MapMark,
} from './map';
import type { MapLayer } from './map-layer-names';
import { placeKey, placesOn, sheetOf, type Place, type PlaceTable, type Shown, type Spot, type View } from './places';

interface Props {
  view: View;
  mirrored: boolean;
  /** Sheet px per px on the screen: marks and names keep their size at any scale. */
  unit: number;
  /** The part of the sheet that is shown. */
  part: { x: number; y: number; width: number; height: number };
  /** Where words of the chart stand already. */
  taken: readonly Box[];
  shown: Shown;
  table: PlaceTable;
  /** Fibres of a drawing fitted to a client; null: the standard ones. */
  fitted: Fibres | null;
  on: ReadonlySet<MapLayer>;
  chosen: Place | null;
  second: Place | null;
  measures: ClientMeasures | null;
  focusedMeasure: ClientMeasureId | null;
}

const RANK = { chosen: 9, point: 5, node: 4, muscle: 3, measure: 2, landmark: 1 } as const;

/** The map itself: what is on every face. Drawn below the marks of the page. */
export default memo(function MapLayers({
  view,
  mirrored,
  unit,
  part,
  taken,
  shown,
  table,
  fitted,
  on,
  chosen,
  second,
  measures,
  focusedMeasure,
}: Props) {
  const standard = useFibres(on.has('Muscles') || on.has('Fibres') || chosen?.kind === 'muscle');
  const fibres = fitted ?? standard;
  const points = useMemo(() => (on.has('Points') ? pointMarks(shown) : []), [on, shown]);
  const landmarks = useMemo(() => (on.has('Landmarks') ? landmarkMarks(shown) : []), [on, shown]);
  const nodes = useMemo(() => (on.has('Lymph') ? nodeMarks(shown) : []), [on, shown]);
  const muscles = useMemo(() => (on.has('Muscles') ? muscleMarks(shown, on.has('Deep')) : []), [on, shown]);
  const lines = useMemo(
    () => (on.has('Measures') ? measureLines(view, mirrored, table) : []),
    [on, view, mirrored, table],
  );
  const drainage = useMemo(() => (on.has('Lymph') ? drainageIn(shown) : null), [on, shown]);
  const { width } = sheetOf(view);
  const flip = mirrored ? `matrix(-1 0 0 1 ${width} 0)` : undefined;
  const isChosen = (m: MapMark) => [chosen, second].some((c) => c && placeKey(c) === placeKey(m.place));
  const named: Named[] = [
    ...points.map((m) => ({ mark: m, rank: RANK.point, clear: 3.4, kind: 'point' })),
    ...nodes.map((m) => ({ mark: m, rank: RANK.node, clear: 3.6, kind: 'node' })),
    ...muscles.map((m) => ({ mark: m, rank: RANK.muscle, clear: 0.5, kind: 'muscle' })),
    ...landmarks.map((m) => ({ mark: m, rank: RANK.landmark, clear: 2.2, kind: 'landmark' })),
  ].map((n) => ({
    key: placeKey(n.mark.place),
    text: n.mark.name,
    x: n.mark.at.x,
    y: n.mark.at.y,
    clear: n.clear * unit,
    rank: isChosen(n.mark) ? RANK.chosen : n.rank,
    kind: n.kind,
    silent: !isNamed(n.mark, view) && !isChosen(n.mark),
  }));
  // Names stay off the measuring lines that run straight across or down.
  const kept = useMemo(() => [...taken, ...lines.flatMap((l) => lineBox(l.path))], [taken, lines]);
  const drawnMuscles = MUSCLES.filter((m) => m.fan && (on.has('Deep') || m.layer === 'superficial')).sort((a, b) =>
    a.layer === b.layer ? 0 : a.layer === 'deep' ? -1 : 1,
  );
  return (
    <g className="map-layers">
      {(on.has('Muscles') || on.has('Fibres')) && (
        <g transform={flip}>
          {drawnMuscles.flatMap((m) =>
            (['left', 'right'] as const).map((side) => {
              const drawing = fibres[`${m.id}.${side}`]?.[view];
              return (
                drawing && (
                  <g key={`${m.id}.${side}`} className={`map-muscle is-${m.layer}`}>
                    {on.has('Muscles') && <path className="body" d={drawing.outline} />}
                    {on.has('Fibres') && <path className="fibres" d={drawing.fibres} />}
                  </g>
                )
              );
            }),
          )}
        </g>
      )}
      {chosen?.kind === 'muscle' && (
        <ChosenMuscle
          place={chosen}
          shown={shown}
          drawing={fibres[`${chosen.id}.${chosen.side}`]?.[view]}
          flip={flip}
        />
      )}
      {drainage && <Drainage {...drainage} />}
      {lines.map((l) => (
        <g key={l.id} className="map-measure">
          <path
            d={
              line<Spot>(
                (p) => p.x,
                (p) => p.y,
              ).curve(curveCatmullRom)(l.path) ?? ''
            }
            className={focusedMeasure === l.id ? 'is-focused' : undefined}
            strokeWidth={(focusedMeasure === l.id ? 2.4 : 1.1) * unit}
            strokeDasharray={`${5 * unit} ${2.5 * unit}`}
          />
          {[l.path[0]!, l.path[l.path.length - 1]!].map((p, i) => (
            <circle key={i} cx={p.x} cy={p.y} r={2.2 * unit} />
          ))}
        </g>
      ))}
      {landmarks.map((m) => (
        <path
          key={placeKey(m.place)}
          className="map-landmark"
          d={`M${m.at.x - 2.6 * unit} ${m.at.y}h${5.2 * unit}M${m.at.x} ${m.at.y - 2.6 * unit}v${5.2 * unit}`}
          strokeWidth={unit}
        />
      ))}
      {nodes.map((m) => (
        <path
          key={placeKey(m.place)}
          className="map-node"
          d={`M${m.at.x} ${m.at.y - 4 * unit}l${4 * unit} ${4 * unit}l${-4 * unit} ${4 * unit}l${-4 * unit} ${-4 * unit}z`}
          strokeWidth={unit}
        />
      ))}
      {points.map((m) => (
        <circle
          key={placeKey(m.place)}
          className={`map-point is-${m.place.side}`}
          cx={m.at.x}
          cy={m.at.y}
          r={2.9 * unit}
          strokeWidth={1.3 * unit}
        />
      ))}
      {[chosen, second].map((place) => place && <Ring key={placeKey(place)} at={shown(place)} unit={unit} />)}
      <LabelLayer
        named={[...named, ...lines.map((l) => measureName(l.id, l.path, unit, measures))]}
        unit={unit}
        taken={kept}
        sheet={{
          left: part.x + 4 * unit,
          top: part.y + 4 * unit,
          right: part.x + part.width - 4 * unit,
          bottom: part.y + part.height - 4 * unit,
        }}
      />
    </g>
  );
});

function lineBox(path: readonly Spot[]): Box[] {
  const [a, b] = [path[0]!, path[path.length - 1]!];
  if (path.length > 2 || Math.min(Math.abs(a.x - b.x), Math.abs(a.y - b.y)) > 6) return [];
  return [{ x0: Math.min(a.x, b.x), y0: Math.min(a.y, b.y), x1: Math.max(a.x, b.x), y1: Math.max(a.y, b.y) }];
}

function measureName(
  id: keyof typeof CLIENT_MEASURES,
  path: readonly Spot[],
  unit: number,
  measures: ClientMeasures | null,
): Named {
  const middle =
    path.length === 2
      ? { x: (path[0]!.x + path[1]!.x) / 2, y: (path[0]!.y + path[1]!.y) / 2 }
      : path[path.length >> 1]!;
  const value = measures?.[id];
  return {
    key: `measure:${id}`,
    text: value === undefined ? CLIENT_MEASURES[id].name.toLowerCase() : `${value} mm`,
    ...middle,
    clear: 2 * unit,
    rank: RANK.measure,
    kind: 'measure',
    silent: false,
  };
}

function Ring({ at, unit }: { at: Spot | null; unit: number }) {
  return at && <circle className="map-chosen" cx={at.x} cy={at.y} r={8 * unit} strokeWidth={2 * unit} />;
}

/** The chosen muscle in full ink, and the faint fields where pain from it is commonly felt. */
function ChosenMuscle({
  place,
  shown,
  drawing,
  flip,
}: {
  place: Place;
  shown: Shown;
  drawing: FibreDrawing | undefined;
  flip: string | undefined;
}) {
  const row = MUSCLES.find((m) => m.id === place.id);
  return (
    <>
      <defs>
        <pattern id="referral-dots" width="4" height="4" patternUnits="userSpaceOnUse">
          <circle cx="1" cy="1" r="0.8" className="map-referral-dot" />
        </pattern>
      </defs>
      {row?.referral.fields.flatMap((region) =>
        placesOn({ kind: 'region', id: region }, place.side).map((field) => {
          const at = shown(field);
          return at && <circle key={placeKey(field)} cx={at.x} cy={at.y} r={24} fill="url(#referral-dots)" />;
        }),
      )}
      {drawing && (
        <g transform={flip} className="map-muscle is-chosen">
          <path className="body" d={drawing.outline} />
          <path className="fibres" d={drawing.fibres} />
        </g>
      )}
    </>
  );
}

function Drainage({ strokes, ways }: { strokes: readonly DrainageStroke[]; ways: readonly DrainageStroke[] }) {
  return (
    <g className="map-lymph">
      {ways.map((w) => (
        <path key={w.id} className="way" d={`M${w.from.x} ${w.from.y}L${w.to.x} ${w.to.y}`} />
      ))}
      {strokes.map((s) => (
        <path key={s.id} className="stroke" d={taperedArrow(s.from, s.to)} />
      ))}
    </g>
  );
}

/** A stroke that swells toward its head: thin where it starts, ending in a point. */
function taperedArrow(from: Spot, to: Spot): string {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = Math.hypot(dx, dy);
  if (length < 8) return '';
  const [ux, uy] = [dx / length, dy / length];
  const at = (along: number, aside: number) =>
    `${(from.x + ux * along - uy * aside).toFixed(1)} ${(from.y + uy * along + ux * aside).toFixed(1)}`;
  const end = length - 4;
  const neck = Math.max(0, end - 7);
  return `M${at(0, -0.4)}L${at(neck, -1.6)}L${at(neck, -3.6)}L${at(end, 0)}L${at(neck, 3.6)}L${at(neck, 1.6)}L${at(0, 0.4)}z`;
}
