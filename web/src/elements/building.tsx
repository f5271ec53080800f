import { Circle, Pentagon, RectangleHorizontal } from "lucide-react";
import { cornersOf, holesOf, wayOf, type Building } from "@zanvo/core/world";
import type { Vec2 } from "@zanvo/core/geometry";
import { BuildingFields } from "./BuildingFields";
import { INK, points, type Drawn, type ElementTool, type ElementView } from "./view";

/** How high a fresh building is, m. */
const HEIGHT = 6;

const raised = (places: readonly Vec2[]): Drawn => ({
  kind: "building",
  footprint: points(places),
  base: 0,
  height: HEIGHT,
  roof: { kind: "flat" },
});

const TOOLS: readonly ElementTool[] = [
  {
    id: "rectangle",
    label: "Rectangle",
    icon: <RectangleHorizontal size={14} aria-hidden />,
    hint: "Draw from one corner to the opposite one, along the main streets.",
    gesture: "drawn",
    shape: "rectangle",
    draw: raised,
  },
  {
    id: "ell",
    label: "L",
    hint: "Draw from the corner of the L to the opposite one.",
    gesture: "drawn",
    shape: "ell",
    draw: raised,
  },
  {
    id: "horseshoe",
    label: "U",
    hint: "Draw from a corner of the U’s back to the opposite one.",
    gesture: "drawn",
    shape: "horseshoe",
    draw: raised,
  },
  {
    id: "circle",
    label: "Circle",
    icon: <Circle size={14} aria-hidden />,
    hint: "Draw from the middle to the rim.",
    gesture: "drawn",
    shape: "circle",
    draw: (places) => ({ ...raised(places), round: true }) as Drawn,
  },
  {
    id: "polygon",
    label: "Polygon",
    icon: <Pentagon size={14} aria-hidden />,
    hint: "Press for each corner; press the first again, or Enter, to close.",
    gesture: "area",
    draw: raised,
  },
];

/** The sides of passages through a building. */
const passageSides = (building: Building) =>
  (building.passages ?? []).flatMap((passage) => {
    const way = wayOf(cornersOf(building), passage, holesOf(building));
    return typeof way === "string"
      ? []
      : [[way.enters.from, way.leaves.from] as const, [way.enters.to, way.leaves.to] as const];
  });

/** The rims of rooms that are drawn in a building. */
const roomSides = ({ rooms }: Building) =>
  (rooms?.drawn ?? []).flatMap(({ footprint }) =>
    footprint.map(({ x, y }, i) => {
      const next = footprint[(i + 1) % footprint.length];
      return [[x, y] as const, [next.x, next.y] as const] as const;
    }),
  );

export const building: ElementView<Building> = {
  kind: "building",
  look: { fill: INK, order: 4 },
  tools: TOOLS,
  Fields: BuildingFields,
  marks: (element) => [...passageSides(element), ...roomSides(element)],
};
