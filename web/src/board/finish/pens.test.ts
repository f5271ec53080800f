import { LAYER_KINDS } from "@zanvo/core/drawing";
import { FINISHES, FIRST_DEPTH, FIRST_HAND, readFinish } from "./finishes";
import { PENS, penOf, withPen } from "./pens";

describe("pens", () => {
  it("are each the root of two times the one before, as ISO 128-2 has them (from memory)", () => {
    PENS.slice(1).forEach((pen, i) => expect(Number(pen) / Number(PENS[i])).toBeCloseTo(Math.SQRT2, 0));
  });

  it("are of kinds of lines that there are", () => {
    const drawn = LAYER_KINDS.filter((kind) => penOf(kind) !== null).map(({ id }): string => id);
    expect(drawn.length).toBe(6);
    for (const {
      finish: { pens = {} },
    } of FINISHES)
      for (const [kind, pen] of Object.entries(pens)) {
        expect(drawn).toContain(kind);
        expect(PENS.map(Number)).toContain(pen);
      }
  });

  it("are changed one by one, and leave nothing where all are the usual ones", () => {
    expect(withPen(undefined, "details", "0.25")).toEqual({ details: 0.25 });
    expect(withPen({ details: 0.25 }, "creases", "0.5")).toEqual({ details: 0.25, creases: 0.5 });
    expect(withPen({ details: 0.25 }, "details", "")).toBeUndefined();
  });
});

describe("a way to ink of one's own", () => {
  it("is read again as it was kept, and none where it cannot be read", () => {
    const own = { pens: { details: 0.13 }, profile: 0.7, depth: FIRST_DEPTH, hand: FIRST_HAND };
    expect(readFinish(JSON.parse(JSON.stringify(own)))).toEqual(own);
    expect(readFinish({})).toEqual({});
    for (const wrong of [null, "bold", { pens: { details: "thin" } }, { profile: "0.7" }, { depth: 3 }])
      expect(readFinish(wrong)).toBeNull();
  });
});
