import fc from "fast-check";
import { headingDirection, type Vec3 } from "../geometry";
import type { Reference } from "../scene";
import { between } from "../../testing";
import { asEdges, gauss, tracedEdges, type Camera } from "../../testing/simulated";
import { as35, boundsOf, judged, shotFrom, straightened, straightening, viewOfReference } from ".";
import { newScene } from "../scene";

const SIZE = { width: 4000, height: 3000 };
const camera = (change: Partial<Camera> = {}): Camera => ({
  f: 3600,
  centre: [2000, 1500],
  gaze: { heading: 8, pitch: 14, roll: 2 },
  ...change,
});
const ALONG: Readonly<Record<"left" | "right" | "upright", Vec3>> = {
  left: headingDirection(-40),
  right: headingDirection(50),
  upright: [0, 0, 1],
};
type Role = keyof typeof ALONG;

/** A reference that a hand of 1 px traced. */
function traced(of: Camera, seed = 1, roles: readonly Role[] = ["left", "right", "upright"]): Reference {
  const noise = gauss(seed);
  return {
    id: "r",
    name: "Ferry stage",
    picture: "0".repeat(64),
    ...SIZE,
    sets: roles.map((role, k) => ({
      id: role,
      name: role,
      role,
      edges: asEdges(tracedEdges(of, ALONG[role], 14, 1, noise, 30 + k + seed)),
    })),
  };
}
/** The part of a picture from so many px from the left and from the top on. */
const cut = (reference: Reference, dx: number, dy: number, size = { width: 2400, height: 2000 }): Reference => ({
  ...reference,
  ...size,
  sets: reference.sets.map((set) => ({
    ...set,
    edges: set.edges.map(({ x1, y1, x2, y2 }) => ({ x1: x1 - dx, y1: y1 - dy, x2: x2 - dx, y2: y2 - dy })),
  })),
});
/** What is suggested first. */
const first = (reference: Reference) => judge(reference).suggestions[0]?.what;
const judge = (reference: Reference) => judged(reference, viewOfReference(reference).misfit)!;

describe("a view and the edges it is to explain", () => {
  it("agree where nothing is wrong, whatever the camera: the sum of squares is as a hand of 1 px makes it", () => {
    const sums: number[] = [];
    fc.assert(
      fc.property(between(2500, 6000), between(5, 25), between(-5, 5), fc.integer(), (f, pitch, roll, seed) => {
        const { misfit, poor, suggestions } = judge(traced(camera({ f, gaze: { heading: 8, pitch, roll } }), seed));
        expect([poor, suggestions]).toEqual([false, []]);
        sums.push(misfit.chiSquare / misfit.freedom);
      }),
      { numRuns: 60, endOnFailure: true },
    );
    // A chi-square divided by its degrees of freedom is one in the mean; strays that are left out make it less.
    const mean = sums.reduce((sum, one) => sum + one, 0) / sums.length;
    expect(mean).toBeGreaterThan(0.7);
    expect(mean).toBeLessThan(1.1);
  });

  it("do not where the photo was cropped, which is suggested, and falls to what is to be expected", () => {
    const cropped = cut(traced(camera()), 1300, 700);
    const { misfit, poor, suggestions } = judge(cropped);
    expect(poor).toBe(true);
    const [suggestion] = suggestions;
    expect(suggestion).toMatchObject({ what: "The photo was cropped" });
    expect(suggestion.chiSquare).toBeLessThan(misfit.chiSquare / 5);
    const mended = suggestion.change(cropped);
    expect(mended.cropped).toBe(true);
    expect(judge(mended)).toMatchObject({ poor: false, suggestions: [] });
    expect(viewOfReference(mended).focalLength!.px / 3600).toBeCloseTo(1, 1);
  });

  it("do not where a lens, a horizon or a level camera is said to be what the edges deny", () => {
    const right = traced(camera());
    const lens = { ...right, lens35: 1.5 * as35(SIZE, 3600) };
    expect(first(lens)).toBe("The lens is another");
    const horizon = { ...right, horizon: { x1: 0, y1: 1500, x2: 4000, y2: 1500 } };
    expect(first(horizon)).toBe("The horizon is another");
    expect(first({ ...right, level: true })).toBe("The camera was not level");
    for (const wrong of [lens, horizon]) expect(judge(judge(wrong).suggestions[0].change(wrong)).poor).toBe(false);
  });

  it("do not where one set runs another way than it is said to, which is named", () => {
    const right = traced(camera());
    const [left] = right.sets;
    // Edges of a street that is turned by 20 degrees, taken for left ones.
    const turned = asEdges(tracedEdges(camera(), headingDirection(-20), 14, 1, gauss(4), 77));
    const wrong = { ...right, sets: [{ ...left, edges: turned }, ...right.sets.slice(1)] };
    const { poor, suggestions } = judge(wrong);
    expect(poor).toBe(true);
    // Three points are explained by another centre, too; and either of the two level sets may be the one.
    const whats = suggestions.map(({ what }) => what);
    expect(whats).toContain("Left and right are not square");
    expect(whats.length).toBeLessThan(4);
    for (const { change } of suggestions) expect(judge(change(wrong)).poor).toBe(false);
  });

  it("say how far each edge misses the view, in px of the hand", () => {
    const right = traced(camera());
    const [left, ...rest] = right.sets;
    const [first, ...others] = left.edges;
    const off = { ...first, y2: first.y2 + 60 };
    const { residuals } = viewOfReference({ ...right, sets: [{ ...left, edges: [off, ...others] }, ...rest] }).misfit!;
    expect(Math.abs(residuals[0]![0])).toBeGreaterThan(10);
    expect(Math.max(...residuals[0]!.slice(1).map(Math.abs))).toBeLessThan(4);
  });
});

describe("bounds of a view", () => {
  it("come from standard deviations that are right: errors in them are as a normal distribution has them", () => {
    const runs = 200;
    const errors = Array.from({ length: runs }, (_, seed) => {
      const { focalLength, pitch, roll, sure } = viewOfReference(traced(camera(), seed + 1));
      return [(focalLength!.px - 3600) / focalLength!.sd, (pitch! - 14) / sure!.pitch, (roll! - 2) / sure!.roll];
    });
    for (const which of [0, 1, 2]) {
      const own = errors.map((one) => one[which]);
      // Of 200, 95 % within 1.96 are 190 with a standard deviation of 3; a mean square of one has one of 0.1.
      const held = own.filter((error) => Math.abs(error) < 1.96).length;
      expect(held).toBeGreaterThan(180);
      expect(held).toBeLessThan(200);
      const square = own.reduce((sum, error) => sum + error * error, 0) / runs;
      expect(square).toBeGreaterThan(0.7);
      expect(square).toBeLessThan(1.3);
    }
  });

  it("hold the truth at least 95 times of a hundred, and are never nothing", () => {
    let [lens, pitch, roll] = [0, 0, 0];
    const runs = 200;
    for (let seed = 1; seed <= runs; seed++) {
      const view = viewOfReference(traced(camera(), seed));
      const bounds = boundsOf(view);
      if (Math.abs(view.focalLength!.px / 3600 - 1) <= bounds.lens!) lens++;
      if (Math.abs(view.pitch! - 14) <= bounds.pitch!) pitch++;
      if (Math.abs(view.roll! - 2) <= bounds.roll!) roll++;
    }
    for (const held of [lens, pitch, roll]) expect(held / runs).toBeGreaterThan(0.9);
    expect(lens / runs).toBeLessThan(1);
    expect(boundsOf({ focalLength: { px: 3600, sd: 1e-9 }, sure: { pitch: 0, roll: 0 } })).toEqual({
      lens: expect.closeTo(0.005, 6),
      pitch: 0.1,
      roll: 0.1,
    });
    expect(boundsOf({ focalLength: { px: 3600, sd: 0 }, sure: null })).toEqual({ lens: null, pitch: null, roll: null });
  });
});

it("one façade is enough: a level set and uprights tell the view, and still do once the photo is straightened", () => {
  const façade = traced(camera(), 3, ["left", "upright"]);
  const view = viewOfReference(façade);
  expect(view.focalLength!.px / 3600).toBeCloseTo(1, 1);
  expect(view.pitch).toBeCloseTo(14, 0);
  const straight = straightened(façade, straightening(façade, view), { id: "s", name: "s", picture: "1".repeat(64) });
  const [shot] = newScene("Ferry stage").shots;
  const made = shotFrom(shot, { heading: 35 }, straight);
  expect(made.gaze.pitch).toBeCloseTo(0, 6);
  expect(viewOfReference(straight).focalLength!.px).toBeCloseTo(view.focalLength!.px, 0);
});
