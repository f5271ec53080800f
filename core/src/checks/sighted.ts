import { mm, sentence } from "../units";
import type { Shot, Sightings } from "../scene";
import { overreaching, partWidths, sightedLevel, sightedSides, TILT_HAND } from "../vanishing";
import { tenth, type Check, type Finding } from "./finding";

type Side = ReturnType<typeof sightedSides>[number];

/** Edges of one wall that ask for two points. */
function twoPoints(shot: Shot, sightings: Sightings, { side, each, x, disagreement }: Side, y: number): Finding[] {
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
}

/** Parts that contradict the tilts: a wall cannot reach its own point. */
function tooWide(s: Sightings, { side, x }: Side, y: number): Finding[] {
  const wide = partWidths(s)?.[side];
  if (wide === undefined || !overreaching(s, y).includes(side)) return [];
  return [
    {
      id: `sightings-part-${side}`,
      severity: "warning",
      where: `Sightings, ${side} side`,
      at: [x, y],
      value: tenth(wide),
      unit: "mm",
      message: sentence`The ${side} wall is compared as ${mm(wide)} wide, and its edges meet the eye’s level
        after ${mm(Math.abs(x - s.x))}: it would reach its own point. Compare the parts again,
        or sight its tilt again.`,
    },
  ];
}

/** Sightings that contradict each other: edges of a wall that ask for two points, or a wall that reaches its own. */
export const contradicting: Check = ({ shot }) => {
  const { sightings } = shot;
  if (!sightings) return [];
  const y = sightedLevel(shot);
  return sightedSides(sightings, y).flatMap((side) => [
    ...twoPoints(shot, sightings, side, y),
    ...tooWide(sightings, side, y),
  ]);
};
