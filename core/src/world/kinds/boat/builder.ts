import { elementBuilder } from "../builder";
import { buildBoat } from "./build";
import type { Boat } from "./schema";

export const boatBuilder = elementBuilder<Boat>({ build: buildBoat });
