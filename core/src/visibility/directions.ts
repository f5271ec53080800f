import Flatbush from "flatbush";
import { dot, norm, sub, type Vec3 } from "../geometry";
import { acrossRays } from "../light";
import { loopBoxes, type Box } from "./bearing";
import type { Occluder } from "./occluder";

/** An occluder, and in which directions it stands. */
export interface Standing {
  readonly occluder: Occluder;
  readonly boxes: readonly Box[];
}

/** What stands in the directions of some places, such as the ends of a segment or the corners of a polygon. */
export type Near = (places: readonly Vec3[]) => readonly Occluder[];

const NOTHING: Near = () => [];

/** A look-up of occluders by boxes: those whose boxes meet those of some places, each once, in their order. */
function lookUp(
  standing: readonly Standing[],
  boxesOf: (places: readonly Vec3[]) => readonly Box[],
  isBefore: (places: readonly Vec3[]) => (one: Occluder) => boolean,
): Near {
  const boxes = standing.flatMap((one, n) => one.boxes.map((box) => ({ n, box })));
  if (boxes.length === 0) return NOTHING;
  const index = new Flatbush(boxes.length);
  for (const { box } of boxes) index.add(...box);
  index.finish();
  return (places) => {
    const before = isBefore(places);
    const wanted = (hit: number) => before(standing[boxes[hit].n].occluder);
    const hits = boxesOf(places).flatMap((box) => index.search(...box, wanted));
    // Boxes were added in the order of their occluders; one with two boxes is handed out once.
    const numbers = Int32Array.from(hits).sort();
    const found: Occluder[] = [];
    let last = -1;
    for (const hit of numbers) if (boxes[hit].n !== last) found.push(standing[(last = boxes[hit].n)].occluder);
    return found;
  };
}

/** The occluders that stand in the directions of places as an eye sees them, in their order. */
export function seenFrom(standing: readonly Standing[], eye: Vec3): Near {
  return lookUp(
    standing,
    (places) => loopBoxes(places.map((p) => sub(p, eye))),
    (places) => {
      const far = places.reduce((most, p) => Math.max(most, norm(sub(p, eye))), 0);
      return ({ near }) => near < far;
    },
  );
}

/** The box around places across parallel rays, m. */
export function boxAcross(towards: Vec3): (places: readonly Vec3[]) => Box {
  const [u, v] = acrossRays(towards);
  return (places) => {
    let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
    for (const p of places) {
      const [x, y] = [dot(p, u), dot(p, v)];
      [x0, y0, x1, y1] = [Math.min(x0, x), Math.min(y0, y), Math.max(x1, x), Math.max(y1, y)];
    }
    return [x0, y0, x1, y1];
  };
}

/** The occluders whose shadows by parallel rays may meet places. */
export function acrossFrom(standing: readonly Standing[], towards: Vec3): Near {
  const boxOf = boxAcross(towards);
  return lookUp(
    standing,
    (places) => [boxOf(places)],
    (places) => {
      const least = places.reduce((so, p) => Math.min(so, dot(p, towards)), Infinity);
      // `near` of these is how far they reach towards the light, negative.
      return ({ near }) => -near > least;
    },
  );
}
