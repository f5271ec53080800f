import { readFileSync } from "node:fs";
import { join } from "node:path";
import { readScene } from "../document";
import { as35, viewOfReference } from ".";

/** The true camera of a rendered photo of the demo. */
interface Truth {
  readonly focalLength: number;
  readonly pitch: number;
  readonly roll: number;
  readonly lens: number;
}
const demo = join(__dirname, "../../../demo");

it("the demo's traced photo tells the camera it was rendered with, within what it says it is sure of", () => {
  const truth = JSON.parse(readFileSync(join(demo, "photos/the-corner.json"), "utf8")) as Truth;
  const [reference] = readScene(readFileSync(join(demo, "1-quay-street.zanvo.json"), "utf8")).references!;
  const { focalLength, pitch, roll } = viewOfReference(reference);
  expect(Math.abs(focalLength!.px - truth.focalLength)).toBeLessThan(3 * focalLength!.sd);
  expect(Math.abs(focalLength!.px / truth.focalLength - 1)).toBeLessThan(0.02);
  expect(as35(reference, focalLength!.px)).toBeCloseTo(truth.lens, 0);
  expect(pitch).toBeCloseTo(truth.pitch, 0);
  expect(roll).toBeCloseTo(truth.roll, 0);
});
