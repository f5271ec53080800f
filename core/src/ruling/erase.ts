import { distance2, fromStretch, type Vec2 } from "../geometry";
import { placesOf, runsOf, type OwnLine } from "../lines";

/** The stretches of [0, 1] along a line outside a disc. */
function outside(
  [ax, ay]: Vec2,
  [bx, by]: Vec2,
  [cx, cy]: Vec2,
  radius: number,
): readonly (readonly [number, number])[] {
  const [dx, dy, ex, ey] = [bx - ax, by - ay, ax - cx, ay - cy];
  const a = dx * dx + dy * dy;
  const half = dx * ex + dy * ey;
  const inside = half * half - a * (ex * ex + ey * ey - radius * radius);
  if (a === 0 || inside <= 0) return a === 0 && Math.hypot(ex, ey) < radius ? [] : [[0, 1]];
  const root = Math.sqrt(inside);
  const [t0, t1] = [(-half - root) / a, (-half + root) / a];
  if (t1 <= 0 || t0 >= 1) return [[0, 1]];
  return (
    [
      [0, t0],
      [t1, 1],
    ] as const
  ).filter(([from, to]) => to - from > 1e-9);
}

/** Runs of places cut where a disc covers them. */
function cutRuns(runs: readonly (readonly Vec2[])[], centre: Vec2, radius: number): Vec2[][] {
  return runs.flatMap((run) => {
    const pieces: Vec2[][] = [];
    let piece: Vec2[] = [];
    const end = () => {
      if (piece.length > 1) pieces.push(piece);
      piece = [];
    };
    for (let i = 0; i + 1 < run.length; i++) {
      const [a, b] = [run[i], run[i + 1]];
      const on = (t: number): Vec2 =>
        t === 0 ? a : t === 1 ? b : [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
      const kept = outside(a, b, centre, radius);
      if (kept.length === 0) end();
      for (const [from, to] of kept) {
        if (from > 0) end();
        if (piece.length === 0) piece.push(on(from));
        piece.push(on(to));
        if (to < 1) end();
      }
    }
    end();
    return joinedAtSeam(run, pieces);
  });
}

/** The pieces of a run; where it closes, what ends where it begins goes on there. */
function joinedAtSeam(run: readonly Vec2[], pieces: Vec2[][]): Vec2[][] {
  const [first, last] = [pieces[0], pieces[pieces.length - 1]];
  const closes = distance2(run[0], run[run.length - 1]) < 1e-9;
  const apart = !closes || pieces.length < 2 || first[0] !== run[0] || last[last.length - 1] !== run[run.length - 1];
  return apart ? pieces : [[...last, ...first.slice(1)], ...pieces.slice(1, -1)];
}

/** A stroke's samples cut where a disc covers them. */
function cutSamples(samples: readonly number[], [cx, cy]: Vec2, radius: number): number[][] {
  const pieces: number[][] = [[]];
  for (let i = 0; i + 2 < samples.length; i += 3) {
    if (Math.hypot(samples[i] - cx, samples[i + 1] - cy) < radius) {
      if (pieces[pieces.length - 1].length > 0) pieces.push([]);
    } else pieces[pieces.length - 1].push(samples[i], samples[i + 1], samples[i + 2]);
  }
  return pieces.filter((piece) => piece.length > 3);
}

const touches = (runs: readonly (readonly Vec2[])[], centre: Vec2, radius: number): boolean =>
  runs.some((run) => run.some((b, i) => i > 0 && fromStretch(centre, run[i - 1], b) < radius));

/**
 * What is left of an own line that an eraser passes over, in the line's own units. A circle or a shape becomes the
 * lines that are left of it; what is divided is taken away by choosing it, not bit by bit.
 * @param next ids for what it falls into
 * @returns null where the eraser does not touch it
 */
export function erased<T extends OwnLine>(line: T, centre: Vec2, radius: number, next: () => string): T[] | null {
  if (line.kind === "spacing" || line.kind === "quad") return null;
  const runs = line.kind === "stroke" ? [placesOf(line.samples)] : runsOf(line);
  if (!touches(runs, centre, radius)) return null;
  const { id: _, weight } = line;
  const rest = { weight, ...("plane" in line ? { plane: line.plane } : {}) };
  const pair = ([x, y]: Vec2): [number, number] => [x, y];
  const pieces: OwnLine[] =
    line.kind === "stroke"
      ? cutSamples(line.samples, centre, radius).map((samples) => ({ ...rest, id: next(), kind: "stroke", samples }))
      : cutRuns(runs, centre, radius).map((run) =>
          run.length === 2
            ? { ...rest, id: next(), kind: "ruled", from: pair(run[0]), to: pair(run[1]) }
            : { ...rest, id: next(), kind: "polyline", points: run.map(pair) },
        );
  return pieces as T[];
}
