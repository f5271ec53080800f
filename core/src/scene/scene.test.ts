import { fieldOfView } from "../shot";
import { type Shot, frameOn, isoA, isoB, newScene, onSheet, PAPERS, paperOf, sheetOf } from ".";

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
    // B n is the geometric mean of A n and A n - 1 (ISO 216): B0 is 1,000 by 1,414 mm.
    for (let n = 1; n <= 10; n++) {
      const [width, height] = isoB(n);
      expect(Math.abs(width - Math.sqrt(isoA(n)[0] * isoA(n - 1)[0]))).toBeLessThan(1.5);
      expect(Math.abs(height - Math.sqrt(isoA(n)[1] * isoA(n - 1)[1]))).toBeLessThan(1.5);
    }
    expect([isoB(0), isoB(4), isoB(5)]).toEqual([
      [1000, 1414],
      [250, 353],
      [176, 250],
    ]);
  });

  it("of the ANSI series are each twice the one before (ASME Y14.1)", () => {
    const [a, b, c, d] = ["ANSI A, Letter", "ANSI B, Tabloid", "ANSI C", "ANSI D"].map((id) => paperOf(id).size);
    for (const [small, large] of [
      [a, b],
      [b, c],
      [c, d],
    ])
      expect(large).toEqual([expect.closeTo(small[1], 9), expect.closeTo(2 * small[0], 9)]);
    expect(() => paperOf("Vellum")).toThrow('There is no paper "Vellum".');
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
  it("takes along what was drawn on the first, where it lies in the picture", () => {
    const [plain] = newScene("Test").shots;
    const shot: Shot = {
      ...plain,
      lines: [
        { id: "a", kind: "ruled", weight: "light", from: [210, 148.5], to: [405, 148.5] },
        { id: "b", kind: "circle", weight: "light", centre: [15, 15], radius: 10 },
      ],
    };
    const small = onSheet(shot, sheetOf(paperOf("A4"), true));
    const k = small.frame.width / shot.frame.width;
    const { centre } = small.lens;
    expect(small.lines).toMatchObject([
      // From the centre of vision to the panel's right side, as before.
      { from: [centre.x, centre.y], to: [expect.closeTo(small.frame.x + small.frame.width, 9), centre.y] },
      { radius: expect.closeTo(10 * k, 9) as number },
    ]);
  });

  it("keeps the angle across the panel and the place of the centre", () => {
    const [shot] = newScene("Test").shots;
    const small = onSheet(shot, sheetOf(paperOf("A4"), true));
    expect(fieldOfView(small)).toBeCloseTo(fieldOfView(shot), 9);
    expect(small.lens.centre.x).toBeCloseTo(small.sheet.width / 2, 9);
    expect(small.frame).toEqual(frameOn(small.sheet));
  });
});
