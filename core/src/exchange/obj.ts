import type { Scene } from "../scene";
import { built, type Solid } from "../world";

/** A length in m to the tenth of a millimetre. */
const m = (value: number): string => String(Number(value.toFixed(4)));
/** A name on one line. */
const line = (text: string): string => text.replace(/\s+/g, " ").trim() || "nameless";

/**
 * The masses of a scene as a Wavefront OBJ: metres, x east, y north, z up; an object for each element, its faces in
 * convex pieces, outward. What is built as one, such as streets that meet, belongs to the first of them.
 */
export function toObj({ title, elements }: Scene): string {
  const rows = [`# ${line(title)}: metres, x east, y north, z up`];
  let before = 1;
  const solids = new Map<string, Solid[]>(elements.map(({ id }) => [id, []]));
  for (const solid of built(elements).solids) solids.get(solid.id)?.push(solid);
  for (const element of elements) {
    rows.push(`o ${line(element.name)}`);
    for (const { vertices, faces } of solids.get(element.id) ?? []) {
      for (const p of vertices) rows.push(`v ${p.map(m).join(" ")}`);
      for (const { pieces } of faces)
        for (const piece of pieces) rows.push(`f ${piece.map((n) => n + before).join(" ")}`);
      before += vertices.length;
    }
  }
  return `${rows.join("\n")}\n`;
}
