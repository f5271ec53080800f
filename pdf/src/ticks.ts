import { tickNotes, tickTable } from "@zanvo/core/slip";
import { inSystem, type System } from "@zanvo/core/units";
import type { OffPageAids, Pin } from "@zanvo/core/vanishing";
import { BOTTOM, PAGE, QUIET } from "./a4";
import { addPage, line, type Doc } from "./page";
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
  const begin = (title: string, heads: readonly string[]) => {
    if (x + TABLE > PAGE.width - PAGE.margin + 1) {
      addPage(doc, PAGE.width, PAGE.height);
      x = PAGE.margin;
    }
    y = write(doc, title, x, PAGE.margin, { face: "bold", size: 8.5, width: TABLE - 3 });
    cells(doc, heads, x, y + 1, { size: 7 });
    y += 5;
    line(doc, x, y - 0.6, x + TABLE - 3, y - 0.6, 0.2, "#26251f");
  };
  const end = () => {
    x += TABLE + 5;
  };
  const keep = (height: number, name: string, heads: readonly string[]) => {
    if (y + height <= BOTTOM) return;
    end();
    begin(`${name}, continued`, heads);
  };
  return {
    begin,
    end,
    row: (texts: readonly string[], name: string, heads: readonly string[]) => {
      keep(ROW, name, heads);
      cells(doc, texts, x, y, { face: "measures", size: 7.2 });
      y += ROW;
    },
    note: (text: string, name: string, heads: readonly string[]) => {
      const style = { size: 7.5, width: TABLE - 3, colour: QUIET };
      keep(heightOf(doc, text, style) + 1, name, heads);
      y = write(doc, text, x, y + 1, style);
    },
  };
}

/** The ticks and tilts of points off the sheet, in numbers. */
export function tickTables(
  doc: Doc,
  aids: readonly { readonly pin: Pin; readonly aids: OffPageAids }[],
  system: System,
): void {
  const columns = columnsOfTicks(doc);
  for (const { pin, aids: one } of aids) {
    const { heads, rows } = tickTable(one, system);
    columns.begin(`Edge ticks for ${pin.name}`, heads);
    for (const row of rows) columns.row(row, pin.name, heads);
    for (const note of tickNotes(one, system)) columns.note(inSystem(note, system), pin.name, heads);
    columns.end();
  }
}
