import { condyleWay, MOST_DRAWN_MM, type Vec3 } from '../../../../core/drawing';
import { curveBasis, line } from 'd3';
import { useMemo, useRef } from 'react';
import { flipX } from '../places';
import { measuringLine } from './measuring';
import { isProfile, type PosedView } from './posed';
import { useJawFrames } from './use-jaw-frames';

const open = line<readonly [number, number]>().curve(curveBasis);
const LABEL_PX = 15;
/** The outline is smooth already: its many places are joined straight. */
const closedThrough = (places: readonly (readonly [number, number])[]): string =>
  `M${places.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;

/** In a frame narrower than this, px, there is no room beside the face to measure. */
const MEASURED_FROM_PX = 160;

/** What the measuring line of a jaw that is held takes of the sheet; null where none stands. */
export function measuredBox(posed: PosedView | null, mirrored: boolean, unit: number) {
  if (!posed || posed.moving || !isProfile(posed.view)) return null;
  const { view, pose, drawings } = posed;
  const { motion } = drawings.head.flesh(pose);
  const at = (p: Vec3): [number, number] => {
    const [x, y] = drawings.head.onSheet(view, p);
    return [flipX(x, mirrored, view), y];
  };
  const { incisor } = drawings.head.jaw;
  return measuringLine(at(incisor), at(motion.moved(incisor)), (view === 'left') !== mirrored, unit).box;
}

/**
 * The lower jaw as a faint line in profile with the way of its head, and the opening between the incisors with its
 * millimetres: at every frame, from the closed form.
 */
export function JawLine({
  posed,
  flip,
  mirrored,
  unit,
  frame,
}: {
  posed: PosedView;
  flip: string | undefined;
  mirrored: boolean;
  unit: number;
  /** How wide the chart is, px. */
  frame: number;
}) {
  const { view } = posed;
  const { head: of } = posed.drawings;
  const bone = useRef<SVGPathElement>(null);
  const head = useRef<SVGCircleElement>(null);
  const measure = useRef<SVGPathElement>(null);
  const leaders = useRef<SVGPathElement>(null);
  const teeth = useRef<(SVGCircleElement | null)[]>([]);
  const words = useRef<SVGTextElement>(null);
  const at = (p: Vec3) => of.onSheet(view, p);
  useJawFrames(posed, (mm) => {
    const { motion } = of.flesh({ openingMm: mm });
    bone.current?.setAttribute('d', closedThrough(of.jawOutline(motion).map(at)));
    const [x, y] = at(motion.moved(of.jaw.condyle));
    head.current?.setAttribute('cx', x.toFixed(1));
    head.current?.setAttribute('cy', y.toFixed(1));
    const upper = at(of.jaw.incisor);
    const lower = at(motion.moved(of.jaw.incisor));
    const told = measuringLine(upper, lower, view === 'left', unit);
    const isOpen = Math.round(mm) > 0 && frame >= MEASURED_FROM_PX;
    measure.current?.setAttribute('d', isOpen ? told.line : '');
    leaders.current?.setAttribute('d', isOpen ? told.leaders : '');
    [upper, lower].forEach(([cx, cy], i) => {
      teeth.current[i]?.setAttribute('cx', cx.toFixed(1));
      teeth.current[i]?.setAttribute('cy', cy.toFixed(1));
      // Shut, the teeth are one line and nothing is measured.
      teeth.current[i]?.setAttribute('visibility', isOpen ? 'visible' : 'hidden');
    });
    if (words.current) {
      words.current.textContent = isOpen ? String(Math.round(mm)) : '';
      words.current.setAttribute('x', flipX(told.label[0], mirrored, view).toFixed(1));
      words.current.setAttribute('y', (told.label[1] + 5 * unit).toFixed(1));
    }
  });
  const way = useMemo(() => open(condyleWay(MOST_DRAWN_MM, of.jaw).map((p) => of.onSheet(view, p))) ?? '', [of, view]);
  return (
    <g className="jaw-line" aria-hidden="true">
      <g transform={flip}>
        <path ref={bone} className="bone" strokeWidth={unit} />
        <path className="way" d={way} strokeWidth={unit} strokeDasharray={`${unit} ${2.4 * unit}`} />
        <circle ref={head} className="condyle" r={2.6 * unit} />
        <path
          ref={leaders}
          className="leaders"
          strokeWidth={0.8 * unit}
          strokeDasharray={`${2.4 * unit} ${2.4 * unit}`}
        />
        <path ref={measure} className="measure" strokeWidth={1.3 * unit} />
        {[0, 1].map((i) => (
          <circle key={i} ref={(c) => void (teeth.current[i] = c)} className="tooth" r={2 * unit} />
        ))}
      </g>
      <text
        ref={words}
        className="jaw-mm"
        textAnchor={(view === 'left') === mirrored ? 'start' : 'end'}
        style={{ fontSize: LABEL_PX * unit }}
      />
    </g>
  );
}
