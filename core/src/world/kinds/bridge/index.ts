import { elementKind, IN_THE_WAY, onPath } from "../kind";
import { pathOf, ribbon } from "../../path";
import { validateBridge } from "./build";
import { BridgeSchema, type Bridge } from "./schema";
export * from "./build";
export type { Bridge } from "./schema";

export const bridge = elementKind<Bridge>(BridgeSchema, {
  kind: "bridge",
  word: "Bridge",
  stands: false,
  validate: validateBridge,
  // One that streets run under leaves them as they are.
  endsRoadways: ({ level }) => level < IN_THE_WAY,
  outline: (element) => ribbon(pathOf(element), element.width / 2, -element.width / 2),
  span: ({ level, thickness, parapet }) => [level - thickness, thickness + (parapet?.height ?? 0)],
  ...onPath,
  geoJson: { write: ({ width }) => ({ shape: "line", properties: { man_made: "bridge", width } }) },
});
