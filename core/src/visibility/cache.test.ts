import fc from "fast-check";
import { between, block } from "../../testing";
import { built, moved, newBuilding, usualFront, withFront, type Element } from "../world";
import { Sight } from "./sight";
import { joined, visibilityCache, visibleEdges, visibleEdgesInParts, type VisibleEdges } from ".";

/** A town of n blocks in rows before the eye. */
const town = (n: number) =>
  Array.from({ length: n }, (_, i) =>
    block(`b${i}`, (i % 20) * 9 - 90, 10 + Math.floor(i / 20) * 11, 6, 6, 4 + (i % 7)),
  );
function all(parts: Generator<VisibleEdges, VisibleEdges>): {
  readonly parts: readonly VisibleEdges[];
  readonly whole: VisibleEdges;
} {
  const out: VisibleEdges[] = [];
  for (let next = parts.next(); ; next = parts.next()) {
    if (next.done) return { parts: out, whole: next.value };
    out.push(next.value);
  }
}

describe("a kept look", () => {
  it("hands out the nearest first, in parts that together are all that is seen", () => {
    const { solids, details } = built(town(600));
    const parts = [...visibleEdgesInParts(solids, [0, 0, 1.7], details)];
    expect(parts.length).toBeGreaterThan(2);
    expect(joined(parts)).toEqual(visibleEdges(solids, [0, 0, 1.7], details));
    const far = parts.map(({ solid }) =>
      [...solid].map((s) => Math.min(...solids[s].vertices.map(([x, y, z]) => Math.hypot(x, y, z - 1.7)))),
    );
    far.slice(1).forEach((ways, i) => expect(Math.min(...ways)).toBeGreaterThanOrEqual(Math.max(...far[i]) - 1e-9));
  });

  it("works a place out once for as long as the world stays as it is, whoever looks from it", () => {
    const look = visibilityCache();
    const [one, eye] = [town(40), [0, 0, 1.7] as const];
    const first = all(look(one, eye));
    expect(first.whole).toEqual(visibleEdges(built(one).solids, eye));
    const again = all(look(structuredClone(one), [0, 0, 1.7]));
    expect([again.parts.length, again.whole === first.whole]).toEqual([0, true]);
    const beside = all(look(one, [1, 0, 1.7]));
    expect(beside.parts.length).toBeGreaterThan(0);
    // A block that moves makes all places new; one that comes back does, too.
    const moved = one.map((block, i) => (i === 3 ? { ...block, origin: { ...block.origin, x: 200 } } : block));
    expect(all(look(moved, eye)).whole).toEqual(visibleEdges(built(moved).solids, eye));
    expect(all(look(one, eye)).parts.length).toBeGreaterThan(0);
  });

  it("keeps nothing of a look that was given up", () => {
    const look = visibilityCache();
    const many = town(600);
    look(many, [0, 0, 1.7]).next();
    expect(all(look(many, [0, 0, 1.7])).parts.length).toBeGreaterThan(2);
  });
});

describe("a look at a world that has changed", () => {
  /** Houses with fronts and rooms in two rows before the eye, behind and beside each other, and around it. */
  const house = (i: number): Element => {
    const [x, y] = [(i % 6) * 8 - 24, i < 12 ? 9 + Math.floor(i / 6) * 14 : -20];
    const plain = newBuilding({
      ...{ id: `h${i}`, name: `House ${i}`, base: 0, height: 5 + (i % 4), storeys: 2, roof: { kind: "flat" } },
      footprint: [
        { x, y },
        { x: x + 7, y },
        { x: x + 7, y: y + 8 },
        { x, y: y + 8 },
      ],
      ...(i % 3 === 0 ? { rooms: { wall: 0.3, slab: 0.3 } } : {}),
    });
    return withFront(plain, usualFront(plain, 0));
  };
  const street = Array.from({ length: 16 }, (_, i) => house(i));
  const eye = [0.3, 1.2, 1.7] as const;

  it("is the same as a fresh one, whatever was moved, taken away, put back or opened otherwise", () => {
    const change = fc.record({
      at: fc.integer({ min: 0, max: 15 }),
      what: fc.constantFrom("move", "take", "put", "front"),
      by: between(-4, 4),
    });
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 4 }), (changes) => {
        const look = visibilityCache();
        let elements: readonly Element[] = street;
        all(look(elements, eye));
        for (const { at, what, by } of changes) {
          const { id } = street[at];
          if (what === "take") elements = elements.filter((one) => one.id !== id);
          else if (what === "put")
            elements = elements.some((one) => one.id === id) ? elements : [street[at], ...elements];
          else
            elements = elements.map((one) => {
              if (one.id !== id || !("fronts" in one) || !one.fronts) return one;
              if (what === "move") return moved(one, by, by / 2);
              return { ...one, fronts: [{ ...one.fronts[0], own: [{ bay: 0, storey: 1, by: by / 20 }] }] };
            });
          const { whole } = all(look(elements, eye));
          expect(whole).toEqual(all(visibilityCache()(elements, eye)).whole);
        }
      }),
      { numRuns: 6 },
    );
  });

  it("looks again only at what stands in the direction of what has changed", () => {
    const looked = jest.spyOn(Sight.prototype, "edgesOf");
    const look = visibilityCache();
    all(look(street, eye));
    const before = looked.mock.calls.length;
    expect(before).toBe(built(street).solids.length);
    // Of what stands behind the eye, nothing but itself and its neighbours.
    all(
      look(
        street.map((one) => (one.id === "h13" ? moved(one, 0.5, 0) : one)),
        eye,
      ),
    );
    const again = new Set(looked.mock.calls.slice(before).map(([{ id }]) => id));
    expect(again).toContain("h13");
    expect([...again].every((id) => ["h12", "h13", "h14", "h15"].includes(id))).toBe(true);
    looked.mockRestore();
  });
});
