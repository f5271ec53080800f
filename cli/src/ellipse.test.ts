import { run } from "../testing";

const ellipse = (job: unknown) => run(["ellipse", "-"], JSON.stringify(job));
const near = (x: number, y: number) => ({ x: expect.closeTo(x, 6), y: expect.closeTo(y, 6) });

describe("zanvo ellipse", () => {
  it("tells the circle in the picture of a square", async () => {
    // Twice as wide as high, by plain arithmetic: axes of 100 and 50 mm, and 0.1464 of each side off the corners.
    const { code, answer } = await ellipse({
      quad: [
        [0, 0],
        [200, 0],
        [200, 100],
        [0, 100],
      ],
    });
    expect(code).toBe(0);
    const off = (1 - Math.SQRT1_2) / 2;
    expect(answer).toEqual({
      centre: near(100, 50),
      circleCentre: near(100, 50),
      semiAxes: [expect.closeTo(100, 6), expect.closeTo(50, 6)],
      tilt: expect.closeTo(0, 6),
      points: [
        near(100, 0),
        near(200 * (1 - off), 100 * off),
        near(200, 50),
        near(200 * (1 - off), 100 * (1 - off)),
        near(100, 100),
        near(200 * off, 100 * (1 - off)),
        near(0, 50),
        near(200 * off, 100 * off),
      ],
      byHand: expect.objectContaining({ seenAt: expect.closeTo(30, 6), size: expect.closeTo(200, 6) }),
      levelAxis: { lean: expect.closeTo(0, 6), apart: expect.closeTo(0, 6) },
    });
  });

  it("says what is no square's picture", async () => {
    const corners = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ];
    expect(await ellipse({ quad: corners })).toMatchObject({
      code: 1,
      err: "The corners cross: press them in their order around.\n",
    });
    expect(await ellipse({ quad: corners.slice(1) })).toMatchObject({ code: 2 });
    expect(await ellipse({ quad: [...corners.slice(1), [0, "x"]] })).toMatchObject({ code: 2 });
  });
});
