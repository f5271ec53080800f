import type { Scene } from "../scene";
import { built, roundSolid, USUAL_SAGITTA, type Solid } from "../world";

/** A length in m to the tenth of a millimetre. */
const m = (value: number): string => String(Number(value.toFixed(4)));
/** A name on one line. */
const line = (text: string): string => text.replace(/\s+/g, " ").trim() || "nameless";

/** A solid whose facets leave its round faces by no more than a tolerance, m. */
function within(solid: Solid, tolerance: number): Solid {
  const { id, shape, part } = solid;
  return shape && tolerance !== USUAL_SAGITTA ? roundSolid(id, shape, part, tolerance) : solid;
}

/**
 * The masses of a scene as a Wavefront OBJ: metres, x east, y north, z up; an object for each element, its faces in
 * convex pieces, outward. What is built as one, such as streets that meet, belongs to the first of them.
 * @param tolerance how far facets may leave round faces, m
 */
export function toObj({ title, elements }: Scene, tolerance = USUAL_SAGITTA): string {
  const rows = [`# ${line(title)}: metres, x east, y north, z up`];
  let before = 1;
  const solids = new Map<string, Solid[]>(elements.map(({ id }) => [id, []]));
  for (const solid of built(elements).solids) solids.get(solid.id)?.push(solid);
  for (const element of elements) {
    rows.push(`o ${line(element.name)}`);
    for (const solid of solids.get(element.id) ?? []) {
      const { vertices, faces } = within(solid, tolerance);
      for (const p of vertices) rows.push(`v ${p.map(m).join(" ")}`);
      for (const { pieces } of faces)
        for (const piece of pieces) rows.push(`f ${piece.map((n) => n + before).join(" ")}`);
      before += vertices.length;
    }
  }
  return `${rows.join("\n")}\n`;
}
