import fc from "fast-check";
import { readScene, writeScene } from "../document";
import { wrap } from "../geometry";
import type { Kit } from "../scene";
import { newScene, shotOf } from "../scene";
import { project, viewOf } from "../shot";
import {
  build,
  DEFAULT_ROW,
  fillRow,
  isBuilding,
  moved,
  newBuilding,
  newFixture,
  outlineOf,
  turned,
  usualFront,
  withFront,
  type Building,
  type Element,
} from "../world";
import {
  asHere,
  beside,
  frameOf,
  frontOfKit,
  instancesOf,
  kitFrom,
  kitIn,
  kitOfFront,
  kitOfThings,
  kitsOfRow,
  ORIGIN,
  putDown,
  released,
  renewed,
  rowKitOf,
} from ".";

const square = (wide: number, deep: number) => [
  { x: 3, y: 5 },
  { x: 3 + wide, y: 5 },
  { x: 3 + wide, y: 5 + deep },
  { x: 3, y: 5 + deep },
];
const plain = newBuilding({
  ...{ id: "pub", name: "The Lantern", footprint: square(8, 6), base: 0, height: 7, storeys: 2 },
  roof: { kind: "gable", rise: 2 },
});
/** A house whose front faces east. */
const pub: Building = withFront(plain, usualFront(plain, 1));
const lantern: Element = { ...newFixture("lantern", { x: 11, y: 7, z: 2.6 }, 90), id: "lantern", name: "Lantern" };

let count = 0;
const fresh = () => `fresh ${count++}`;
const kit = (things: readonly Element[], id = "k", facing = 0): Kit =>
  kitIn(id, 1, kitOfThings(things, "Pub", facing))!;
const near = (a: readonly number[], b: readonly number[]) => a.forEach((v, i) => expect(v).toBeCloseTo(b[i], 9));

describe("a kit of things", () => {
  it("stands before the origin, faces south, and is a document that can be read", () => {
    const scene = kitOfThings([{ ...pub, locked: true, group: "row", row: "r", kept: true }, lantern], "Pub", 0);
    const [house, lamp] = readScene(writeScene(scene)).elements;
    expect(scene).toMatchObject({ title: "Pub", kit: "things" });
    expect(house).not.toHaveProperty("locked");
    expect(house).not.toHaveProperty("group");
    expect(house).not.toHaveProperty("row");
    // The front was 6 m wide, and is now on the line through the origin.
    const ys = outlineOf(house).map(([, y]) => y);
    const xs = outlineOf(house).map(([x]) => x);
    near([Math.min(...ys), Math.max(...ys), Math.min(...xs), Math.max(...xs)], [0, 8, -3, 3]);
    // What was 2 m from the front's right end hangs 1 m from its middle, and faces as it does.
    const { at, z, heading } = frameOf(lamp);
    near([...at, z, wrap(heading)], [-1, 0, 2.6, 180]);
  });

  it("is seen whole in its picture", () => {
    const scene = kitOfThings([pub, lantern], "Pub", 0);
    const shot = shotOf(scene);
    const view = viewOf(shot);
    for (const { vertices } of build(scene.elements))
      for (const vertex of vertices) {
        const [x, y] = project(view, vertex)!;
        expect(x).toBeGreaterThan(shot.frame.x);
        expect(x).toBeLessThan(shot.frame.x + shot.frame.width);
        expect(y).toBeGreaterThan(shot.frame.y);
        expect(y).toBeLessThan(shot.frame.y + shot.frame.height);
      }
  });

  it("comes down as one wherever it is put: everything keeps its distance from everything else", () => {
    const place = fc.double({ min: -500, max: 500, noNaN: true });
    fc.assert(
      fc.property(place, place, fc.double({ min: -180, max: 180, noNaN: true }), (x, y, heading) => {
        const [house, lamp] = putDown(kit([pub, lantern]), { at: [x, y], z: 1.5, heading }, fresh);
        expect(wrap(frameOf(lamp).heading - heading + 180)).toBeCloseTo(180, 6);
        const [a, b] = [frameOf(house), frameOf(lamp)];
        const [p, q] = [frameOf(pub), frameOf(lantern)];
        expect(Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])).toBeCloseTo(
          Math.hypot(p.at[0] - q.at[0], p.at[1] - q.at[1]),
          9,
        );
        expect([a.z, b.z]).toEqual([1.5, 4.1]);
        expect(house.group).toBe(lamp.group);
      }),
    );
  });

  it("faces as it is told where nothing of it has a front", () => {
    const { fronts: _, ...blind } = pub;
    const ys = outlineOf(kit([blind], "k", 90).elements[0]).map(([, y]) => y);
    near([Math.min(...ys), Math.max(...ys)], [0, 8]);
  });
});

describe("instances of a kit", () => {
  const own = kit([pub, lantern]);
  const first = putDown(own, { at: [20, 30], z: 0, heading: 75 }, fresh);
  const second = putDown(own, { at: [-40, 10], z: 0.5, heading: -20 }, fresh);
  const scene = { elements: [...first, ...second], kits: [own] };

  it("change together, and stay where they stand", () => {
    const taller = first.map((one): Element => (isBuilding(one) ? { ...one, height: 9 } : one));
    const now = kitFrom(own, taller)!;
    // Back from where it stood, only the height is another.
    const [house] = now.elements;
    expect(house).toMatchObject({ id: own.elements[0].id, height: 9 });
    near(outlineOf(house).flat(), outlineOf(own.elements[0]).flat());
    const { elements, kits } = renewed(scene, now, fresh);
    expect(kits).toEqual([now]);
    expect(elements.map(({ id }) => id)).toEqual(scene.elements.map(({ id }) => id));
    const houses = elements.filter(isBuilding);
    expect(houses.map(({ height }) => height)).toEqual([9, 9]);
    houses.forEach((one, i) => near(outlineOf(one).flat(), outlineOf([first[0], second[0]][i]).flat()));
    expect(houses[1].base).toBeCloseTo(0.5, 9);
  });

  it("follow wherever each was moved and turned since", () => {
    const carried = second.map((one) => turned(moved(one, 3, -4), 33, [1, 2]));
    const { elements } = renewed({ ...scene, elements: [...first, ...carried] }, own, fresh);
    elements.forEach((one, i) => near(outlineOf(one).flat(), outlineOf([...first, ...carried][i]).flat()));
  });

  it("take what is added to one of them, and lose what is taken from it", () => {
    const pot: Element = { ...newFixture("lantern", { x: 19, y: 31, z: 3 }, 75), id: "pot", name: "Second lantern" };
    const more = kitFrom(own, [...first, pot])!;
    const withMore = renewed({ ...scene, elements: [...scene.elements, pot] }, more, fresh);
    expect(instancesOf(withMore.elements, own.id).map((parts) => parts.length)).toEqual([3, 3]);
    const less = kitFrom(more, instancesOf(withMore.elements, own.id)[0].slice(0, 1))!;
    const withLess = renewed(withMore, less, fresh);
    expect(instancesOf(withLess.elements, own.id).map((parts) => parts.length)).toEqual([1, 1]);
  });

  it("let one go its own way", () => {
    const alone = released(second);
    const now = { ...own, elements: own.elements.slice(0, 1) };
    const { elements } = renewed({ ...scene, elements: [...first, ...alone] }, now, fresh);
    expect(elements).toHaveLength(3);
    expect(elements.slice(1)).toEqual(alone);
  });

  it("are in a document, with the kit as it was taken over", () => {
    const document = { ...newScene("Quay"), ...scene };
    expect(readScene(writeScene(document))).toEqual(document);
    const broken = { ...own, elements: [{ ...pub, height: 0.5, groundFloor: 4 }] };
    expect(() => readScene(writeScene({ ...document, kits: [broken] }))).toThrow(/kits\/0\/elements\/0/);
  });
});

describe("the front of a wall as a kit", () => {
  const scene = kitOfFront(pub, pub.fronts![0], "Pub front");
  const front = kitIn("f", 1, scene)!;

  it("is put on a wall as wide as its own", () => {
    const [wall] = readScene(writeScene(scene)).elements;
    expect(wall).toMatchObject({ height: 7, storeys: 2, fronts: [{ ...pub.fronts![0], side: 0 }] });
    expect(outlineOf(wall)[1][0] - outlineOf(wall)[0][0]).toBeCloseTo(6, 9);
  });

  it("stays as it is on a wall that the new one does not fit, so that the scene can be saved", () => {
    const narrow: Building = { ...withFront({ ...plain, id: "a" }, { side: 0, bays: "door 1", kit: "f" }) };
    const [wall] = front.elements.filter(isBuilding);
    const bays = Array.from({ length: 12 }, () => "gate 1").join(", ");
    const wide: Kit = {
      ...front,
      elements: [{ ...wall, fronts: [{ side: 0, bays, own: [{ bay: 0, storey: 0, width: 5 }] }] }],
    };
    const { elements } = renewed({ elements: [narrow] }, wide, fresh);
    expect(elements).toEqual([narrow]);
  });

  it("is put as the scene has it while anything there is of it, and else as the shelf has it", () => {
    const newer: Kit = { ...front, revision: 2 };
    const used: Building = withFront({ ...plain, id: "a" }, { side: 0, bays: "door 1", kit: "f" });
    expect(asHere({ elements: [used], kits: [front] }, newer)).toBe(front);
    expect(asHere({ elements: [plain], kits: [front] }, newer)).toBe(newer);
    expect(asHere({ elements: [used] }, newer)).toBe(newer);
  });

  it("changes on every wall that has it", () => {
    const has = (id: string, side: number): Building =>
      withFront({ ...plain, id }, { ...frontOfKit(front)!, side, kit: "f" });
    const [wall] = front.elements.filter(isBuilding);
    const now: Kit = { ...front, elements: [{ ...wall, fronts: [{ side: 0, bays: "window 2, door 1" }] }] };
    const { elements } = renewed({ elements: [has("a", 1), pub, has("b", 2)] }, now, fresh);
    expect(elements.map((one) => isBuilding(one) && one.fronts)).toEqual([
      [{ side: 1, bays: "window 2, door 1", kit: "f" }],
      pub.fronts,
      [{ side: 2, bays: "window 2, door 1", kit: "f" }],
    ]);
  });
});

describe("a row of kits", () => {
  const own = kit([pub, lantern], "pub");
  const rule = { ...DEFAULT_ROW, id: "r", name: "Row", seed: 5, from: { x: 0, y: 0 }, to: { x: 60, y: 25 } };
  const of = (ids: string[], share = 100) => ({ ...rule, kits: { ids, share } });

  it("has their houses on its line, with all that belongs to them", () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1e6 }), (seed) => {
        const row = { ...of(["pub"], 50), seed };
        const houses = fillRow(row, [], fresh, kitsOfRow(row, [own]));
        const rolled = houses.filter(({ kit: part }) => part);
        for (const house of rolled) {
          expect(house.row).toBe("r");
          // Its front lies on the line of the row, which runs 25 m north on 60 m east, and it stands to its right.
          const off = outlineOf(house).map(([x, y]) => (x * 25 - y * 60) / 65);
          expect(Math.min(...off)).toBeCloseTo(0, 9);
          expect(Math.max(...off)).toBeCloseTo(8, 9);
        }
        const lamps = beside(houses, [own], fresh);
        expect(lamps).toHaveLength(rolled.length);
        lamps.forEach((lamp, i) => expect(lamp.kit?.instance).toBe(rolled[i].id));
      }),
      { numRuns: 60 },
    );
  });

  it("rolls as before where it has none", () => {
    expect(fillRow(rule, [], String, kitsOfRow(rule, [own]))).toEqual(fillRow(rule, [], String));
    expect(kitsOfRow(of(["gone"]), [own])).toEqual([]);
  });

  it("has houses by its rule with the front of a kit", () => {
    const front = kitIn("f", 1, kitOfFront(pub, { side: 1, bays: "door 1, window 2" }, "Front"))!;
    const row = of(["f"]);
    const houses = fillRow(row, [], String, kitsOfRow(row, [front]));
    expect(houses.length).toBeGreaterThan(3);
    for (const { fronts } of houses) expect(fronts).toMatchObject([{ bays: "door 1, window 2", kit: "f" }]);
  });

  it("offers only kits with a house in them", () => {
    expect(rowKitOf(kit([lantern]))).toBeNull();
    expect(rowKitOf(own)).toMatchObject({ wide: expect.closeTo(6, 9) });
    expect(ORIGIN.heading).toBe(180);
  });
});
