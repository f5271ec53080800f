import fc from "fast-check";
import { between } from "../../testing";
import { boxOf, build, DEFAULT_STEPS, moved, nextFlight, outlineOf, sizeOf, volumeOf, type Steps } from ".";

const steps = (change: Partial<Steps> = {}): Steps => ({
  id: "f",
  kind: "steps",
  name: "Ferry steps",
  foot: { x: 4, y: 5, z: 1 },
  heading: 30,
  count: 7,
  ...DEFAULT_STEPS,
  ...change,
});

describe("steps", () => {
  it("are closed solids with a tread on every riser, whatever their measures", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 40 }),
        between(0.1, 0.3),
        between(0.2, 0.5),
        between(1, 9),
        between(0, 360),
        (count, riser, tread, width, heading) => {
          const [solid] = build([steps({ count, riser, tread, width, heading })]);
          // 1 + 2 + ... + n slabs.
          expect(volumeOf(solid)).toBeCloseTo((riser * tread * width * count * (count + 1)) / 2, 6);
          expect(solid.vertices.length - solid.edges.length + solid.faces.length).toBe(2);
          expect(solid.faces.filter(({ normal }) => normal[2] > 0.999)).toHaveLength(count);
          expect(solid.edges.filter(({ concave }) => concave)).toHaveLength(count - 1);
          const [ramp] = build([steps({ count, riser, tread, width, heading, ramp: true })]);
          expect(volumeOf(ramp)).toBeCloseTo((riser * count * tread * count * width) / 2, 6);
        },
      ),
    );
  });

  it("rise from the middle of their foot along their heading, and are moved as one", () => {
    const flight = steps({ heading: 90, foot: { x: 0, y: 0, z: 0 } });
    const [solid] = build([flight]);
    // Eastwards: the highest places are those farthest east, 7 treads from the foot.
    const top = solid.vertices.filter(([, , z]) => z > 7 * 0.165 - 1e-9);
    expect(Math.max(...top.map(([x]) => x))).toBeCloseTo(2.1, 9);
    expect(Math.max(...solid.vertices.map(([, y]) => Math.abs(y)))).toBeCloseTo(1.5, 9);
    expect(boxOf(flight)).toMatchObject({ length: expect.closeTo(2.1, 9), height: expect.closeTo(1.155, 9), width: 3 });
    expect(outlineOf(moved(flight, 3, 4))[0]).toEqual([expect.closeTo(3, 9), expect.closeTo(5.5, 9)]);
  });

  it("go on in a second flight that keeps the first one's heights, straight on or turned back", () => {
    const first = steps({ heading: 0, foot: { x: 0, y: 0, z: 1 }, width: 2, count: 10, riser: 0.17, tread: 0.3 });
    const { length, height } = sizeOf(first);
    const on = nextFlight(first, "on");
    const near = (value: number) => expect.closeTo(value, 9) as number;
    expect(on.landing).toMatchObject({ origin: { x: -1, y: 3, z: 1 }, length: 2, width: 2, height: near(1.7) });
    expect(on.steps).toMatchObject({
      foot: { x: near(0), y: near(length + 2), z: near(1 + height) },
      heading: 0,
      riser: 0.17,
      count: 10,
    });
    const back = nextFlight(first, "back");
    expect(back.landing).toMatchObject({ width: 4, length: 2 });
    // It begins where the first one ends, beside it, and leads back over where that began.
    expect(back.steps).toMatchObject({ foot: { x: near(2), y: near(length), z: near(1 + height) }, heading: 180 });
  });
});
