import type { Vec2, Vec3 } from "../geometry";
import { boxOnPlan } from "./polygon";

/** Places of the plan nearer than this are one, m: clipping leaves its rounding where two parts of an area meet. */
const WELD = 2e-6;
/** Heights nearer than this over one place are one, m. */
const LEVEL = 1e-5;
const CELL = 4 * WELD;

/** Vertices that are one where they nearly are, by their numbers. */
export interface Welded {
  readonly vertices: readonly Vec3[];
  /** The number of a place of the plan, and the place of a number. */
  place(at: Vec2): number;
  at(place: number): Vec2;
  /** The number of the vertex at a height over a place, m. */
  vertex(place: number, z: number): number;
  /** A ring of places with those others put in that lie on its sides. */
  subdivided(ring: readonly number[]): readonly number[];
}

/** @returns a place between p and q as a share of their distance; null for one beside it or at its ends */
function shareOn([px, py]: Vec2, [qx, qy]: Vec2, [x, y]: Vec2): number | null {
  const [ux, uy] = [qx - px, qy - py];
  const long = Math.hypot(ux, uy);
  const along = ((x - px) * ux + (y - py) * uy) / long;
  if (along <= WELD || along >= long - WELD) return null;
  return Math.abs((x - px) * uy - (y - py) * ux) <= WELD * long ? along / long : null;
}

export function welded(): Welded {
  const places: Vec2[] = [];
  const cells = new Map<string, number[]>();
  const vertices: Vec3[] = [];
  const over: number[][] = [];
  const cellOf = (value: number) => Math.floor(value / CELL);
  const isOne = (at: Vec2, n: number) => Math.hypot(places[n][0] - at[0], places[n][1] - at[1]) <= WELD;

  function place(at: Vec2): number {
    const [cx, cy] = at.map(cellOf);
    for (const i of [0, -1, 1])
      for (const k of [0, -1, 1]) {
        const found = cells.get(`${cx + i} ${cy + k}`)?.find((n) => isOne(at, n));
        if (found !== undefined) return found;
      }
    const number = places.push(at) - 1;
    const key = `${cx} ${cy}`;
    cells.set(key, [...(cells.get(key) ?? []), number]);
    over.push([]);
    return number;
  }

  function vertex(at: number, z: number): number {
    const found = over[at].find((n) => Math.abs(vertices[n][2] - z) <= LEVEL);
    if (found !== undefined) return found;
    const number = vertices.push([...places[at], z]) - 1;
    over[at].push(number);
    return number;
  }

  function subdivided(ring: readonly number[]): readonly number[] {
    const distinct = ring.filter((n, i) => n !== ring[(i + ring.length - 1) % ring.length]);
    return distinct.flatMap((n, i) => {
      const [p, q] = [places[n], places[distinct[(i + 1) % distinct.length]]];
      const [x0, y0, x1, y1] = boxOnPlan([p, q], WELD);
      const between: { readonly k: number; readonly share: number }[] = [];
      for (let k = 0; k < places.length; k++) {
        const at = places[k];
        if (at[0] < x0 || at[0] > x1 || at[1] < y0 || at[1] > y1) continue;
        const share = shareOn(p, q, at);
        if (share !== null) between.push({ k, share });
      }
      return [n, ...between.sort((a, b) => a.share - b.share).map(({ k }) => k)];
    });
  }

  return { vertices, place, at: (n) => places[n], vertex, subdivided };
}
