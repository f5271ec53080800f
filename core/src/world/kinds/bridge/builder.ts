import { elementBuilder } from "../builder";
import { pathOf } from "../../path";
import { groundAt, planeAlong } from "../../terrain";
import { buildBridge } from "./build";
import type { Bridge } from "./schema";

export const bridgeBuilder = elementBuilder<Bridge>({
  build: buildBridge,
  settle: (element, terrain) => planeAlong(pathOf(element), (at) => groundAt(terrain, at)),
});
