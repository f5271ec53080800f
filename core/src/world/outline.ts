import { along, headingDirection, type Vec2, type Vec3 } from "../geometry";
import { pathOf, ribbon } from "./path";
import { tidy } from "./polygon";
import type { Building, Canal, Skyline, Steps, Street } from "../schema";

/** The corners of a footprint, counter-clockwise, as it is built on. */
export const cornersOf = ({ footprint }: Pick<Building, "footprint">): readonly Vec2[] =>
  tidy(footprint.map(({ x, y }) => [x, y] as const));

/** The ground that a street takes: its carriageway and pavements. */
export function ribbonOf(street: Street): readonly Vec2[] {
  const half = street.carriageway / 2 + street.pavement;
  return ribbon(pathOf(street), half, -half);
}

/** The ground that a canal takes: its water and its walls. */
export const canalRibbon = (canal: Canal): readonly Vec2[] => {
  const half = canal.width / 2 + canal.quay;
  return ribbon(pathOf(canal), half, -half);
};

/** The ground that a skyline takes, all rows of it. */
export const skylineRibbon = (skyline: Skyline): readonly Vec2[] =>
  ribbon(pathOf(skyline), skyline.rows * skyline.behind, 0);

/** How long a flight is on the plan, and how high it leads, m. */
export const sizeOf = ({
  count,
  riser,
  tread,
}: Pick<Steps, "count" | "riser" | "tread">): { readonly length: number; readonly height: number } => ({
  length: count * tread,
  height: count * riser,
});

/** The left corner of a flight's foot. */
export function cornerOf({ foot, heading, width }: Steps): Vec3 {
  return along([foot.x, foot.y, foot.z], headingDirection(heading + 90), -width / 2);
}
