import { incisorWay, MOST_DRAWN_MM, type PosableHead, type Vec3 } from '../../../../core/drawing';
import { OPENING_MARKS_MM } from '../../../../core/measures';
import { curveBasis, curveBasisClosed, line } from 'd3';
import { flipX, type View } from '../../../parts/chart/places';
import { spreadDown } from '../../../parts/chart/spread';
import { wayOfMidline } from './way-of-midline';
import type { JawScene, ToldOpening } from './jaw-look';

type At = readonly [number, number];
const open = line<At>().curve(curveBasis);
const closed = line<At>().curve(curveBasisClosed);
const TICKS_MM = [10, 20, 30];
const WORD_PX = 10.5;
const NOW = 'now';

interface Layer {
  scene: JawScene;
  head: PosableHead;
  view: View;
  unit: number;
  mirrored: boolean;
}

/** What is measured of an opening, over the drawing that opens to it. */
export function OpeningLayer({ scene, head, view, unit, mirrored }: Layer) {
  if (view !== scene.view) return null;
  return scene.way ? (
    <WayLayer scene={scene} head={head} way={scene.way} unit={unit} mirrored={mirrored} />
  ) : (
    <ProfileLayer scene={scene} head={head} view={scene.view as 'left' | 'right'} unit={unit} mirrored={mirrored} />
  );
}

/** The way of the lower incisors with its marks, other openings as faint jaws, and the click where it comes. */
function ProfileLayer({ scene, head, view, unit, mirrored }: Omit<Layer, 'view'> & { view: 'left' | 'right' }) {
  const x = (v: number) => flipX(v, mirrored, view);
  const at = (p: Vec3): At => {
    const [px, py] = head.onSheet(view, p);
    return [x(px), py];
  };
  const way = incisorWay(MOST_DRAWN_MM, head.jaw).map(at);
  /** A short stroke across the way. */
  const across = (mm: number, half: number): string => {
    const [a, b] = [way[Math.min(mm, way.length - 2)]!, way[Math.min(mm + 1, way.length - 1)]!];
    const length = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1;
    const [dx, dy] = [((b[1] - a[1]) / length) * half, (-(b[0] - a[0]) / length) * half];
    return `M${a[0] - dx} ${a[1] - dy}L${a[0] + dx} ${a[1] + dy}`;
  };
  const edge = (mm: number): At => at(head.flesh({ openingMm: mm }).motion.moved(head.jaw.incisor));
  /** Into the cheek, where there is room for words. */
  const inward = (view === 'left') === mirrored ? -1 : 1;
  const told: ToldOpening[] = [
    ...scene.others,
    ...(scene.nowMm === null ? [] : [{ mm: scene.nowMm, words: NOW, earlier: false }]),
  ].sort((a, b) => a.mm - b.mm);
  const rows = spreadDown(
    told.map((o) => edge(o.mm)[1]),
    (WORD_PX + 3) * unit,
  );
  const anchor = inward > 0 ? 'start' : 'end';
  const markRows = spreadDown(
    OPENING_MARKS_MM.map((mm) => way[mm]![1]),
    WORD_PX * unit,
  );
  return (
    <g className="opening-layer" aria-hidden="true">
      {scene.others.map((o, i) => {
        const pose = { openingMm: o.mm };
        return (
          <g key={i} className={o.earlier ? 'is-earlier' : 'is-other'}>
            <path d={closed(head.jawOutline(head.flesh(pose).motion).map(at)) ?? ''} strokeWidth={0.8 * unit} />
            <path className="skin" d={open(head.chinLine(pose).map(at)) ?? ''} strokeWidth={1.2 * unit} />
          </g>
        );
      })}
      <path className="way" d={open(way) ?? ''} strokeWidth={unit} />
      <path className="way" d={TICKS_MM.map((mm) => across(mm, 3 * unit)).join('')} strokeWidth={unit} />
      {OPENING_MARKS_MM.map((mm, i) => {
        const px = way[mm]![0];
        return (
          <g key={mm} className="mark">
            <path d={across(mm, 8 * unit)} strokeWidth={1.6 * unit} />
            <text
              x={px - inward * 11 * unit}
              y={markRows[i]! + 4 * unit}
              textAnchor={anchor === 'start' ? 'end' : 'start'}
              style={{ fontSize: WORD_PX * unit }}
            >
              {mm}
            </text>
          </g>
        );
      })}
      {scene.clicks.map((c) => {
        const [px, py] = edge(c.mm);
        return (
          <g key={`${c.mm} ${c.opening}`} className="click">
            <path
              d={`M${px - 4 * unit} ${py - 4 * unit}l${8 * unit} ${8 * unit}m0 ${-8 * unit}l${-8 * unit} ${8 * unit}`}
              strokeWidth={1.8 * unit}
            />
            <text
              x={px - inward * 9 * unit}
              y={py + 3.5 * unit}
              textAnchor={anchor === 'start' ? 'end' : 'start'}
              style={{ fontSize: WORD_PX * unit }}
            >
              click {c.opening ? 'opening' : 'closing'}, {c.mm}
            </text>
          </g>
        );
      })}
      {told.map((o, i) => {
        const [px, py] = edge(o.mm);
        const wordX = px + inward * 34 * unit;
        return (
          <g key={`${o.words} ${o.mm} ${i}`} className={`told${o.words === NOW ? ' is-now' : ''}`}>
            <path
              className="leader"
              d={`M${px} ${py}L${wordX - inward * 3 * unit} ${rows[i]! - 3 * unit}`}
              strokeWidth={0.7 * unit}
            />
            <circle cx={px} cy={py} r={3 * unit} strokeWidth={1.2 * unit} />
            <text x={wordX} y={rows[i]} textAnchor={anchor} style={{ fontSize: WORD_PX * unit }}>
              <tspan className="figure">{o.mm}</tspan> {o.words}
            </text>
          </g>
        );
      })}
    </g>
  );
}

/** How the lower midline goes while the jaw opens, from in front. */
function WayLayer({ scene, head, way, unit, mirrored }: Omit<Layer, 'view'> & { way: NonNullable<JawScene['way']> }) {
  const toMm = Math.min(scene.jaw.pose.openingMm, MOST_DRAWN_MM);
  const course = wayOfMidline(way, toMm, head).map((p): At => {
    const [px, py] = head.onSheet('front', p);
    return [flipX(px, mirrored, 'front'), py];
  });
  const [start, end] = [course[0]!, course[course.length - 1]!];
  const words =
    way.path === 'straight'
      ? 'opens straight'
      : `${way.offMm} mm to the client’s ${way.side}${way.path === 'returns' ? ', and back' : ', stays off'}`;
  return (
    <g className="opening-layer is-front" aria-hidden="true">
      <path className="midline" d={`M${start[0]} ${start[1] - 8 * unit}V${end[1] + 12 * unit}`} strokeWidth={unit} />
      <path className="course" d={open(course) ?? ''} strokeWidth={2 * unit} />
      <circle className="course-end" cx={end[0]} cy={end[1]} r={3 * unit} />
      <text className="figure" x={start[0]} y={end[1] + 30 * unit} textAnchor="middle" style={{ fontSize: 11 * unit }}>
        {words}
      </text>
    </g>
  );
}
