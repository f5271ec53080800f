import { around, corners, type Rect } from "../geometry";
import { scaledBy } from "../lines";
import { frameOn } from "./papers";
import type { Sheet, Shot } from "../schema";

/** The space that is left between two panels of a page, mm (common practice: 4 to 8). */
export const GUTTER = 5;

/**
 * A shot taken over to another sheet: a fresh frame on it, and the same picture in it: the centre of vision keeps its
 * place relative to the frame, and the picture distance keeps the angle across the panel.
 */
export function onSheet(shot: Shot, sheet: Sheet, frame = frameOn(sheet)): Shot {
  const k = frame.width / shot.frame.width;
  const { centre, distance } = shot.lens;
  const { under, lines } = shot;
  const x = frame.x + (centre.x - shot.frame.x) * k;
  const y = frame.y + (centre.y - shot.frame.y) * (frame.height / shot.frame.height);
  return {
    ...shot,
    sheet,
    frame,
    lens: { ...shot.lens, distance: distance * k, centre: { x, y } },
    // What was drawn on the sheet, and a picture under it, stay with the picture's own centre.
    ...(lines ? { lines: lines.map((line) => scaledBy(line, k, [centre.x, centre.y], [x, y])) } : {}),
    ...(under
      ? {
          under: {
            ...under,
            at: {
              x: x + (under.at.x - centre.x) * k,
              y: y + (under.at.y - centre.y) * k,
              width: under.at.width * k,
              height: under.at.height * k,
            },
          },
        }
      : {}),
  };
}

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
