import { chordsOf, type Areas, type Shapes } from "@zanvo/core/drawing";

/** The filled areas of a layer as one SVG path, to be filled by the even-odd rule. */
export function areaPathOf({ xy, starts }: Areas): string {
  let path = "";
  for (let i = 0; i + 1 < starts.length; i++) {
    for (let k = starts[i]; k < starts[i + 1]; k++)
      path += `${k === starts[i] ? "M" : "L"}${xy[2 * k].toFixed(1)} ${xy[2 * k + 1].toFixed(1)}`;
    path += "Z";
  }
  return path;
}

/** Every line of a layer as one SVG path for a small picture. */
export function pathOf(layer: Shapes): string {
  const lines = chordsOf(layer);
  let path = "";
  for (let i = 0; i < lines.length; i += 4)
    path += `M${lines[i].toFixed(1)} ${lines[i + 1].toFixed(1)}L${lines[i + 2].toFixed(1)} ${lines[i + 3].toFixed(1)}`;
  return path;
}
