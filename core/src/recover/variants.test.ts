import { readFileSync } from "node:fs";
import { join } from "node:path";
import sharp, { type Sharp } from "sharp";
import { as35, detect, familiesOf, greyOf, groupEdges, recoverView } from ".";

interface Truth {
  readonly lens: number;
  readonly pitch: number;
  readonly roll: number;
}
const photo = (name: string) => readFileSync(join(__dirname, "../../../demo/photos", name));
const WIDE = 1200;
const HIGH = 800;

/** What becomes of a photo before it is worked on, and how many times longer its lens is then. */
const VARIANTS: Readonly<Record<string, readonly [how: (picture: Sharp) => Sharp, longer: number]>> = {
  "as it is": [(picture) => picture, 1],
  smaller: [(picture) => picture.resize(700), 1],
  larger: [(picture) => picture.resize(2000), 1],
  mirrored: [(picture) => picture.flop(), 1],
  "cropped about its middle": [
    (picture) => picture.extract({ left: 0.1 * WIDE, top: 0.1 * HIGH, width: 0.8 * WIDE, height: 0.8 * HIGH }),
    1 / 0.8,
  ],
  "flat, and saved small": [(picture) => picture.linear(0.5, 60).jpeg({ quality: 40 }), 1],
};

/** The view that a photo tells by itself, through the same steps as the screen and the shell. */
async function told(name: string, how: (picture: Sharp) => Sharp) {
  const whole = await sharp(photo(`${name}.jpg`))
    .resize(WIDE, HIGH)
    .png()
    .toBuffer();
  const { data, info } = await sharp(await how(sharp(whole)).toBuffer())
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const size = { width: info.width, height: info.height };
  const edges = detect(greyOf({ ...size, data: new Uint8ClampedArray(data) }));
  const groups = groupEdges(edges, size);
  const centre = [size.width / 2, size.height / 2] as const;
  return { view: recoverView(familiesOf(edges, groups), { ...size, centre, sigma: 0.5 }), groups, size };
}
const truth = (name: string) => JSON.parse(photo(`${name}.json`).toString()) as Truth;

describe.each(Object.entries(VARIANTS))("a photo that is %s", (variant, [how, longer]) => {
  it.each(["the-corner", "up-the-tower"])("tells its camera by itself: %s", async (name) => {
    const { lens, pitch, roll } = truth(name);
    const { view, size } = await told(name, how);
    expect(as35(size, view.focalLength!.px) / (lens * longer)).toBeCloseTo(1, 1);
    expect(view.pitch).toBeCloseTo(pitch, 0);
    expect(variant === "mirrored" ? -view.roll! : view.roll).toBeCloseTo(roll, 0);
  });
});

it("a bowed photo tells how its camera stood, though its points are at right angles about no centre", async () => {
  const { pitch, roll } = truth("tilted-and-bowed");
  const { view, groups } = await told("tilted-and-bowed", (picture) => picture);
  expect(Math.abs(view.pitch! - pitch)).toBeLessThan(3);
  expect(Math.abs(view.roll! - roll)).toBeLessThan(1.5);
  // Of the families near the upright one is taken for uprights, and none for a level way.
  expect(groups.filter(({ role }) => role === "upright")).toHaveLength(1);
});
