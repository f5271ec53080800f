import type { LawId } from "@zanvo/core/lens";
import { newScene, type Scene, type Shot } from "@zanvo/core/scene";
import { withCovered } from "@zanvo/core/shot";
import {
  asBuilding,
  newBlock,
  newPerson,
  newSteps,
  withFront,
  type Block,
  type Building,
  type Element,
  type Front,
} from "@zanvo/core/world";

export const block = (
  id: string,
  x: number,
  y: number,
  length: number,
  width: number,
  height: number,
  heading = -55,
): Block => newBlock({ id, name: id, origin: { x, y, z: 0 }, heading, length, width, height });

/** The corner by the net loft, its near edge straight ahead, and what stands behind it along both streets. */
export const LOFT: readonly Block[] = [
  block("net-loft", 0.6, 15, 9, 8, 6),
  block("ice-house", 6, 22.8, 9, 8, 9),
  block("shed", -8.4, 21.3, 5, 6, 3.4),
];

const BASE = newScene("Net loft corner");
export const [MAIN] = BASE.orientations;
/** A picture of the loft's corner; the sheet is only as large as its panel. */
export const picture = (change: (shot: Shot) => Shot, more: Partial<Scene> = {}): Scene => {
  const shot: Shot = {
    ...BASE.shots[0],
    sheet: { width: 390, height: 240 },
    frame: { x: 0, y: 0, width: 390, height: 240 },
    lens: { law: "rectilinear", distance: 330, centre: { x: 195, y: 140 } },
    bundles: [
      { pin: "main-left", spacing: 22, strength: 0.7 },
      { pin: "main-right", spacing: 22, strength: 0.7 },
      { pin: "upright", spacing: 30, strength: 0.25 },
    ],
  };
  return { ...BASE, elements: [...LOFT], ...more, shots: [change(shot)] };
};

/** The near building of the picture with fronts on the walls that face the eye, and openings so deep. */
export function fronted(reveal: number): Building {
  const plain: Building = { ...asBuilding(block("net-loft", 0.6, 8, 9, 8, 6)), storeys: 2 };
  const front = (side: number): Front => ({
    side,
    bays: "window 1.6, double 2, window 1.6",
    window: { width: 1, height: 1.5, sill: 0.9, reveal, frame: 0.06, across: 2, up: 2 },
    door: { width: 0.9, height: 2.3, panels: 4, reveal },
  });
  return [0, 1, 2, 3].reduce((one, side) => withFront(one, front(side)), plain);
}

/** Stairs that turn halfway, before the eye. */
export const STAIRS_PICTURE: Element = {
  ...newSteps({
    foot: { x: 0.4, y: 6.5, z: 0 },
    heading: 20,
    plan: "half",
    width: 1.4,
    count: 16,
    riser: 0.175,
    tread: 0.28,
  }),
  id: "stairs",
  name: "Stairs",
};

/** The corner with people of one height before it, near and far, and a child. */
export const PEOPLE: readonly Element[] = [
  ...LOFT,
  ...(
    [
      ["standing", -1.6, 5.2, 150],
      ["walking", 1.5, 7.5, 235],
      ["standing", -3.2, 9.5, 120],
      ["carrying", 3.2, 11, 200],
      ["walking", -5, 16, 60],
      ["standing", -2, 24, 180],
    ] as const
  ).map(([pose, x, y, heading], i) => ({
    ...newPerson({ x, y, z: 0 }, heading, pose),
    id: `person-${i}`,
    name: `Person ${i}`,
  })),
  { ...newPerson({ x: -0.6, y: 6, z: 0 }, 170, "walking"), id: "child", name: "Child", age: 8, height: 1.27 },
];

export const sparse = (spacing: number): Shot["bundles"] =>
  ["main-left", "main-right", "upright"].map((pin) => ({ pin, spacing, strength: 0.6 }));

/** A shot as a disc of so many degrees across in the middle of its panel. */
export function disc(shot: Shot, angle: number, law: LawId = "stereographic"): Shot {
  const { frame } = shot;
  return withCovered(
    {
      ...shot,
      bundles: sparse(11),
      lens: {
        law,
        distance: 100,
        within: angle,
        centre: { x: frame.x + frame.width / 2, y: frame.y + frame.height / 2 },
      },
    },
    angle,
  );
}
