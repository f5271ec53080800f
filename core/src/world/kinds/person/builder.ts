import { groundAt } from "../../terrain";
import { elementBuilder } from "../builder";
import { buildPerson } from "./build";
import type { Person } from "./schema";

export const personBuilder = elementBuilder<Person>({
  build: buildPerson,
  settle: ({ at }, terrain) => [0, 0, groundAt(terrain, [at.x, at.y])],
});
