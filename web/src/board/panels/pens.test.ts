import { LAYER_KINDS } from "@zanvo/core/drawing";
import { PENS, PEN_SETS, penOf, withPen } from "./pens";

describe("pens", () => {
  it("are each the root of two times the one before, as ISO 128-2 has them (from memory)", () => {
    PENS.slice(1).forEach((pen, i) => expect(Number(pen) / Number(PENS[i])).toBeCloseTo(Math.SQRT2, 0));
  });

  it("are of kinds of lines that there are", () => {
    const drawn = LAYER_KINDS.filter((kind) => penOf(kind) !== null).map(({ id }): string => id);
    expect(drawn.length).toBe(6);
    for (const { pens = {} } of PEN_SETS)
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
