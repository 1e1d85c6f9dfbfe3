import { DRAWN_HEAD, eased, jawMotion } from '../../../../core/drawing';
import type { PosedView } from './posed';
import { flipX } from '../places';

/** Points that lie in a hollow which the head of the jaw closes or opens. */
const AT_JOINT: ReadonlySet<string> = new Set(['ST7', 'TE21', 'SI19', 'GB2']);
export const isAtJoint = ({ kind, id }: { kind: string; id: string }): boolean => kind === 'point' && AT_JOINT.has(id);

/** The head of the jaw has left its socket for good after so much of its way, mm. */
const GONE_MM = 12;
/** An opening that is half of the usual one, mm: by then the hollow under the arch is narrow. */
const HALF_MM = 25;

/** Half breadth and half height of both hollows at an opening, px of the sheet. Our choice, by eye. */
export function hollowsAt(openingMm: number): { underArch: [number, number]; beforeEar: [number, number] } {
  const gone = eased(jawMotion({ openingMm }, DRAWN_HEAD.jaw).glideMm / GONE_MM);
  const half = eased(openingMm / HALF_MM);
  return {
    underArch: [11 - 5 * gone, 7 * (1 - Math.max(0.55 * half, gone)) + 0.8],
    beforeEar: [1 + 1.6 * half + 4.2 * gone, 15 + 3 * gone],
  };
}

/** In profile: the hollow under the arch, which closes as the jaw opens, and the one before the ear, which opens. */
export function JawHollows({ posed: { view, pose, drawings }, mirrored }: { posed: PosedView; mirrored: boolean }) {
  const { head, places } = drawings;
  const { underArch, beforeEar } = hollowsAt(pose.openingMm);
  const at = (id: string): [number, number] => {
    const [x, y] = head.onSheet(view, head.posedPlace(places[`point:${id}.${view}`]!.mm, pose));
    return [flipX(x, mirrored, view), y];
  };
  const leans = (view === 'left') === mirrored ? -1 : 1;
  const hollow = ([x, y]: [number, number], [rx, ry]: [number, number], turn: number) => (
    <ellipse cx={x} cy={y} rx={rx} ry={ry} transform={`rotate(${turn * leans} ${x} ${y})`} />
  );
  return (
    <g className="jaw-hollows" aria-hidden="true">
      {hollow(at('ST7'), underArch, -12)}
      {hollow(at('SI19'), beforeEar, -6)}
    </g>
  );
}
