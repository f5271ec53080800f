import { add, cross, gaps, norm, scale, sub, union, type Interval, type Vec3 } from "../geometry";
import { backedBy, OUTLINE, type BackedBy, type VisibleEdges } from "../visibility";
import { partOfStretch } from "./depth";
import type { Stretches } from "./stretches";
import { edgesOfClass } from "./visibleLines";

/** A thing stands free of what is farther behind it than this, m, at right angles to what is behind. */
const GAP = 0.5;
/** What is behind an outline is looked for so far beside it, radians. */
const BESIDE = 2e-4;
/** Parts shorter than this share of a stretch are none. */
const SHORT = 1e-6;

/** Outlines, parted into those at which things stand free of what is behind them and all others. */
export interface Profiled {
  readonly free: Stretches;
  readonly backed: Stretches;
}

const known = new WeakMap<VisibleEdges, Profiled>();

/** The part of a stretch that stands on the open ground, or just over it. */
function onGround(a: Vec3, b: Vec3, eye: Vec3): readonly Interval[] {
  if (eye[2] < GAP) return [];
  const [low, high] = [Math.min(a[2], b[2]), Math.max(a[2], b[2])];
  if (low > GAP) return [];
  const share = high <= GAP ? 1 : (GAP - low) / (high - low);
  return [a[2] <= b[2] ? [0, share] : [1 - share, 1]];
}

/** The parts of a straight stretch that have something close behind them on both of its sides. */
function backedOf(backed: BackedBy, eye: Vec3, a: Vec3, b: Vec3): readonly Interval[] {
  const [from, to] = [sub(a, eye), sub(b, eye)];
  const across = cross(from, to);
  const size = norm(across);
  if (size === 0) return [[0, 1]];
  const free = [BESIDE, -BESIDE].flatMap((turn) => {
    const [p, q] = [a, b].map((at) => add(at, scale(across, (turn * norm(sub(at, eye))) / size)));
    return gaps(union([...backed(p, q), ...onGround(a, b, eye)]), SHORT);
  });
  return gaps(union(free), SHORT);
}

/**
 * The visible outlines, parted by whether the thing stands free there: whether on one side of the line what is behind
 * is farther away than half a metre, or nothing at all. It is worked out once for each eye.
 */
export function profiled(visible: VisibleEdges, eye: Vec3): Profiled {
  const before = known.get(visible);
  if (before) return before;
  const all = edgesOfClass(visible, OUTLINE);
  const backed = backedBy(visible, eye, GAP);
  const [free, close] = [new Parts(all), new Parts(all)];
  for (let i = 0; i < all.solid.length; i++) {
    const [ax, ay, az, bx, by, bz] = all.ends.subarray(6 * i, 6 * i + 6);
    const behind = backedOf(backed, eye, [ax, ay, az], [bx, by, bz]);
    behind.forEach((part) => close.add(i, part));
    gaps(behind, SHORT).forEach((part) => free.add(i, part));
  }
  const found = { free: free.done(), backed: close.done() };
  known.set(visible, found);
  return found;
}

/** Gathers parts of stretches. */
class Parts {
  private readonly ends: number[] = [];
  private readonly bends: number[] = [];
  private readonly solid: number[] = [];

  constructor(private readonly of: Stretches) {}

  add(i: number, [from, to]: Interval): void {
    const { ends, bends, solid } = this.of;
    const part = partOfStretch(
      ends.subarray(6 * i, 6 * i + 6),
      bends?.subarray(6 * i, 6 * i + 6),
      Math.max(0, from),
      Math.min(1, to),
    );
    this.ends.push(...part.ends);
    this.bends.push(...part.bends);
    this.solid.push(solid[i]);
  }

  done(): Stretches {
    return {
      ends: Float64Array.from(this.ends),
      bends: this.of.bends && Float64Array.from(this.bends),
      solid: Uint32Array.from(this.solid),
    };
  }
}
