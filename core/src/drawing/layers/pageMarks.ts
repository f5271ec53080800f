import { bleedOf, trimOf, type Sheet, type Trim } from "../../scene";
import { lettering } from "../lettering";
import { STYLES } from "../style";
import { layerKind } from "./kind";

/** Crop marks are so long, mm (common practice). */
const MARK = 5;
/** They keep so far off what is printed, mm. */
const CLEAR = 1;
/** Letters at the foot of a page are so high, mm, and stand so far below the trimmed page or the sheet's foot. */
const LETTER = 3;
const BELOW = 6;

/** Marks at each corner, outside the bleed, in line with the sides of the trimmed page. */
function cropMarks(sheet: Sheet, trim: Trim): number[] {
  const [cut, printed] = [trimOf(sheet, trim), bleedOf(sheet, trim)];
  const sides = (from: number, size: number, outer: number, outerSize: number) => [
    { at: from, end: outer - CLEAR, by: -MARK },
    { at: from + size, end: outer + outerSize + CLEAR, by: MARK },
  ];
  const across = sides(cut.x, cut.width, printed.x, printed.width);
  const down = sides(cut.y, cut.height, printed.y, printed.height);
  return across.flatMap((x) => down.flatMap((y) => [x.at, y.end, x.at, y.end + y.by, x.end, y.at, x.end + x.by, y.at]));
}

function words({ title, number, trim, ...sheet }: Sheet): number[] {
  const text = [title, number === undefined ? undefined : String(number)].filter(Boolean).join(" - ");
  if (text === "") return [];
  const foot = trim ? trimOf(sheet, trim).y + trim.height + trim.bleed + CLEAR + LETTER : sheet.height - BELOW;
  return lettering(text, [sheet.width / 2, Math.min(foot, sheet.height - 1)], LETTER, "middle");
}

/** What belongs to the page as a whole: where it is trimmed, its title and its number. */
export const pageMarks = layerKind({
  id: "page",
  label: "Page marks",
  order: 122,
  style: STYLES.page,
  strength: 1,
  reach: "desk",
  ofSheet: true,
  compute: ({ shot: { sheet } }) => ({
    lines: Float64Array.from([...(sheet.trim ? cropMarks(sheet, sheet.trim) : []), ...words(sheet)]),
  }),
});
