import { fieldOfView } from "../shot";
import { frameOn, isoA, newScene, onSheet, PAPERS, sheetOf } from ".";

describe("papers", () => {
  it("are those of ISO 216", () => {
    // ISO 216:2007, table 1 (from memory).
    expect([0, 1, 2, 3, 4, 5].map(isoA)).toEqual([
      [841, 1189],
      [594, 841],
      [420, 594],
      [297, 420],
      [210, 297],
      [148, 210],
    ]);
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
