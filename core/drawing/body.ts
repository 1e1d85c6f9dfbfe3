import { smoothMax, smoothMin, tube, type Distance, type Shape } from './shapes.ts';
import type { Vec3 } from './vector.ts';

type Operation = (d: number, x: number, y: number, z: number) => number;

/**
 * A body is an ordered list of operations on one distance; order matters. A symmetric one folds x by sqrt(x² + 1.6),
 * which rounds the seam on the midline, so only the client's left half is modelled.
 */
export class SolidBody {
  private readonly operations: Operation[] = [];
  /** Which part of the body each operation makes, where it was said. */
  private readonly partOf = new Map<Operation, string>();
  private readonly symmetric: boolean;

  constructor({ symmetric = true }: { symmetric?: boolean } = {}) {
    this.symmetric = symmetric;
  }

  /** What is built in `build` can be left out, or taken by itself, under a name. */
  part(name: string, build: () => void): this {
    const from = this.operations.length;
    build();
    for (const operation of this.operations.slice(from)) this.partOf.set(operation, name);
    return this;
  }

  /** Smooth union; `k` = blend radius in mm. */
  add(k: number, shape: Shape): this {
    const { distance, sphere } = shape;
    this.operations.push((d, x, y, z) => {
      if (sphere) {
        const limit = d + k + sphere[3];
        if (limit < 0 || squaredDistance(sphere, x, y, z) > limit * limit) return d;
      }
      return smoothMin(d, distance(x, y, z), k);
    });
    return this;
  }

  /** Smooth cut. */
  cut(k: number, shape: Shape): this {
    const { distance, sphere } = shape;
    this.operations.push((d, x, y, z) => {
      if (sphere) {
        const limit = sphere[3] + k + Math.max(0, -d);
        if (squaredDistance(sphere, x, y, z) > limit * limit) return d;
      }
      return smoothMax(d, -distance(x, y, z), k);
    });
    return this;
  }

  /** Soft relief of `amount` mm (positive raises, negative hollows) inside an ellipsoid. */
  bump(amount: number, centre: readonly number[], radii: Vec3): this {
    const [cx, cy, cz] = centre as [number, number, number];
    this.operations.push((d, x, y, z) => {
      const q = ((x - cx) / radii[0]) ** 2 + ((y - cy) / radii[1]) ** 2 + ((z - cz) / radii[2]) ** 2;
      return q < 1 ? d - amount * (1 - q) ** 3 : d;
    });
    return this;
  }

  /** A furrow `depth` mm deep and `halfWidth` mm to each side of a curve. */
  groove(depth: number, points: readonly (readonly number[])[], halfWidth: number): this {
    const line = tube(
      points.map((p) => [...p.slice(0, 3), 0]),
      5,
    );
    const sphere = line.sphere!;
    this.operations.push((d, x, y, z) => {
      const limit = sphere[3] + halfWidth;
      if (squaredDistance(sphere, x, y, z) > limit * limit) return d;
      const q = line.distance(x, y, z) / halfWidth;
      return q < 1 ? d + depth * (1 - q * q) ** 2 : d;
    });
    return this;
  }

  /** Distance to the body as it is built so far. */
  readonly distance: Distance = (x, y, z) => through(this.operations, this.fold(x), y, z);

  /** Distance to what is built so far without a part of it. */
  without(name: string): Distance {
    const rest = this.operations.filter((operation) => this.partOf.get(operation) !== name);
    return (x, y, z) => through(rest, this.fold(x), y, z);
  }
  /** Distance to a part by itself. */
  only(name: string): Distance {
    const own = this.operations.filter((operation) => this.partOf.get(operation) === name);
    return (x, y, z) => through(own, this.fold(x), y, z);
  }

  private fold(x: number): number {
    return this.symmetric ? Math.sqrt(x * x + 1.6) : x;
  }
}

/** What a list of operations makes of nothing. */
function through(operations: readonly Operation[], x: number, y: number, z: number): number {
  let d = 1e9;
  for (const operation of operations) d = operation(d, x, y, z);
  return d;
}

const squaredDistance = (s: readonly [number, number, number, number], x: number, y: number, z: number): number =>
  (x - s[0]) ** 2 + (y - s[1]) ** 2 + (z - s[2]) ** 2;
