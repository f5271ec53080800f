import type { MassesFormat } from "./format";

/** Wavefront OBJ, the masses as closed meshes. */
export const obj: MassesFormat = {
  id: "obj",
  label: "OBJ",
  mime: "model/obj",
  extension: "obj",
  of: "masses",
  write: async (scene) => (await import("@zanvo/core/exchange")).toObj(scene),
};
