import { seededRandom } from "../../../geometry";
import { trunkHull, type Ball, type Hull } from "../../round";
import type { Plant } from "./schema";

/** A crown has so many lobes. */
const [LOBES, MOST_LOBES] = [17, 60] as const;
/** So many balls up its middle fill it. */
const FILLING = 7;
/** Tiers of a conifer, and how much of its height each of them is; each rises into the one over it. */
const [TIERS, INTO] = [6, 0.55] as const;

type Measures = Pick<Plant, "habit" | "height" | "spread" | "clear">;

/** A number from 0 to 1 by chance. */
const chance = (roll: (n: number) => number): number => roll(1e6) / 1e6;

/** How wide a crown is at a part of its height, beside its widest. */
function widthAt({ habit }: Measures, up: number): number {
  const round = Math.sqrt(Math.max(0, 1 - (2 * up - 1) ** 2));
  if (habit === "spreading") return up < 0.55 ? 0.55 + 0.8 * up : Math.sqrt(Math.max(0, 1 - ((up - 0.55) / 0.45) ** 2));
  if (habit === "column") return Math.min(1, 0.35 + 0.75 * round);
  return habit === "bush" ? Math.sqrt(Math.max(0, 1 - up * up)) : round;
}

/** How much of its outline a lobe shows within the crown, from the right over its top to the left, radians. */
const SHOWN = [0.2, 2.6] as const;
/** One of so many lobes shows some of its outline within the crown. */
const SHOWING = 2;

/** The lobes of a leafy crown, and what fills it between them. */
function lobes(of: Measures, roll: (n: number) => number): readonly Hull[] {
  const { height, spread, clear } = of;
  const [long, wide] = [height - clear, spread / 2];
  const lobe = Math.min(0.36 * wide, 0.3 * long);
  const count = Math.min(MOST_LOBES, Math.round(LOBES * Math.max(1, long / wide / 2)));
  // Around and up by the golden angle, so that they are spread evenly, and off that by chance.
  const balls = Array.from({ length: count }, (_, i): Ball => {
    const up = Math.min(0.97, Math.max(0.03, (i + chance(roll)) / count));
    const turn = i * 2.39996 + 0.9 * chance(roll);
    const radius = lobe * (0.75 + 0.5 * chance(roll));
    const out = Math.max(0, wide * widthAt(of, up) - radius) * (0.88 + 0.24 * chance(roll));
    const z = clear + Math.min(long - radius, Math.max(radius, up * long));
    return [out * Math.cos(turn), out * Math.sin(turn), z, radius];
  });
  const filling = Array.from({ length: FILLING }, (_, i): Ball => {
    const up = (i + 1) / (FILLING + 1);
    return [0, 0, clear + up * long, Math.min(0.8 * wide * widthAt(of, up), up * long, (1 - up) * long)];
  });
  return [
    ...filling.slice(1).map((one, i): Hull => ({ part: "crown", balls: [filling[i], one] })),
    ...balls.map((one): Hull => ({ part: "crown", balls: [one] })),
    ...balls.flatMap((one, i): readonly Hull[] => {
      if (i % SHOWING > 0) return [];
      const from = SHOWN[0] + chance(roll);
      return [{ part: `lobe ${i}`, over: ["crown"], arc: [from, Math.min(SHOWN[1], from + 1.5)], balls: [one] }];
    }),
  ];
}

/** The tiers of a conifer, each of boughs around a tip. */
function tiers({ height, spread, clear }: Measures, roll: (n: number) => number): readonly Hull[] {
  const tier = (height - clear) / (TIERS - (TIERS - 1) * (1 - INTO));
  return Array.from({ length: TIERS }, (_, i): Hull => {
    const low = clear + i * INTO * tier;
    const out = (spread / 2) * (1 - i / TIERS);
    const boughs = Array.from({ length: 7 }, (_, k): Ball => {
      const turn = (2 * Math.PI * (k + chance(roll))) / 7;
      const far = out * (0.85 + 0.15 * chance(roll));
      const thick = 0.02 * out;
      return [far * Math.cos(turn), far * Math.sin(turn), low + thick + 0.14 * tier * chance(roll), thick];
    });
    return { part: `tier ${i}`, balls: [...boughs, [0, 0, low + tier - 0.004, 0.004]] };
  });
}

/** The hulls of one plant about its foot, m. @param seed the chance that it follows */
export function hullsOfPlant(of: Measures, seed: number): readonly Hull[] {
  const roll = seededRandom(seed);
  const { habit, height, spread, clear } = of;
  const crown = habit === "conifer" ? tiers(of, roll) : lobes(of, roll);
  if (habit === "bush") return crown;
  const thick = 0.012 * height + 0.012 * spread;
  const fork = clear + 0.35 * (height - clear);
  const trunk = trunkHull([0, fork], [1.3 * thick, 0.7 * thick]);
  return [trunk, ...crown];
}
