import { detect, familiesOf, groupEdges, recoverView } from "@zanvo/core/recover";
import { greyPhoto } from "@zanvo/raster";
import { bytesIn, type Call } from "./io";
import { told } from "./recover";

const rounded = (value: number): number => Number(value.toFixed(2));

/** `zanvo detect`: edges found in a photo, the families they make, and the view behind them. */
export async function detectIn(call: Call) {
  const grey = await greyPhoto(await bytesIn(call));
  const edges = detect(grey);
  const groups = groupEdges(edges, grey);
  const { width, height } = grey;
  return {
    image: { width, height },
    segments: edges.map(({ a, b }) => [...a, ...b].map(rounded)),
    families: groups.map(({ role, members }) => ({ name: role, role, segments: members })),
    ...told(recoverView(familiesOf(edges, groups), { width, height, centre: [width / 2, height / 2] }), call.io),
  };
}
