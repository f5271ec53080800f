import { dot, norm, onCubic, scale, sub, type Vec2, type Vec3 } from "../geometry";
import type { CurveBook } from "./book";
import { TOLERANCE } from "./curve";
import { Pen, type Spot } from "./pen";
import { toEye, type View } from "./view";

/** No curved stretch has more steps than this; one that is seen in part only has so many. */
const [MOST_STEPS, PART_STEPS] = [256, 32] as const;
/** Two stretches go on from one another where they meet as near as this, m, and run the same way within this sine. */
const [SAME, STRAIGHT_ON] = [1e-9, 0.02] as const;

/** A place of a cubic: where it is from the eye, in its axes, and which way it goes on there. */
interface CubicSpot extends Spot {
  readonly at: Vec3;
  readonly way: Vec3;
}

/**
 * Draws curved stretches of the world, ax ay az bx by bz of each with the derivatives at both ends (cubics of Hermite),
 * cut at the panel. Those that go on from one another are one curve.
 */
export function drawCubics(
  view: View,
  ends: Float64Array,
  bends: Float64Array,
  book: CurveBook,
  tolerance = TOLERANCE,
): void {
  const drawing = new CubicDrawing(view, book, tolerance);
  for (let i = 0; i < ends.length; i += 6) drawing.stretch(ends.subarray(i, i + 6), bends.subarray(i, i + 6));
}

const vector = (all: Float64Array, o: number): Vec3 => [all[o], all[o + 1], all[o + 2]];

/** A stretch in eye axes, and by which parameters of its curve it runs. */
interface Cubic {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly u: Vec3;
  readonly v: Vec3;
  readonly start: number;
  readonly long: number;
}

class CubicDrawing {
  private readonly pen: Pen<CubicSpot>;
  private now: Cubic | null = null;

  constructor(
    private readonly view: View,
    book: CurveBook,
    private readonly tolerance: number,
  ) {
    this.pen = new Pen<CubicSpot>(
      view.frame,
      book,
      (from, to, share) => this.spot((from.t + share * (to.t - from.t) - this.now!.start) / this.now!.long),
      (spot) => this.velocity(spot),
    );
  }

  stretch(ends: Float64Array, bends: Float64Array): void {
    const { view } = this;
    const [a, b] = [0, 3].map((o) => toEye(view, sub(vector(ends, o), view.eye)));
    const [u, v] = [0, 3].map((o) => toEye(view, vector(bends, o)));
    const before = this.now;
    const goesOn = before !== null && norm(sub(before.b, a)) < SAME && runsOn(before.v, u);
    if (!goesOn) this.pen.lift();
    // The parameter goes on so that the velocity does.
    const start = goesOn ? before.start + before.long : 0;
    const long = goesOn ? (before.long * norm(u)) / norm(before.v) : 1;
    this.now = { a, b, u, v, start, long };
    const steps = this.steps();
    let here = this.spot(0);
    for (let i = 1; i <= steps; i++) {
      const next = this.spot(i / steps);
      this.pen.chord(here, next);
      here = next;
    }
  }

  /** In how many steps a stretch is drawn so that its chords leave it by no more than the tolerance. */
  private steps(): number {
    const [p, q, r, s, t] = [0, 0.25, 0.5, 0.75, 1].map((share) => this.spot(share).place);
    if (!p || !q || !r || !s || !t) return PART_STEPS;
    const off = (one: Vec2, from: Vec2, to: Vec2, k: number) =>
      Math.hypot(one[0] - from[0] - k * (to[0] - from[0]), one[1] - from[1] - k * (to[1] - from[1]));
    const most = Math.max(off(q, p, t, 0.25), off(r, p, t, 0.5), off(s, p, t, 0.75));
    return Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.sqrt(most / this.tolerance))));
  }

  private spot(share: number): CubicSpot {
    const { a, b, u, v, start, long } = this.now!;
    const { at, way } = onCubic(a, b, u, v, share);
    const { law, distance, centre } = this.view;
    const p = law.project(at);
    return {
      t: start + share * long,
      at,
      way: scale(way, 1 / long),
      place: p && [centre[0] + distance * p[0], centre[1] - distance * p[1]],
    };
  }

  /** How fast the picture of a place moves: as its direction turns. */
  private velocity({ at, way }: CubicSpot): Vec2 {
    const far = norm(at);
    const direction = scale(at, 1 / far);
    const turn = scale(sub(way, scale(direction, dot(way, direction))), 1 / far);
    const { law, distance } = this.view;
    const w = law.velocity(direction, turn);
    return [distance * w[0], -distance * w[1]];
  }
}

/** Whether a curve that ends one way goes on another. */
function runsOn(before: Vec3, after: Vec3): boolean {
  return dot(before, after) > Math.sqrt(1 - STRAIGHT_ON ** 2) * norm(before) * norm(after);
}
