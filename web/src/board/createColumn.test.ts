import { keptInMemory } from "../../testing";
import { createColumn, WIDTHS } from "./createColumn";

describe("the column of tools", () => {
  it("is at the next visit as one arranged it, and never too narrow or too wide", () => {
    const memory = keptInMemory();
    const first = createColumn(memory);
    first.widen(333.4);
    first.arrange({ slip: true });
    expect(createColumn(memory).useColumn.getState()).toEqual({
      width: 333,
      folded: false,
      slip: true,
      findings: false,
    });
    first.widen(1e4);
    expect(first.useColumn.getState().width).toBe(WIDTHS.most);
    first.widen(-5);
    expect(createColumn(memory).useColumn.getState().width).toBe(WIDTHS.least);
  });

  it("is as at first where what was remembered cannot be read", () => {
    const fresh = createColumn(keptInMemory()).useColumn.getState();
    for (const text of ["no JSON", "{", "null", '{"width":"wide","slip":1}'])
      expect(createColumn(keptInMemory({ "zanvo:column": text })).useColumn.getState()).toEqual(fresh);
  });
});
