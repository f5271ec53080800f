import type { Feature } from "../kind";
import { measureIn } from "../tags";
import type { Street } from "./schema";

type Measures = Partial<Pick<Street, "carriageway" | "pavement" | "kerb" | "slabs" | "dashes" | "lanes">>;

/** A lane where only their number is told, m (common practice: 3.0 to 3.65). */
const LANE = 3;
const LEVEL: Measures = { pavement: 0, kerb: 0, slabs: undefined };
const PATH: Measures = { ...LEVEL, carriageway: 2, lanes: 1, dashes: undefined };

/** What streets measure by the class that OpenStreetMap's key "highway" gives them, m (common practice). */
const CLASSES: Readonly<Record<string, Measures>> = {
  motorway: { ...LEVEL, carriageway: 11, lanes: 3 },
  trunk: { ...LEVEL, carriageway: 7.5 },
  primary: { carriageway: 9.75, lanes: 3, pavement: 3 },
  secondary: { carriageway: 7, pavement: 2.5 },
  tertiary: { carriageway: 6.5 },
  residential: { carriageway: 5.5 },
  living_street: { carriageway: 4.5, pavement: 1.5, lanes: 1, dashes: undefined },
  service: { ...LEVEL, carriageway: 3.5, lanes: 1, dashes: undefined },
  pedestrian: { ...LEVEL, carriageway: 5, lanes: 1, dashes: undefined },
  track: { ...LEVEL, carriageway: 3, lanes: 1, dashes: undefined },
  footway: PATH,
  path: PATH,
  cycleway: PATH,
  bridleway: PATH,
  steps: PATH,
};

/** Links between large streets are as wide as one lane of them. */
const classOf = (highway: unknown): Measures => {
  if (typeof highway !== "string") return {};
  if (highway.endsWith("_link")) return { ...CLASSES[highway.replace("_link", "")], carriageway: 4.5, lanes: 1 };
  return CLASSES[highway] ?? {};
};

/** The number of lanes that a feature tells, up to as many as a street may have. */
function lanesIn(value: unknown): number | null {
  const lanes = typeof value === "string" ? Number(value) : value;
  return typeof lanes === "number" && Number.isInteger(lanes) && lanes >= 1 && lanes <= 20 ? lanes : null;
}

/** What a feature tells of a street: its width, or else its lanes, or else what is usual for its class. */
export function measuresIn({ highway, width, lanes }: Feature["properties"]): Measures {
  const [told, number] = [measureIn(width), lanesIn(lanes)];
  return {
    ...classOf(highway),
    ...(number === null ? {} : { lanes: number, carriageway: number * LANE }),
    ...(told === null ? {} : { carriageway: told }),
  };
}
