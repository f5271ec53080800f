import { TANGENT } from "./cylindrical";
import { drum } from "./drum";

/**
 * The cylinder with its axis along `right`: ahead, zenith, behind and nadir one above the other; lines along the axis
 * straight.
 */
export const lyingCylindrical = drum({ id: "cylindrical-lying", ...TANGENT, lying: true });
