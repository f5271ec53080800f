import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import type { Vec3 } from "../geometry";
import { inMetric } from "../units";
import { HIDDEN, visibleEdges } from "../visibility";
import {
  boxOf,
  build,
  built,
  comfortable,
  DEFAULT_STEPS,
  kindOf,
  moved,
  nextFlight,
  outlineOf,
  sizeOf,
  STAIRS,
  upBy,
  validateElement,
  volumeOf,
  type StairPlan,
  type Steps,
} from ".";

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

const PLANS = Object.keys(STAIRS) as StairPlan[];
const why = (one: Steps): string => {
  const problem = validateElement(one);
  return problem ? `${problem.field} ${inMetric(problem.message)}` : "";
};
const volume = (one: Steps) => build([one]).reduce((sum, solid) => sum + volumeOf(solid), 0);

describe("stairs", () => {
  it("are closed solids on any plan, to either side, open or solid, at any measures", () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...PLANS),
        fc.boolean(),
        fc.boolean(),
        fc.integer({ min: 2, max: 24 }),
        between(0.12, 0.22),
        between(0.22, 0.4),
        between(0.8, 3),
        between(0, 360),
        (plan, left, open, count, riser, tread, width, heading) => {
          const one = steps({
            plan,
            left,
            open,
            count,
            riser,
            tread,
            width,
            heading,
            eye: open ? 0.2 : 4,
            rails: true,
          });
          fc.pre(why(one) === "");
          const { solids, details } = built([one]);
          for (const solid of solids) {
            expect(whyOpen(solid)).toBeNull();
            expect(volumeOf(solid)).toBeGreaterThan(0);
          }
          expect(details.length).toBeGreaterThan(count);
          const tops = solids.flatMap(({ vertices }) => vertices.map(([, , z]) => z));
          if (!open) expect(Math.max(...tops)).toBeCloseTo(1 + count * riser, 9);
          // All of it stands within its outline's box.
          const { origin, length, width: wide } = boxOf(one);
          const [c, s] = [Math.cos((heading * Math.PI) / 180), Math.sin((heading * Math.PI) / 180)];
          for (const [x, y] of solids.flatMap(({ vertices }) => vertices)) {
            const [dx, dy] = [x - origin.x, y - origin.y];
            expect(dx * s + dy * c).toBeGreaterThan(-0.05);
            expect(dx * s + dy * c).toBeLessThan(length + 0.05);
            expect(dx * c - dy * s).toBeGreaterThan(-0.05);
            expect(dx * c - dy * s).toBeLessThan(wide + 0.05);
          }
        },
      ),
      { numRuns: 150, seed: 4 },
    );
  });

  it("have the volume that arithmetic gives, turned to either side", () => {
    const [count, riser, tread, width, at] = [9, 0.17, 0.29, 1.2, 4];
    const lower = (tread * width * riser * ((at - 1) * at)) / 2;
    let upper = 0;
    for (let up = at + 1; up <= count; up++) upper += tread * width * riser * up;
    const landing = (area: number) => area * at * riser;
    for (const left of [false, true]) {
      const one = { count, riser, tread, width, left, landing: at };
      const whole = (area: number) => expect.closeTo(lower + upper + landing(area), 9) as number;
      expect(volume(steps({ ...one, plan: "straight" }))).toEqual(whole(width * width));
      expect(volume(steps({ ...one, plan: "quarter" }))).toEqual(whole(width * width));
      expect(volume(steps({ ...one, plan: "half" }))).toEqual(whole(width * (2 * width + 0.1)));
    }
    // A ring's sector, as its chords have it: each tread turns by 0.3 / 3.5 radians, in one piece.
    const [inner, outer, each] = [3, 4, 0.3 / 3.5];
    const sector = ((outer * outer - inner * inner) / 2) * Math.sin(each);
    const spiral = steps({ plan: "spiral", eye: 3, width: 1, count: 12, riser, tread: 0.3 });
    expect(volume(spiral)).toBeCloseTo(sector * riser * 78, 9);
  });

  it("lead two flights to the same heights whichever way they turn", () => {
    const heights = (change: Partial<Steps>) =>
      [...new Set(build([steps({ count: 12, ...change })]).flatMap(({ vertices }) => vertices.map(([, , z]) => z)))]
        .map((z) => z.toFixed(9))
        .sort();
    const straight = heights({});
    for (const plan of PLANS.slice(0, 3))
      for (const left of [false, true]) expect(heights({ plan, left, landing: 5 })).toEqual(straight);
  });

  it("show a tread only where it is seen from above", () => {
    fc.assert(
      fc.property(fc.constantFrom("straight", "quarter" as const), between(1.1, 3.4), (plan, z) => {
        const one = steps({
          plan,
          heading: 0,
          foot: { x: 0, y: 0, z: 1 },
          count: 12,
          landing: plan === "quarter" ? 8 : undefined,
        });
        const [solid] = build([one]);
        const eye: Vec3 = [0.3, -6, z];
        fc.pre(Math.abs(((z - 1) / 0.165) % 1) > 0.05);
        const visible = visibleEdges([solid], eye);
        const back = solid.edges.filter(({ concave, a, b }) => {
          const [p, q] = [solid.vertices[a], solid.vertices[b]];
          return concave && p[1] === q[1] && p[2] === q[2];
        });
        expect(back.length).toBeGreaterThan(4);
        for (const { a, b } of back) {
          const [p, q] = [solid.vertices[a], solid.vertices[b]];
          const middle = [(p[0] + q[0]) / 2, p[1], p[2]];
          const seen = [...visible.edgeClass.keys()].some((i) => {
            const e = visible.ends.subarray(6 * i, 6 * i + 6);
            const level = Math.abs(e[1] - middle[1]) < 1e-9 && Math.abs(e[2] - middle[2]) < 1e-9 && e[1] === e[4];
            return level && (e[0] - middle[0]) * (e[3] - middle[0]) < 0 && visible.edgeClass[i] !== HIDDEN;
          });
          expect(seen).toBe(z > p[2]);
        }
      }),
      { numRuns: 60, seed: 8 },
    );
  });

  it("lead up by a typed height with whole risers, and have treads to go with them", () => {
    expect(upBy(steps({ riser: 0.17 }), 3)).toMatchObject({ count: 18, riser: 3 / 18 });
    const tread = comfortable(steps({ riser: 0.17 })).tread;
    expect(tread).toBeCloseTo(0.29, 9);
    const figure = (riser: number, of: number) => kindOf(steps()).figures!(steps({ riser, tread: of }))[0];
    // Blondel's rule, 1675 (from memory): 0.60 to 0.65 m.
    const within = ({ value, limits }: ReturnType<typeof figure>) => value >= limits[0] && value <= limits[1];
    expect([within(figure(0.17, 0.29)), within(figure(0.2, 0.3)), within(figure(0.15, 0.28))]).toEqual([
      true,
      false,
      false,
    ]);
  });

  it("say why they cannot be, and what is odd about them", () => {
    expect(why(steps({ landing: 7 }))).toBe("landing is none: there are only 7 risers.");
    expect(why(steps({ plan: "half", count: 1 }))).toBe(
      "count is too low: stairs that turn have two risers at the least.",
    );
    expect(why(steps({ plan: "spiral", count: 60, eye: 0.2, width: 1 }))).toMatch(
      /^count is too high: the stairs turn by 1473°/,
    );
    expect(why(steps({ plan: "spiral", ramp: true }))).toBe("ramp cannot be a spiral.");
    expect(why(steps({ plan: "spiral", open: true, width: 0.2, eye: 0.05 }))).toContain("tread is too deep");
    expect(why(steps({ plan: "half", cheeks: true }))).toBe("cheeks go with straight steps only.");
    const odd = (one: Steps) => kindOf(one).oddities!(one).map(({ told }) => inMetric(told));
    expect(odd(steps({ count: 19 }))).toEqual(["A flight of Ferry steps has 19 risers: after 18 a landing is usual."]);
    expect(kindOf(steps()).oddities!(steps({ count: 19 }))).toMatchObject([{ value: 19, unit: "" }]);
    expect(odd(steps({ count: 19, landing: 10 }))).toEqual([]);
    expect(
      odd(steps({ plan: "spiral", open: true, eye: 0.2, width: 0.8, count: 20, riser: 0.15, tread: 0.25 })),
    ).toEqual([]);
    expect(
      odd(steps({ plan: "spiral", open: true, eye: 0.1, width: 0.6, count: 20, riser: 0.18, tread: 0.25 }))[0],
    ).toBe("Once around, Ferry steps leave 1.76 m over the head: 2.00 m are needed.");
  });
});
