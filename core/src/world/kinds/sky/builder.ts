import { roundSolid } from "../../round";
import { elementBuilder } from "../builder";
import type { Sky } from "./schema";
import { hullsOfSky } from "./shapes";

export const skyBuilder = elementBuilder<Sky>({
  build: (sky) => {
    const { id, at } = sky;
    return [roundSolid(id, { kind: "hulls", at: [at.x, at.y, at.z], turn: 0, hulls: hullsOfSky(sky), before: 0 })];
  },
});
