import { around, corners, type Rect } from "../geometry";
import { frameOn } from "./papers";
import { onSheet } from "./defaults";
import type { Scene, Sheet, Shot } from "../schema";

/** The space that is left between two panels of a page, mm (common practice: 4 to 8). */
export const GUTTER = 5;

/** The panels of a shot's page in their order: the shot alone where it has a sheet for itself. */
export const pageOf = (scene: Pick<Scene, "shots">, shot: Shot): readonly Shot[] =>
  shot.page === undefined ? [shot] : scene.shots.filter(({ page }) => page === shot.page);

/** The panels of a page taken over to another sheet, each keeping its part of the whole, and its picture. */
export function pageOnSheet(panels: readonly Shot[], sheet: Sheet): Shot[] {
  const from = around(panels.flatMap(({ frame }) => corners(frame)));
  const to = frameOn(sheet);
  const [kx, ky] = [to.width / from.width, to.height / from.height];
  return panels.map((shot) => {
    const { x, y, width, height } = shot.frame;
    return onSheet(shot, sheet, {
      x: to.x + (x - from.x) * kx,
      y: to.y + (y - from.y) * ky,
      width: width * kx,
      height: height * ky,
    });
  });
}

/**
 * A panel split in two by a gutter: the first keeps the shot, the second is a copy to be looked into from elsewhere.
 * Each has the whole picture in its own frame.
 * @param next id and name of the second, and the page both lie on
 */
export function splitPanel(
  shot: Shot,
  how: "beside" | "below",
  gutter: number,
  next: { readonly id: string; readonly name: string; readonly page: string },
): readonly [Shot, Shot] {
  const { x, y, width, height } = shot.frame;
  const [w, h] = [(width - gutter) / 2, (height - gutter) / 2];
  const frames: readonly [Rect, Rect] =
    how === "beside"
      ? [
          { x, y, width: w, height },
          { x: x + w + gutter, y, width: w, height },
        ]
      : [
          { x, y, width, height: h },
          { x, y: y + h + gutter, width, height: h },
        ];
  const own: Shot = { ...shot, page: next.page };
  return [
    onSheet(own, shot.sheet, frames[0]),
    onSheet({ ...own, id: next.id, name: next.name, backOf: undefined }, shot.sheet, frames[1]),
  ];
}
