import { Type } from "@sinclair/typebox";
import { checker } from "@zanvo/core/document";
import { shotOf } from "@zanvo/core/scene";
import { project as visibleEdges, viewOf } from "@zanvo/core/shot";
import { jsonIn, needed, sceneIn, type Call } from "./io";

const fitsPoints = checker(Type.Array(Type.Tuple([Type.Number(), Type.Number(), Type.Number()])));

/** `zanvo project`: world points in m as sheet points in mm, null for what is not seen. */
export async function project(call: Call) {
  const points = fitsPoints(await jsonIn(needed(call, "points"), call.io));
  const view = viewOf(shotOf(await sceneIn(call), call.options.shot));
  return points.map((p) => {
    const at = visibleEdges(view, p);
    return at && { x: at[0], y: at[1] };
  });
}
