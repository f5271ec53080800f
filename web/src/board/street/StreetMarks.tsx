import { groundRuler } from "@zanvo/core/construct";
import { segmentLines, type Layer } from "@zanvo/core/drawing";
import type { Vec2 } from "@zanvo/core/geometry";
import { NoAnswer } from "@zanvo/core/problem";
import { project, unprojectTo, viewOf } from "@zanvo/core/shot";
import { metres, mm, sentence, type Told } from "@zanvo/core/units";
import { groundAt, terrainOf } from "@zanvo/core/world";
import { useMemo } from "react";
import { Canvas } from "../../canvas/Canvas";
import { Layers } from "../../canvas/Layers";
import { Handle } from "../desk/Handle";
import { ORDER } from "../desk/order";
import { useBoard } from "../useBoard";
import { HEADS } from "./heads";

const [MARK, GUIDE] = ["#c8401f", "#2f6f8f"] as const;

/** How the ruler is told: its height in the world and on paper. */
const said = (height: number, drawn: number | null): Told =>
  drawn === null ? sentence`${metres(height)}` : sentence`${metres(height)}, ${mm(drawn)} on paper`;

/** The ruler on the ground, with lines on which the heads of given heights fall near and far. */
export function StreetMarks() {
  const { useFittings, fit, useDesk, useShot, useDocument, useMeasures } = useBoard();
  const ruler = useFittings((fittings) => fittings.ruler);
  const elements = useDocument(({ scene }) => scene.elements);
  const orientation = useDocument(({ scene }) => scene.orientations[0]?.heading);
  const size = useDesk((desk) => desk.size);
  const camera = useDesk((desk) => desk.camera);
  const shot = useShot();
  const measures = useMeasures();
  const view = useMemo(() => viewOf(shot), [shot]);
  const terrain = useMemo(() => terrainOf(elements), [elements]);
  if (!ruler) return null;
  const heading = alongSight(orientation ?? shot.gaze.heading, shot.gaze.heading);
  const ground = groundAt(terrain, ruler.at);
  const found = groundRuler(view, ruler.at, ground, { height: ruler.height, heads: HEADS, heading });
  const layer = (id: string, stroke: string, width: number, lines: Parameters<typeof segmentLines>[1]): Layer => ({
    ...{ id, label: id, ...segmentLines(view, lines) },
    style: { stroke, width, dash: [], opacity: 1 },
  });
  const layers = [
    layer(
      "heads",
      GUIDE,
      0.15,
      found.guides.map(({ line }) => line),
    ),
    layer("ruler", MARK, 0.45, [found.upright, ...found.ticks]),
  ];
  const at = project(view, found.upright[0]);
  const put = (to: Vec2): Told => {
    const place = unprojectTo(view, to, [0, 0, 1], ground);
    if (!place) throw new NoAnswer("There is no ground above the horizon.");
    const next: Vec2 = [place[0], place[1]];
    fit({ ruler: { ...ruler, at: next } });
    const { height } = ruler;
    return said(height, groundRuler(view, next, ground, { height, heads: [], heading }).drawn);
  };
  return (
    <>
      <Canvas {...size} {...camera} className="pointer-events-none absolute inset-0">
        <Layers layers={layers} order={ORDER.marks} />
      </Canvas>
      {at && (
        <Handle
          at={at}
          label={sentence`The ruler on the ground: ${measures(said(ruler.height, found.drawn))}`}
          className="cursor-move"
          onDrag={(to) => put(to)}
          onNudge={([dx, dy]) => void put([at[0] + dx, at[1] + dy])}
        >
          <span className="block size-2.5 rotate-45 border border-[#fffdf8] bg-accent" />
        </Handle>
      )}
    </>
  );
}

/** The way of the streets that runs nearest to the sight: along it heads are lined up into the distance. */
const alongSight = (street: number, sight: number): number => street + 90 * Math.round((sight - street) / 90);
