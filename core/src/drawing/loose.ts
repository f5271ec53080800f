import { onCubic, seededRandom, type Rect, type Vec2, type Vec3 } from "../geometry";
import type { Hand } from "../scene";
import { CurveBook, type Curves } from "../shot";
import { NO_LINES, type Shapes } from "./layer";

/** A hand draws a long line in waves of these lengths, mm, each with its part of the whole wobble. */
const WAVES = [
  { length: 60, part: 0.6 },
  { length: 25, part: 0.28 },
  { length: 9, part: 0.12 },
] as const;
/** Lines shorter than this are steadier, mm. */
const LONG = 30;
/** Lines shorter than this stay as they are, mm. */
const SHORT = 0.5;
/** Places of a line are worked out every so often, mm: many to the shortest wave. */
const STEP = 1.5;
/** Only lines longer than this are lifted, mm, and for how long. */
const LIFTED = { from: 20, least: 0.6, most: 2 } as const;
/** Ends nearer than this to the panel's frame end there, mm. */
const AT_FRAME = 0.01;

/** How loosely a layer is drawn: its lines may run past corners, or keep an even edge. */
export type Looseness = "past corners" | "within";

type Share = () => number;

/** Shares of 1 that follow from a seed and the ends of a line, so that the same line is drawn the same again. */
function sharesOf(seed: number, ...places: readonly number[]): Share {
  const mixed = places.reduce(
    (sum, place) => Math.imul(sum ^ Math.round(place * 1000), 0x9e3779b1) ^ (sum >>> 15),
    seed,
  );
  const random = seededRandom(mixed);
  // The first numbers of neighbouring seeds are alike.
  for (let i = 0; i < 3; i++) random(2);
  return () => random(1 << 24) / (1 << 24);
}

/** How far a line is off at a length along it, mm, and by how much that changes there. */
type Offset = (s: number) => readonly [offset: number, change: number];

function wobbleOf(share: Share, wobble: number, length: number): Offset {
  const size = wobble * Math.min(1, length / LONG) * (0.4 + 0.6 * share());
  const waves = WAVES.map((wave) => ({
    pace: (2 * Math.PI * (0.7 + 0.6 * share())) / wave.length,
    phase: 2 * Math.PI * share(),
    size: size * wave.part,
  }));
  return (s) =>
    waves.reduce<readonly [number, number]>(
      ([offset, change], { pace, phase, size: own }) => [
        offset + own * Math.sin(pace * s + phase),
        change + own * pace * Math.cos(pace * s + phase),
      ],
      [0, 0],
    );
}

const isAtFrame = ([x, y]: Vec2, frame: Rect): boolean =>
  [x - frame.x, frame.x + frame.width - x, y - frame.y, frame.y + frame.height - y].some(
    (far) => Math.abs(far) < AT_FRAME,
  );

/** The parts of a line that the pen is down for, as lengths along it. */
function strokesOf(share: Share, from: number, to: number, breaks: number): readonly Vec2[] {
  if (to - from < LIFTED.from || share() >= breaks) return [[from, to]];
  const gap = LIFTED.least + (LIFTED.most - LIFTED.least) * share();
  const at = from + (to - from) * (0.25 + 0.5 * share());
  return [
    [from, at - gap / 2],
    [at + gap / 2, to],
  ];
}

/** A straight line by a loose hand. */
function drawLine(
  book: CurveBook,
  [x1, y1, x2, y2]: ArrayLike<number> & Iterable<number>,
  hand: Hand,
  over: Vec2,
): void {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const share = sharesOf(hand.seed, x1, y1, x2, y2);
  const offset = wobbleOf(share, hand.wobble, length);
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const past = (most: number) => most * Math.min(1, length / LONG) * share();
  const [before, after] = [past(over[0]), past(over[1])];
  for (const [from, to] of strokesOf(share, -before, length + after, hand.breaks ?? 0)) {
    const steps = Math.max(1, Math.ceil((to - from) / STEP));
    book.begin();
    for (let i = 0; i <= steps; i++) {
      const s = from + ((to - from) * i) / steps;
      const [o, change] = offset(s);
      book.add(x1 + ux * s - uy * o, y1 + uy * s + ux * o, ux - uy * change, uy + ux * change, s);
    }
  }
}

/** Adds a curve by a loose hand: each of its cubics in steps, every place moved across the curve. */
function drawCurve(book: CurveBook, { xy, velocity, t, starts }: Curves, i: number, hand: Hand): void {
  const [first, last] = [starts[i], starts[i + 1] - 1];
  if (last <= first) return;
  const place = (k: number): Vec3 => [xy[2 * k], xy[2 * k + 1], 0];
  const length = Array.from({ length: last - first }, (_, n) =>
    Math.hypot(xy[2 * (first + n + 1)] - xy[2 * (first + n)], xy[2 * (first + n + 1) + 1] - xy[2 * (first + n) + 1]),
  );
  const whole = length.reduce((sum, one) => sum + one, 0);
  const share = sharesOf(hand.seed, ...place(first), ...place(last), whole);
  const offset = wobbleOf(share, hand.wobble, whole);
  let run = 0;
  book.begin();
  for (let k = first; k < last; k++) {
    const span = t[k + 1] - t[k];
    const way = (n: number): Vec3 => [velocity[2 * n] * span, velocity[2 * n + 1] * span, 0];
    const steps = Math.max(1, Math.ceil(length[k - first] / STEP));
    for (let n = k === first ? 0 : 1; n <= steps; n++) {
      const at = onCubic(place(k), place(k + 1), way(k), way(k + 1), n / steps);
      const [vx, vy] = [at.way[0] / span, at.way[1] / span];
      const pace = Math.hypot(vx, vy) || 1;
      const [o, change] = offset(run + (length[k - first] * n) / steps);
      const [nx, ny] = [-vy / pace, vx / pace];
      book.add(
        at.at[0] + nx * o,
        at.at[1] + ny * o,
        vx + nx * change * pace,
        vy + ny * change * pace,
        t[k] + (span * n) / steps,
      );
    }
    run += length[k - first];
  }
}

/**
 * Lines as a loose hand draws them: none leaves its true line by more than the wobble of the hand, to the side, and
 * none runs on past its end by more than the overshoot. Lines end at the panel's frame where the true ones do.
 */
export function loose({ lines, curves, areas }: Shapes, hand: Hand, frame: Rect, how: Looseness): Shapes {
  const book = new CurveBook();
  const kept: number[] = [];
  for (let i = 0; i < lines.length; i += 4) {
    const line = lines.subarray(i, i + 4);
    const [x1, y1, x2, y2] = line;
    if (Math.hypot(x2 - x1, y2 - y1) < SHORT) kept.push(x1, y1, x2, y2);
    else {
      const past = (at: Vec2) => (how === "within" || isAtFrame(at, frame) ? 0 : hand.overshoot);
      drawLine(book, line, hand, [past([x1, y1]), past([x2, y2])]);
    }
  }
  if (curves) for (let i = 0; i + 1 < curves.starts.length; i++) drawCurve(book, curves, i, hand);
  return {
    lines: kept.length > 0 ? Float64Array.from(kept) : NO_LINES,
    curves: book.curves(),
    ...(areas ? { areas } : {}),
  };
}
