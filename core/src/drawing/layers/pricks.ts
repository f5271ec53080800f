import { contains, corners, type Vec2 } from "../../geometry";
import { CREASE, OUTLINE } from "../../visibility";
import type { Shapes } from "../layer";
import { STYLES } from "../style";
import { edgeLines } from "../visibleLines";
import { layerKind } from "./kind";

/** A needle's hole is drawn as a ring of this radius, with so many sides, mm; holes are no closer than this. */
const [RADIUS, SIDES, APART] = [0.6, 12, 1.6] as const;

/** Where straight lines and curves begin and end. */
function endsOf({ lines, curves }: Shapes): Vec2[] {
  const ends = Array.from({ length: lines.length / 2 }, (_, i): Vec2 => [lines[2 * i], lines[2 * i + 1]]);
  if (!curves) return ends;
  const { xy, starts } = curves;
  for (let i = 0; i + 1 < starts.length; i++)
    for (const k of [starts[i], starts[i + 1] - 1]) ends.push([xy[2 * k], xy[2 * k + 1]]);
  return ends;
}

/** Places of which none is nearer to one before it than a gap. */
function spread(places: readonly Vec2[], gap: number): readonly Vec2[] {
  const cells = new Map<string, Vec2[]>();
  const cell = ([x, y]: Vec2) => [Math.floor(x / gap), Math.floor(y / gap)] as const;
  return places.filter((p) => {
    const [i, k] = cell(p);
    const beside = [-1, 0, 1].flatMap((a) => [-1, 0, 1].flatMap((b) => cells.get(`${i + a} ${k + b}`) ?? []));
    if (beside.some(([x, y]) => Math.hypot(x - p[0], y - p[1]) < gap)) return false;
    cells.set(`${i} ${k}`, [...(cells.get(`${i} ${k}`) ?? []), p]);
    return true;
  });
}

const ringAt = ([x, y]: Vec2): number[] =>
  Array.from({ length: SIDES }, (_, i) =>
    [i, i + 1].flatMap((n) => {
      const turn = (2 * Math.PI * n) / SIDES;
      return [x + RADIUS * Math.cos(turn), y + RADIUS * Math.sin(turn)];
    }),
  ).flat();

/** Where a needle is pushed through to the paper beneath: the panel's corners, pins on the sheet, ends of edges. */
export const pricks = layerKind({
  id: "pricks",
  label: "Pricking points",
  order: 126,
  style: STYLES.pricks,
  strength: 0,
  reach: "desk",
  construction: true,
  ofEdges: true,
  compute: (context) => {
    const { shot, pins } = context;
    const sheet = { x: 0, y: 0, width: shot.sheet.width, height: shot.sheet.height };
    const onSheet = pins.flatMap(({ point: { at } }) => (at && contains(sheet, at) ? [at] : []));
    const edges = ([OUTLINE, CREASE] as const).flatMap((kind) => endsOf(edgeLines(context, kind)));
    return { lines: Float64Array.from(spread([...corners(shot.frame), ...onSheet, ...edges], APART).flatMap(ringAt)) };
  },
});
