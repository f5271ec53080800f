import { elementBuilder, onLowest } from "../builder";
import { signOutline } from ".";
import { buildSign, signDetails } from "./build";
import type { Sign } from "./schema";

export const signBuilder = elementBuilder<Sign>({
  build: buildSign,
  details: signDetails,
  settle: onLowest(signOutline),
});
