import { block } from "../../testing";
import { built } from "../world";
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
