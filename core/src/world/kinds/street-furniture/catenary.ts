import type { Vec3 } from "../../../geometry";
import type { Bend } from "../../round";

/** A piece of a wire: its ends and its derivatives there. */
export interface WirePiece {
  readonly a: Vec3;
  readonly b: Vec3;
  readonly bend: Bend;
}

/** A wire is drawn in so many cubics. */
const PIECES = 8;
/** It is found within so many halvings. */
const HALVINGS = 80;

/**
 * The parameter c of the catenary z = c cosh(x / c) that hangs through by a sag over a span between ends of one height:
 * sag = c (cosh(span / 2c) - 1). By halving: the sag falls as c grows.
 */
export function catenaryFor(span: number, sag: number): number {
  const sagAt = (c: number) => c * (Math.cosh(span / (2 * c)) - 1);
  // No flatter than a parabola's, span^2 / 8 sag, and no steeper than a wire that hangs straight down.
  let [low, high] = [span / 1000, (span * span) / (8 * sag) + span];
  for (let i = 0; i < HALVINGS; i++) {
    const c = (low + high) / 2;
    if (sagAt(c) > sag) low = c;
    else high = c;
  }
  return (low + high) / 2;
}

/**
 * A wire between two places, as it hangs: with the parameter of the catenary that hangs through by a sag over the same
 * span between ends of one height; ends of two heights shift it along.
 */
export function wireBetween(p: Vec3, q: Vec3, sag: number): readonly WirePiece[] {
  const [dx, dy, rise] = [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
  const span = Math.hypot(dx, dy);
  const c = catenaryFor(span, sag);
  // Its lowest place, along the span.
  const lowest = span / 2 - c * Math.asinh(rise / (2 * c * Math.sinh(span / (2 * c))));
  const level = p[2] - c * Math.cosh(lowest / c);
  const place = (x: number): Vec3 => [
    p[0] + (dx * x) / span,
    p[1] + (dy * x) / span,
    level + c * Math.cosh((x - lowest) / c),
  ];
  const step = span / PIECES;
  const way = (x: number): Vec3 => [dx / PIECES, dy / PIECES, step * Math.sinh((x - lowest) / c)];
  return Array.from({ length: PIECES }, (_, i): WirePiece => {
    const [from, to] = [i * step, (i + 1) * step];
    return { a: place(from), b: place(to), bend: [way(from), way(to)] };
  });
}
