import { elementBuilder, onLowest } from "../builder";
import { buildTurned, turnedDetails } from "./build";
import { turnedOutline } from ".";
import type { TurnedThing } from "./schema";

export const turnedBuilder = elementBuilder<TurnedThing>({
  build: buildTurned,
  details: turnedDetails,
  settle: onLowest(turnedOutline),
});
