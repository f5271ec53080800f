import type { MassesFormat } from "./format";
import { TOLERANCE, toleranceIn } from "./tolerance";

/** glTF 2.0, the masses as meshes and the shots as cameras. */
export const gltf: MassesFormat = {
  id: "gltf",
  label: "glTF with the shots as cameras",
  mime: "model/gltf+json",
  extension: "gltf",
  of: "masses",
  tolerance: TOLERANCE,
  write: async (scene, { tolerance } = {}) =>
    (await import("@zanvo/core/exchange")).toGltf(scene, toleranceIn(tolerance)),
};
