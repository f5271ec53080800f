import fc from "fast-check";
import { between } from "../../testing";
import {
  inFeet,
  inInches,
  inMetric,
  inSystem,
  listed,
  metres,
  mm,
  readMeasure,
  sentence,
  shortMetres,
  sizeInMm,
  type Unit,
  squareMetres,
} from ".";

describe("a typed measure", () => {
  it.each<[string, Unit, number]>([
    ["312", "mm", 312],
    [" 312.5 mm", "mm", 312.5],
    ["12 5/16 in", "mm", 12.3125 * 25.4],
    ['5/8"', "mm", 15.875],
    ["35mm", "mm", 35],
    ["3 cm", "mm", 30],
    ["-40", "mm", -40],
    ["1,6", "m", 1.6],
    ["1.6 m", "m", 1.6],
    ["5' 7\"", "m", 1.7018],
    ["5'7\"", "m", 1.7018],
    ["5 ft 7 in", "m", 1.7018],
    ["6 ft", "m", 1.8288],
    ["180cm", "m", 1.8],
    ["12°", "°", 12],
    ["−12.5 deg", "°", -12.5],
    ["300", "dpi", 300],
    [".5", "m", 0.5],
  ])("%s in a field of %s is %d", (text, unit, value) => {
    expect(readMeasure(text, unit)).toBeCloseTo(value, 9);
  });

  it.each<[string, Unit, string]>([
    ["", "mm", "a length in mm"],
    ["twelve", "mm", "a length in mm"],
    ["5 kg", "m", "a length in m"],
    ["12°", "mm", "a length in mm"],
    ["3 m", "°", "an angle in degrees"],
    ["1/0 in", "mm", "a length in mm"],
    ["5 7", "mm", "a length in mm"],
    ["1e9", "mm", "a length in mm"],
    ["Infinity", "m", "a length in m"],
    ["NaN", "m", "a length in m"],
    ["5' 7", "m", "a length in m"],
  ])("%s in a field of %s is refused", (text, unit, kind) => {
    expect(() => readMeasure(text, unit)).toThrow(`“${text}” is not ${kind}.`);
  });

  it("reads back what is written, in any unit of length", () => {
    fc.assert(
      fc.property(between(-2000, 2000), fc.constantFrom("mm", "cm", "m", "in", "ft"), (value, unit) => {
        const factor = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 }[unit];
        expect(readMeasure(`${value.toFixed(6)} ${unit}`, "mm")).toBeCloseTo(Number(value.toFixed(6)) * factor, 6);
      }),
    );
  });
});

describe("lengths in inches and feet", () => {
  it("are written as a ruler has them, and read back within half of its finest part", () => {
    expect([25.4, 312.7375, 0.8, -12.7, 0].map(inInches)).toEqual(["1", "12 5/16", "1/32", "-1/2", "0"]);
    expect([1.7018, 0.3048, 1.6, -3].map(inFeet)).toEqual(["5' 7\"", "1'", "5' 3\"", "-9' 10\""]);
    fc.assert(
      fc.property(between(-5000, 5000), (mm) => {
        expect(Math.abs(readMeasure(`${inInches(mm)} in`, "mm") - mm)).toBeLessThanOrEqual(25.4 / 64 + 1e-9);
        expect(Math.abs(readMeasure(inFeet(mm / 1000), "m") - mm / 1000)).toBeLessThanOrEqual(0.0254 / 8 + 1e-9);
      }),
    );
  });

  it(
    "is written in a sentence with its lengths in the system that one reads; words that look like " + "lengths stay",
    () => {
      const told = sentence`${sizeInMm(420, 297)}; the pin of ${"Pier 3 m"} stands ${mm(1222.4)} left of the sheet,
        ${30}° off, ${metres(1.6)} up, for ${"3 months"}.`;
      expect(inSystem(told, "imperial")).toBe(
        '16 17/32 × 11 11/16"; the pin of Pier 3 m stands 48 1/8" left of the sheet, 30° off, 5\' 3" up, for 3 months.',
      );
      expect(inMetric(told)).toBe(
        "420 × 297 mm; the pin of Pier 3 m stands 1222.4 mm left of the sheet, 30° off, 1.60 m up, for 3 months.",
      );
      expect(inSystem("5 mm", "imperial")).toBe("5 mm");
      expect(inSystem(shortMetres(3.048), "imperial")).toBe("10'");
      expect(inMetric(listed([metres(1), sentence`about ${mm(2)}`, "three"], ", "))).toBe("1.00 m, about 2 mm, three");
    },
  );

  it("tells areas in square metres and square feet", () => {
    // A foot is 0.3048 m, so that 100 m^2 are 100 / 0.09290304 = 1076.4 square feet.
    expect(inSystem(sentence`${squareMetres(100)} of it`, "metric")).toBe("100.0 m² of it");
    expect(inSystem(squareMetres(100), "imperial")).toBe("1076 sq ft");
  });

  it("runs over several lines of the source as one line of words, and leaves the lines of its values alone", () => {
    const told = sentence`The pin stands ${mm(12)} left
      of the sheet of
      ${"two\n  lines"}.`;
    expect(inSystem(told, "metric")).toBe("The pin stands 12 mm left of the sheet of two\n  lines.");
  });
});
