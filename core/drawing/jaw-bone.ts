import { jawMotion, type JawPlaces } from './jaw-motion.ts';
import { frame, type Frame } from './proportions.ts';
import { catmullRom, type Vec3 } from './vector.ts';

/** The lower jaw from the client's left, its head first: y, z in mm of the drawn adult. Drawn by eye. */
const OUTLINE = [
  [2.5, 12],
  [0, 6.5],
  [-8, 4.5],
  [-24, 1.5],
  [-44, 0.5],
  [-56, 3],
  [-63.5, 9],
  [-69, 19],
  [-75, 34],
  [-82, 51],
  [-89, 65],
  [-94, 74],
  [-94, 81],
  [-88, 86.5],
  [-80, 86],
  [-72, 84.5],
  [-63, 85],
  [-56, 86],
  [-57, 82],
  [-55.5, 72],
  [-53, 58],
  [-50, 45],
  [-46, 39],
  [-38, 36.5],
  [-26, 37],
  [-12, 37],
  [-4, 35],
  [-5, 31],
  [-11, 27],
  [-14, 22.5],
  [-10, 18.5],
  [-3, 17.5],
  [1, 15.5],
  [2.5, 12],
];
const SMOOTH = 4;
const smooth = catmullRom(OUTLINE, SMOOTH);

/** Skin of the lower lip, chin and throat on the midline, shut: from the lip down; y, z in mm of the drawn adult. Traced on it. */
const CHIN = [
  [-63.3, 97.9],
  [-71.2, 92.4],
  [-75.8, 91.4],
  [-79.4, 93],
  [-83.3, 93.7],
  [-87.3, 93.8],
  [-91.3, 93.3],
  [-95.1, 91.9],
  [-98.5, 89.7],
  [-101.2, 86.7],
  [-103, 83.1],
  [-104.1, 79.4],
  [-104.5, 75.6],
  [-104.4, 72.2],
  [-104.1, 69],
  [-103.7, 66.2],
  [-103.2, 63.6],
  [-102.7, 61.2],
] as const;
const HALVINGS = 40;
/** Heights of the drawn adult to those of the head that the shapes are written for: by halving. */
function modelHeight(y: number, { height }: Frame): number {
  let [low, high] = [-200, 200];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (height(middle) < y) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
const drawn = frame();
/** A line of the drawn adult on the midline of a head of other proportions. */
const onMidline = (line: readonly (readonly number[])[], { height }: Pick<Frame, 'height'>): Vec3[] =>
  line.map(([y, z]) => [0, height(modelHeight(y!, drawn)), z!]);

/** Outline of a head's jaw, shut and closed; on the midline, as it is seen from the side. */
export const jawOutlineOf = (own: Pick<Frame, 'height'>): Vec3[] => onMidline(smooth, own);
/** Skin of a head's lower lip, chin and throat on the midline, shut, from the lip down. */
export const chinOf = (own: Pick<Frame, 'height'>): Vec3[] => onMidline(CHIN, own);

/** Where the lower incisors stand at an opening. */
const incisorAt = (openingMm: number, places: JawPlaces): Vec3 =>
  jawMotion({ openingMm }, places).moved(places.incisor);

/** The way of the lower incisors, a place for every mm from shut to an opening. */
export const incisorWay = (toMm: number, places: JawPlaces): Vec3[] =>
  Array.from({ length: Math.floor(toMm) + 1 }, (_, mm) => incisorAt(mm, places));

/** The way of the jaw's head in its socket, in a number of steps. */
export const condyleWay = (toMm: number, places: JawPlaces, steps = 20): Vec3[] =>
  Array.from({ length: steps + 1 }, (_, i) =>
    jawMotion({ openingMm: (toMm * i) / steps }, places).moved(places.condyle),
  );
