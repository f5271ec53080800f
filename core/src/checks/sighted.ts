import { mm, sentence } from "../units";
import { NoAnswer } from "../problem";
import type { Sightings } from "../scene";
import { overreaching, partWidths, sightedLevel, sightedPoints, TILT_HAND } from "../vanishing";
import { tenth, type Check, type Finding } from "./finding";

/** Parts that contradict the tilts: a wall cannot reach its own point. */
function overreach(s: Sightings, y: number): Finding[] {
  const over = overreaching(s, y);
  const wide = partWidths(s);
  return sightedPoints(s, y)
    .filter(({ side }) => wide && over.includes(side))
    .map(({ side, x }) => ({
      id: `sightings-part-${side}`,
      severity: "warning",
      where: `Sightings, ${side} side`,
      at: [x, y],
      value: tenth(wide![side]),
      unit: "mm",
      message: sentence`The ${side} wall is compared as ${mm(wide![side])} wide, and its edges meet the eye’s level after
        ${mm(Math.abs(x - s.x))}: it would reach its own point. Compare the parts again, or sight its tilt again.`,
    }));
}

/** Sightings that contradict each other: both edges of a wall must meet the eye's level in one point. */
export const contradicting: Check = ({ shot }) => {
  const { sightings } = shot;
  if (!sightings) return [];
  const y = sightedLevel(shot);
  try {
    const tilts = sightedPoints(sightings, y).flatMap(({ side, each, x, disagreement }): Finding[] => {
      if (disagreement <= TILT_HAND) return [];
      const { lower: _, ...upper } = sightings[side];
      return [
        {
          id: `sightings-${side}`,
          severity: "warning",
          where: `Sightings, ${side} side`,
          at: [x, y],
          value: tenth(disagreement),
          unit: "°",
          message: sentence`The lower edge is ${tenth(disagreement)}° off what the upper one asks for: they meet the
            eye’s level ${mm(Math.abs(each[0] - each[1]))} apart. Sight both again, or trust the upper one.`,
          fix: { label: "Trust the upper edge", shot: { ...shot, sightings: { ...sightings, [side]: upper } } },
        },
      ];
    });
    return [...tilts, ...overreach(sightings, y)];
  } catch (error) {
    if (error instanceof NoAnswer) return [];
    throw error;
  }
};
