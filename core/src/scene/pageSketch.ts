import type { Rect } from "../geometry";
import type { Shot } from "../schema";
import { onSheet } from "./onSheet";

/** Edges of a sketch nearer to each other than this share of the page are meant to be one line. */
const NEAR = 0.06;

/** A side of a box: where it begins and ends along one axis, as shares of the page. */
type Span = readonly [from: number, to: number];

/**
 * The lines that edges along one axis are meant to lie on: the page's own ends, and the means of those that are near.
 */
function linesOf(spans: readonly Span[]): (at: number) => number {
  const edges = spans
    .flat()
    .filter((at) => at > NEAR && at < 1 - NEAR)
    .sort((a, b) => a - b);
  const groups: number[][] = [];
  for (const at of edges) {
    const last = groups.at(-1);
    // No group is wider than what is near, however closely its edges follow each other.
    if (last && at - last[0] <= NEAR) last.push(at);
    else groups.push([at]);
  }
  const lines = groups.map((group) => ({
    ends: [group[0], group[group.length - 1]] as const,
    at: group.reduce((sum, x) => sum + x, 0) / group.length,
  }));
  return (at) => {
    if (at <= NEAR) return 0;
    if (at >= 1 - NEAR) return 1;
    return lines.find(({ ends: [from, to] }) => at >= from && at <= to)?.at ?? at;
  };
}

const spanX = ({ x, width }: Rect): Span => [x, x + width];
const spanY = ({ y, height }: Rect): Span => [y, y + height];
const overlap = ([a, b]: Span, [c, d]: Span): boolean => Math.min(b, d) - Math.max(a, c) > 1e-9;

/** A span with half a gutter taken off wherever another box begins or ends at its own end. */
function withGutter(own: Span, others: readonly Span[], half: number): Span {
  const meets = (at: number, end: 0 | 1) => others.some((other) => Math.abs(other[end] - at) < 1e-9);
  return [own[0] + (meets(own[0], 1) ? half : 0), own[1] - (meets(own[1], 0) ? half : 0)];
}

/**
 * The panels of a page from boxes that were sketched: edges near each other become one line, those near the page's ends
 * lie on them, and neighbours are a gutter apart; a box that lies over others keeps its place. They come in the order
 * in which they are read: from the top down, and in a row from one side.
 * @param boxes as shares of the page; those too small to be one are left out
 * @param area what the panels fill together, mm
 * @param gutter between neighbours, mm
 * @param from the side from which a row is read
 */
export function panelsOfSketch(
  boxes: readonly Rect[],
  area: Rect,
  gutter: number,
  from: "left" | "right" = "left",
): readonly Rect[] {
  const [lineX, lineY] = [linesOf(boxes.map(spanX)), linesOf(boxes.map(spanY))];
  const settled = boxes
    .map((box): readonly [Span, Span] => [
      [lineX(box.x), lineX(box.x + box.width)],
      [lineY(box.y), lineY(box.y + box.height)],
    ])
    .filter(([x, y]) => x[1] - x[0] > NEAR && y[1] - y[0] > NEAR);
  const side = from === "left" ? 1 : -1;
  const ordered = settled.sort(([x1, y1], [x2, y2]) => y1[0] - y2[0] || side * (x1[0] - x2[0]));
  return ordered.map(([x, y]) => {
    const others = ordered.filter(([u, v]) => u !== x || v !== y);
    const beside = others.filter(([, v]) => overlap(v, y)).map(([u]) => u);
    const stacked = others.filter(([u]) => overlap(u, x)).map(([, v]) => v);
    const [x0, x1] = withGutter(x, beside, gutter / 2 / area.width);
    const [y0, y1] = withGutter(y, stacked, gutter / 2 / area.height);
    return {
      x: area.x + x0 * area.width,
      y: area.y + y0 * area.height,
      width: (x1 - x0) * area.width,
      height: (y1 - y0) * area.height,
    };
  });
}

/** Boxes of a page in rows, by how many panels each row has. */
export const boxesOfRows = (rows: readonly number[]): readonly Rect[] =>
  rows.flatMap((count, row) =>
    Array.from({ length: count }, (_, i): Rect => ({
      x: i / count,
      y: row / rows.length,
      width: 1 / count,
      height: 1 / rows.length,
    })),
  );

/** A new panel of a page. */
interface NewPanel {
  readonly id: string;
  readonly name: string;
  readonly frame: Rect;
}

/** The panels of a new page, each with the whole picture of a shot, to be looked into from elsewhere. */
export const pageLike = (shot: Shot, page: string, panels: readonly NewPanel[]): readonly Shot[] =>
  panels.map(({ id, name, frame }) =>
    onSheet({ ...shot, id, name, page, panel: undefined, balloons: undefined, backOf: undefined }, shot.sheet, frame),
  );
