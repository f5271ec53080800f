import { elementKind, onPath } from "../kind";
import { validateSkyline, skylineRibbon } from "./build";
import { SkylineSchema, type Skyline } from "./schema";
export * from "./build";
export type { Skyline } from "./schema";

export const skyline = elementKind<Skyline>(SkylineSchema, {
  kind: "skyline",
  word: "Skyline",
  stands: false,
  validate: validateSkyline,
  outline: skylineRibbon,
  span: ({ heights }) => [0, Math.max(heights.least, heights.most)],
  ...onPath,
  // It only closes a view.
  geoJson: { write: () => null },
});
