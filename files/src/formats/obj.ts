import type { MassesFormat } from "./format";
import { TOLERANCE, toleranceIn } from "./tolerance";

/** Wavefront OBJ, the masses as closed meshes. */
export const obj: MassesFormat = {
  id: "obj",
  label: "OBJ",
  mime: "model/obj",
  extension: "obj",
  of: "masses",
  tolerance: TOLERANCE,
  write: async (scene, { tolerance } = {}) =>
    (await import("@zanvo/core/exchange")).toObj(scene, toleranceIn(tolerance)),
};
