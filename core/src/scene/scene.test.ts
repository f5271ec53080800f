import { fieldOfView } from "../shot";
import { frameOn, isoA, newScene, onSheet, PAPERS, sheetOf } from ".";

describe("papers", () => {
  it("are those of ISO 216", () => {
    // By their definition: A0 holds a square metre, its sides are as 1 to the root of 2, and each is half the one
    // before; rounded down to whole mm, after a tolerance of 0.2 mm.
    const side = (power: number) => Math.floor(1000 / 2 ** (power / 4) + 0.2);
    expect([0, 3, 4].map(isoA)).toEqual([
      [841, 1189],
      [297, 420],
      [210, 297],
    ]);
    for (let n = 0; n <= 10; n++) expect(isoA(n)).toEqual([side(2 * n + 1), side(2 * n - 1)]);
  });

  it("hold the live area of a comic board in their middle, either way up", () => {
    const board = PAPERS.find((paper) => paper.live)!;
    expect(sheetOf(board, false)).toMatchObject({
      width: expect.closeTo(279.4, 9),
      height: expect.closeTo(431.8, 9),
      live: { x: expect.closeTo(12.7, 9), y: expect.closeTo(25.4, 9), width: 254, height: 381 },
    });
    expect(sheetOf(board, true)).toMatchObject({
      width: expect.closeTo(431.8, 9),
      height: expect.closeTo(279.4, 9),
      live: { width: 381, height: 254 },
    });
  });
});

describe("another sheet", () => {
  it("keeps the angle across the panel and the place of the centre", () => {
    const [shot] = newScene("Test").shots;
    const small = onSheet(shot, sheetOf(PAPERS[0], true));
    expect(fieldOfView(small)).toBeCloseTo(fieldOfView(shot), 9);
    expect(small.lens.centre.x).toBeCloseTo(small.sheet.width / 2, 9);
    expect(small.frame).toEqual(frameOn(small.sheet));
  });
});
