/**
 * The sheet of the opened face, in numbers (our choice, tried by eye and by measure): flat before the face, bent at the
 * temples, nearly flat along the sides, bent again behind the ears. Heights are those of the modelled head, in mm.
 */
export const OPENED = {
  /** From its axis to the sheet at the midline, in mm, where the sheet is at its largest. */
  frontMm: 86,
  /** [mm along the sheet from the midline, degrees it faces: 0 = front, 90 = client's left]. */
  bend: [
    [0, 0],
    [20, 2],
    [40, 13],
    [60, 33],
    [80, 56],
    [100, 73],
    [120, 85],
    [140, 94],
    [160, 105],
    [180, 119],
    [200, 134],
    [225, 152],
    [250, 168],
  ],
  /** [mm along the sheet, mm on the picture]: true in the middle, three quarters at the masseter, half at the ear. */
  across: [
    [0, 0],
    [35, 35],
    [60, 56.2],
    [100, 87.5],
    [132, 106],
    [172, 127.5],
    [200, 133.5],
    [250, 141],
  ],
  /** [height, size of the sheet, where its axis lies in mm, share of its bend that it keeps]: none at the collarbones. */
  rows: [
    [140, 0.03, -8, 1],
    [129, 0.045, -8, 1],
    [128, 0.075, -8, 1],
    [127, 0.135, -8, 1],
    [125.5, 0.2, -8, 1],
    [122, 0.31, -8, 1],
    [117, 0.43, -8, 1],
    [110, 0.55, -7, 1],
    [101, 0.67, -6, 1],
    [88, 0.79, -6, 1],
    [72, 0.89, -6, 1],
    [50, 0.97, -6, 1],
    [20, 1, -6, 1],
    [0, 0.99, -5, 1],
    [-25, 0.98, -3, 1],
    [-48, 0.96, -2, 1],
    [-64, 0.925, -4, 1],
    [-78, 0.865, -9, 1],
    [-92, 0.8, -15, 1],
    [-104, 0.76, -19, 1],
    [-116, 0.74, -22, 0.99],
    [-128, 0.73, -23, 0.93],
    [-140, 0.73, -24, 0.78],
    [-152, 0.75, -24, 0.54],
    [-164, 0.8, -24, 0.27],
    [-174, 0.86, -24, 0.09],
    [-184, 0.9, -24, 0],
    [-240, 0.92, -24, 0],
  ],
  /** [height, half the breadth of the picture in viewBox px]: where the sheet is cut; the neck gets its flare by it. */
  cut: [
    [140, 300],
    [40, 226],
    [20, 217],
    [0, 213.5],
    [-18, 209],
    [-32, 204.3],
    [-46, 196.5],
    [-60, 185],
    [-76, 168],
    [-92, 152],
    [-106, 141.5],
    [-118, 137.5],
    [-130, 140],
    [-142, 148],
    [-154, 165],
    [-166, 192],
    [-180, 235],
    [-240, 300],
  ],
  /** So much broader where the sheet no longer bends, so that the shoulders go on from the opened neck. */
  flare: 1.22,
  /** Share of the bearing that the height lines follow: with all of it the temples are bare and the crown has corners. */
  heightTurn: 0.62,
  /** Share of the bearing that the light follows, so that the sides still fall away a little. */
  lightTurn: 0.6,
} as const;
