import type { Building, Street } from "@zanvo/core/world";
import { DEFAULT_STREET } from "@zanvo/core/world";
import { alike } from "./alike";

const house = (id: string, wide: number, more: Partial<Building> = {}): Building => ({
  id,
  kind: "building",
  name: id,
  footprint: [
    [0, 0],
    [wide, 0],
    [wide, 8],
    [0, 8],
  ].map(([x, y]) => ({ x, y })),
  base: 0,
  height: 6,
  roof: { kind: "flat" },
  ...more,
});

describe("a change that holds for several things", () => {
  const [loft, shed] = [house("Sail loft", 10), house("Shed", 5, { height: 3, storeys: 1 })];

  it("gives all of them the same measures, roof and windows, and leaves each where it is", () => {
    const windows = { every: 3, width: 1, height: 1.2, sill: 0.9 };
    const next: Building = { ...loft, height: 9, storeys: 3, roof: { kind: "gable", rise: 2 }, windows };
    const { changed, kept, placed } = alike([loft, shed], next);
    expect(changed).toEqual([next, { ...next, id: "Shed", name: "Shed", footprint: shed.footprint }]);
    expect([kept, placed]).toEqual([[], false]);
  });

  it("takes away from all what is taken away from one", () => {
    const steep = [loft, shed].map((one): Building => ({ ...one, slope: { heading: 0, grade: 5 } }));
    const { changed } = alike(steep, { ...steep[0], slope: undefined });
    expect(changed.map(({ slope }) => slope)).toEqual([undefined, undefined]);
  });

  it("does not put parts of one where they are of another", () => {
    const moved: Building = { ...loft, footprint: loft.footprint.map(({ x, y }) => ({ x: x + 1, y })) };
    expect(alike([loft, shed], moved)).toEqual({ changed: [], kept: [], placed: true });
    expect(alike([loft, shed], { ...loft, doors: [{ x: 1, y: 0, width: 1, height: 2 }] }).placed).toBe(true);
  });

  it("leaves those as they are that cannot be so, and says why", () => {
    // Set back by 3 m on all sides, 5 m leave nothing.
    const next: Building = { ...loft, setbacks: [{ inset: 3, height: 2 }] };
    const { changed, kept } = alike([loft, shed], next);
    expect(changed).toEqual([next]);
    expect(kept).toMatchObject([{ name: "Shed", why: expect.anything() as unknown }]);
  });

  it("holds for streets as well", () => {
    const street = (id: string, x: number): Street => ({
      id,
      kind: "street",
      name: id,
      path: [
        { x, y: 0 },
        { x, y: 40 },
      ],
      ...DEFAULT_STREET,
    });
    const [one, other] = [street("Rope walk", 0), street("Tar lane", 20)];
    const { changed } = alike([one, other], { ...one, pavement: 3, junctions: { radius: 5 } });
    expect(changed).toMatchObject([one, other].map(({ path }) => ({ path, pavement: 3, junctions: { radius: 5 } })));
  });
});
