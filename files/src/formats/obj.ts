import { BadInput } from "@zanvo/core/problem";
import type { MassesFormat } from "./format";

const TOLERANCE = { minimum: 0.1, maximum: 1000, default: 10 } as const;

/** Wavefront OBJ, the masses as closed meshes. */
export const obj: MassesFormat = {
  id: "obj",
  label: "OBJ",
  mime: "model/obj",
  extension: "obj",
  of: "masses",
  tolerance: TOLERANCE,
  write: async (scene, { tolerance = TOLERANCE.default } = {}) => {
    const { minimum, maximum } = TOLERANCE;
    if (!(tolerance >= minimum && tolerance <= maximum))
      throw new BadInput([{ path: "tolerance", message: `must be from ${minimum} to ${maximum} mm.` }]);
    return (await import("@zanvo/core/exchange")).toObj(scene, tolerance / 1000);
  },
};
