import { headingDirection, radians, type Vec2, type Vec3 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import type { Detail } from "../../details";
import { rememberedByValues } from "../../remembered";
import { roundSolid } from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { spotsOf, validateSpots } from "../spots";
import { wireBetween } from "./catenary";
import { PARTS, type BoxPart } from "./parts";
import type { StreetFurniture } from "./schema";

/** Wires hang through by this part of their span where nothing is said (common practice). */
const SAG = 1 / 50;

/** Where each stands, and which way it faces: along a line, to the right of it. */
function standsOf(element: StreetFurniture): readonly { readonly at: Vec2; readonly heading: number }[] {
  const spots = spotsOf(element);
  return spots.map((at, i) => {
    const [p, q] = i + 1 < spots.length ? [at, spots[i + 1]] : [spots[i - 1], at];
    if (!p) return { at, heading: element.heading };
    return { at, heading: (Math.atan2(q[0] - p[0], q[1] - p[1]) * 180) / Math.PI + 90 };
  });
}

function boxSolid(id: string, at: Vec2, heading: number, [x, y, [low, high], upper = y]: BoxPart): Solid {
  const facing = headingDirection(heading);
  const [foot, top] = [rectangleAround(at, facing, x, y), rectangleAround(at, facing, x, upper)];
  return loft(id, [ring(foot, low), ring(top, high)], null);
}

/** What a thing is put together of, by its height: those of a row are one. */
const partsOf = rememberedByValues((thing: StreetFurniture["thing"], height: number) => PARTS[thing](height));

/** The solids of street furniture; none where it cannot stand. */
export function buildStreetFurniture(element: StreetFurniture): Solid[] {
  if (validateSpots(element)) return [];
  const { hulls, boxes = [] } = partsOf(element.thing, element.height);
  const { id } = element;
  return standsOf(element).flatMap(({ at, heading }) => [
    ...(hulls ? [roundSolid(id, { kind: "hulls", at: [...at, 0], turn: radians(-heading), hulls, before: 0 })] : []),
    ...boxes.map((box) => boxSolid(id, at, heading, box)),
  ]);
}

/** The wires from each to the next. */
export function wiresOf(element: StreetFurniture): Detail[] {
  const { wires = 0, sag, id } = element;
  if (wires === 0 || validateSpots(element)) return [];
  const ties = (partsOf(element.thing, element.height).ties ?? []).slice(0, wires);
  const stands = standsOf(element);
  const tied = stands.map(({ at, heading }) =>
    ties.map(([x, y, z]): Vec3 => [...placeBeside(at, headingDirection(heading), [x, y]), z]),
  );
  return tied.slice(1).flatMap((to, i) =>
    to.flatMap((q, k): Detail[] => {
      const p = tied[i][k];
      const span = Math.hypot(q[0] - p[0], q[1] - p[1]);
      const item = { index: k };
      return wireBetween(p, q, sag ?? SAG * span).map(({ a, b, bend }): Detail => ({
        kind: "wire",
        a,
        b,
        bend,
        item,
        of: id,
      }));
    }),
  );
}
