import { chordsOf, ruledShapes, runLines, segmentLines, type Layer, type Shapes } from "@zanvo/core/drawing";
import { linesOfQuad } from "@zanvo/core/dividing";
import type { Vec2, Vec3 } from "@zanvo/core/geometry";
import { axesOf, gripsOf, inWorld, runsOf, WEIGHTS, type OwnLine, type OwnPlane } from "@zanvo/core/lines";
import { placeOnPlane, seenOnPlane } from "@zanvo/core/ruling";
import type { View } from "@zanvo/core/shot";

const MARK = "#c8401f";

/** A layer of what is being drawn. */
export const mark = (id: string, shapes: Shapes, width = 0.45, dash: readonly number[] = []): Layer => ({
  id,
  label: id,
  ...shapes,
  style: { stroke: MARK, width, dash, opacity: 1 },
});

/** Places on paper as straight lines. */
export const onPaper = (places: readonly Vec2[]): Shapes => ({ lines: Float64Array.from(runLines(places)) });

/** A line as it would be seen with nothing before it. */
export function lineShapes(view: View, line: OwnLine): Shapes {
  if ("plane" in line) {
    const axes = axesOf(line.plane);
    const segments = runsOf(line).flatMap((run) =>
      run.slice(1).map((b, i): readonly [Vec3, Vec3] => [inWorld(axes, run[i]), inWorld(axes, b)]),
    );
    return segmentLines(view, segments);
  }
  if (line.kind === "ruled" || line.kind === "spacing") return ruledShapes(view, line.from, line.to);
  return { lines: Float64Array.from(runsOf(line).flatMap(runLines)) };
}

/** The chosen lines, each a little wider than it is. */
export const chosenLayers = (view: View, lines: readonly OwnLine[]): Layer[] =>
  lines.map((line) => mark(`chosen-${line.id}`, lineShapes(view, line), WEIGHTS[line.weight] + 0.25));

/** How wide the patch on a plane is, mm on paper, as long as it is seen from the front. */
const PATCH = 16;

/** A faint patch on the plane under the pointer: a square in true measure. */
export function patchLayer(view: View, plane: OwnPlane, at: Vec2): Layer | null {
  try {
    const beside = placeOnPlane(view, plane, [at[0] + 1, at[1]]);
    const [cx, cy] = placeOnPlane(view, plane, at);
    const half = (PATCH / 2) * Math.min(Math.hypot(beside[0] - cx, beside[1] - cy), 2);
    const corners = [
      [-half, -half],
      [half, -half],
      [half, half],
      [-half, half],
    ].flatMap(([x, y]) => {
      const seen = seenOnPlane(view, plane, [cx + x, cy + y]);
      return seen ? [seen] : [];
    });
    if (corners.length < 4) return null;
    return {
      ...mark("plane", { lines: Float64Array.from(runLines([...corners, corners[0]])) }, 0.15),
      areas: { xy: Float64Array.from(corners.flat()), starts: Uint32Array.of(0, 4) },
      style: { stroke: MARK, fill: MARK, width: 0.15, dash: [], opacity: 0.16 },
    };
  } catch {
    return null;
  }
}

/** A ring around what an end is drawn to. */
export function ringLayer([x, y]: Vec2, r = 2): Layer {
  const places = Array.from({ length: 25 }, (_, i): Vec2 => {
    const turn = (i * Math.PI) / 12;
    return [x + r * Math.cos(turn), y + r * Math.sin(turn)];
  });
  return mark("caught", onPaper(places), 0.3);
}

/** The lines that divide a quadrilateral, by which it is taken hold of, too; none where it cannot be divided. */
function dividedLines(line: OwnLine): number[] {
  return line.kind === "quad" ? linesOfQuad(line).divisions.flat(2) : [];
}

/** How near a place is to the picture of a line, mm; Infinity where nothing of it is seen. */
export function nearTo(view: View, line: OwnLine, [x, y]: Vec2): number {
  const chords = [...chordsOf(lineShapes(view, line)), ...dividedLines(line)];
  let best = Infinity;
  for (let i = 0; i < chords.length; i += 4) {
    const [ax, ay, bx, by] = chords.slice(i, i + 4);
    const [dx, dy] = [bx - ax, by - ay];
    const t = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    best = Math.min(best, Math.hypot(x - ax - t * dx, y - ay - t * dy));
  }
  return best;
}

/** Where the grips of a line are seen, mm; those that are not are left out. */
export const seenGrips = (view: View, line: OwnLine): { readonly grip: number; readonly at: Vec2 }[] =>
  gripsOf(line).flatMap((place, grip) => {
    const at = "plane" in line ? seenOnPlane(view, line.plane, place) : place;
    return at ? [{ grip, at }] : [];
  });
