import type { Curves } from "../shot";
import { curveCount } from "./bezier";
import { layerGroups, ringCount, type Drawing, type Layer } from "./layer";

/** A length in mm to the thousandth. */
const mm = (value: number): string => String(Number(value.toFixed(3)));

/** Names of layers hold letters, digits, dollar signs, hyphens and underscores in release 12. */
const layerName = (label: string): string =>
  label
    .normalize("NFD")
    .replace(/[^A-Za-z0-9$_-]+/g, "_")
    .replace(/^_+|_+$/g, "")
    .slice(0, 31)
    .toUpperCase() || "LAYER";

/** Groups of a DXF: a code and a value, each on a line of its own. */
const groups = (...pairs: readonly (readonly [number, string | number])[]): string =>
  pairs.map(([code, value]) => `${code}\n${value}`).join("\n");

function polyline(layer: string, places: readonly (readonly [number, number])[], closed: boolean): string {
  return [
    groups([0, "POLYLINE"], [8, layer], [66, 1], [70, closed ? 1 : 0], [10, 0], [20, 0], [30, 0]),
    ...places.map(([x, y]) => groups([0, "VERTEX"], [8, layer], [10, mm(x)], [20, mm(y)], [30, 0])),
    groups([0, "SEQEND"], [8, layer]),
  ].join("\n");
}

/** The places of a curve, whose chords leave it by less than can be drawn. */
const placesOf = ({ xy, starts }: Curves, i: number): (readonly [number, number])[] =>
  Array.from({ length: starts[i + 1] - starts[i] }, (_, k) => [xy[2 * (starts[i] + k)], xy[2 * (starts[i] + k) + 1]]);

/** What is drawn on a layer, as entities; the sheet's upper left corner is at its height, y goes up. */
function entities({ lines, curves, areas }: Layer, layer: string, height: number): string[] {
  const out: string[] = [];
  for (let i = 0; i < lines.length; i += 4)
    out.push(
      groups(
        ...([
          [0, "LINE"],
          [8, layer],
          [10, mm(lines[i])],
          [20, mm(height - lines[i + 1])],
          [30, 0],
          [11, mm(lines[i + 2])],
          [21, mm(height - lines[i + 3])],
          [31, 0],
        ] as const),
      ),
    );
  const turned = ([x, y]: readonly [number, number]) => [x, height - y] as const;
  for (let i = 0; curves && i < curveCount(curves); i++)
    out.push(polyline(layer, placesOf(curves, i).map(turned), false));
  for (let i = 0; areas && i < ringCount(areas); i++) {
    const [from, to] = [areas.starts[i], areas.starts[i + 1]];
    const ring = Array.from({ length: to - from }, (_, k) =>
      turned([areas.xy[2 * (from + k)], areas.xy[2 * (from + k) + 1]]),
    );
    out.push(polyline(layer, ring, true));
  }
  return out;
}

/**
 * A drawing as a DXF of release 12 in true millimetres, a layer for each of its own or of their groups; curves as
 * polylines through their places, areas as closed ones.
 */
export function toDxf({ height, layers }: Drawing): string {
  const taken = new Map<string, number>();
  const named = layerGroups(layers).map((group) => {
    const name = layerName(group.name);
    const before = taken.get(name) ?? 0;
    taken.set(name, before + 1);
    return { layers: group.layers, name: before ? `${name.slice(0, 28)}_${before + 1}` : name };
  });
  const table = named.map(({ name }) => groups([0, "LAYER"], [2, name], [70, 0], [62, 7], [6, "CONTINUOUS"]));
  return [
    groups([0, "SECTION"], [2, "HEADER"], [9, "$ACADVER"], [1, "AC1009"], [0, "ENDSEC"]),
    groups([0, "SECTION"], [2, "TABLES"]),
    groups([0, "TABLE"], [2, "LTYPE"], [70, 1]),
    groups([0, "LTYPE"], [2, "CONTINUOUS"], [70, 0], [3, "Solid line"], [72, 65], [73, 0], [40, 0]),
    groups([0, "ENDTAB"]),
    groups([0, "TABLE"], [2, "LAYER"], [70, named.length]),
    ...table,
    groups([0, "ENDTAB"], [0, "ENDSEC"]),
    groups([0, "SECTION"], [2, "ENTITIES"]),
    ...named.flatMap((group) => group.layers.flatMap((layer) => entities(layer, group.name, height))),
    groups([0, "ENDSEC"], [0, "EOF"]),
    "",
  ].join("\n");
}
