import { keptInMemory } from "../../testing";
import { createColumn, WIDTHS } from "./createColumn";
import { createHandOver } from "./handOver/createHandOver";

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

describe("the choices of handing over", () => {
  it("are as one left them, and as at first where they cannot be read", () => {
    const memory = keptInMemory();
    createHandOver(memory).chooseHandOver({ without: ["frame"], dpi: 600, transparent: true });
    expect(createHandOver(memory).useHandOver.getState()).toEqual({
      dpi: 600,
      size: null,
      by: "kind",
      ink: "colour",
      all: false,
      presets: [],
      without: ["frame"],
      whole: true,
      transparent: true,
      toPanel: false,
      mirrored: false,
      blue: false,
      inked: false,
      finish: null,
    });
    createHandOver(memory).chooseHandOver({ finish: { profile: 0.5 }, inked: true });
    expect(createHandOver(memory).useHandOver.getState()).toMatchObject({ finish: { profile: 0.5 }, inked: true });
    const fresh = createHandOver(keptInMemory()).useHandOver.getState();
    for (const text of ["{", '{"dpi":"fine","without":7,"toPanel":"yes"}'])
      expect(createHandOver(keptInMemory({ "zanvo:hand-over": text })).useHandOver.getState()).toEqual(fresh);
  });
});
