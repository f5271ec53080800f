import { distance2, type Quad, type Vec2 } from "@zanvo/core/geometry";
import type { OwnLine, OwnPlane, SheetLine, Weight, WorldLine } from "@zanvo/core/lines";
import type { Fit } from "@zanvo/core/rhythm";
import { NoAnswer } from "@zanvo/core/problem";
import { quadProblem } from "@zanvo/core/dividing";
import { atLength, placeOnPlane } from "@zanvo/core/ruling";
import type { View } from "@zanvo/core/shot";
import type { DrawTool } from "./createDraw";

/** What a line is made with. */
export interface Making {
  readonly view: View;
  readonly plane: OwnPlane | null;
  readonly weight: Weight;
  readonly parts: string;
  readonly fit: Fit;
  /** The pin that steps run towards. */
  readonly towards?: string;
  /** A length that was typed: mm on the sheet, m on a plane. */
  readonly length?: number;
}

type Shape = { [K in OwnLine["kind"]]: Omit<Extract<SheetLine, { kind: K }>, "id" | "weight"> }[OwnLine["kind"]];

const pair = ([x, y]: Vec2): [number, number] => [x, y];

/** A line shorter than this was not meant, mm on paper. */
export const LEAST_LINE = 0.5;

/** The line that is drawn through some places, in its own units; null where they are one. */
function shapeOf(
  tool: DrawTool,
  places: readonly Vec2[],
  { parts, fit, towards, plane, length }: Making,
): Shape | null {
  const [first] = places;
  const last = places[places.length - 1];
  const end = length === undefined ? last : atLength([first, last], length);
  const [from, to] = [pair(first), pair(end)];
  switch (tool) {
    case "rule":
      return { kind: "ruled", from, to };
    case "steps":
      return { kind: "spacing", from, to, parts, fit, towards: plane ? undefined : towards };
    case "rectangle": {
      const corners: [number, number][] = [from, [to[0], from[1]], to, [from[0], to[1]]];
      return { kind: "polyline", points: corners, closed: true };
    }
    case "circle":
      return { kind: "circle", centre: from, radius: distance2(from, to) };
    case "corners":
      return places.length < 2 ? null : { kind: "polyline", points: places.map(pair) };
    case "quad": {
      if (places.length !== 4) return null;
      const corners: Quad = [places[0], places[1], places[2], places[3]];
      const problem = quadProblem(corners);
      if (problem) throw new NoAnswer(problem);
      const [a, b, c, d] = corners.map(pair);
      return { kind: "quad", corners: [a, b, c, d], columns: parts };
    }
    default:
      return null;
  }
}

/**
 * The own line that is drawn through some places of the sheet.
 * @returns null where they make none
 * @throws NoAnswer where a plane is not seen there, or four corners are none of a rectangle's picture
 */
export function lineThrough(tool: DrawTool, points: readonly Vec2[], making: Making, id: string): OwnLine | null {
  const { view, weight } = making;
  // Whatever is divided without knowing its world lies on the sheet.
  const plane = tool === "quad" ? null : making.plane;
  const reach = Math.max(...points.map((at) => distance2(at, points[0])));
  if (reach < LEAST_LINE && making.length === undefined) return null;
  const places = plane ? points.map((at) => placeOnPlane(view, plane, at)) : points;
  const shape = shapeOf(tool, places, { ...making, plane });
  if (!shape) return null;
  if (!plane) return { ...shape, id, weight };
  return shape.kind === "quad" ? null : ({ ...shape, id, weight, plane } satisfies WorldLine);
}

/** How many presses a tool takes; those that are drawn from press to press take as many as one wishes. */
export const PRESSES: Readonly<Partial<Record<DrawTool, number>>> = {
  rule: 2,
  steps: 2,
  rectangle: 2,
  circle: 2,
  quad: 4,
  corners: Infinity,
};
