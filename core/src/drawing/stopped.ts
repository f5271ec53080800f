import { dot, gaps, scale, type Vec2, type Vec3 } from "../geometry";
import type { Shot } from "../scene";
import { unproject } from "../shot";
import { coveredBy } from "../visibility";
import { chordsOf, type Shapes } from "./layer";
import type { LayerContext, LayerKind } from "./layers";

/** Parts of lines shorter than this share of them are none. */
const SHORT = 1e-6;

/** Whether a kind of layer stops at masses in a shot. */
export const stopsIn = ({ stops }: LayerKind, { stopAtMasses }: Pick<Shot, "stopAtMasses">): boolean =>
  stops !== undefined && (stopAtMasses ?? stops === "usually");

/** The parts of lines of a drawing before which no mass stands. Curves are cut chord by chord. */
export function stopped({ view, visible }: LayerContext, shapes: Shapes): Shapes {
  if (visible.faceStarts.length < 2) return shapes;
  const covered = coveredBy(visible, view.eye);
  // On the picture plane of a straight lens, shares of the sight are shares of the line on paper.
  const ray = (at: Vec2): Vec3 => {
    const way = unproject(view, at);
    return view.law.straight ? scale(way, 1 / dot(way, view.forward)) : way;
  };
  const chords = chordsOf(shapes);
  const lines: number[] = [];
  for (let i = 0; i < chords.length; i += 4) {
    const [ax, ay, bx, by] = chords.subarray(i, i + 4);
    for (const [t0, t1] of gaps(covered(ray([ax, ay]), ray([bx, by])), SHORT))
      lines.push(ax + t0 * (bx - ax), ay + t0 * (by - ay), ax + t1 * (bx - ax), ay + t1 * (by - ay));
  }
  return { ...shapes, lines: Float64Array.from(lines), curves: undefined };
}
