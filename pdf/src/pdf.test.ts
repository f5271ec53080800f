import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { readScene } from "@zanvo/core/document";
import { drawShot, inkOf } from "@zanvo/core/drawing";
import { distance2, type Vec2 } from "@zanvo/core/geometry";
import { DEFAULT_TILING, tilesOf } from "@zanvo/core/print";
import { splitPanel, type Scene } from "@zanvo/core/scene";
import { printOf, slipPdf, toPdf, toTiles } from ".";

// What is checked here is read back with poppler (pdfinfo, pdftocairo, pdftotext), which shares no code with the
// writer.
const folder = mkdtempSync(join(tmpdir(), "zanvo-pdf-"));
const poppler = (tool: string, ...args: string[]) => execFileSync(tool, args, { encoding: "utf8", maxBuffer: 1e9 });
const kept = (name: string, pdf: Buffer) => {
  const file = join(folder, name);
  writeFileSync(file, pdf);
  return file;
};

interface Segment {
  readonly a: Vec2;
  readonly b: Vec2;
}

/** Every straight stroke of a page, in mm from its top left corner, as poppler sees it. */
function strokes(file: string, page = 1): Segment[] {
  const svg = poppler(
    "pdftocairo",
    "-svg",
    "-origpagesizes",
    "-noshrink",
    "-nocenter",
    "-f",
    String(page),
    "-l",
    String(page),
    file,
    "-",
  );
  const found: Segment[] = [];
  for (const [, d, matrix] of svg.matchAll(
    /<path [^>]*stroke-width[^>]*? d="([^"]+)"(?: transform="matrix\(([^)]+)\)")?\/>/g,
  )) {
    const [m0, m1, m2, m3, m4, m5] = (matrix ?? "1,0,0,1,0,0").split(",").map(Number);
    const at = (x: number, y: number): Vec2 => [
      ((m0 * x + m2 * y + m4) * 25.4) / 72,
      ((m1 * x + m3 * y + m5) * 25.4) / 72,
    ];
    let from: Vec2 | null = null;
    for (const [, kind, x, y] of d.matchAll(/([ML]) (\S+) (\S+)/g)) {
      const to = at(Number(x), Number(y));
      if (kind === "L" && from) found.push({ a: from, b: to });
      from = to;
    }
  }
  return found;
}

/** How far a point is from a stretch. */
function off([px, py]: Vec2, { a, b }: Segment): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const t = Math.min(1, Math.max(0, ((px - a[0]) * dx + (py - a[1]) * dy) / (dx * dx + dy * dy || 1)));
  return Math.hypot(px - a[0] - t * dx, py - a[1] - t * dy);
}
const pairs = (lines: Float64Array): Segment[] =>
  Array.from({ length: lines.length / 4 }, (_, i) => ({
    a: [lines[4 * i], lines[4 * i + 1]],
    b: [lines[4 * i + 2], lines[4 * i + 3]],
  }));

const scene: Scene = readScene(readFileSync(join(__dirname, "../../demo/1-quay-street.zanvo.json"), "utf8"));

describe("a drawing as PDF", () => {
  it("has the sheet's true size, and every line within 0.02 mm of its place", async () => {
    const drawing = drawShot(scene);
    const file = kept("drawing.pdf", await toPdf(drawing));
    const [, width, height] = /Page size: +(\S+) x (\S+) pts/.exec(poppler("pdfinfo", file))!;
    expect((Number(width) * 25.4) / 72).toBeCloseTo(420, 2);
    expect((Number(height) * 25.4) / 72).toBeCloseTo(297, 2);
    const read = strokes(file);
    const drawn = drawing.layers.flatMap(({ lines }) => pairs(lines));
    expect(read).toHaveLength(drawn.length);
    drawn.forEach(({ a, b }, i) => {
      expect(distance2(a, read[i].a)).toBeLessThan(0.02);
      expect(distance2(b, read[i].b)).toBeLessThan(0.02);
    });
  });

  it("fills areas without their holes, as strongly as the layer is, on a page and on tiles", async () => {
    // 30 mm square around (25, 25), with a hole of 10 mm square in its middle; half as strong as black.
    const square = (c: number, r: number) => [c - r, c - r, c + r, c - r, c + r, c + r, c - r, c + r];
    const layer = {
      id: "shadow",
      label: "Shadow",
      style: { stroke: "#000000", fill: "#000000", width: 0.5, dash: [], opacity: 0.5 },
      lines: new Float64Array(),
      areas: { xy: Float64Array.from([...square(25, 15), ...square(25, 5)]), starts: Uint32Array.from([0, 4, 8]) },
    };
    const page = kept("areas.pdf", await toPdf({ title: "Areas", width: 50, height: 50, layers: [layer] }));
    const desk = { box: { x: 0, y: 0, width: 50, height: 50 }, layers: [layer] };
    const tile = kept("area-tiles.pdf", await toTiles({ ...printOf(scene, undefined, DEFAULT_TILING), desk }));
    const [first] = tilesOf(desk.box, [inkOf(layer)], DEFAULT_TILING).all;
    expect(first.blank).toBe(false);
    const onTile = [DEFAULT_TILING.margin - first.x, DEFAULT_TILING.margin - first.y] as const;
    for (const [file, last, [dx, dy]] of [
      [page, "1", [0, 0]],
      [tile, "2", onTile],
    ] as const) {
      const grey = (x: number, y: number) => {
        const [left, top] = [x + dx, y + dy].map((mm) => String(Math.round(10 * mm)));
        const box = ["-x", left, "-y", top, "-W", "1", "-H", "1"];
        return execFileSync("pdftoppm", ["-gray", "-r", "254", "-f", last, "-l", last, ...box, file]).at(-1);
      };
      expect([grey(25, 25), grey(5, 5)]).toEqual([255, 255]);
      expect(grey(15, 15)).toBeGreaterThan(120);
      expect(grey(15, 15)).toBeLessThan(135);
    }
  });

  it("declares a version of PDF that has transparency and optional content", async () => {
    const faint = drawShot(scene).layers.map((layer) => ({ ...layer, style: { ...layer.style, opacity: 0.4 } }));
    const bytes = await toPdf({ title: "Faint", width: 420, height: 297, layers: faint });
    expect(bytes.subarray(0, 8).toString("latin1")).toBe("%PDF-1.7");
    expect(poppler("pdfinfo", kept("faint.pdf", bytes))).toMatch(/PDF version: +1\.7\n/);
  });

  it("refuses a sheet larger than a page can be", async () => {
    await expect(toPdf({ title: "Wall", width: 6000, height: 300, layers: [] })).rejects.toThrow(
      "larger than a PDF's page",
    );
  });
});

describe("a true-size print", () => {
  it("reassembled is the desk again within 0.05 mm, with marks at the same places of both neighbours", async () => {
    const print = printOf(scene, undefined, DEFAULT_TILING);
    const file = kept("tiles.pdf", await toTiles(print));
    const { all, page } = tilesOf(
      print.desk.box,
      print.desk.layers.map(({ lines }) => lines),
      DEFAULT_TILING,
    );
    const printed = all.filter(({ blank }) => !blank);
    expect(page).toEqual({ width: 210, height: 297 });
    expect(Number(/Pages: +(\d+)/.exec(poppler("pdfinfo", file))![1])).toBe(printed.length + 1);
    const { margin, overlap } = DEFAULT_TILING;
    const back = ({ x, y }: { x: number; y: number }, [px, py]: Vec2): Vec2 => [px - margin + x, py - margin + y];
    const pages = printed.map((tile, i) => ({
      tile,
      all: strokes(file, i + 2).map(({ a, b }): Segment => ({ a: back(tile, a), b: back(tile, b) })),
    }));

    // Every place of every line of the desk is on each tile that holds it.
    for (const { lines } of print.desk.layers) {
      for (const { a, b } of pairs(lines)) {
        const steps = Math.max(1, Math.round(distance2(a, b) / 23));
        for (let k = 0; k < steps; k++) {
          const t = (k + 0.5) / steps;
          const place: Vec2 = [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
          for (const { tile, all: on } of pages) {
            if (
              place[0] < tile.x ||
              place[0] > tile.x + tile.width ||
              place[1] < tile.y ||
              place[1] > tile.y + tile.height
            )
              continue;
            expect(Math.min(...on.map((stroke) => off(place, stroke)))).toBeLessThan(0.05);
          }
        }
      }
    }

    const marks = ({ tile, all: on }: (typeof pages)[number]) =>
      on
        .filter(({ a, b }) => Math.abs(distance2(a, b) - 8) < 1e-3 && Math.abs(a[1] - b[1]) < 1e-3)
        .map(({ a, b }): Vec2 => [(a[0] + b[0]) / 2, a[1]])
        .filter(
          ([x, y]) =>
            [tile.x + overlap / 2, tile.x + tile.width - overlap / 2].some((edge) => Math.abs(x - edge) < 0.05) &&
            y < tile.y + tile.height,
        );
    for (const left of pages) {
      expect(marks(left).length).toBeGreaterThanOrEqual(4);
      const right = pages.find(({ tile }) => tile.row === left.tile.row && tile.column === left.tile.column + 1);
      if (!right) continue;
      const shared = marks(left).filter((mark) => marks(right).some((other) => distance2(mark, other) < 0.05));
      expect(shared.length).toBeGreaterThanOrEqual(2);
      // The check bar is 100 mm long on every sheet.
      expect(left.all.some(({ a, b }) => Math.abs(distance2(a, b) - 100) < 0.02 && Math.abs(a[1] - b[1]) < 1e-3)).toBe(
        true,
      );
    }
    const text = poppler("pdftotext", "-layout", file, "-");
    for (const { name } of printed) expect(text).toContain(name);
    expect(text).toContain("Main streets, left: 222.1 mm left of the sheet, 196 mm from the top");
  });

  it("can be given up between two pages", async () => {
    const stop = new AbortController();
    const seen: number[] = [];
    const onPage = (done: number) => {
      seen.push(done);
      if (done === 2) stop.abort(new Error("enough"));
    };
    await expect(toTiles(printOf(scene, undefined, DEFAULT_TILING), { onPage, signal: stop.signal })).rejects.toThrow(
      "enough",
    );
    expect(seen).toEqual([1, 2]);
  });
});

describe("the set-up sheet as PDF", () => {
  it("holds every step and every tick on one or two pages of A4, as words that can be read", async () => {
    const file = kept("slip.pdf", await slipPdf({ ...scene, title: "Łódka přístav Ω" }, scene.shots[0]));
    const info = poppler("pdfinfo", file);
    expect(Number(/Pages: +(\d+)/.exec(info)![1])).toBeLessThanOrEqual(2);
    expect(info).toContain("595.276 x 841.89 pts (A4)");
    const text = poppler("pdftotext", "-layout", file, "-");
    // What the typefaces do not have is marked as missing and not left out.
    expect(text).toContain("Łódka přístav ?");
    expect(text).toContain("tape 243 mm of paper to the left");
    expect(text).toMatch(/\n +19 +6\.0 +T 7\.0 +40\.55°/);
  });
  it("of a page has its sheet with all panels in front, and then each panel", async () => {
    const [first, second] = splitPanel(scene.shots[0], "beside", 5, { id: "other", name: "Second panel", page: "p" });
    const page = { ...scene, shots: [first, second] };
    const file = kept("page.pdf", await slipPdf(page, second, 10, "metric", true));
    const text = poppler("pdftotext", "-layout", file, "-");
    expect(text).toContain("a page of 2 panels");
    expect(text).toMatch(/Rule the panel Second panel/);
    expect(poppler("pdftotext", "-f", "1", "-l", "1", file, "-")).not.toContain("Mark the centre of vision");
    expect(text.match(/Mark the centre of vision/g)).toHaveLength(2);
  });
});

it("a drawing's layers are optional content, one group for each, all shown at first (ISO 32000-1, 8.11)", async () => {
  const scene = readScene(readFileSync("demo/1-quay-street.zanvo.json", "utf8"));
  const drawing = drawShot(scene);
  const pdf = (await toPdf(drawing)).toString("latin1");
  expect(pdf.startsWith("%PDF-1.7")).toBe(true);
  const names = [...pdf.matchAll(/\/Type \/OCG\s+\/Name \(([^)]*)\)/g)].map(([, name]) => name);
  expect(names).toEqual(drawing.layers.map(({ label }) => label));
  const [, listed] = /\/OCGs \[([^\]]*)\]/.exec(pdf)!;
  expect(listed.trim().split(" R").filter(Boolean)).toHaveLength(names.length);
  // What is drawn stays what it was: poppler finds lines within the groups.
  expect(strokes(kept("layers.pdf", await toPdf(drawing))).length).toBeGreaterThan(10);
});
