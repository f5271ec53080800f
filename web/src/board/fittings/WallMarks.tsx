import { segmentLines, type Layer } from "@zanvo/core/drawing";
import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { NoAnswer } from "@zanvo/core/problem";
import { project, viewOf, type View } from "@zanvo/core/shot";
import { metres, sentence } from "@zanvo/core/units";
import { elevationOf, outlineOfOpening, type Building, type Element } from "@zanvo/core/world";
import { useMemo } from "react";
import { Canvas } from "../../canvas/Canvas";
import { Layers } from "../../canvas/Layers";
import { replaceElement } from "../../document/elements";
import { Handle } from "../desk/Handle";
import { ORDER } from "../desk/order";
import { useBoard } from "../useBoard";
import type { ChosenBay } from "./createFittings";
import { changedBay, middleOfOpening, movedTo, openingIn } from "./ownBays";
import { useWall } from "./useWall";
import { wallFrame } from "./wallFrame";

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
  const { long, height, openings, bays, floors } = elevationOf(building, side);
  const { at, faces } = wallFrame(building, side, elements);
  if (!faces(view.eye)) return [];
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

/** The opening that is chosen, to be dragged on its wall in the picture. */
function OpeningHandle({ building, side, bay }: { building: Building; side: number; bay: ChosenBay }) {
  const { useShot, useDocument, drag, edit } = useBoard();
  const elements = useDocument(({ scene }) => scene.elements);
  const view = viewOf(useShot());
  const its = openingIn(building, side, bay);
  const frame = wallFrame(building, side, elements);
  const at = its && project(view, frame.at(middleOfOpening(its)));
  if (!its || !at) return null;
  const moved = (to: Vec2, free: boolean): Building => {
    const place = frame.seenAt(view, to);
    const change = place && movedTo(building, side, bay, place, free);
    if (!change) throw new NoAnswer("The wall is not seen there.");
    return changedBay(building, side, bay, change);
  };
  return (
    <Handle
      at={at}
      label={`The ${its.kind} in bay ${bay.bay + 1}, storey ${bay.storey + 1}`}
      className="cursor-move"
      onDrag={(to, alt) => {
        const next = moved(to, alt);
        drag(replaceElement(next));
        const { from, to: end, low } = openingIn(next, side, bay) ?? its;
        return sentence`${metres((from + end) / 2)} along, ${metres(low)} up`;
      }}
      onNudge={([dx, dy]) => edit(replaceElement(moved([at[0] + dx, at[1] + dy], true)), `bay ${building.id}`)}
    >
      <span className="block size-2.5 rotate-45 border border-[#fffdf8] bg-accent" />
    </Handle>
  );
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
    <>
      <Canvas {...size} {...camera} className="pointer-events-none absolute inset-0">
        <Layers layers={layers} order={ORDER.marks} />
      </Canvas>
      {found?.building && !found.building.locked && bay && layers.length > 1 && (
        <OpeningHandle building={found.building} side={found.side} bay={bay} />
      )}
    </>
  );
}
