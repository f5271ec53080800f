import { solvePins } from "../shot";
import { inSystem } from "../units";
import { validateElement, whyInvalid, type Building } from "../world";
import { BadInput, NoAnswer, toldBy } from ".";

const thrownBy = (work: () => unknown): unknown => {
  try {
    work();
  } catch (error) {
    return error;
  }
  throw new Error("Nothing was thrown.");
};

describe("errors", () => {
  it("carry their lengths as values, to be read in either system", () => {
    const error = thrownBy(() =>
      solvePins(
        [
          [0, 100],
          [400, 150.8],
        ],
        undefined,
        100,
      ),
    );
    expect(error).toBeInstanceOf(NoAnswer);
    expect((error as Error).message).toBe("Point 2 lies 50.8 mm below the horizon; both must lie on it.");
    // An inch is 25.4 mm (ISO 31).
    expect(inSystem(toldBy(error), "imperial")).toBe('Point 2 lies 2" below the horizon; both must lie on it.');
  });

  it("of an element tell its lengths so, too", () => {
    const steep: Building = {
      id: "mill",
      kind: "building",
      name: "Mill",
      footprint: [
        { x: 0, y: 0 },
        { x: 20, y: 0 },
        { x: 20, y: 10 },
        { x: 0, y: 10 },
      ],
      base: 0,
      height: 6,
      roof: { kind: "flat" },
      slope: { heading: 90, grade: 30.48 },
    };
    const told = whyInvalid(validateElement(steep)!);
    // 20 m at 30.48 in a hundred are 6.096 m, 20 feet of 0.3048 m.
    expect(inSystem(told, "metric")).toBe("The slope rises 6.10 m under it, nearly as high as its walls.");
    expect(inSystem(told, "imperial")).toBe("The slope rises 20' under it, nearly as high as its walls.");
  });

  it("name each place of an input", () => {
    expect(new BadInput([{ path: "shots/0", message: "must be a shot." }]).message).toBe("shots/0: must be a shot.");
    expect(toldBy(new Error("As it is."))).toBe("As it is.");
  });
});
