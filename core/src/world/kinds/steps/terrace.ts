import type { Vec2, Vec3 } from "../../../geometry";
import { solidOf, type Solid } from "../../solid";

/**
 * A tread on the plan: its sides to the right and to the left of who goes up, each from its own riser to the next; one
 * place where it has no length there.
 */
export interface Tread {
  readonly right: readonly Vec2[];
  readonly left: readonly Vec2[];
}

interface Terrace {
  readonly id: string;
  readonly treads: readonly Tread[];
  /** The height of its foot, and how far it is up to the first tread and from each to the next, m. */
  readonly foot: number;
  readonly riser: number;
  /** Whether its sides are round. */
  readonly round: boolean;
}

/** The parts of a solid as they are gathered. */
class Gathered {
  readonly vertices: Vec3[] = [];
  readonly loops: number[][] = [];
  readonly curves: (number | undefined)[] = [];
  readonly names: string[] = [];
  private readonly numbers = new Map<string, number>();

  /** The vertex over a place that is known by a key, so many risers up. */
  vertex(key: string, [x, y]: Vec2, up: number, z: number): number {
    const known = this.numbers.get(`${key} ${up}`);
    if (known !== undefined) return known;
    const number = this.vertices.push([x, y, z]) - 1;
    this.numbers.set(`${key} ${up}`, number);
    return number;
  }

  add(name: string, loop: number[], curve?: number): void {
    this.names.push(name);
    this.loops.push(loop);
    this.curves.push(curve);
  }
}

/** The places along one side of all treads, each once, and the number of the one that each tread begins with. */
function sideOf(chains: readonly (readonly Vec2[])[]): { readonly places: Vec2[]; readonly starts: number[] } {
  const places: Vec2[] = [chains[0][0]];
  const starts = chains.map((chain) => {
    const start = places.length - 1;
    places.push(...chain.slice(1));
    return start;
  });
  return { places, starts: [...starts, places.length - 1] };
}

/** One closed solid of treads that follow each other up, whichever way they turn, down to the height of their foot. */
export function terrace({ id, treads, foot, riser, round }: Terrace): Solid {
  const out = new Gathered();
  const sides = {
    right: sideOf(treads.map(({ right }) => right)),
    left: sideOf(treads.map(({ left }) => left)),
  };
  const at = (side: "right" | "left", n: number, up: number) =>
    out.vertex(`${side} ${n}`, sides[side].places[n], up, foot + up * riser);
  const chain = (side: "right" | "left", from: number, to: number, up: number) =>
    Array.from({ length: to - from + 1 }, (_, i) => at(side, from + i, up));
  const ends = { right: sides.right.places.length - 1, left: sides.left.places.length - 1 };
  out.add("bottom", [...chain("left", 0, ends.left, 0), ...chain("right", 0, ends.right, 0).reverse()]);
  // Beside a riser, a wall begins with the corners of what went before: from so many risers up on each side.
  const before = { right: 0, left: 0 };
  treads.forEach((_, i) => {
    const up = i + 1;
    const [r0, r1, l0, l1] = [
      sides.right.starts[i],
      sides.right.starts[i + 1],
      sides.left.starts[i],
      sides.left.starts[i + 1],
    ];
    out.add(`tread ${i}`, [...chain("right", r0, r1, up), ...chain("left", l0, l1, up).reverse()]);
    out.add(`riser ${i}`, [at("left", l0, i), at("right", r0, i), at("right", r0, up), at("left", l0, up)]);
    for (const side of ["right", "left"] as const) {
      const [from, to] = side === "right" ? [r0, r1] : [l0, l1];
      for (let n = from; n < to; n++) {
        const between =
          n > from
            ? []
            : Array.from({ length: Math.max(0, i + 1 - before[side]) }, (__, k) => before[side] + k)
                .filter((level) => level > 0)
                .map((level) => at(side, n, level));
        // Seen from outside, the right side runs to the right, and the left side to the left.
        const loop = [at(side, n, 0), at(side, n + 1, 0), at(side, n + 1, up), at(side, n, up), ...between.reverse()];
        out.add(
          `${side} ${n}`,
          side === "right" ? loop : loop.reverse(),
          round ? (side === "right" ? 0 : 1) : undefined,
        );
        before[side] = up;
      }
    }
  });
  const top = treads.length;
  const [r, l] = [ends.right, ends.left];
  out.add("end", [at("right", r, 0), at("left", l, 0), at("left", l, top), at("right", r, top)]);
  return solidOf(id, out.vertices, out.loops, out.curves, out.names);
}
