import { inkOf, type DeskDrawing } from "@zanvo/core/drawing";
import { columnName, FOOT, printedOf, tilesOf, type Tile, type Tiles, type Tiling } from "@zanvo/core/print";
import { addPage, line, MM, newDocument, written, type Doc } from "./page";
import { drawLayer } from "./layers";
import { write } from "./words";

const INK = "#26251f";
const FAINT = "#8a867a";
/** Half the arms of a registration mark, mm. */
const MARK = 4;
/** The length of the check bar, mm. */
const BAR = 100;

/** A desk to be printed at true size. */
export interface Print {
  readonly title: string;
  readonly desk: DeskDrawing;
  readonly tiling: Tiling;
  /** Words for the front page: the pins and where they stand, one a line. */
  readonly pins: readonly string[];
  readonly cautions: string;
}

export interface Progress {
  /** Told after every page. */
  readonly onPage?: (done: number, of: number) => void;
  /** Ends the work at the next page. */
  readonly signal?: AbortSignal;
}

/**
 * A desk at true size on many sheets, with a contents map in front. Every tile shows what lies within its margins, its
 * name and its neighbours, a check bar, and registration marks in the middle of the overlaps, at the same places of the
 * desk on both sheets. Tiles on which nothing is drawn are left out.
 * @throws BadInput when the paper leaves no room or there would be too many tiles; the signal's reason when it is
 * given up
 */
export async function toTiles(
  { title, desk, tiling, pins, cautions }: Print,
  { onPage, signal }: Progress = {},
): Promise<Buffer> {
  const tiles = tilesOf(desk.box, desk.layers.map(inkOf), tiling);
  const printed = printedOf(tiles, tiling);
  const doc = newDocument(`${title}: true-size print`);
  return written(doc, async () => {
    contents(doc, tiles, printed, { title, desk, tiling, pins, cautions });
    for (const [i, tile] of printed.entries()) {
      signal?.throwIfAborted();
      tilePage(doc, tiles, tile, desk, tiling);
      onPage?.(i + 1, printed.length);
      // Others get their turn between pages: a cancel, or a server's answers.
      await new Promise((resolve) => setImmediate(resolve));
    }
  });
}

function tilePage(
  doc: Doc,
  { page, columns, rows, all }: Tiles,
  tile: Tile,
  desk: DeskDrawing,
  { overlap, margin }: Tiling,
): void {
  addPage(doc, page.width, page.height);
  const placing = { dx: margin - tile.x, dy: margin - tile.y, clip: tile };
  for (const layer of desk.layers) drawLayer(doc, layer, placing);
  doc
    .save()
    .dash(2 * MM, { space: 2 * MM })
    .lineWidth(0.1 * MM)
    .strokeColor(FAINT)
    .rect(margin * MM, margin * MM, tile.width * MM, tile.height * MM)
    .stroke()
    .restore();
  const [right, bottom] = [margin + tile.width, margin + tile.height];
  for (const x of [margin + overlap / 2, right - overlap / 2]) {
    for (const y of [margin + overlap / 2, bottom - overlap / 2]) {
      line(doc, x - MARK, y, x + MARK, y, 0.15, INK);
      line(doc, x, y - MARK, x, y + MARK, 0.15, INK);
      doc
        .lineWidth(0.15 * MM)
        .circle(x * MM, y * MM, 1.8 * MM)
        .stroke();
    }
  }
  write(doc, tile.name, margin, bottom + 2.5, { face: "bold", size: 16 });
  const beside = (column: number, row: number, side: string) =>
    column >= 0 && row >= 0 && column < columns && row < rows && !all[row * columns + column].blank
      ? `${side} ${columnName(column)}${row + 1}`
      : "";
  const { column, row } = tile;
  const near = [
    beside(column - 1, row, "left"),
    beside(column + 1, row, "right"),
    beside(column, row - 1, "above"),
    beside(column, row + 1, "below"),
  ].filter(Boolean);
  write(doc, near.join(" · "), margin + 20, bottom + 4, { size: 8 });
  checkBar(doc, right - BAR - 2, bottom + 9);
}

/** A bar of 100 mm with a tick every 10: a ruler laid on it says whether the printer kept the size. */
function checkBar(doc: Doc, x: number, y: number): void {
  line(doc, x, y, x + BAR, y, 0.25, INK);
  for (let i = 0; i <= 10; i++) line(doc, x + 10 * i, y - (i % 5 === 0 ? 2.5 : 1.5), x + 10 * i, y, 0.25, INK);
  write(doc, "100 mm: print at 100 %, then measure", x, y + 0.8, { size: 6.5 });
}

function contents(
  doc: Doc,
  tiles: Tiles,
  printed: readonly Tile[],
  { title, desk, tiling, pins, cautions }: Print,
): void {
  const { page, all } = tiles;
  const { margin, overlap } = tiling;
  addPage(doc, page.width, page.height);
  const width = page.width - 2 * margin;
  let y = write(doc, title, margin, margin, { face: "bold", size: 14, width });
  const size =
    `${Math.round(desk.box.width)} × ${Math.round(desk.box.height)} mm of desk at true size on ${printed.length} ` +
    `${printed.length === 1 ? "sheet" : "sheets"} of ${tiling.paper}.`;
  y = write(
    doc,
    `${size} Print at 100 %, without fitting to the page. Cut along the dashed edge on two sides, lay the marks ` +
      `of neighbours on each other (${overlap} mm overlap), and tape.`,
    margin,
    y + 1,
    { size: 9, width },
  );
  const [first, last] = [all[0], all[all.length - 1]];
  const [w, h] = [last.x + last.width - first.x, last.y + last.height - first.y];
  const room = page.height - margin - y - 16 - 5 * pins.length - 14;
  const scale = Math.min(width / w, Math.max(40, room) / h);
  const [dx, dy] = [margin - first.x * scale, y + 4 - first.y * scale];
  for (const layer of desk.layers) drawLayer(doc, layer, { dx, dy, scale, weight: 0.5 });
  for (const tile of all) {
    const { name } = tile;
    doc
      .save()
      .lineWidth(0.1 * MM)
      .strokeColor(FAINT)
      .rect((dx + tile.x * scale) * MM, (dy + tile.y * scale) * MM, tile.width * scale * MM, tile.height * scale * MM)
      .stroke()
      .restore();
    const letters = Math.min(11, tile.height * scale * 0.9, tile.width * scale * 1.1);
    if (printed.includes(tile))
      write(doc, name, dx + tile.x * scale + 0.6, dy + tile.y * scale + 0.3, { size: letters, colour: FAINT });
  }
  y += 4 + h * scale + 4;
  for (const pin of pins) y = write(doc, pin, margin, y, { size: 9, width });
  y = write(doc, cautions, margin, y + 1.5, { size: 7, width, colour: "#5d5a50" });
  checkBar(doc, margin, Math.max(y + 6, page.height - margin - FOOT / 2));
}
