import fc from "fast-check";
import { distance2, dot, norm, sub } from "../geometry";
import { LAWS, type LawId } from "../lens";
import { between, shotWith } from "../../testing";
import { pinsOf } from "../vanishing";
import { asBackOf, CurveBook, drawPlane, following, projectDirection, rimRadius, twoDiscs, viewOf, withLaw } from ".";

const main = { id: "main", name: "Main streets", heading: 35 };
const next = { id: "s2", name: "Behind", page: "p" };
const discs = (Object.keys(LAWS) as LawId[]).filter((id) => !LAWS[id].straight && LAWS[id].shape === "round");
const anyDisc = fc
  .tuple(fc.constantFrom(...discs), between(-180, 180), between(-90, 90), between(-180, 180))
  .map(([law, heading, pitch, roll]) => withLaw(shotWith({ gaze: { heading, pitch, roll }, distance: 60 }), law));

describe("two discs back to back", () => {
  it("look opposite ways, touch at their rims, and show each of the six points once within them", () => {
    fc.assert(
      fc.property(anyDisc, (shot) => {
        const [front, back] = twoDiscs(shot, next);
        const [a, b] = [viewOf(front), viewOf(back)];
        expect(norm(sub(a.up, b.up))).toBeLessThan(1e-9);
        expect(dot(a.forward, b.forward)).toBeCloseTo(-1, 9);
        expect(distance2(a.centre, b.centre)).toBeCloseTo(2 * rimRadius(front), 6);
        expect(rimRadius(back)).toBeCloseTo(rimRadius(front), 9);
        const inside = [front, back].map((disc) =>
          pinsOf([main], disc).filter(
            ({ direction, point: { at } }) =>
              at &&
              dot(direction, viewOf(disc).forward) > 1e-6 &&
              distance2(at, viewOf(disc).centre) <= rimRadius(disc),
          ),
        );
        const square = pinsOf([main], front).some(({ direction }) => Math.abs(dot(direction, a.forward)) < 1e-5);
        if (!square) expect(inside.map((pins) => pins.length)).toEqual([3, 3]);
      }),
    );
  });

  it("meet: what leaves the front on its right side enters the back on its left, at the same place of the rim", () => {
    const [front, back] = twoDiscs(withLaw(shotWith(), "stereographic"), next);
    const [a, b] = [viewOf(front), viewOf(back)];
    const [p, q] = [projectDirection(a, a.right), projectDirection(b, a.right)];
    expect(p).toEqual([expect.closeTo(q![0], 6), expect.closeTo(q![1], 6)]);
  });

  it("follow each other, and there and back again is the same", () => {
    fc.assert(
      fc.property(anyDisc, (shot) => {
        const [front, back] = twoDiscs(shot, next);
        const turned = { ...front, gaze: { heading: 20, pitch: 10, roll: 5 }, lens: { ...front.lens, distance: 33 } };
        const [[at, followed]] = following([turned, back], turned);
        expect(at).toBe(1);
        expect(followed.lens).toEqual({ ...turned.lens, centre: back.lens.centre });
        const { gaze } = asBackOf(turned, followed);
        for (const key of ["heading", "pitch", "roll"] as const) expect(gaze[key]).toBeCloseTo(turned.gaze[key], 9);
        expect(following([turned, { ...back, backOf: undefined }], turned)).toEqual([]);
      }),
    );
  });

  it("are cut at the disc's edge, every curve on it or within", () => {
    const [front] = twoDiscs(withLaw(shotWith({ gaze: { pitch: 20 } }), "stereographic"), next);
    const view = viewOf({ ...front, frame: { x: -1000, y: -1000, width: 3000, height: 3000 } });
    const book = new CurveBook();
    drawPlane(view, [0, 0, 1], book);
    drawPlane(view, [1, 0.3, 0.2], book);
    const { xy, starts } = book.curves();
    const off = Array.from({ length: xy.length / 2 }, (_, i) => distance2([xy[2 * i], xy[2 * i + 1]], view.centre));
    expect(Math.max(...off)).toBeLessThan(rimRadius(front) + 1e-6);
    expect(Math.max(...off)).toBeGreaterThan(rimRadius(front) - 1e-3);
    expect(starts.length).toBeGreaterThan(2);
  });
});
