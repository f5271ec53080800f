import { solidOf, type Solid } from "../../solid";
import { crateCorners } from "./axes";
import type { Crate } from "./schema";

const NAMES = ["bottom", "top", "wall 0", "wall 1", "wall 2", "wall 3"];
const WALLS = [0, 1, 2, 3].map((i) => [i, (i + 1) % 4, ((i + 1) % 4) + 4, i + 4]);

/** The closed solid of a leaning box. */
export const buildCrate = (crate: Crate): Solid =>
  solidOf(crate.id, crateCorners(crate), [[3, 2, 1, 0], [4, 5, 6, 7], ...WALLS], [], NAMES);
