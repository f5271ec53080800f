import { areasFrom } from "../regions";
import { NO_LINES } from "../layer";
import { seenFaces } from "../seenFaces";
import { STYLES } from "../style";
import { neighbours, tintsOf } from "../tints";
import { layerKind, type LayerPart } from "./kind";

/** From one tint to the next the hue is turned by so much, degrees: the golden angle, so that all keep apart. */
const GOLDEN = 137.508;

/** A pale tint by its number, as a hexadecimal colour. */
export function tintOf(number: number): string {
  const hue = (40 + GOLDEN * number) % 360;
  const level = (shift: number) => {
    const k = (shift + hue / 30) % 12;
    // From hue, saturation and lightness to red, green and blue (CSS Color 4, 7.1).
    const value = 0.84 - 0.11 * Math.max(-1, Math.min(k - 3, 9 - k, 1));
    return Math.round(255 * value)
      .toString(16)
      .padStart(2, "0");
  };
  return `#${level(0)}${level(8)}${level(4)}`;
}

/** Each face that is seen as a closed area, in a tint that none has which it touches; and the ground that is left. */
export const faces = layerKind({
  id: "faces",
  label: "Faces as areas",
  order: 8,
  style: STYLES.face,
  strength: 0,
  ofEdges: true,
  ofAreas: true,
  compute: ({ view, visible: { areas } }) => {
    const { faces, ground } = seenFaces(view, areas);
    const tints = tintsOf(neighbours(faces));
    const count = Math.max(0, ...tints.map((tint) => tint + 1));
    return [
      { id: "ground", label: "Ground", style: { fill: "#dcd8cd" }, lines: NO_LINES, areas: areasFrom(ground) },
      ...Array.from({ length: count }, (_, tint): LayerPart => ({
        id: `faces-${tint + 1}`,
        label: `Faces, tint ${tint + 1} of ${count}`,
        style: { fill: tintOf(tint) },
        lines: NO_LINES,
        areas: areasFrom(faces.filter((_face, i) => tints[i] === tint).flat()),
      })),
    ];
  },
});
