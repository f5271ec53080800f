import { radians, type Vec3 } from "../../../geometry";
import { rememberedByValues } from "../../remembered";
import type { Ball, Hull } from "../../round";
import { GROWN_HEADS, headsAt } from "./proportions";
import type { Person, Pose, Wear } from "./schema";

/** How the joints of a figure stand, degrees: forwards is positive, but knees bend backwards. */
interface Stance {
  /** How far the trunk leans forwards. */
  readonly lean?: number;
  /** Of the right and the left limb each. */
  readonly hips: readonly [number, number];
  readonly knees: readonly [number, number];
  readonly shoulders: readonly [number, number];
  readonly elbows: readonly [number, number];
}

/** How figures stand in each pose (common practice). */
const STANCES: Readonly<Record<Pose, Stance>> = {
  standing: { hips: [0, 0], knees: [0, 0], shoulders: [2, -2], elbows: [12, 8] },
  walking: { lean: 3, hips: [24, -18], knees: [6, 14], shoulders: [-22, 24], elbows: [14, 30] },
  running: { lean: 10, hips: [58, -22], knees: [62, 78], shoulders: [-48, 42], elbows: [88, 95] },
  sitting: { hips: [88, 84], knees: [88, 78], shoulders: [22, 16], elbows: [52, 40] },
  leaning: { lean: -9, hips: [18, 4], knees: [34, 0], shoulders: [2, 6], elbows: [62, 14] },
  carrying: { lean: -3, hips: [6, -5], knees: [4, 6], shoulders: [24, 24], elbows: [64, 64] },
};

/** Parts of a grown figure as parts of its height (common practice). */
const BODY = {
  shoulders: { up: 0.81, aside: 0.082, r: 0.03 },
  ribs: { up: 0.72, aside: 0.052, r: 0.055 },
  waist: { up: 0.625, aside: 0.045, r: 0.049 },
  hips: { up: 0.53, aside: 0.048, r: 0.056 },
  thigh: { long: 0.243, r: [0.05, 0.033] },
  shin: { long: 0.243, r: [0.034, 0.022] },
  foot: { heel: -0.026, toe: 0.095, r: 0.02 },
  upper: { long: 0.185, r: [0.028, 0.022] },
  fore: { long: 0.15, r: [0.023, 0.016] },
  hand: { long: 0.055, r: [0.02, 0.014] },
  arms: 0.104,
  neck: { up: 0.85, r: 0.027 },
} as const;

type Place = readonly [right: number, ahead: number, up: number];

const ball = ([x, y, z]: Place, r: number): Ball => [x, y, z, r];

/** The place so far from another along a limb that hangs, turned forwards by an angle, and out to a side a little. */
function along([x, y, z]: Place, long: number, forwards: number, out = 0): Place {
  const [a, o] = [radians(forwards), radians(out)];
  return [x + long * Math.sin(o), y + long * Math.sin(a) * Math.cos(o), z - long * Math.cos(a) * Math.cos(o)];
}

type Side = "right" | "left";
const SIDES = { right: 1, left: -1 } as const;
const NAMES = ["right", "left"] as const;

/** A leg from its hip: thigh, shin and foot. */
function leg(
  name: Side,
  hip: Place,
  bend: number,
  knee: number,
): { readonly hulls: readonly Hull[]; readonly sole: number } {
  const { thigh, shin, foot } = BODY;
  const at = along(hip, thigh.long, bend);
  const ankle = along(at, shin.long, bend - knee);
  // A foot lies level under a leg that is nearly upright, and hangs from one that is not.
  const lift = radians(Math.max(0, knee - Math.max(0, bend) - 18));
  const on = (far: number, down: number): Place => [
    ankle[0],
    ankle[1] + far * Math.cos(lift) - down * Math.sin(lift),
    ankle[2] - far * Math.sin(lift) - down * Math.cos(lift),
  ];
  const heel = on(foot.heel, 0.022);
  const toe = on(foot.toe, 0.03);
  const part = { part: `${name} leg`, over: [`${name === "left" ? "right" : "left"} leg`] };
  const hulls: Hull[] = [
    { ...part, balls: [ball(hip, thigh.r[0]), ball(at, thigh.r[1])], joins: true },
    { ...part, balls: [ball(at, shin.r[0]), ball(along(at, 0.07, bend - knee), 0.036), ball(ankle, shin.r[1])] },
    { ...part, balls: [ball(ankle, shin.r[1]), ball(heel, foot.r), ball(toe, 0.012)] },
  ];
  return { hulls, sole: Math.min(heel[2] - foot.r, toe[2] - 0.012) };
}

/** An arm from its shoulder: upper arm, forearm and hand. */
function arm(name: Side, shoulder: Place, swing: number, elbow: number): readonly Hull[] {
  const { upper, fore, hand } = BODY;
  const side = SIDES[name];
  const at = along(shoulder, upper.long, swing, 5 * side);
  const wrist = along(at, fore.long, swing + elbow, 1 * side);
  const end = along(wrist, hand.long, swing + elbow, 0);
  const part = { part: `${name} arm`, over: ["trunk", "skirts", "head", "box", "left leg", "right leg"] };
  return [
    { ...part, balls: [ball(shoulder, upper.r[0]), ball(at, upper.r[1])], joins: true },
    { ...part, balls: [ball(at, fore.r[0]), ball(wrist, fore.r[1])] },
    {
      ...part,
      balls: [ball(wrist, 0.017), ball(along(wrist, 0.03, swing + elbow), hand.r[0]), ball(end, hand.r[1])],
    },
  ];
}

/** The trunk of a person, leaning about its hips. */
function trunk(lean: number): { readonly hulls: readonly Hull[]; readonly lean: (place: Place) => Place } {
  const { shoulders, ribs, waist, hips, neck } = BODY;
  const [c, s] = [Math.cos(radians(lean)), Math.sin(radians(lean))];
  const leant = ([x, y, z]: Place): Place => {
    const over = z - hips.up;
    return [x, y * c + over * s, hips.up + over * c - y * s];
  };
  const pair = ({ up, aside, r }: { up: number; aside: number; r: number }): Ball[] =>
    [-1, 1].map((side) => ball(leant([side * aside, 0, up]), r));
  return {
    hulls: [
      // From the neck the shoulders slope.
      { part: "trunk", balls: [...pair(shoulders), ball(leant([0, 0, neck.up]), neck.r)] },
      { part: "trunk", balls: [...pair(shoulders), ...pair(ribs), ...pair(waist)] },
      { part: "trunk", balls: [...pair(waist), ...pair(hips)] },
    ],
    lean: leant,
  };
}

/** What a coat or a skirt adds to an outline: down from where, to where beside the knees, and how wide. */
const HEMS: Readonly<Record<Exclude<Wear, "trousers">, { readonly from: number; readonly wide: number }>> = {
  coat: { from: 0.72, wide: 0.088 },
  skirt: { from: 0.6, wide: 0.098 },
};

/** A coat or a skirt around the legs, down to between the knees and the ankles. */
function hem(wear: Exclude<Wear, "trousers">, knees: readonly [Place, Place], lean: (place: Place) => Place): Hull {
  const { from, wide } = HEMS[wear];
  const low = knees.map(([x, y, z]): Place => [x, y, z - 0.045]);
  const waist = [-1, 1].map((side) => ball(lean([side * 0.05, 0, from]), 0.052));
  const hips = [-1, 1].map((side) => ball(lean([side * 0.052, 0, BODY.hips.up]), 0.06));
  const rim = low.flatMap(([x, y, z], i) => [ball([x + (i === 0 ? 1 : -1) * (wide - 0.06), y, z], 0.028)]);
  // What is worn lies outside the legs, however near those come.
  return { part: "skirts", over: ["left leg", "right leg"], balls: [...waist, ...hips, ...rim] };
}

/** The head and the neck over a trunk: from the chin to the crown a part of the height. */
function head(high: number, lean: (place: Place) => Place): readonly Hull[] {
  const chin = 1 - 1 / GROWN_HEADS;
  const at = (y: number, up: number): Place => lean([0, y, chin + up * high]);
  return [
    { part: "trunk", balls: [ball(lean([0, 0, BODY.neck.up]), 0.028), ball(at(0, 0.22), 0.026)] },
    {
      part: "head",
      over: ["trunk"],
      balls: [
        ball(at(-0.06 * high, 0.66), 0.34 * high),
        ball(at(0.05 * high, 0.66), 0.33 * high),
        ball(at(0.1 * high, 0.27), 0.25 * high),
      ],
    },
  ];
}

/** A box that a figure carries before it, as the hull of its corners. */
const carried: Hull = {
  part: "box",
  over: ["trunk", "skirts", "left leg", "right leg"],
  balls: [-1, 1].flatMap((x) => [0.1, 0.29].flatMap((y) => [0.56, 0.72].map((z): Ball => [0.13 * x, y, z, 0.004]))),
};

/** The balls of some hulls, all moved by a function. */
const changed = (hulls: readonly Hull[], change: (one: Ball) => Ball): readonly Hull[] =>
  hulls.map(({ balls, ...rest }) => ({ ...rest, balls: balls.map(change) }));

/** The hulls of a figure that faces along its y axis, on its soles, by parts of its height. */
function bodyOf({ pose, wear = "trousers", age }: Pick<Person, "pose" | "wear" | "age">): readonly Hull[] {
  const { lean = 0, hips, knees, shoulders, elbows } = STANCES[pose];
  const hipAt = (name: Side): Place => [SIDES[name] * BODY.hips.aside, 0, BODY.hips.up];
  const legs = NAMES.map((name, i) => leg(name, hipAt(name), hips[i], knees[i]));
  const { hulls: torso, lean: leant } = trunk(lean);
  const arms = NAMES.flatMap((name, i) =>
    arm(name, leant([SIDES[name] * BODY.arms, 0, BODY.shoulders.up]), shoulders[i] + lean, elbows[i]),
  );
  const knee = ([0, 1] as const).map((i) => along(hipAt(NAMES[i]), BODY.thigh.long, hips[i])) as [Place, Place];
  // Children have larger heads, and are as much shorter under them.
  const heads = headsAt(age);
  const scaled = (1 - 1 / heads) / (1 - 1 / GROWN_HEADS);
  const sole = Math.min(...legs.map((one) => one.sole));
  const body = [
    ...legs.flatMap((one) => one.hulls),
    ...torso,
    ...(wear === "trousers" ? [] : [hem(wear, knee, leant)]),
    ...arms,
    ...(pose === "carrying" ? [carried] : []),
  ];
  const chin = 1 - 1 / GROWN_HEADS;
  const grown = changed(body, ([x, y, z, r]) => [scaled * x, scaled * y, scaled * (z - sole), scaled * r]);
  const over = head(1 / heads, leant);
  // The head keeps its size, on a neck that is scaled with the rest.
  const lifted = changed(over, ([x, y, z, r]) => [x, y, z - chin + scaled * (chin - sole), r]);
  return [...grown, ...lifted];
}

/** The hulls of a body by its height, worked out once: crowds have many alike. */
const bodyAt = rememberedByValues(
  (pose: Person["pose"], wear: Person["wear"], age: Person["age"], height: number): readonly Hull[] =>
    changed(bodyOf({ pose, wear, age }), ([x, y, z, r]) => [height * x, height * y, height * z, height * r]),
);

/** The hulls of a figure about its soles, m, as it faces along its y axis. */
export const hullsOf = ({
  pose,
  wear,
  age,
  height,
}: Pick<Person, "pose" | "wear" | "age" | "height">): readonly Hull[] => bodyAt(pose, wear, age, height);

/** How high a figure reaches over its soles in its pose, m. */
export const reachOfPerson = (person: Pick<Person, "pose" | "wear" | "age" | "height">): number =>
  Math.max(...hullsOf(person).flatMap(({ balls }) => balls.map((one: Ball): number => one[2] + one[3])));

/** Where the crown of a figure is over its soles, m: ahead of them, and up. */
export function crownOf(person: Pick<Person, "pose" | "wear" | "age" | "height">): Vec3 {
  const hulls = hullsOf(person);
  const top = hulls[hulls.length - 1].balls.reduce((high, one) => (one[2] + one[3] > high[2] + high[3] ? one : high));
  return [top[0], top[1], top[2] + top[3]];
}
