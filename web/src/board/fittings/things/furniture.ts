import { FURNITURE, newFurniture, type FurnitureThing } from "@zanvo/core/world";
import { headingOf, isFloor, isWall, type PressedPlace, type Thing } from "./thing";

/** A picture on a wall: it faces as the wall does, and its middle is where the wall was pressed. */
function hung(place: PressedPlace) {
  const [nx, ny] = place.normal;
  const { depth, height } = FURNITURE.picture;
  const [x, y, z] = place.at;
  const at = { x: x + (nx * depth) / 2, y: y + (ny * depth) / 2, z: z - height / 2 };
  return newFurniture("picture", at, headingOf(nx, ny));
}

const put = (thing: FurnitureThing) => (place: PressedPlace) => {
  if (thing === "picture") return isWall(place) ? hung(place) : "A picture hangs on a wall: press one.";
  const [x, y, z] = place.at;
  return isFloor(place)
    ? newFurniture(thing, { x, y, z }, place.heading)
    : `A ${thing} stands on a floor or the ground: press there.`;
};

export const furniture: readonly Thing[] = (Object.keys(FURNITURE) as FurnitureThing[]).map((thing) => ({
  id: thing,
  label: FURNITURE[thing].label,
  put: put(thing),
}));
