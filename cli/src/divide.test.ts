import { run } from "../testing";

const WALL = [
  [0, 45],
  [120, 15],
  [120, -15],
  [0, -45],
];
const divide = (job: unknown) => run(["divide", "-"], JSON.stringify(job));
const x = (value: number) => expect.objectContaining({ x: expect.closeTo(value, 9) }) as unknown;

describe("zanvo divide", () => {
  // The wall's point lies 180 mm from its near upright: its middle 2 * 180 * 60 / 240 = 90 mm from the point.
  it("divides a drawn quadrilateral from its first side to the opposite one", async () => {
    const { code, answer } = await divide({ quad: WALL, columns: 2, rows: 2, repeat: { after: 1 } });
    expect(code).toBe(0);
    expect(answer).toMatchObject({
      centre: { x: expect.closeTo(90, 9), y: expect.closeTo(0, 9) },
      columns: [0, 90, 120, 135, 144].map((at) => [x(at), x(at)]),
      rows: [
        [x(0), x(144)],
        [x(0), x(144)],
        [x(0), x(144)],
      ],
    });
    // A rhythm of 1 and 2: 1/r a third of the way from 1/180 to 1/60.
    const { answer: rhythm } = await divide({ quad: WALL, columns: "1 2" });
    expect(rhythm).toMatchObject({
      columns: [
        [x(0), x(0)],
        [x(180 - 108), x(72)],
        [x(120), x(120)],
      ],
    });
  });

  it("says what is wrong, and where", async () => {
    expect(await divide({ quad: WALL, columns: "2 4 twice" })).toMatchObject({
      code: 2,
      err: 'columns: word 3, "twice", has no size after it.\n',
    });
    expect(await divide({ quad: WALL, columns: 0 })).toMatchObject({
      code: 2,
      err: "columns: 0 is no whole number from 1 to 500.\n",
    });
    expect(await divide({ quad: WALL.slice(1), columns: 2 })).toMatchObject({ code: 2 });
    const [a, b, c, d] = WALL;
    expect(await divide({ quad: [a, c, b, d], columns: 2 })).toMatchObject({
      code: 1,
      err: "The corners cross: press them in their order around.\n",
    });
    expect(await divide({ quad: WALL, columns: 2, repeat: { before: 9 } })).toMatchObject({
      code: 1,
      err: "It would go on behind the eye: repeat it fewer times.\n",
    });
  });
});
