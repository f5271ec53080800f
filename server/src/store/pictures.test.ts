import { execFileSync } from "node:child_process";
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { openPictures } from "./pictures";

const photos = join(__dirname, "../../../demo/photos");
const exiftool = (file: string, tag: string) => execFileSync("exiftool", ["-s3", "-n", `-${tag}`, file], { encoding: "utf8" }).trim();

describe("a photo that is taken in", () => {
  it.each(readdirSync(photos).filter((name) => name.endsWith(".jpg")))("has the lens and the size of %s as exiftool reads them, and keeps nothing else of what the camera noted", async (name) => {
    const folder = mkdtempSync(join(tmpdir(), "zanvo-pictures-"));
    const pictures = openPictures(folder);
    const { picture, width, height, focal35 } = await pictures.add(readFileSync(join(photos, name)));
    const file = join(photos, name);
    expect([focal35, width, height]).toEqual(["FocalLengthIn35mmFormat", "ImageWidth", "ImageHeight"].map((tag) => Number(exiftool(file, tag))));
    expect(exiftool(pictures.file(picture, false), "FocalLengthIn35mmFormat")).toBe("");
  });

  it("is turned upright as its orientation says", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zanvo-pictures-"));
    // Lying on its right side, as a telephone held upright notes it: 6.
    const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#888" } }).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    const lying = join(folder, "lying.jpg");
    writeFileSync(lying, bytes);
    expect(exiftool(lying, "Orientation")).toBe("6");
    expect(await openPictures(folder).add(bytes)).toMatchObject({ width: 40, height: 60, focal35: null });
  });

  it("may be taken in twice at once, and is kept once", async () => {
    const folder = mkdtempSync(join(tmpdir(), "zanvo-pictures-"));
    const pictures = openPictures(folder);
    const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#876" } }).jpeg().toBuffer();
    const taken = await Promise.all(Array.from({ length: 8 }, () => pictures.add(bytes)));
    expect(new Set(taken.map(({ picture }) => picture)).size).toBe(1);
    expect(readdirSync(folder)).toHaveLength(2);
  });
});
