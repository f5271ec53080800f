import fc from "fast-check";
import { between, whyOpen } from "../../testing";
import { plainHouse, whyNot } from "../../testing/houses";
import type { Vec3 } from "../geometry";
import { areaTwice, build, built, DEFAULT_WINDOWS, facing, outlineOf, volumeOf, type Building, type Solid } from ".";

/** The area between an arc and its chord, by its chord and rise (elementary geometry). */
function segment(chord: number, rise: number): number {
  const radius = (chord * chord) / (8 * rise) + rise / 2;
  const turn = 2 * Math.asin(chord / 2 / radius);
  return (radius * radius * (turn - Math.sin(turn))) / 2;
}
/** What a round corner takes off a square one. */
const cutOff = (radius: number): number => radius * radius * (1 - Math.PI / 4);

const curved = (change: Partial<Building> = {}): Building =>
  plainHouse({ bows: [{ side: 0, rise: 1.5 }], corners: [{ corner: 2, radius: 2 }], ...change });

const isUpright = (solid: Solid, { a, b }: { a: number; b: number }) => {
  const [p, q] = [solid.vertices[a], solid.vertices[b]];
  return Math.hypot(p[0] - q[0], p[1] - q[1]) < 1e-9;
};

describe("walls that bow and corners that are round", () => {
  it("enclose what plain geometry makes of their arcs", () => {
    const area = 12 * 9 + segment(12, 1.5) - cutOff(2);
    expect(areaTwice(outlineOf(curved())) / 2).toBeCloseTo(area, 1);
    const [solid] = build([curved()]);
    expect(whyOpen(solid)).toBeNull();
    // Its facets leave the arcs by a centimetre at the most.
    expect(Math.abs(volumeOf(solid) / 9 - area)).toBeLessThan(0.01 * 20);
    // A wall may bow inwards, as a crescent's does.
    const inwards = 12 * 9 - segment(12, 1.5);
    expect(areaTwice(outlineOf(curved({ bows: [{ side: 0, rise: -1.5 }], corners: undefined }))) / 2).toBeCloseTo(
      inwards,
      1,
    );
  });

  it("stay closed whatever they measure, under a parapet, set back, and around a courtyard", () => {
    fc.assert(
      fc.property(
        between(-3, 3),
        fc.array(between(0.1, 2.9), { minLength: 4, maxLength: 4 }),
        fc.constantFrom<Partial<Building>>(
          { roof: { kind: "flat", rise: 0.8 } },
          { setbacks: [{ inset: 1, height: 3 }] },
          {
            courtyards: [
              [
                { x: 5, y: 4 },
                { x: 7, y: 4 },
                { x: 6, y: 5 },
              ],
            ],
          },
        ),
        (rise, radii, change) => {
          const corners = radii.map((radius, corner) => ({ corner, radius }));
          const building = curved({ bows: [{ side: 1, rise: rise / 3 }], corners, ...change });
          expect(whyNot(building)).toBe("");
          // A parapet goes around its roof, as walls around a courtyard.
          const rings = change.roof?.rise !== undefined || change.courtyards ? 1 : 0;
          build([building]).forEach((solid, i) => expect(whyOpen(solid, i === 0 ? rings : 0)).toBeNull());
        },
      ),
      { numRuns: 30 },
    );
  });

  it("have no line where a wall goes on into a round corner, but where that turns away from the eye", () => {
    const [solid] = build([plainHouse({ corners: [0, 1, 2, 3].map((corner) => ({ corner, radius: 2 })) })]);
    // From the south-west, both walls that meet at the first corner look at the eye: its arc does, too.
    const eye: Vec3 = [-30, -40, 1.6];
    const mesh = facing(solid, eye, { within: 1e-5 });
    const upright = mesh.edges.filter((edge) => isUpright(mesh, edge));
    // Two contours, on the arcs of the corners beside it.
    expect(upright.map(({ a }) => mesh.vertices[a].slice(0, 2))).toHaveLength(2);
    for (const { a } of upright) {
      const [x, y] = mesh.vertices[a];
      const middle = x > 6 ? [10, 2] : [2, 7];
      const out = [x - middle[0], y - middle[1]];
      expect(Math.hypot(...out)).toBeCloseTo(2, 9);
      // A tangent from the eye is square to the radius (Euclid III.18).
      expect(out[0] * (eye[0] - x) + out[1] * (eye[1] - y)).toBeCloseTo(0, 6);
    }
  });

  it("have windows along their arcs: as many as their length has room for, on the wall", () => {
    const rise = 1.5;
    const building = plainHouse({ windows: DEFAULT_WINDOWS, bows: [{ side: 0, rise }] });
    const radius = (12 * 12) / (8 * rise) + rise / 2;
    const long = 2 * radius * Math.asin(6 / radius);
    const own = built([building]).details.filter(({ kind, on }) => kind === "window" && on?.round);
    const bays = Math.floor((long - 0.4) / DEFAULT_WINDOWS.every);
    expect(new Set(own.map(({ item }) => item)).size).toBe(3 * bays);
    const middle = [6, radius - rise];
    for (const { a, b } of own)
      for (const [x, y] of [a, b]) expect(Math.hypot(x - middle[0], y - middle[1])).toBeCloseTo(radius, 9);
    // The walls beside it have theirs as ever.
    expect(built([building]).details.filter(({ kind, on }) => kind === "window" && !on?.round).length).toBeGreaterThan(
      0,
    );
  });

  it("take a door where it is set, and windows of rule keep clear of it", () => {
    const door = { x: 6, y: 0, width: 1, height: 2.1 };
    const building = plainHouse({ windows: DEFAULT_WINDOWS, bows: [{ side: 0, rise: 1.5 }], doors: [door] });
    const doors = built([building]).details.filter(({ kind }) => kind === "door");
    const xs = doors.flatMap(({ a, b }) => [a[0], b[0]]);
    expect((Math.min(...xs) + Math.max(...xs)) / 2).toBeCloseTo(6, 6);
    expect(Math.min(...doors.map(({ a }) => a[1]))).toBeCloseTo(-1.5, 1);
  });

  it("make round corners of upper parts smaller by how far these are set back", () => {
    const [, upper] = build([curved({ bows: undefined, setbacks: [{ inset: 0.5, height: 3 }] })]);
    expect(Math.abs(volumeOf(upper) / 3 - (11 * 8 - cutOff(1.5)))).toBeLessThan(0.05);
  });

  it("are refused where they cannot be", () => {
    const why = (change: Partial<Building>) => whyNot(plainHouse(change));
    expect(why({ corners: [{ corner: 1, radius: 9 }] })).toBe("corners/0/radius takes more of wall 2 than it has.");
    expect(why({ corners: [{ corner: 7, radius: 1 }] })).toBe("corners/0/corner is none: the footprint has 4 corners.");
    expect(why({ bows: [{ side: 0, rise: 7 }] })).toBe(
      "bows/0/rise is more than a half circle: 6.00 m is the most for this wall.",
    );
    expect(why({ bows: [0, 2].map((side) => ({ side, rise: -5 })) })).toBe("bows make walls cut each other.");
    expect(why({ bows: [{ side: 0, rise: 1 }], roof: { kind: "hip" } })).toContain("take a flat roof");
    expect(why({ bows: [{ side: 0, rise: 1 }], fronts: [{ side: 0, bays: "3" }] })).toContain("is straight");
    expect(why({ corners: [{ corner: 0, radius: 2 }], fronts: [{ side: 0, bays: "3" }] })).toContain(
      "fronts/0/ends are too short",
    );
    expect(why({ corners: [{ corner: 0, radius: 2 }], fronts: [{ side: 0, bays: "3", ends: 2 }] })).toBe("");
  });
});
