import type { Shot } from "@zanvo/core/scene";
import { newId } from "../id";
import type { Stores } from "../stores";
import { freeName } from "./names";

/** A copy of a shot put behind it, with a name and a sheet of its own, and chosen. */
export function addShot(stores: Stores): void {
  const { shots } = stores.useDocument.getState().scene;
  const from = stores.currentShot();
  // The copy has a sheet for itself; panels of one page come by splitting one.
  const shot: Shot = { ...from, id: newId(), name: freeName("Shot", shots), page: undefined, backOf: undefined };
  stores.edit((scene) => void scene.shots.splice(shots.indexOf(from) + 1, 0, shot));
  stores.go({ shotId: shot.id });
}
