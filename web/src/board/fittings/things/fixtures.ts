import { degrees } from "@zanvo/core/geometry";
import { FIXTURES, newFixture, type FixtureThing } from "@zanvo/core/world";
import { headingOf, isFloor, isWall, type PressedPlace, type Thing } from "./thing";

const outFrom = ({ normal: [nx, ny] }: PressedPlace): number => headingOf(nx, ny);

type Put = Thing["put"];

const onWall =
  (thing: FixtureThing): Put =>
  (place) => {
    const [x, y, z] = place.at;
    return isWall(place)
      ? newFixture(thing, { x, y, z }, outFrom(place))
      : `A ${FIXTURES[thing].label.toLowerCase()} hangs on a wall: press one.`;
  };

/** Up from the ground to where the wall was pressed. */
const drainpipe: Put = (place) => {
  const [x, y, z] = place.at;
  if (!isWall(place)) return "A drainpipe runs up a wall: press where it ends.";
  return newFixture("drainpipe", { x, y, z: 0 }, outFrom(place), { height: Math.max(0.5, z) });
};

const onTop =
  (thing: FixtureThing): Put =>
  (place) => {
    const [x, y, z] = place.at;
    return place.normal[2] > 0.3
      ? newFixture(thing, { x, y, z }, place.heading)
      : `${FIXTURES[thing].label}s stand on roofs: press one.`;
  };

/** Upright in the slope of a roof, its front where that was pressed, looking down it. */
const dormer: Put = (place) => {
  const [x, y, z] = place.at;
  const [nx, ny, nz] = place.normal;
  if (isWall(place) || nz <= 0 || isFloor(place)) return "A dormer stands in the slope of a roof: press one.";
  const pitch = Number(degrees(Math.atan2(Math.hypot(nx, ny), nz)).toFixed(4));
  return newFixture("dormer", { x, y, z }, headingOf(nx, ny), { pitch });
};

/** In the slope of a roof, its middle where that was pressed. */
const rooflight: Put = (place) => {
  const [x, y, z] = place.at;
  const [nx, ny, nz] = place.normal;
  if (isWall(place) || nz <= 0) return "A roof light lies in a roof: press one.";
  if (isFloor(place)) return newFixture("rooflight", { x, y, z }, place.heading);
  const level = Math.hypot(nx, ny);
  // Up the slope, against the way its normal leans.
  const heading = headingOf(-nx, -ny);
  const pitch = Number(degrees(Math.atan2(level, nz)).toFixed(4));
  const half = FIXTURES.rooflight.out / 2;
  const at = { x: x + half * nz * (nx / level), y: y + half * nz * (ny / level), z: z - half * level };
  return newFixture("rooflight", at, heading, { pitch });
};

const PUT: Readonly<Record<FixtureThing, Put>> = {
  canopy: onWall("canopy"),
  lantern: onWall("lantern"),
  flag: onWall("flag"),
  drainpipe,
  aerial: onTop("aerial"),
  pot: onTop("pot"),
  dormer,
  rooflight,
};

export const fixtures: readonly Thing[] = (Object.keys(FIXTURES) as FixtureThing[]).map((thing) => ({
  id: thing,
  label: FIXTURES[thing].label,
  put: PUT[thing],
}));
