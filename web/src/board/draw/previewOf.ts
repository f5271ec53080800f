import type { Layer } from "@zanvo/core/drawing";
import type { View } from "@zanvo/core/shot";
import type { Begun, DrawTool } from "./createDraw";
import { lineThrough } from "./making";
import { lineShapes, mark, onPaper } from "./preview";

/** What is painted of a line that is being drawn: the line as it would be, or the places it has come to. */
export function previewOf(view: View, tool: DrawTool, { plane, points, to }: Begun): Layer[] {
  const places = [...points, to];
  try {
    const line = lineThrough(
      tool === "quad" ? "corners" : tool,
      places,
      { view, plane: tool === "quad" ? null : plane, weight: "medium", parts: "1", fit: "stretch" },
      "begun",
    );
    if (!line) return [];
    return [mark("begun", lineShapes(view, line), 0.45)];
  } catch {
    // The hand has left the plane: what is there so far stays in sight.
    return [mark("begun", onPaper(places), 0.3, [2, 1.5])];
  }
}
