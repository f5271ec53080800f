import { headingDirection, radians, type Vec2, type Vec3 } from "../../../geometry";
import { placeBeside, rectangleAround } from "../../around";
import type { Detail, DetailKind } from "../../details";
import { rememberedByValues } from "../../remembered";
import { piecesOfOutline, roundSolid, type Hull, type OutlinePoint } from "../../round";
import { loft, ring } from "../../shapes";
import type { Solid } from "../../solid";
import { FORMS, type Body, type Form, type Wheel } from "./forms";
import { standsOfVehicles, type StandingVehicle } from "./places";
import { VEHICLES, type Vehicle } from "./schema";

/** How a vehicle's measures are to the usual ones: along it, across it and up. */
type Scales = readonly [along: number, across: number, up: number];

const scalesOf = ({ thing, length, width, height }: Vehicle): Scales => {
  const usual = VEHICLES[thing];
  return [length / usual.length, width / usual.width, height / usual.height];
};

/** A pane leaves so much of its face around it, as a part of that. */
const AROUND = 0.12;
/** The rim of a wheel that one sees through is so thick, and a hub so large, as parts of its radius. */
const [RIM, HUB] = [0.07, 0.45] as const;
/** An open door stands off its side by so much, degrees, and is so thick, m. */
const [OPEN, LEAF] = [55, 0.04] as const;

/** The level axes of a vehicle that points along a heading: to its right, and ahead. */
function axesOf({ heading }: StandingVehicle): readonly [Vec3, Vec3] {
  const [fx, fy] = headingDirection(heading);
  return [
    [fy, -fx, 0],
    [fx, fy, 0],
  ];
}

/** The outlines of the bodies of a vehicle, by its measures: those of vehicles alike are one. */
const bodyOutlines = rememberedByValues((thing: Vehicle["thing"], along: number, up: number) =>
  FORMS[thing].bodies.map(({ outline }) =>
    outline.map(({ at: [s, z], bulge }): OutlinePoint => ({ at: [s * along, z * up], ...(bulge ? { bulge } : {}) })),
  ),
);

/** The half outlines of the wheels of a vehicle, by its height: those of vehicles alike are one. */
const wheelOutlines = rememberedByValues((thing: Vehicle["thing"], up: number) =>
  FORMS[thing].wheels.map((wheel) => wheelOutline(wheel, wheel.radius * up)),
);

/** A body: what is extruded runs from its left to its right. */
function bodySolid(id: string, stood: StandingVehicle, outline: readonly OutlinePoint[], wide: number): Solid {
  const [, ahead] = axesOf(stood);
  return roundSolid(id, {
    kind: "extruded",
    // Ahead by up is to the right.
    frame: { origin: [...stood.at, 0], x: ahead, y: [0, 0, 1] },
    outline,
    from: -wide,
    to: wide,
  });
}

/** The half outline of a wheel about its axle: a solid disc, or a rim. */
function wheelOutline({ wide, ring: isRing }: Wheel, radius: number): readonly OutlinePoint[] {
  const [low, high] = [-wide / 2, wide / 2];
  return isRing
    ? [
        { at: [radius * (1 - RIM), low] },
        { at: [radius, low] },
        { at: [radius, high] },
        { at: [radius * (1 - RIM), high] },
      ]
    : [
        { at: [HUB * radius, low + 0.1 * wide] },
        { at: [0.9 * radius, low] },
        { at: [radius, low + 0.12 * wide] },
        { at: [radius, high - 0.12 * wide] },
        { at: [0.9 * radius, high] },
        { at: [HUB * radius, high - 0.1 * wide] },
      ];
}

function wheelSolids(
  id: string,
  stood: StandingVehicle,
  thing: Vehicle["thing"],
  [along, across, up]: Scales,
): Solid[] {
  const { wheels, bodies } = FORMS[thing];
  const [right, ahead] = axesOf(stood);
  const half = Math.max(...bodies.map((body) => body.half)) * across;
  return wheels.flatMap((wheel, i) => {
    const radius = wheel.radius * up;
    const sides = wheel.single ? [0] : [-(half - wheel.wide / 2 - 0.01), half - wheel.wide / 2 - 0.01];
    return sides.map((side) => {
      const [x, y] = placeBeside(stood.at, headingDirection(stood.heading), [side, wheel.ahead * along]);
      return roundSolid(id, {
        kind: "revolved",
        axis: { origin: [x, y, radius], up: right, side: ahead },
        outline: wheelOutlines(thing, up)[i],
        ...(wheel.ring ? { closed: true } : {}),
      });
    });
  });
}

/** The rods of a vehicle by its measures: those of vehicles alike are one. */
const rodHulls = rememberedByValues(
  (thing: Vehicle["thing"], along: number, across: number, up: number): readonly Hull[] =>
    (FORMS[thing].rods ?? []).map(({ from, to, radius }) => ({
      part: "rod",
      balls: [from, to].map(([x, y, z]) => [x * across, y * along, z * up, radius] as const),
    })),
);

/** The leaves of front doors that stand open, hinged at their front. */
function openDoors(id: string, stood: StandingVehicle, { door, bodies }: Form, [along, across, up]: Scales): Solid[] {
  if (!door) return [];
  const half = bodies[0].half * across;
  const long = (door.ahead[0] - door.ahead[1]) * along;
  return [-1, 1].map((side) => {
    const hinge = placeBeside(stood.at, headingDirection(stood.heading), [side * half, door.ahead[0] * along]);
    // Shut it would point backwards; it is turned outwards from there.
    const facing = headingDirection(stood.heading + 180 - side * OPEN);
    const corners = rectangleAround(hinge, facing, [-LEAF / 2, LEAF / 2], [0, long]);
    return loft(id, [ring(corners, door.up[0] * up), ring(corners, door.up[1] * up)], null);
  });
}

/** The solids of one vehicle: its bodies first. */
function vehicleSolids(vehicle: Vehicle, stood: StandingVehicle): Solid[] {
  const { id, thing, open } = vehicle;
  const [form, scales] = [FORMS[thing], scalesOf(vehicle)];
  const [along, across, up] = scales;
  const hulls = rodHulls(thing, along, across, up);
  return [
    ...form.bodies.map(({ half }, i) => bodySolid(id, stood, bodyOutlines(thing, along, up)[i], half * across)),
    ...wheelSolids(id, stood, thing, scales),
    ...(hulls.length > 0
      ? [roundSolid(id, { kind: "hulls", at: [...stood.at, 0], turn: radians(-stood.heading), hulls, before: 0 })]
      : []),
    ...(open ? openDoors(id, stood, form, scales) : []),
  ];
}

/** The solids of vehicles; none where they cannot stand. */
export const buildVehicle = (vehicle: Vehicle): Solid[] =>
  standsOfVehicles(vehicle).flatMap((stood) => vehicleSolids(vehicle, stood));

/** A closed outline on a face, in lines. */
function ringOn(places: readonly Vec3[], kind: DetailKind, on: NonNullable<Detail["on"]>, index: number): Detail[] {
  const item = { index };
  return places.map((a, i) => ({ kind, a, b: places[(i + 1) % places.length], on, item }));
}

/** The panes of one body: on both its sides, and at its ends. */
function panesOf(solid: Solid, stood: StandingVehicle, body: Body, scales: Scales): Detail[] {
  const [right, ahead] = axesOf(stood);
  const [along, across, up] = scales;
  const half = body.half * across;
  const place = (side: number, [s, z]: Vec2): Vec3 => [
    stood.at[0] + side * right[0] + s * along * ahead[0],
    stood.at[1] + side * right[1] + s * along * ahead[1],
    z * up,
  ];
  const sides = [-half, half].flatMap((side, face) =>
    (body.panes ?? []).flatMap((one, index) =>
      ringOn(
        one.map((at) => place(side, at)),
        "glazing",
        { solid, face },
        index,
      ),
    ),
  );
  const pieces = piecesOfOutline(body.outline, true);
  const ends = (body.ends ?? []).flatMap((wall) => {
    const face = solid.faces.findIndex(({ name }) => name === `wall ${wall}`);
    const { from, to } = pieces[wall];
    const at = (t: number): Vec2 => [from[0] + t * (to[0] - from[0]), from[1] + t * (to[1] - from[1])];
    const [low, high, wide] = [at(AROUND), at(1 - AROUND), half * (1 - AROUND)];
    const corners = [place(-wide, low), place(wide, low), place(wide, high), place(-wide, high)];
    return face < 0 ? [] : ringOn(corners, "glazing", { solid, face }, 0);
  });
  return [...sides, ...ends];
}

/** The panes of vehicles, where they can be told apart. */
export function vehicleDetails(vehicle: Vehicle, solids: readonly Solid[], leastLength = 0): Detail[] {
  if (vehicle.height / 12 < leastLength) return [];
  const [form, scales] = [FORMS[vehicle.thing], scalesOf(vehicle)];
  const stands = standsOfVehicles(vehicle);
  const each = stands.length > 0 ? solids.length / stands.length : 0;
  return stands.flatMap((stood, i) =>
    form.bodies.flatMap((body, b) => panesOf(solids[i * each + b], stood, body, scales)),
  );
}
