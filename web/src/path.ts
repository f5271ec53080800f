import { chordsOf, type Strokes } from "@zanvo/core/drawing";

/** Every line of a layer as one SVG path for a small picture. */
export function pathOf(layer: Strokes): string {
  const lines = chordsOf(layer);
  let path = "";
  for (let i = 0; i < lines.length; i += 4)
    path += `M${lines[i].toFixed(1)} ${lines[i + 1].toFixed(1)}L${lines[i + 2].toFixed(1)} ${lines[i + 3].toFixed(1)}`;
  return path;
}
