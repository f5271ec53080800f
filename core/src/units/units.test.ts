import fc from "fast-check";
import { between } from "../testing";
import { readMeasure, type Unit } from ".";

describe("a typed measure", () => {
  it.each<[string, Unit, number]>([
    ["312", "mm", 312], [" 312.5 mm", "mm", 312.5], ["12 5/16 in", "mm", 12.3125 * 25.4], ["5/8\"", "mm", 15.875], ["35mm", "mm", 35],
    ["3 cm", "mm", 30], ["-40", "mm", -40], ["1,6", "m", 1.6], ["1.6 m", "m", 1.6], ["5' 7\"", "m", 1.7018], ["5'7\"", "m", 1.7018], ["5 ft 7 in", "m", 1.7018],
    ["6 ft", "m", 1.8288], ["180cm", "m", 1.8], ["12°", "°", 12], ["−12.5 deg", "°", -12.5], ["300", "dpi", 300], [".5", "m", 0.5],
  ])("%s in a field of %s is %d", (text, unit, value) => {
    expect(readMeasure(text, unit)).toBeCloseTo(value, 9);
  });

  it.each<[string, Unit, string]>([
    ["", "mm", "a length in mm"], ["twelve", "mm", "a length in mm"], ["5 kg", "m", "a length in m"], ["12°", "mm", "a length in mm"],
    ["3 m", "°", "an angle in degrees"], ["1/0 in", "mm", "a length in mm"], ["5 7", "mm", "a length in mm"], ["1e9", "mm", "a length in mm"],
    ["Infinity", "m", "a length in m"], ["NaN", "m", "a length in m"], ["5' 7", "m", "a length in m"],
  ])("%s in a field of %s is refused", (text, unit, kind) => {
    expect(() => readMeasure(text, unit)).toThrow(`“${text}” is not ${kind}.`);
  });

  it("reads back what is written, in any unit of length", () => {
    fc.assert(fc.property(between(-2000, 2000), fc.constantFrom("mm", "cm", "m", "in", "ft"), (value, unit) => {
      const factor = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 }[unit];
      expect(readMeasure(`${value.toFixed(6)} ${unit}`, "mm")).toBeCloseTo(Number(value.toFixed(6)) * factor, 6);
    }));
  });
});
