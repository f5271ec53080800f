import { contains } from "../geometry";
import { project } from "../shot";
import { middleOf, type Element } from "../world";
import { tenth, type Check } from "./finding";

/**
 * Storeys are from 2.7 m (flats) to 4.5 m (shops) high, halls 5 m and up (common practice); kerbs of streets 0.10 to
 * 0.15 m, pavements 1.8 to 3 m wide.
 */
const STOREY = [2.4, 6] as const;
const KERB = [0.08, 0.2] as const;
/** Two risers and a tread of comfortable stairs, m (Blondel, 1675 (from memory)), with some room. */
const BLONDEL = [0.57, 0.68] as const;
/** A kerb as high as this is meant as a quay or a step, m. */
const QUAY = 0.4;
/** No more of them than these. */
const MOST = 4;

/** A door's height, m: a leaf has 2.0 to 2.1 m (common practice), a gate more. */
const DOOR = [1.85, 4.5] as const;

/** A measure of a thing that people are compared with, and between which it is usual. */
interface Measure {
  readonly value: number;
  readonly limits: readonly [number, number];
  /** What it is, and how it is told. */
  readonly told: string;
  readonly usual: string;
}

function measuresOf(element: Element): readonly Measure[] {
  const kerb = (value: number): Measure[] =>
    value > 0 && value < QUAY
      ? [
          {
            value,
            limits: KERB,
            told: `A kerb of ${element.name} is ${value.toFixed(2)} m high.`,
            usual: "Kerbs have 0.10 to 0.15 m",
          },
        ]
      : [];
  switch (element.kind) {
    case "building":
      return [
        ...(element.storeys ? [element.height / element.storeys] : []).map((value): Measure => ({
          value,
          limits: STOREY,
          told: `A storey of ${element.name} is ${value.toFixed(2)} m high.`,
          usual: "Flats have 2.7 to 3.2 m, shops 3.6 to 4.5 m, halls 5 m and more",
        })),
        ...(element.doors ?? []).map(({ height: value }): Measure => ({
          value,
          limits: DOOR,
          told: `A door of ${element.name} is ${value.toFixed(2)} m high.`,
          usual: "Doors have 2.0 to 2.1 m",
        })),
      ];
    case "steps":
      return element.ramp
        ? []
        : [
            {
              value: 2 * element.riser + element.tread,
              limits: BLONDEL,
              told: `Two risers and a tread of ${element.name} come to ${(2 * element.riser + element.tread).toFixed(2)} m.`,
              usual: "Comfortable stairs have 0.60 to 0.65 m",
            },
          ];
    case "street":
    case "square":
      return kerb(element.kerb);
    default:
      return [];
  }
}

/**
 * Scale: storeys, doors, kerbs and stairs outside the figures of the trade, of what stands in the panel; of one
 * thing, the first.
 */
export const offScale: Check = ({ scene, shot, view }) =>
  scene.elements
    .flatMap((element) => {
      const off = element.hidden
        ? undefined
        : measuresOf(element).find(({ value, limits: [least, most] }) => value < least || value > most);
      if (!off) return [];
      const at = project(view, middleOf(element));
      if (!at || !contains(shot.frame, at)) return [];
      const { value, limits, told, usual } = off;
      return [
        {
          id: `scale-${element.id}`,
          severity: "note" as const,
          where: element.name,
          at,
          value: tenth(value),
          unit: "m" as const,
          message: `${told} ${usual}: beside it, people will look ${value > limits[1] ? "small" : "large"}.`,
        },
      ];
    })
    .slice(0, MOST);
