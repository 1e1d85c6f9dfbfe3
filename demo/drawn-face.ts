import type { PhotoMarks } from '../core/measures/index.ts';

/** How uneven the drawn face is, in mm; up and wide are positive, `left` is the client's. */
export interface DrawnUnevenness {
  leftBrowUpMm: number;
  leftLidUpMm: number;
  leftMouthUpMm: number;
  chinToLeftMm: number;
  /** The head held to a side, in degrees; positive = the client's left lower. */
  tiltDeg: number;
}
export const DRAWN_PX = { width: 960, height: 1200 } as const;
/** Of this drawing: an iris of 11.7 mm is 58.5 px wide. */
const PX_PER_MM = 5;
const SKIN = '#e6c7ad';
const SHADE = '#c99f82';
const INK = '#3b2a26';

/** A face drawn by code, nobody's: what a front photo is in the demo. */
export function drawnFace(u: DrawnUnevenness): { svg: string; marks: PhotoMarks } {
  const mm = (v: number) => v * PX_PER_MM;
  const [cx, cy] = [DRAWN_PX.width / 2, 520];
  // mm from the middle between the pupils: x to the client's left (the right of the picture), y down.
  const at = (x: number, y: number) => ({ x: mm(x), y: mm(y) });
  const brow = { right: -22, left: -22 - u.leftBrowUpMm };
  const lid = { right: -5.2, left: -5.2 - u.leftLidUpMm };
  const mouth = { right: 62, left: 62 - u.leftMouthUpMm };
  const eye = (side: -1 | 1, top: number) => {
    const [x, outer, inner] = [mm(32 * side), mm(47 * side), mm(18 * side)];
    return `<path d="M${inner} 0Q${x} ${mm(top * 1.9)} ${outer} 0Q${x} ${mm(9)} ${inner} 0Z" fill="#fbf7f2" stroke="${INK}" stroke-width="3"/>
<clipPath id="e${side}"><path d="M${inner} 0Q${x} ${mm(top * 1.9)} ${outer} 0Q${x} ${mm(9)} ${inner} 0Z"/></clipPath>
<g clip-path="url(#e${side})"><circle cx="${x}" cy="0" r="${mm(5.85)}" fill="#5d7a6e"/><circle cx="${x}" cy="0" r="${mm(2.2)}" fill="#1c1716"/></g>
<path d="M${inner} 0Q${x} ${mm(top * 1.9)} ${outer} 0" fill="none" stroke="${INK}" stroke-width="6"/>`;
  };
  const browPath = (side: -1 | 1, y: number) =>
    `<path d="M${mm(15 * side)} ${mm(y + 3.5)}Q${mm(34 * side)} ${mm(y - 6)} ${mm(51 * side)} ${mm(y + 5)}" fill="none" stroke="${INK}" stroke-width="17" stroke-linecap="round" opacity=".8"/>`;
  const chin = mm(u.chinToLeftMm);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${DRAWN_PX.width}" height="${DRAWN_PX.height}" viewBox="0 0 ${DRAWN_PX.width} ${DRAWN_PX.height}">
<rect width="100%" height="100%" fill="#cfd4d6"/><g transform="translate(${cx} ${cy}) rotate(${u.tiltDeg})">
<path d="M${mm(-38)} ${mm(80)}L${mm(-40)} ${mm(150)}H${mm(40)}L${mm(38)} ${mm(80)}Z" fill="${SHADE}"/>
<path d="M${mm(-74)} ${mm(-10)}C${mm(-76)} ${mm(-125)} ${mm(76)} ${mm(-125)} ${mm(74)} ${mm(-10)}L${mm(78)} ${mm(30)}H${mm(-78)}Z" fill="${INK}"/>
<ellipse cx="${mm(-70)}" cy="${mm(14)}" rx="${mm(8)}" ry="${mm(20)}" fill="${SHADE}"/><ellipse cx="${mm(70)}" cy="${mm(14)}" rx="${mm(8)}" ry="${mm(20)}" fill="${SHADE}"/>
<path d="M${mm(-68)} ${mm(-20)}C${mm(-66)} ${mm(-92)} ${mm(66)} ${mm(-92)} ${mm(68)} ${mm(-20)}C${mm(70)} ${mm(50)} ${chin + mm(32)} ${mm(104)} ${chin} ${mm(106)}C${chin - mm(32)} ${mm(104)} ${mm(-70)} ${mm(50)} ${mm(-68)} ${mm(-20)}Z" fill="${SKIN}"/>
${browPath(-1, brow.right)}${browPath(1, brow.left)}${eye(-1, lid.right)}${eye(1, lid.left)}
<path d="M${mm(-4)} ${mm(-8)}C${mm(-5)} ${mm(18)} ${mm(-15)} ${mm(34)} ${mm(-13)} ${mm(41)}Q${mm(-6)} ${mm(46)} 0 ${mm(45)}Q${mm(6)} ${mm(46)} ${mm(13)} ${mm(41)}" fill="none" stroke="${SHADE}" stroke-width="7" stroke-linecap="round"/>
<circle cx="0" cy="${mm(37)}" r="6" fill="#f3dcc8"/>
<path d="M${mm(-25)} ${mm(mouth.right)}Q${mm(-8)} ${mm(56)} 0 ${mm(58.5)}Q${mm(8)} ${mm(56)} ${mm(25)} ${mm(mouth.left)}Q0 ${mm(76)} ${mm(-25)} ${mm(mouth.right)}Z" fill="#b9736b"/>
<path d="M${mm(-25)} ${mm(mouth.right)}Q0 ${mm(64)} ${mm(25)} ${mm(mouth.left)}" fill="none" stroke="#7d443f" stroke-width="4"/>
<path d="M${chin - mm(10)} ${mm(96)}Q${chin} ${mm(99)} ${chin + mm(10)} ${mm(96)}" fill="none" stroke="${SHADE}" stroke-width="5" stroke-linecap="round"/>
</g></svg>`;
  const turn = (u.tiltDeg * Math.PI) / 180;
  const px = (x: number, y: number) => {
    const p = at(x, y);
    return {
      x: Math.round((cx + p.x * Math.cos(turn) - p.y * Math.sin(turn)) * 10) / 10,
      y: Math.round((cy + p.x * Math.sin(turn) + p.y * Math.cos(turn)) * 10) / 10,
    };
  };
  return {
    svg,
    marks: {
      'pupil-right': px(-32, 0),
      'pupil-left': px(32, 0),
      'iris-outer': px(-37.85, 0),
      'iris-inner': px(-26.15, 0),
      'brow-right': px(-34, brow.right),
      'brow-left': px(34, brow.left),
      'upper-lid-right': px(-32, lid.right),
      'lower-lid-right': px(-32, 4.5),
      'upper-lid-left': px(32, lid.left),
      'lower-lid-left': px(32, 4.5),
      glabella: px(0, -20),
      'nose-tip': px(0, 37),
      subnasale: px(0, 46),
      'mouth-right': px(-25, mouth.right),
      'mouth-left': px(25, mouth.left),
      chin: px(u.chinToLeftMm, 106),
    },
  };
}
