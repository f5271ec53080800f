import { contains, type Vec2 } from "../geometry";
import { project } from "../shot";
import { blockCorner, boxOf } from "../world";
import { tenth, type Check } from "./finding";

/** Storeys are from 2.7 m (flats) to 4.5 m (shops) high, halls 5 m and up (common practice); kerbs of streets 0.10 to 0.15 m, pavements 1.8 to 3 m wide. */
const STOREY = [2.4, 6] as const;
const KERB = [0.08, 0.2] as const;
/** Two risers and a tread of comfortable stairs, m (Blondel, 1675 (from memory)), with some room. */
const BLONDEL = [0.57, 0.68] as const;
/** A kerb as high as this is meant as a quay or a step, m. */
const QUAY = 0.4;
/** No more of them than these. */
const MOST = 4;

/** Scale: storeys and kerbs outside the figures of the trade, of what stands in the panel. */
export const offScale: Check = ({ scene, shot, view }) => scene.elements.flatMap((element) => {
  if (element.hidden) return [];
  const [value, limits, what, usual] = element.kind === "building" && element.storeys
    ? [element.height / element.storeys, STOREY, "storey", "Flats have 2.7 to 3.2 m, shops 3.6 to 4.5 m, halls 5 m and more"] as const
    : element.kind === "steps" && !element.ramp ? [2 * element.riser + element.tread, BLONDEL, "step", "Comfortable stairs have 0.60 to 0.65 m"] as const
    : element.kind === "street" && element.kerb > 0 && element.kerb < QUAY ? [element.kerb, KERB, "kerb", "Kerbs have 0.10 to 0.15 m"] as const : [null, KERB, "", ""] as const;
  if (value === null || (value >= limits[0] && value <= limits[1])) return [];
  const box = boxOf(element);
  const [x, y, z] = blockCorner(box, 0.5, 0.5);
  const at: Vec2 | null = project(view, [x, y, z + box.height / 2]);
  if (!at || !contains(shot.frame, at)) return [];
  return [{
    id: `scale-${element.id}`, severity: "note" as const, where: element.name, at, value: tenth(value), unit: "m" as const,
    message: what === "step"
      ? `Two risers and a tread of ${element.name} come to ${value.toFixed(2)} m. ${usual}: people will look ${value > limits[1] ? "small" : "large"} on it.`
      : `A ${what} of ${element.name} is ${value.toFixed(2)} m high. ${usual}: beside it, doors and people will look ${value > limits[1] ? "small" : "large"}.`,
  }];
}).slice(0, MOST);
