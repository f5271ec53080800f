import { bleedOf, frameOn, inFrame, pageOf, trimOf, type Scene, type Sheet, type Shot } from "@zanvo/core/scene";
import type { Rect, Vec2 } from "@zanvo/core/geometry";
import type { Balloon } from "@zanvo/core/scene";

/** The least that a panel measures, mm. */
const LEAST = 5;

export type Side = "left" | "right" | "top" | "bottom";

/** Changes the sheet of a shot, and with it that of all panels on its page. */
export const onPage =
  (shot: Shot, change: Partial<Sheet>) =>
  (scene: Scene): void => {
    const page = new Set(pageOf(scene, shot).map(({ id }) => id));
    scene.shots = scene.shots.map((one) => (page.has(one.id) ? { ...one, sheet: { ...one.sheet, ...change } } : one));
  };

/** Which sides of a panel bleed off its page: those that reach as far as is printed. */
export function bleeds({ sheet, frame }: Pick<Shot, "sheet" | "frame">): readonly Side[] {
  if (!sheet.trim) return [];
  const to = bleedOf(sheet, sheet.trim);
  const far: Readonly<Record<Side, number>> = {
    left: frame.x - to.x,
    right: to.x + to.width - frame.x - frame.width,
    top: frame.y - to.y,
    bottom: to.y + to.height - frame.y - frame.height,
  };
  return (Object.keys(far) as Side[]).filter((side) => far[side] < 1e-6);
}

/** A panel's frame with one side brought to a rectangle's. */
function sideTo(frame: Rect, side: Side, to: Rect): Rect {
  const [right, bottom] = [frame.x + frame.width, frame.y + frame.height];
  const next = {
    left: { ...frame, x: to.x, width: right - to.x },
    right: { ...frame, width: to.x + to.width - frame.x },
    top: { ...frame, y: to.y, height: bottom - to.y },
    bottom: { ...frame, height: to.y + to.height - frame.y },
  }[side];
  return Math.min(next.width, next.height) < LEAST ? frame : next;
}

/** A shot whose panel bleeds off one side of its page, or ends inside the trimmed page again. */
export function withBleed(shot: Shot, side: Side, on: boolean): Shot {
  const { sheet, frame } = shot;
  if (!sheet.trim) return shot;
  if (on) return { ...shot, frame: sideTo(frame, side, bleedOf(sheet, sheet.trim)) };
  return { ...shot, frame: sideTo(frame, side, liveOf(sheet)) };
}

/** What the panels of a page fill together: its live area, or a usual one inside its sheet as that is trimmed, mm. */
export function liveOf(sheet: Sheet): Rect {
  if (sheet.live) return sheet.live;
  if (!sheet.trim) return frameOn(sheet);
  const trim = trimOf(sheet, sheet.trim);
  const inside = frameOn({ width: trim.width, height: trim.height });
  return { ...inside, x: trim.x + inside.x, y: trim.y + inside.y };
}

/** The upright box between two corners. */
export const boxBetween = ([ax, ay]: Vec2, [bx, by]: Vec2): Rect => ({
  x: Math.min(ax, bx),
  y: Math.min(ay, by),
  width: Math.abs(bx - ax),
  height: Math.abs(by - ay),
});

/** No page has more rows, and no row more panels. */
const MOST = 12;

/** How many panels each row of a page has, from numbers with anything between; null where they are none. */
export function rowsIn(text: string): readonly number[] | null {
  const counts = text
    .split(/[^\d]+/)
    .filter(Boolean)
    .map(Number);
  const fits = counts.length > 0 && counts.length <= MOST && counts.every((count) => count >= 1 && count <= MOST);
  return fits ? counts : null;
}

/** The upright rectangle's corners, as the first of a panel of any shape. */
export const RECTANGLE: NonNullable<Shot["panel"]> = {
  corners: [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ],
};

const clamped = (share: number): number => Math.min(1, Math.max(0, share));

/** A place on the sheet as shares of a frame. */
export const sharesOf = ({ frame }: Pick<Shot, "frame">, [x, y]: Vec2) => ({
  x: (x - frame.x) / frame.width,
  y: (y - frame.y) / frame.height,
});

/** A panel with one of its corners elsewhere, kept in its frame. */
export function withCorner(shot: Shot, corner: number, to: Vec2): Shot {
  const { x, y } = sharesOf(shot, to);
  const corners = shot.panel?.corners ?? RECTANGLE.corners;
  return { ...shot, panel: { corners: corners.with(corner, { x: clamped(x), y: clamped(y) }) } };
}

/** A panel with a corner more, in the middle of its longest side. */
export function withCornerMore(shot: Shot): Shot {
  const corners = shot.panel?.corners ?? RECTANGLE.corners;
  const places = corners.map((corner) => inFrame(shot, corner));
  const lengths = places.map(([x, y], i) => {
    const [u, v] = places[(i + 1) % places.length];
    return Math.hypot(u - x, v - y);
  });
  const side = lengths.indexOf(Math.max(...lengths));
  const [a, b] = [corners[side], corners[(side + 1) % corners.length]];
  return { ...shot, panel: { corners: corners.toSpliced(side + 1, 0, { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }) } };
}

/** A panel without one of its corners; as it is where it has but three. */
export function withoutCorner(shot: Shot, corner: number): Shot {
  const corners = shot.panel?.corners ?? RECTANGLE.corners;
  return corners.length > 3 ? { ...shot, panel: { corners: corners.toSpliced(corner, 1) } } : shot;
}

/** A first balloon: near the top of its panel, and smaller than it. */
export const firstBalloon = (id: string, { frame }: Pick<Shot, "frame">): Balloon => ({
  id,
  at: { x: 0.3, y: 0.18 },
  width: Math.min(50, frame.width / 2),
  height: Math.min(25, frame.height / 3),
});

/** A shot with a balloon changed, or taken out where it is to be nothing. */
export function withBalloon(shot: Shot, id: string, next: Balloon | null): Shot {
  const all = (shot.balloons ?? []).flatMap((one) => (one.id !== id ? [one] : next ? [next] : []));
  return { ...shot, balloons: all.length > 0 ? all : undefined };
}
