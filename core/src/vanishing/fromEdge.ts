import type { Rect } from "../geometry";
import { mm, sentence, type Sentence } from "../units";
import { offSheet } from "./pins";

/** Where a place on the desk lies, measured from the nearest edge of the sheet. */
export function fromEdge(sheet: Pick<Rect, "width" | "height">, x: number, y: number): Sentence {
  const off = offSheet(sheet, x, y);
  if (off) {
    const sideways = off.side === "left" || off.side === "right";
    const [at, size, before, after] = sideways
      ? ([y, sheet.height, "above", "below"] as const)
      : ([x, sheet.width, "left of", "right of"] as const);
    const across: Sentence =
      at < 0
        ? sentence`${mm(-at)} ${before} it`
        : at > size
          ? sentence`${mm(at - size)} ${after} it`
          : sentence`${mm(at)} from the ${sideways ? "top" : "left"}`;
    const side = { left: "left of", right: "right of", top: "above", bottom: "below" }[off.side];
    return sentence`${mm(off.distance)} ${side} the sheet, ${across}`;
  }
  const near =
    x <= sheet.width / 2 ? sentence`${mm(x)} in from the left` : sentence`${mm(sheet.width - x)} in from the right`;
  return sentence`${near}, ${mm(y)} from the top`;
}
