import { CAMERAS, project } from './views.ts';
import { flatLens, type Lens } from './lens.ts';
import { chinOf, jawOutlineOf } from './jaw-bone.ts';
import { poseFlesh, type PosedFlesh } from './jaw-flesh.ts';
import { jawPlaces, type JawMotion, type JawPlaces, type JawPose } from './jaw-motion.ts';
import { openedLens } from './opened.ts';
import type { PoseView } from './poses.ts';
import { frame, type Proportions } from './proportions.ts';
import type { Vec3, Xy } from './vector.ts';

/** No opening is drawn beyond this, mm: farther it looks forced. */
export const MOST_DRAWN_MM = 45;
const asDrawn = ({ openingMm, leftMm = 0, round = 0 }: JawPose): Required<JawPose> => ({
  openingMm: Math.min(MOST_DRAWN_MM, Math.max(0, openingMm)),
  leftMm,
  round,
});

const KEPT_MOST = 200;
/** A straight opening is worked out every so many mm, and in between mixed. */
const STATION_MM = 5;
const STATIONS = Array.from({ length: MOST_DRAWN_MM / STATION_MM + 1 }, (_, i) => i * STATION_MM);
/** The throat, from so far above the lowest skin of the chin: held back by the neck, which does not follow an opening, mm. */
const THROAT = { aboveChin: 2.5, fromZ: -20, toZ: 60 } as const;

/** A head of some proportions with its jaw, in closed form: what is laid over its drawings needs no body. */
export class PosableHead {
  /** Where its jaw turns and is measured. */
  readonly jaw: JawPlaces;
  private readonly height: (y: number) => number;
  private readonly throatY: number;
  private readonly lenses: Partial<Record<PoseView, Lens>> = {};
  private readonly known = new Map<string, PosedFlesh>();
  private readonly ways = new Map<string, Vec3[]>();
  private readonly outline: readonly Vec3[];
  private readonly chin: readonly Vec3[];

  constructor(readonly proportions: Partial<Proportions> = {}) {
    const own = frame(proportions);
    this.jaw = jawPlaces(own);
    this.height = own.height;
    this.outline = jawOutlineOf(own);
    this.chin = chinOf(own);
    this.throatY = Math.min(...this.chin.map((p) => p[1])) + THROAT.aboveChin;
  }

  /** A place on the sheet of a view, viewBox px. */
  onSheet(view: PoseView, p: Vec3): Xy {
    const lens = (this.lenses[view] ??= view === 'opened' ? openedLens(this.height) : flatLens(CAMERAS[view]));
    const [x, y] = view === 'opened' ? lens.project(p) : project(CAMERAS[view], p);
    return [x, y];
  }

  /** Its flesh in a pose. */
  flesh(pose: JawPose): PosedFlesh {
    const { openingMm, leftMm, round } = asDrawn(pose);
    const key = `${openingMm.toFixed(2)} ${leftMm} ${round}`;
    let flesh = this.known.get(key);
    if (!flesh) {
      if (this.known.size >= KEPT_MOST) this.known.clear();
      this.known.set(key, (flesh = poseFlesh({ openingMm, leftMm, round }, this.jaw)));
    }
    return flesh;
  }

  /** Where a place of the shut head's flesh is in a pose: within 0.3 mm, quick enough for every frame. */
  posedFlesh(q: Vec3, pose: JawPose): Vec3 {
    const { openingMm, leftMm, round } = asDrawn(pose);
    if (leftMm || round) return this.flesh(pose).posed(q);
    const key = q.join(' ');
    let way = this.ways.get(key);
    if (!way) this.ways.set(key, (way = STATIONS.map((mm) => this.flesh({ openingMm: mm }).posed(q))));
    const at = openingMm / STATION_MM;
    const i = Math.min(Math.floor(at), STATIONS.length - 2);
    const [a, b, t] = [way[i]!, way[i + 1]!, at - i];
    return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
  }

  /** The same of a place that is worked or told; those of the throat stay. */
  posedPlace(q: Vec3, pose: JawPose): Vec3 {
    return q[1] < this.throatY && q[2] > THROAT.fromZ && q[2] < THROAT.toZ ? q : this.posedFlesh(q, pose);
  }

  /**
   * A fibre that runs from the skull, which stays, to the jaw, which carries its lower end: straight stays straight, its
   * slant changes. Sideways it lies on the skin.
   * @param line from skull to jaw, shut
   */
  stretchedFibre(line: readonly Vec3[], pose: JawPose): Vec3[] {
    const end = line[line.length - 1]!;
    const to = this.flesh(pose).motion.moved(end);
    return line.map((q, i) => {
      const share = i / (line.length - 1);
      return [this.posedFlesh(q, pose)[0], q[1] + share * (to[1] - end[1]), q[2] + share * (to[2] - end[2])];
    });
  }

  /** Outline of its jaw in a motion, closed; on the midline, as it is seen from the side. */
  jawOutline(motion: JawMotion): Vec3[] {
    return this.outline.map((p) => motion.moved(p));
  }

  /** Skin of lower lip, chin and throat on the midline in a pose: what an opening looked like. */
  chinLine(pose: JawPose): Vec3[] {
    const { posed } = this.flesh(pose);
    return this.chin.map(posed);
  }
}

/** The adult that all charts draw where no client's own head is drawn. */
export const DRAWN_HEAD = new PosableHead();
