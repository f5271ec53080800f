import type { Shot } from "../scene";
import { viewOf } from "../shot";
import { horizon, lineIn } from "../vanishing";
import type { DeskDrawing } from "./desk";
import type { Layer } from "./layer";
import { lettering } from "./lettering";
import { rectLines } from "./shapes";
import { STYLES } from "./style";

/** The window of a view finder is so wide where nothing is said, mm: it is held in one hand (common practice). */
export const FINDER_WIDTH = 70;
/** The card around its window, mm, and its letters. */
const [BORDER, LETTER] = [25, 2.4] as const;
/** Marks on the card beside its window are so long, mm. */
const MARK = 8;

/**
 * So far from the eye a view finder shows just what the panel does, mm; null in a curved lens, which sees otherwise.
 */
export const finderDistance = (shot: Shot, width: number): number | null =>
  viewOf(shot).law.straight ? (shot.lens.distance * width) / shot.frame.width : null;

/**
 * A card with a window at the proportion of a shot's panel, to be cut out and looked through: marks beside the window
 * at eye level and across the centre of vision, halves and thirds on its rim, and how far from the eye it is held.
 * @param width of the window, mm
 */
export function drawViewFinder(shot: Shot, width = FINDER_WIDTH): DeskDrawing {
  const { frame, lens } = shot;
  const scale = width / frame.width;
  const height = scale * frame.height;
  const place = ([x, y]: readonly [number, number]) => [scale * (x - frame.x), scale * (y - frame.y)] as const;
  const view = viewOf(shot);
  const line = horizon(view);
  const ends = line && lineIn(line, frame);
  const [cx, cy] = place([lens.centre.x, lens.centre.y]);
  const distance = finderDistance(shot, width);
  const words =
    distance === null
      ? "For the proportion alone: a curved lens sees more than a window."
      : `Look with one eye, ${distance.toFixed(0)} mm away: it shows what the panel does.`;
  const layer = (id: string, label: string, style: Layer["style"], lines: readonly number[]): Layer => ({
    ...{ id, label, style },
    lines: Float64Array.from(lines),
  });
  const inside = (at: number, most: number) => at >= 0 && at <= most;
  const shares = [1 / 3, 1 / 2, 2 / 3];
  const horizonMarks = (ends ?? []).flatMap((end) => {
    const [x, y] = place(end);
    if (x < 1e-6) return [-MARK, y, 0, y];
    return x > width - 1e-6 ? [width, y, width + MARK, y] : [];
  });
  return {
    box: { x: -BORDER, y: -BORDER, width: width + 2 * BORDER, height: height + 2 * BORDER },
    layers: [
      layer("cut", "To be cut", STYLES.outline, [
        ...rectLines({ x: 0, y: 0, width, height }),
        ...rectLines({ x: -BORDER, y: -BORDER, width: width + 2 * BORDER, height: height + 2 * BORDER }),
      ]),
      layer("marks", "Marks", STYLES.aids, [
        ...shares.flatMap((t) => [t * width, -MARK / 2, t * width, 0, t * width, height, t * width, height + MARK / 2]),
        ...shares.flatMap((t) => [
          -MARK / 2,
          t * height,
          0,
          t * height,
          width,
          t * height,
          width + MARK / 2,
          t * height,
        ]),
        ...(inside(cx, width) ? [cx, -MARK, cx, 0, cx, height, cx, height + MARK] : []),
        ...(inside(cy, height) ? [-MARK, cy, 0, cy, width, cy, width + MARK, cy] : []),
      ]),
      layer("horizon", "Eye level", STYLES.horizon, horizonMarks),
      layer("words", "Words", STYLES.aids, [
        ...lettering(words, [width / 2, height + MARK + 2 * LETTER], LETTER, "middle"),
        ...lettering(shot.name, [width / 2, -MARK - LETTER], LETTER, "middle"),
      ]),
    ],
  };
}
