import { headingDirection, type Vec2 } from "../../../geometry";
import { metres, metresBetween, sentence } from "../../../units";
import { circle } from "../../polygon";
import { heightTags } from "../block";
import { elementKind, IN_THE_WAY, type Box, type ElementError, type Oddity } from "../kind";
import { sizeOf } from "./measures";
import { cornerOf, courseOf, landingAt, ringOf } from "./course";
import { StepsSchema, type Steps } from "./schema";
import { turningOf } from "./turning";
export { buildSteps } from "./build";
export { DEFAULT_STEPS, sizeOf } from "./measures";
export { landingAt } from "./course";
export { nextFlight } from "./flights";
export { STAIRS, type StairPlan, type Steps } from "./schema";
export { EYE } from "./turning";

/** Stairs, from their measures. */
export const newSteps = (of: Omit<Steps, "kind" | "id" | "name">): Omit<Steps, "id" | "name"> => ({
  ...of,
  kind: "steps",
});

export const isSteps = (element: { readonly kind: string }): element is Steps => element.kind === "steps";

/** Two risers and a tread of comfortable stairs, m (Blondel, 1675 (from memory)). */
const BLONDEL = [0.6, 0.65] as const;
/** The middle of that. */
const STRIDE = 0.63;
/** No more risers without a landing (DIN 18065 (from memory)); no less room over the head, m (common practice). */
const [IN_A_FLIGHT, HEADROOM] = [18, 2] as const;
/** Less is rounding, m. */
const SAME = 1e-9;
/** A free tread is so thick where it hangs over the head, m. */
const OVERHEAD = 0.05;

/** Stairs that lead up by a height, m, with risers as near to their own as a whole number of them allows. */
export function upBy(steps: Steps, height: number): Steps {
  const count = Math.min(500, Math.max(1, Math.round(height / steps.riser)));
  const { landing } = steps;
  return {
    ...steps,
    count,
    riser: height / count,
    ...(landing === undefined ? {} : { landing: Math.max(1, Math.min(count - 1, landing)) }),
  };
}

/** Stairs with treads that go with their risers: two of these and a tread make a stride. */
export const comfortable = <S extends Pick<Steps, "riser">>(steps: S): S & Pick<Steps, "tread"> => ({
  ...steps,
  tread: Math.max(0.1, STRIDE - 2 * steps.riser),
});

/** The corners that stairs take on the plan, counter-clockwise. */
function outlineOf(steps: Steps): readonly Vec2[] {
  const { plan, heading, width, tread } = steps;
  if (plan === "spiral") {
    const { about, outer } = turningOf(steps);
    return circle(about, outer);
  }
  const { flights, landings } = courseOf(steps);
  const rings = [
    ...flights.map(({ corner, heading: way, count }) => ringOf(corner, way, width, count * tread)),
    ...landings.map(({ corner, heading: way, width: wide, depth }) => ringOf(corner, way, wide, depth)),
  ];
  if (rings.length === 1) return rings[0];
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const corner = cornerOf(steps);
  const local = rings.flat().map(([x, y]): Vec2 => {
    const [dx, dy] = [x - corner[0], y - corner[1]];
    return [dx * ahead[0] + dy * ahead[1], dx * right[0] + dy * right[1]];
  });
  const [ss, ts] = [local.map(([s]) => s), local.map(([, t]) => t)];
  const [s0, s1, t0, t1] = [Math.min(...ss), Math.max(...ss), Math.min(...ts), Math.max(...ts)];
  const at = (s: number, t: number): Vec2 => [
    corner[0] + s * ahead[0] + t * right[0],
    corner[1] + s * ahead[1] + t * right[1],
  ];
  return ringOf([...at(s0, t0), 0], heading, t1 - t0, s1 - s0);
}

/** The box around straight steps; around others, along their heading. */
function boxOf(steps: Steps): Box {
  const { heading, foot, width, plan = "straight" } = steps;
  const { length, height } = sizeOf(steps);
  if (plan === "straight") {
    const [x, y, z] = cornerOf(steps);
    return { origin: { x, y, z }, heading, width, length, height };
  }
  const outline = outlineOf(steps);
  const [ahead, right] = [headingDirection(heading), headingDirection(heading + 90)];
  const along = outline.map(([x, y]) => x * ahead[0] + y * ahead[1]);
  const aside = outline.map(([x, y]) => x * right[0] + y * right[1]);
  const [s, t] = [Math.min(...along), Math.min(...aside)];
  return {
    origin: { x: s * ahead[0] + t * right[0], y: s * ahead[1] + t * right[1], z: foot.z },
    heading,
    length: Math.max(...along) - s,
    width: Math.max(...aside) - t,
    height,
  };
}

/** Why stairs cannot be as they are said to be, and the field; null where they can. */
function validate(steps: Steps): ElementError | null {
  const { plan = "straight", open, cheeks, ramp, count, landing } = steps;
  const at = landingAt(steps);
  if (at !== null && at > count - 1)
    return landing === undefined
      ? { field: "count", message: "is too low: stairs that turn have two risers at the least." }
      : { field: "landing", message: `is none: there are only ${count} risers.` };
  if (cheeks && plan !== "straight") return { field: "cheeks", message: "go with straight steps only." };
  if (plan !== "spiral") return null;
  if (ramp) return { field: "ramp", message: "cannot be a spiral." };
  const { each } = turningOf(steps);
  if (!open && each * count >= 359)
    return {
      field: "count",
      message:
        `is too high: the stairs turn by ${Math.round(each * count)}°, and on a solid they turn less than once ` +
        "around. Let the treads hang free, or make the eye wider.",
    };
  return each > 90 ? { field: "tread", message: "is too deep for so narrow a spiral: make its eye wider." } : null;
}

/** What is odd about stairs: long flights, and heads that are knocked. */
function odditiesOf(steps: Steps): readonly Oddity[] {
  const { plan, name, riser, count, ramp } = steps;
  const of = name || "the stairs";
  if (plan === "spiral") {
    const { each } = turningOf(steps);
    const over = (360 / each) * riser - OVERHEAD;
    return each * count > 360 && over < HEADROOM - SAME
      ? [
          {
            id: "headroom",
            value: over,
            told: sentence`Once around, ${of} leave ${metres(over)} over the head: ${metres(HEADROOM)} are needed.`,
          },
        ]
      : [];
  }
  const at = landingAt(steps);
  const longest = at === null ? count : Math.max(at, count - at);
  return longest > IN_A_FLIGHT && !ramp
    ? [
        {
          id: "flight",
          value: longest,
          unit: "",
          told: sentence`A flight of ${of} has ${String(longest)} risers: after ${String(IN_A_FLIGHT)} a landing is
            usual.`,
        },
      ]
    : [];
}

export const steps = elementKind<Steps>(StepsSchema, {
  kind: "steps",
  word: "Steps",
  stands: true,
  validate,
  endsRoadways: ({ foot }) => foot.z < IN_THE_WAY,
  outline: outlineOf,
  span: (element) => [element.foot.z, sizeOf(element).height],
  box: boxOf,
  places: () => [],
  placed: (element) => element,
  geoJson: {
    write: (element) => ({ shape: "area", properties: heightTags(element.foot.z, sizeOf(element).height) }),
  },
  figures: ({ name, riser, tread, ramp }) => {
    const value = 2 * riser + tread;
    const told = sentence`Two risers and a tread of ${name} come to ${metres(value)}.`;
    return ramp
      ? []
      : [{ value, limits: BLONDEL, told, usual: sentence`Comfortable stairs have ${metresBetween(0.6, 0.65)}` }];
  },
  oddities: odditiesOf,
  steps: ({ count }) => count,
  // One may stand on it.
  letsIn: () => true,
});
