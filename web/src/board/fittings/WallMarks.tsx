import { segmentLines, type Layer } from "@zanvo/core/drawing";
import type { Vec3 } from "@zanvo/core/geometry";
import { viewOf, type View } from "@zanvo/core/shot";
import {
  elevationOf,
  outlineOf,
  outlineOfOpening,
  raisedBy,
  terrainOf,
  type Building,
  type Element,
} from "@zanvo/core/world";
import { useMemo } from "react";
import { Canvas } from "../../canvas/Canvas";
import { Layers } from "../../canvas/Layers";
import { ORDER } from "../desk/order";
import { useBoard } from "../useBoard";
import type { ChosenBay } from "./createFittings";
import { useWall } from "./useWall";

const MARK = "#c8401f";

const ringLayer = (id: string, view: View, ring: readonly Vec3[], width: number): Layer => ({
  id,
  label: id,
  ...segmentLines(
    view,
    ring.map((a, i) => [a, ring[(i + 1) % ring.length]]),
  ),
  style: { stroke: MARK, width, dash: [], opacity: 1 },
});

/** The outline of a wall of a building, and of what its bay has. */
function marksOf(
  view: View,
  elements: readonly Element[],
  building: Building,
  side: number,
  bay: ChosenBay | null,
): Layer[] {
  const corners = outlineOf(building);
  const [p, q] = [corners[side], corners[(side + 1) % corners.length]];
  const { long, height, openings, bays, floors } = elevationOf(building, side);
  const foot = building.base + raisedBy(building, p, terrainOf(elements));
  const at = ([s, up]: readonly [number, number]): Vec3 => [
    p[0] + (s / long) * (q[0] - p[0]),
    p[1] + (s / long) * (q[1] - p[1]),
    foot + up,
  ];
  const wall: readonly (readonly [number, number])[] = [
    [0, 0],
    [long, 0],
    [long, height],
    [0, height],
  ];
  const layers = [ringLayer("wall", view, wall.map(at), 0.45)];
  const its = bay && openings.find(({ index, storey }) => index === bay.bay && storey === bay.storey);
  const [cell, floor] = bay ? [bays[bay.bay], floors[bay.storey]] : [undefined, undefined];
  const whole = cell && floor && { from: cell.from, to: cell.to, low: floor.low, high: floor.low + floor.height };
  const extent = its ?? whole;
  const ring = extent ? outlineOfOpening(its?.look.head ?? "flat", extent).map(at) : null;
  return ring ? [...layers, ringLayer("bay", view, ring, 0.6)] : layers;
}

/** What is fitted out, marked in the picture: a wall, and the opening that is chosen in it. */
export function WallMarks() {
  const { useFittings, useDesk, useShot, useDocument } = useBoard();
  const found = useWall();
  const bay = useFittings((fittings) => fittings.bay);
  const elements = useDocument(({ scene }) => scene.elements);
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const shot = useShot();
  const layers = useMemo(() => {
    try {
      return found?.building ? marksOf(viewOf(shot), elements, found.building, found.side, bay) : [];
    } catch {
      // What cannot be laid out is told beside the drawing.
      return [];
    }
  }, [found, elements, bay, shot]);
  return (
    <Canvas {...size} {...camera} className="pointer-events-none absolute inset-0">
      <Layers layers={layers} order={ORDER.marks} />
    </Canvas>
  );
}
