import { corners, type Rect, type Vec2 } from "../geometry";
import type { Balloon, Sheet, Shot, Trim } from "../schema";

/** A place of a shot's frame by its shares, on the sheet, mm. */
export const inFrame = ({ frame }: Pick<Shot, "frame">, { x, y }: { readonly x: number; readonly y: number }): Vec2 => [
  frame.x + x * frame.width,
  frame.y + y * frame.height,
];

/** The corners of a shot's panel on the sheet, mm: those of its frame where it is an upright rectangle. */
export const panelRing = (shot: Pick<Shot, "frame" | "panel">): readonly Vec2[] =>
  shot.panel ? shot.panel.corners.map((corner) => inFrame(shot, corner)) : corners(shot.frame);

/** An oval is drawn in so many chords: a hundredth of a mm off at 200 mm. */
const CHORDS = 160;

/** The rim of a balloon on the sheet, mm. */
export function balloonRing(shot: Pick<Shot, "frame">, { at, width, height }: Balloon): readonly Vec2[] {
  const [x, y] = inFrame(shot, at);
  return Array.from({ length: CHORDS }, (_, i): Vec2 => {
    const turn = (2 * Math.PI * i) / CHORDS;
    return [x + (width / 2) * Math.cos(turn), y + (height / 2) * Math.sin(turn)];
  });
}

/** Where a page is trimmed, on its sheet, mm. */
export const trimOf = (sheet: Sheet, { width, height }: Trim): Rect => ({
  x: (sheet.width - width) / 2,
  y: (sheet.height - height) / 2,
  width,
  height,
});

/** How far a page is printed, with its bleed, on its sheet, mm. */
export function bleedOf(sheet: Sheet, trim: Trim): Rect {
  const { x, y, width, height } = trimOf(sheet, trim);
  const { bleed } = trim;
  return { x: x - bleed, y: y - bleed, width: width + 2 * bleed, height: height + 2 * bleed };
}

/** A page trimmed so far inside its sheet where that is first wished, and so much bleed, mm (common practice: 3). */
const INSIDE = 12;
const BLEED = 3;

/** A first trim of a sheet: some way inside it, so that its marks have room. */
export function firstTrim({ width, height }: Sheet): Trim {
  const inside = Math.min(INSIDE, width / 8, height / 8);
  return { width: width - 2 * inside, height: height - 2 * inside, bleed: Math.min(BLEED, inside / 4) };
}

/** Another paper for a page: its words go with it, and where it is trimmed, if there is room. */
export function withPaper(before: Sheet, next: Sheet): Sheet {
  const { title, number, trim } = before;
  const hasRoom = trim && trim.width + 2 * trim.bleed <= next.width && trim.height + 2 * trim.bleed <= next.height;
  return {
    ...next,
    ...(title === undefined ? {} : { title }),
    ...(number === undefined ? {} : { number }),
    ...(hasRoom ? { trim } : {}),
  };
}
