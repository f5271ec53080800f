import { mm, sentence } from "../units";
import { NoAnswer } from "../problem";
import { sightedLevel, sightedPoints, TILT_HAND } from "../vanishing";
import { tenth, type Check, type Finding } from "./finding";

/** Sightings that contradict each other: both edges of a wall must meet the eye's level in one point. */
export const contradicting: Check = ({ shot }) => {
  const { sightings } = shot;
  if (!sightings) return [];
  const y = sightedLevel(shot);
  try {
    return sightedPoints(sightings, y).flatMap(({ side, each, x, disagreement }): Finding[] => {
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
  } catch (error) {
    if (error instanceof NoAnswer) return [];
    throw error;
  }
};
