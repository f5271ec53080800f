import type { Static } from "@sinclair/typebox";
import { Flags, Heading, Id, named, offered, PlaceOrPath, Size, strict, Type } from "../../../fields";
import { Curved } from "../kind";

/**
 * Vehicles: how long, wide and high each usually is, m, and how far apart they are parked along a kerb (common
 * practice; a bus and a lorry are 2.55 m wide at the most, directive 96/53/EC, from memory).
 */
export const VEHICLES = {
  bicycle: { label: "Bicycle", length: 1.8, width: 0.6, height: 1.05, every: 0.8 },
  handcart: { label: "Handcart", length: 2.4, width: 1.1, height: 1.1, every: 3.5 },
  car: { label: "Car", length: 4.5, width: 1.8, height: 1.45, every: 5.5 },
  van: { label: "Van", length: 5.4, width: 2, height: 2.4, every: 6.4 },
  lorry: { label: "Lorry", length: 8, width: 2.5, height: 3.4, every: 9.5 },
  bus: { label: "Bus", length: 12, width: 2.55, height: 3.1, every: 14 },
  tram: { label: "Tram", length: 9.6, width: 2.4, height: 3.4, every: 10.2 },
  train: { label: "Train", length: 20, width: 2.8, height: 3.9, every: 21 },
} as const;
export type VehicleThing = keyof typeof VEHICLES;

/** What runs on a track, several cars coupled: the least radius of its bends, m (common practice). */
export const LEAST_BENDS: Readonly<Partial<Record<VehicleThing, number>>> = { tram: 15, train: 150 };

/** Whether a vehicle runs on a track. */
export const runsOnRails = (thing: VehicleThing): boolean => LEAST_BENDS[thing] !== undefined;

/** A vehicle at a place, on its wheels; or several along a line: parked along a kerb, or coupled on a track. */
export const VehicleSchema = strict({
  id: Id,
  kind: Type.Literal("vehicle"),
  name: Type.String({ maxLength: 200 }),
  thing: Type.Unsafe<VehicleThing>({ type: "string", enum: Object.keys(VEHICLES) }),
  path: PlaceOrPath,
  ...Curved,
  /** One that stands alone points along this; along a line they point as it runs. */
  heading: named("Points along the heading", Heading),
  length: named("Length", Size),
  width: named("Width", Size),
  height: named("Height", Size),
  /** Along a line, from the front of one to that of the next, m. */
  every: named("One every", offered(0.5, 50, Size)),
  /** On a track, how many cars are coupled. */
  cars: Type.Optional(named("Cars", Type.Integer({ minimum: 1, maximum: 40 }))),
  /** Its front doors stand open. */
  open: Type.Optional(Type.Boolean()),
  ...Flags,
});

export type Vehicle = Static<typeof VehicleSchema>;
