import fc from "fast-check";
import { between } from "../../testing";
import { distance2, type Vec2 } from "../geometry";
import { toSvg } from "../drawing";
import { corneredUnder, cornerOfUnder, laidByTwo, laidUnder, movedUnder, onUnder } from ".";

const SIZE = { width: 1600, height: 1200 };
const under = laidUnder({ id: "rough", ...SIZE }, { x: 15, y: 15, width: 390, height: 267 });

describe("a picture under a drawing", () => {
  it("lies whole in the middle of its panel, in its own proportions", () => {
    expect(under.at).toEqual({ x: 210 - 178, y: 15, width: 356, height: 267 });
    expect(cornerOfUnder(under)).toEqual([388, 282]);
  });

  it("is laid by two places: both come to where they should, and its proportions stay", () => {
    const place = fc.tuple(between(20, 400), between(20, 280)).map(([x, y]): Vec2 => [x, y]);
    fc.assert(
      fc.property(place, place, place, place, between(-170, 170), (p, q, u, v, turn) => {
        fc.pre(distance2(p, q) > 5 && distance2(u, v) > 5);
        const start = { ...under, turn };
        // Places of the picture itself, px, found again where they lie afterwards.
        const inPicture = (at: Vec2): Vec2 => {
          const [o, x, y] = [
            [0, 0],
            [1, 0],
            [0, 1],
          ].map((px): Vec2 => onUnder(start, SIZE, [px[0], px[1]]));
          const [a, b, c, d] = [x[0] - o[0], y[0] - o[0], x[1] - o[1], y[1] - o[1]];
          const [dx, dy, det] = [at[0] - o[0], at[1] - o[1], a * d - b * c];
          return [(d * dx - b * dy) / det, (a * dy - c * dx) / det];
        };
        const laid = laidByTwo(start, [p, q], [u, v]);
        expect(distance2(onUnder(laid, SIZE, inPicture(p)), u)).toBeLessThan(1e-6);
        expect(distance2(onUnder(laid, SIZE, inPicture(q)), v)).toBeLessThan(1e-6);
        expect(laid.at.width / laid.at.height).toBeCloseTo(under.at.width / under.at.height, 9);
      }),
    );
    expect(
      laidByTwo(
        under,
        [
          [1, 1],
          [1, 1],
        ],
        [
          [5, 5],
          [9, 9],
        ],
      ),
    ).toBe(under);
  });

  it("is moved, and turned by its corner about its middle", () => {
    expect(movedUnder(under, [5, -3]).at).toMatchObject({ x: under.at.x + 5, y: under.at.y - 3 });
    const to: Vec2 = [300, 20];
    const turned = corneredUnder(under, to);
    expect(distance2(cornerOfUnder(turned), to)).toBeLessThan(1e-9);
    expect(turned.at.x + turned.at.width / 2).toBeCloseTo(210, 9);
  });

  it("is turned in an SVG as it is on the board", () => {
    const photo = {
      picture: "a",
      name: "Rough",
      at: under.at,
      turn: 12,
      clip: { x: 0, y: 0, width: 420, height: 297 },
      opacity: 1,
    };
    const svg = toSvg(
      { title: "t", width: 420, height: 297, layers: [], photos: [photo] },
      1,
      new Map([["a", "x.jpg"]]),
    );
    expect(svg).toContain('transform="rotate(12 210 148.5)"');
    expect(svg).toMatch(/<g [^>]*clip-path="url\(#photo-1\)">/);
  });
});
