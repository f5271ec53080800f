import { elementKind, onPath } from "../kind";
import { measureIn } from "../tags";
import { canalRibbon, DEFAULT_CANAL, validateCanal } from "./measures";
import { CanalSchema, type Canal } from "./schema";
export { canalRibbon, DEFAULT_CANAL, DEFAULT_LOCK, reachesOf, validateCanal } from "./measures";
export type { Canal } from "./schema";

/** How wide waters are by what OpenStreetMap's key "waterway" calls them, m (common practice). */
const WATERWAYS: Readonly<Record<string, number>> = {
  canal: DEFAULT_CANAL.width,
  river: 25,
  stream: 3,
  drain: 2,
  ditch: 1.5,
};

export const canal = elementKind<Canal>(CanalSchema, {
  kind: "canal",
  word: "Canal",
  stands: false,
  way: true,
  validate: validateCanal,
  endsRoadways: () => true,
  outline: canalRibbon,
  span: ({ depth, coping }) => [-depth, depth + coping],
  ...onPath,
  geoJson: {
    write: ({ width }) => ({ shape: "line", properties: { waterway: "canal", width } }),
    read: {
      shape: "line",
      is: ({ waterway }) => typeof waterway === "string" && waterway in WATERWAYS,
      take: ({ places, properties }) => {
        const { waterway, width } = properties;
        return { path: [...places], ...DEFAULT_CANAL, width: measureIn(width) ?? WATERWAYS[String(waterway)] };
      },
    },
  },
});
