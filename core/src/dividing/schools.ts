import type { Quad, Vec2 } from "../geometry";
import { NoAnswer } from "../problem";
import { between, meet, sideBySide, through } from "./meet";
import type { Stretch } from "./quad";
import type { Part } from "../rhythm";

/** Lines of a construction that belong together, and what they are for. */
export interface Drawn {
  readonly what: string;
  readonly lines: readonly Stretch[];
  /** The places that they find. */
  readonly found: readonly Vec2[];
}

/** A division found by construction lines: where it cuts the first edge, and how it was drawn, in order. */
export interface Constructed {
  readonly places: readonly Vec2[];
  readonly drawn: readonly Drawn[];
}

/** A quadrilateral by its edges: along its columns below and above, and its first and last uprights. */
const edgesOf = ([a, b, c, d]: Quad) => ({
  below: [a, b] as const,
  above: [d, c] as const,
  near: [a, d] as const,
  far: [b, c] as const,
});

/**
 * Equal parts by crossing diagonals. The middle is where the diagonals cross. The line from the top of the near upright
 * to the foot of the upright at 1/k crosses the diagonal at 1/(k + 1) (the harmonic construction), down to 1/n; from
 * there each bay is repeated by the line from its near foot through the middle of its far upright.
 * @throws NoAnswer for fewer than two parts, or parts that are not equal
 */
export function byDiagonals(quad: Quad, parts: readonly Part[]): Constructed {
  const n = parts.length;
  if (parts.some(({ size }) => size !== parts[0].size))
    throw new NoAnswer("Crossing diagonals give equal parts only: draw this rhythm by marks on the near upright.");
  if (n < 2) throw new NoAnswer("There is nothing to divide: ask for two parts or more.");
  const { below, above, near, far } = edgesOf(quad);
  const [a, b, c, d] = quad;
  const uprightAt = (place: Vec2): Stretch => {
    const line = through(place, near, far);
    return [meet(below, line), meet(above, line)];
  };
  const crossing = meet([a, c], [b, d]);
  let upright = uprightAt(crossing);
  const drawn: Drawn[] = [
    {
      what: "diagonals",
      lines: [
        [a, c],
        [b, d],
      ],
      found: [crossing],
    },
    { what: "half", lines: [upright], found: [upright[0]] },
  ];
  for (let k = 3; k <= n; k++) {
    const slant: Stretch = [d, upright[0]];
    const crossed = meet([a, c], slant);
    upright = uprightAt(crossed);
    drawn.push({ what: `1/${k}`, lines: [slant, upright], found: [upright[0]] });
  }
  const uprights: Stretch[] = [near, upright];
  if (n > 2) {
    const axis: Stretch = [meet(through(crossing, below, above), near), meet(through(crossing, below, above), far)];
    drawn.push({ what: "middle line", lines: [axis], found: [] });
    while (uprights.length < n) {
      const [before, last] = uprights.slice(-2);
      const middle = meet(axis, last);
      const next = uprightAt(meet(above, [before[0], middle]));
      drawn.push({ what: "repeat", lines: [[before[0], next[1]], next], found: [next[0]] });
      uprights.push(next);
    }
  }
  return { places: [...uprights.map(([foot]) => foot), b], drawn };
}

/**
 * Shares by marks on the near upright: the marks run to the point of the edges, one diagonal cuts them, uprights go
 * through the cuts.
 */
export function byMarks(quad: Quad, shares: readonly number[]): Constructed {
  const { below, above, near, far } = edgesOf(quad);
  const [a, , c] = quad;
  const inner = shares.filter((share) => share > 0 && share < 1);
  // On an upright that leans away the marks are not even: they are taken across from the true picture of the edge.
  const marks = inner.map((share) => onEdge(near, above, below, share));
  const runs = marks.map((mark): Stretch => {
    const line = through(mark, below, above);
    return [mark, meet(line, far)];
  });
  const cuts = runs.map((run) => meet(run, [a, c]));
  const uprights = cuts.map((cut): Stretch => {
    const line = through(cut, near, far);
    return [meet(line, below), meet(line, above)];
  });
  const feet = uprights.map(([foot]) => foot);
  return {
    places: shares.map((share) => (share <= 0 ? a : share >= 1 ? quad[1] : feet[inner.indexOf(share)])),
    drawn: [
      { what: "marks", lines: [], found: marks },
      { what: "runs", lines: runs, found: [] },
      { what: "diagonal", lines: [[a, c]], found: cuts },
      { what: "uprights", lines: uprights, found: feet },
    ],
  };
}

/** A share of a near upright: even where the uprights are parallel on paper, towards their point where they meet. */
function onEdge([a, d]: Stretch, above: Stretch, below: Stretch, share: number): Vec2 {
  const far: Stretch = [below[1], above[1]];
  if (sideBySide([a, d], far)) return between(a, d, share);
  const point = meet([a, d], far);
  const [p, q] = [Math.hypot(a[0] - point[0], a[1] - point[1]), Math.hypot(d[0] - point[0], d[1] - point[1])];
  return between(a, d, (share * p) / (q + share * (p - q)));
}
