import { elementKind, onPath } from "../kind";
import { measureIn } from "../tags";
import { buildCanal, canalRibbon, cuttingOf, DEFAULT_CANAL, validateCanal } from "./build";
import { CanalSchema, type Canal } from "./schema";
export * from "./build";
export type { Canal } from "./schema";

export const canal = elementKind<Canal>(CanalSchema, {
  kind: "canal",
  word: "Canal",
  stands: false,
  way: true,
  build: buildCanal,
  validate: validateCanal,
  endsRoadways: () => true,
  outline: canalRibbon,
  span: ({ depth, coping }) => [-depth, depth + coping],
  ...onPath,
  geoJson: {
    write: ({ width }) => ({ shape: "line", properties: { waterway: "canal", width } }),
    read: {
      shape: "line",
      is: ({ waterway }) => waterway === "canal",
      take: ({ places, properties }) => {
        const width = measureIn(properties.width);
        return { path: [...places], ...DEFAULT_CANAL, ...(width === null ? {} : { width }) };
      },
    },
  },
  cutting: cuttingOf,
});
