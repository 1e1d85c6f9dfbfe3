/** The part that the tests call; the package brings no types. */
declare module 'isosurface' {
  export function marchingCubes(
    dims: [number, number, number],
    potential: (x: number, y: number, z: number) => number,
    bounds: readonly [readonly number[], readonly number[]],
  ): { positions: [number, number, number][]; cells: [number, number, number][] };
}
