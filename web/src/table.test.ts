import { metres, sentence } from "@zanvo/core/units";
import { createLamp } from "./createLamp";
import { keptInMemory } from "../testing";
import { createSingleKeys } from "./page/createSingleKeys";
import { createNotes } from "./ui/createNotes";
import { createUnits } from "./createUnits";

describe("the lamp", () => {
  it("is as the machine prefers until one switches it, and stays so at the next visit", () => {
    for (const dark of [true, false]) {
      const memory = keptInMemory();
      const lit: boolean[] = [];
      const lamp = createLamp(
        memory,
        () => dark,
        (on) => lit.push(on),
      );
      lamp.startLamp();
      lamp.switchLamp();
      expect(lit).toEqual([dark, !dark]);
      expect(
        createLamp(
          memory,
          () => dark,
          () => undefined,
        ).useLamp.getState().on,
      ).toBe(!dark);
    }
  });
});

describe("keys by themselves", () => {
  it("work until one switches them off, and stay so at the next visit", () => {
    const memory = keptInMemory();
    const keys = createSingleKeys(memory);
    expect(keys.useSingleKeys.getState().on).toBe(true);
    keys.switchSingleKeys(false);
    expect(createSingleKeys(memory).useSingleKeys.getState().on).toBe(false);
  });
});

describe("units", () => {
  it("are metric at first, and as last chosen at the next visit", () => {
    const memory = keptInMemory();
    const units = createUnits(memory);
    expect(units.inWords(sentence`It is ${metres(2)} wide.`)).toBe("It is 2.00 m wide.");
    units.switchUnits();
    expect(units.inWords(sentence`It is ${metres(0.3048)} wide.`)).toMatch(/^It is 1['′]/);
    expect(createUnits(memory).useUnits.getState().system).toBe("imperial");
    expect(createUnits(keptInMemory({ "zanvo:units": "cubits" })).useUnits.getState().system).toBe("metric");
  });
});

describe("notes", () => {
  it("are the last three, each taken back by itself", () => {
    const { useNotes, say, unsay } = createNotes(String);
    const texts = () => useNotes.getState().notes.map(({ text }) => text);
    for (const text of ["a", "b", "c", "d"]) say(text);
    expect(texts()).toEqual(["b", "c", "d"]);
    unsay(useNotes.getState().notes[1].id);
    expect(texts()).toEqual(["b", "d"]);
  });
});
