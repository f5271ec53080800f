import type { Static } from "@sinclair/typebox";
import { Type } from "../fields";
import { clipToRect, type Rect } from "../geometry";
import { BadInput } from "../problem";
import { strict } from "../schema";

/**
 * Paper that printers take, portrait, in mm (ISO 216; ANSI Letter 8.5 x 11 in, Legal 8.5 x 14 in, Tabloid 11 x 17 in).
 */
export const PRINT_PAPERS = {
  A4: [210, 297],
  A3: [297, 420],
  B4: [250, 353],
  Letter: [215.9, 279.4],
  Legal: [215.9, 355.6],
  Tabloid: [279.4, 431.8],
} as const;
export type PrintPaper = keyof typeof PRINT_PAPERS;

/** What is printed at true size. */
export const PRINTED_THINGS = [
  { id: "desk", label: "The whole desk" },
  { id: "grid", label: "An enlarged grid" },
  { id: "finder", label: "A view finder" },
] as const;
export type PrintedThing = (typeof PRINTED_THINGS)[number]["id"];

/**
 * How a desk is cut into sheets of a printer: what two neighbours share, and what the printer leaves white on each
 * side, in mm.
 */
export const TilingSchema = strict({
  paper: Type.Unsafe<PrintPaper>({ type: "string", enum: Object.keys(PRINT_PAPERS) }),
  landscape: Type.Boolean(),
  overlap: Type.Number({ minimum: 0, maximum: 60 }),
  margin: Type.Number({ minimum: 0, maximum: 40 }),
  /** What is printed: the desk where nothing is said. */
  of: Type.Optional(Type.Unsafe<PrintedThing>({ type: "string", enum: PRINTED_THINGS.map(({ id }) => id) })),
  /** So many times as large as the panel the enlargement grid is; and so wide the window of a view finder, mm. */
  times: Type.Optional(Type.Number({ minimum: 0.1, maximum: 200 })),
  width: Type.Optional(Type.Number({ minimum: 10, maximum: 1000 })),
  /** The names of the tiles that are wanted; without it, all on which something is drawn. */
  only: Type.Optional(Type.Array(Type.String({ maxLength: 10 }), { minItems: 1, maxItems: 2000 })),
});
export type Tiling = Static<typeof TilingSchema>;

export const DEFAULT_TILING: Tiling = { paper: "A4", landscape: false, overlap: 10, margin: 10 };

/** Below the tile's picture stand its name, its neighbours and the check bar: mm. */
export const FOOT = 14;

/** One printed sheet: its name (column letter, row number), and the part of the desk it shows, in desk mm. */
export interface Tile extends Rect {
  readonly name: string;
  readonly column: number;
  readonly row: number;
  /** Whether anything is drawn on it; a blank one is not printed. */
  readonly blank: boolean;
}

/** A desk cut into tiles. */
export interface Tiles {
  readonly columns: number;
  readonly rows: number;
  readonly all: readonly Tile[];
  /** The size of the paper as it is fed, mm. */
  readonly page: { readonly width: number; readonly height: number };
}

/** A desk so large that nobody would paste it together. */
const MOST_TILES = 2000;

/** A, B ... Z, AA, AB ... */
export function columnName(n: number): string {
  let name = "";
  for (let rest = n + 1; rest > 0; rest = Math.floor((rest - 1) / 26))
    name = String.fromCharCode(65 + ((rest - 1) % 26)) + name;
  return name;
}

/**
 * A part of the desk cut into tiles at true size, with what they overlap spread evenly over the outer ones.
 * @param box the part of the desk, mm
 * @param lines everything drawn, x1 y1 x2 y2 in desk mm: tiles without any are blank
 * @param tiling as its schema has it
 * @throws BadInput when there would be too many tiles
 */
export function tilesOf(
  box: Rect,
  lines: readonly Float64Array[],
  { paper, landscape, overlap, margin }: Tiling,
): Tiles {
  const [short, long] = PRINT_PAPERS[paper];
  const page = landscape ? { width: long, height: short } : { width: short, height: long };
  const [width, height] = [page.width - 2 * margin, page.height - 2 * margin - FOOT];
  const count = (length: number, live: number) => Math.max(1, Math.ceil((length - overlap) / (live - overlap) - 1e-9));
  const [columns, rows] = [count(box.width, width), count(box.height, height)];
  if (!(columns * rows <= MOST_TILES)) {
    throw new BadInput([
      {
        path: "desk",
        message:
          `would take ${columns} × ${rows} sheets of ${paper}; ${MOST_TILES} are the most. Bring the points ` +
          "closer, or use the edge ticks.",
      },
    ]);
  }
  const [stepX, stepY] = [width - overlap, height - overlap];
  // What the last column and row have to spare is shared by both outer sides.
  const [x0, y0] = [
    box.x - (columns * stepX + overlap - box.width) / 2,
    box.y - (rows * stepY + overlap - box.height) / 2,
  ];
  const used = new Set<number>();
  for (const layer of lines) markUsed(layer, { x: x0, y: y0, stepX, stepY, width, height, columns, rows }, used);
  const all = Array.from({ length: columns * rows }, (_, i): Tile => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return {
      name: `${columnName(column)}${row + 1}`,
      column,
      row,
      x: x0 + column * stepX,
      y: y0 + row * stepY,
      width,
      height,
      blank: !used.has(i),
    };
  });
  return { columns, rows, all, page };
}

/**
 * The tiles that are printed: those on which anything is drawn, or of them those that are wanted.
 * @throws BadInput for a name that no drawn tile has
 */
export function printedOf({ all }: Pick<Tiles, "all">, { only }: Pick<Tiling, "only">): readonly Tile[] {
  const drawn = all.filter(({ blank }) => !blank);
  if (!only) return drawn;
  const unknown = only.find((name) => drawn.every((tile) => tile.name !== name));
  const names = drawn.map(({ name }) => name).join(", ");
  if (unknown !== undefined)
    throw new BadInput([
      { path: "only", message: `there is no sheet "${unknown}" with anything on it; there is ${names}.` },
    ]);
  return drawn.filter(({ name }) => only.includes(name));
}

interface Raster {
  readonly x: number;
  readonly y: number;
  readonly stepX: number;
  readonly stepY: number;
  readonly width: number;
  readonly height: number;
  readonly columns: number;
  readonly rows: number;
}

/** Marks every tile that a line runs over; only those in its bounding box are looked at. */
function markUsed(
  lines: Float64Array,
  { x, y, stepX, stepY, width, height, columns, rows }: Raster,
  used: Set<number>,
): void {
  const range = (a: number, b: number, origin: number, step: number, size: number, count: number) =>
    [
      Math.max(0, Math.floor((Math.min(a, b) - origin - size) / step)),
      Math.min(count - 1, Math.floor((Math.max(a, b) - origin) / step)),
    ] as const;
  for (let i = 0; i < lines.length; i += 4) {
    const [x1, y1, x2, y2] = [lines[i], lines[i + 1], lines[i + 2], lines[i + 3]];
    const [c0, c1] = range(x1, x2, x, stepX, width, columns);
    const [r0, r1] = range(y1, y2, y, stepY, height, rows);
    for (let row = r0; row <= r1; row++) {
      for (let column = c0; column <= c1; column++) {
        const tile = { x: x + column * stepX, y: y + row * stepY, width, height };
        if (!used.has(row * columns + column) && clipToRect([x1, y1], [x2 - x1, y2 - y1], tile, [0, 1]))
          used.add(row * columns + column);
      }
    }
  }
}
