import { DEFAULT_TILING, printedOf, PRINT_PAPERS, tilesOf } from ".";

const box = { x: 0, y: 0, width: 500, height: 400 };
const cross = Float64Array.from([0, 0, 500, 400, 0, 400, 500, 0]);

describe("the sheets of a true-size print", () => {
  it("are printed where something is drawn on them, or those of them that are wanted", () => {
    const tiles = tilesOf(box, [cross], DEFAULT_TILING);
    const drawn = tiles.all.filter(({ blank }) => !blank).map(({ name }) => name);
    expect(printedOf(tiles, {}).map(({ name }) => name)).toEqual(drawn);
    expect(printedOf(tiles, { only: [drawn[2], drawn[0]] }).map(({ name }) => name)).toEqual([drawn[0], drawn[2]]);
    expect(() => printedOf(tiles, { only: ["Z9"] })).toThrow('there is no sheet "Z9" with anything on it');
    // A blank sheet cannot be wanted either.
    const blank = tilesOf(box, [], DEFAULT_TILING);
    expect(() => printedOf(blank, { only: ["A1"] })).toThrow('there is no sheet "A1"');
  });

  it("are of papers that printers take (ISO 216; ANSI/ASME Y14.1; Legal is 8.5 by 14 in (common practice))", () => {
    const inch = 25.4;
    expect(PRINT_PAPERS.Tabloid).toEqual([expect.closeTo(11 * inch, 9), expect.closeTo(17 * inch, 9)]);
    expect(PRINT_PAPERS.Legal).toEqual([expect.closeTo(8.5 * inch, 9), expect.closeTo(14 * inch, 9)]);
    for (const [width, height] of Object.values(PRINT_PAPERS)) expect(width).toBeLessThan(height);
  });
});
