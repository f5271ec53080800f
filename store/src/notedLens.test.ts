import { execFileSync } from "node:child_process";
import { readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import { notedLens } from "./notedLens";
import { freshFolder } from "../testing";

const exiftool = (...args: string[]) => execFileSync("exiftool", args, { encoding: "utf8" }).trim();

/** A photo whose file notes what is said, as exiftool writes it. */
async function noting(tags: Readonly<Record<string, number>>): Promise<string> {
  const file = join(freshFolder(), "noting.jpg");
  writeFileSync(
    file,
    await sharp({ create: { width: 60, height: 40, channels: 3, background: "#888" } })
      .jpeg()
      .toBuffer(),
  );
  exiftool("-n", "-overwrite_original", ...Object.entries(tags).map(([tag, value]) => `-${tag}=${value}`), file);
  return file;
}
const told = async (tags: Readonly<Record<string, number>>) => {
  const file = await noting(tags);
  return { lens: await notedLens(readFileSync(file)), theirs: exiftool("-s3", "-n", "-FocalLength35efl", file) };
};
/** A sensor of 23.6 by 15.7 mm with 6000 by 4000 px, whatever the unit is. */
const sensor = (unit: number, perMm: number) => ({
  FocalPlaneXResolution: (6000 / 23.6) * perMm,
  FocalPlaneYResolution: (4000 / 15.7) * perMm,
  FocalPlaneResolutionUnit: unit,
  ExifImageWidth: 6000,
  ExifImageHeight: 4000,
});

describe("the lens a camera noted", () => {
  it.each([
    ["inches", sensor(2, 25.4)],
    ["centimetres", sensor(3, 10)],
    ["millimetres", sensor(4, 1)],
  ])("is worked out from the sensor's resolution in %s, as exiftool does", async (_, tags) => {
    const { lens, theirs } = await told({ FocalLength: 24, ...tags });
    expect(lens).toBeCloseTo((24 * Math.hypot(36, 24)) / Math.hypot(23.6, 15.7), 1);
    expect(lens! / Number(theirs)).toBeCloseTo(1, 2);
  });

  it("is taken as noted where it is noted, whatever the sensor says", async () => {
    expect((await told({ FocalLengthIn35mmFormat: 35, FocalLength: 24, ...sensor(2, 25.4) })).lens).toBe(35);
  });

  it("is unknown where the sensor is none that is built, or something is missing", async () => {
    expect((await told({ FocalLength: 24, ...sensor(2, 2540) })).lens).toBeNull();
    expect((await told({ FocalLength: 24 })).lens).toBeNull();
    expect((await told({ ...sensor(2, 25.4) })).lens).toBeNull();
    expect((await told({ FocalLength: 24, ...sensor(2, 25.4), FocalPlaneXResolution: 0 })).lens).toBeNull();
    expect(await notedLens(Buffer.from("no photo"))).toBeNull();
  });
});
