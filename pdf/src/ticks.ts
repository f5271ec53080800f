import { degree } from "@zanvo/core/slip";
import { inInches, inSystem, mm, sentence, type System } from "@zanvo/core/units";
import type { OffPageAids, Pin } from "@zanvo/core/vanishing";
import { BOTTOM, line, PAGE, QUIET } from "./a4";
import { addPage, type Doc } from "./page";
import { heightOf, write } from "./words";

/** Numbered columns of ticks, as many side by side as fit; goes on to further pages. */
const TABLE = 55;
const ROW = 3.7;
/** Columns of a table: where each ends, mm. */
const ENDS = [8, 22, 37, 52] as const;
const cells = (
  doc: Doc,
  texts: readonly string[],
  x: number,
  y: number,
  style: { readonly face?: "measures"; readonly size: number },
) =>
  texts.forEach((text, i) =>
    write(doc, text, x + (ENDS[i - 1] ?? 0), y, { ...style, align: "right", width: ENDS[i] - (ENDS[i - 1] ?? 0) }),
  );

/** One column of ticks after another, as many side by side as fit; goes on to further pages. */
function columnsOfTicks(doc: Doc) {
  let [x, y] = [PAGE.width, BOTTOM];
  const begin = (title: string, side: string) => {
    if (x + TABLE > PAGE.width - PAGE.margin + 1) {
      addPage(doc, PAGE.width, PAGE.height);
      x = PAGE.margin;
    }
    y = write(doc, title, x, PAGE.margin, { face: "bold", size: 8.5, width: TABLE - 3 });
    cells(doc, ["tick", side, "opposite", "tilt"], x, y + 1, { size: 7 });
    y += 5;
    line(doc, x, y - 0.6, x + TABLE - 3, y - 0.6, 0.2, "#26251f");
  };
  const end = () => {
    x += TABLE + 5;
  };
  const keep = (height: number, name: string, side: string) => {
    if (y + height <= BOTTOM) return;
    end();
    begin(`${name}, continued`, side);
  };
  return {
    begin,
    end,
    row: (texts: readonly string[], name: string, side: string) => {
      keep(ROW, name, side);
      cells(doc, texts, x, y, { face: "measures", size: 7.2 });
      y += ROW;
    },
    note: (text: string, name: string, side: string) => {
      const style = { size: 7.5, width: TABLE - 3, colour: QUIET };
      keep(heightOf(doc, text, style) + 1, name, side);
      y = write(doc, text, x, y + 1, style);
    },
  };
}

/** How the ticks of a point are used. */
const notesOn = ({ side, spacing, centrolinead }: OffPageAids, system: System): readonly string[] =>
  [
    sentence`Every ${mm(spacing.near)} on the ${side} edge, every ${mm(spacing.far)} on the opposite one, in ${system === "metric" ? "mm" : "inches"} from the top edge. A ruler on equal numbers aims at the point.`,
    ...(centrolinead
      ? [
          sentence`Centrolinead: pegs on the ${side} edge, ${mm(centrolinead.pegs)} above and below the point’s level; legs at ${degree(centrolinead.angle)} to the ruler.`,
        ]
      : []),
  ].map((told) => inSystem(told, system));

/** The ticks and tilts of points off the sheet, in numbers. */
export function tickTables(
  doc: Doc,
  aids: readonly { readonly pin: Pin; readonly aids: OffPageAids }[],
  system: System,
): void {
  const columns = columnsOfTicks(doc);
  const at = (value: number | null) =>
    value === null ? "–" : system === "metric" ? value.toFixed(1) : inInches(value);
  for (const { pin, aids: one } of aids) {
    const { name } = pin;
    columns.begin(`Edge ticks for ${name}`, one.side);
    for (const { number, near, far, tilt } of one.ticks)
      columns.row([String(number), at(near), at(far), `${tilt.toFixed(2)}°`], name, one.side);
    for (const note of notesOn(one, system)) columns.note(note, name, one.side);
    columns.end();
  }
}
