import { elementBuilder } from "../builder";
import { personSolid } from "../person";
import type { Crowd } from "./schema";

export const crowdBuilder = elementBuilder<Crowd>({
  build: ({ id, people }) => people.map(({ x, y, ...look }) => personSolid(id, { ...look, at: { x, y, z: 0 } })),
  settle: () => "draped",
});
