import { classLines, segmentLines, STYLES, type Layer, type Shapes } from "@zanvo/core/drawing";
import type { Vec2 } from "@zanvo/core/geometry";
import type { Orientation, Shot } from "@zanvo/core/scene";
import { project, viewOf, type View } from "@zanvo/core/shot";
import { horizon, isLevel, lineIn, pinsOf } from "@zanvo/core/vanishing";
import { CREASE, HIDDEN, INTERSECTION, OUTLINE } from "@zanvo/core/visibility";
import { circle, type Element } from "@zanvo/core/world";
import { useMemo } from "react";
import { wholeDesk } from "../../canvas/camera";
import { edges } from "./raise";
import { useSolids } from "./useSolids";
import { useBoard } from "../useBoard";

const MARK = "#c8401f";

const mark = (id: string, strokes: Shapes, width = 0.45, dash: readonly number[] = [], opacity = 1): Layer => ({
  id,
  label: id,
  ...strokes,
  style: { stroke: MARK, width, dash, opacity },
});

/** The edges of what is chosen, those that are hidden fainter. */
function chosenMarks(
  view: View,
  chosen: Element,
  elements: readonly Element[],
  { alone }: NonNullable<ReturnType<typeof useSolids>>,
): Layer[] {
  const lines = alone(view, chosen, elements);
  return [
    mark("chosen-far", classLines(view, lines, HIDDEN), 0.2, [1, 1], 0.7),
    mark("chosen-crease", classLines(view, lines, CREASE)),
    mark("chosen-meeting", classLines(view, lines, INTERSECTION)),
    mark("chosen-outline", classLines(view, lines, OUTLINE)),
  ];
}

/** The horizon, which goes on over the desk, faintly, as far as its pins. */
function horizonOverDesk(view: View, orientations: readonly Orientation[], shot: Shot): Layer {
  const line = horizon(view);
  const level = pinsOf(orientations, shot).flatMap((pin) => (pin.point.at && isLevel(pin) ? [pin.point.at] : []));
  const ends = line && lineIn(line, wholeDesk(shot.sheet, level));
  return {
    id: "horizon-over-desk",
    label: "Horizon over the desk",
    style: { ...STYLES.horizon, opacity: 0.35 },
    lines: Float64Array.from(ends ? ends.flat() : []),
  };
}

/** The ring around a place that is caught, mm. */
const CAUGHT = 2;
const ring = ([x, y]: Vec2, r: number) => {
  const places = circle([x, y], r, 24);
  return Float64Array.from(places.flatMap((p, i) => [...p, ...places[(i + 1) % places.length]]));
};

/** A small upright cross. */
const cross = ({ x, y }: { x: number; y: number }, r: number) =>
  Float64Array.from([x - r, y, x + r, y, x, y - r, x, y + r]);

/**
 * What the board adds to the drawing: the horizon over the desk, the centre of vision, what is chosen, and what is
 * being raised.
 */
export function useMarks(
  orientations: readonly Orientation[],
  shot: Shot,
  elements: readonly Element[],
  chosen: Element | undefined,
  choosing: boolean,
): readonly Layer[] {
  const { useDesk } = useBoard();
  const raising = useDesk((desk) => desk.raising);
  const foot = useDesk((desk) => desk.foot);
  const solids = useSolids(choosing);
  const view = useMemo(() => viewOf(shot), [shot]);
  const over = useMemo(() => horizonOverDesk(view, orientations, shot), [view, orientations, shot]);
  return useMemo(() => {
    const at = raising?.foot ?? foot;
    const guide = at?.guide;
    const caught = at?.on ? project(view, at.at) : null;
    const centre = { ...STYLES.horizon, dash: [] };
    return [
      over,
      ...(chosen && solids ? chosenMarks(view, chosen, elements, solids) : []),
      ...(raising ? [mark("raising", segmentLines(view, edges(raising)), 0.4)] : []),
      ...(caught ? [mark("caught", { lines: ring(caught, CAUGHT) })] : []),
      ...(guide ? [mark("street-line", { lines: Float64Array.from(guide.flat()) }, 0.25, [4, 2])] : []),
      { id: "centre", label: "Centre of vision", style: centre, lines: cross(shot.lens.centre, 4) },
    ];
  }, [over, chosen, elements, solids, view, raising, foot, shot.lens.centre]);
}
