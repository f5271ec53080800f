import { execFileSync } from "node:child_process";
import { existsSync, mkdirSync, readdirSync, readFileSync, symlinkSync, utimesSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import sharp from "sharp";
import { isPlainWebp, openPictures } from "./pictures";
import { freshFile, freshFolder } from "../testing";

const photos = join(__dirname, "../../demo/photos");
const exiftool = (file: string, tag: string) =>
  execFileSync("exiftool", ["-s3", "-n", `-${tag}`, file], { encoding: "utf8" }).trim();
const DAY = 86_400_000;
const opened = (file = freshFile(), days = 0) => openPictures(file, "one", () => new Date(Date.now() + days * DAY));
const grey = (level: number) =>
  sharp({ create: { width: 60, height: 40, channels: 3, background: { r: level, g: level, b: level } } })
    .jpeg()
    .toBuffer();
const named = () => Promise.resolve(true);
const unnamed = () => Promise.resolve(false);

describe("a photo that is taken in", () => {
  it.each(readdirSync(photos).filter((name) => name.endsWith(".jpg")))(
    "has the lens and the size of %s as exiftool reads them, and keeps nothing else of what the camera noted",
    async (name) => {
      const pictures = opened();
      const { picture, width, height, focal35 } = await pictures.add(readFileSync(join(photos, name)));
      const file = join(photos, name);
      expect([focal35, width, height]).toEqual(
        ["FocalLengthIn35mmFormat", "ImageWidth", "ImageHeight"].map((tag) => Number(exiftool(file, tag))),
      );
      expect(exiftool((await pictures.find(picture, false))!, "FocalLengthIn35mmFormat")).toBe("");
    },
  );

  it("is the same picture again when it comes back as it was kept, on another machine too", async () => {
    const [one, other] = [opened(), opened(freshFile())];
    const first = await one.add(await grey(90));
    const kept = readFileSync((await one.find(first.picture, false))!);
    expect(isPlainWebp(kept)).toBe(true);
    expect(await other.add(kept)).toMatchObject({ picture: first.picture, width: 60, height: 40 });
    expect(readFileSync((await other.find(first.picture, false))!)).toEqual(kept);
    // What holds anything besides the picture is written anew.
    const noted = await sharp(kept)
      .withExif({ IFD0: { Copyright: "Kestrel Quay" } })
      .webp()
      .toBuffer();
    for (const bytes of [noted, Buffer.concat([kept, Buffer.from("more")])]) {
      expect(isPlainWebp(bytes)).toBe(false);
      const { picture } = await other.add(bytes);
      const written = readFileSync((await other.find(picture, false))!);
      expect(written.equals(bytes)).toBe(false);
      expect(isPlainWebp(written)).toBe(true);
    }
  });

  it("is turned upright as its orientation says", async () => {
    // Lying on its right side, as a telephone held upright notes it: 6.
    const bytes = await sharp({ create: { width: 60, height: 40, channels: 3, background: "#888" } })
      .withMetadata({ orientation: 6 })
      .jpeg()
      .toBuffer();
    const lying = join(freshFolder(), "lying.jpg");
    writeFileSync(lying, bytes);
    expect(exiftool(lying, "Orientation")).toBe("6");
    expect(await opened().add(bytes)).toMatchObject({ width: 40, height: 60, focal35: null });
  });

  it("may be taken in twice at once, and is kept once", async () => {
    const pictures = opened();
    const bytes = await grey(80);
    const taken = await Promise.all(Array.from({ length: 8 }, () => pictures.add(bytes)));
    expect(new Set(taken.map(({ picture }) => picture)).size).toBe(1);
    expect(readdirSync(await pictures.folder()).filter((name) => name.endsWith(".webp"))).toHaveLength(2);
  });
});

describe("the folder of pictures", () => {
  it("is of one database alone, marked, and nobody else's folder of that name is touched", async () => {
    const file = freshFile();
    const theirs = file.replace(".sqlite", ".pictures");
    mkdirSync(theirs);
    const stranger = join(theirs, `${"d".repeat(64)}.webp`);
    writeFileSync(stranger, "a stranger's");
    const old = new Date(Date.now() - 90 * DAY);
    utimesSync(stranger, old, old);
    const pictures = opened(file);
    expect(await pictures.folder()).toBe(`${theirs}-one`);
    await pictures.add(await grey(10));
    await pictures.sweep(unnamed);
    expect(readFileSync(stranger, "utf8")).toBe("a stranger's");
    expect(readdirSync(theirs)).toHaveLength(1);
  });

  it("gives what nothing names any more to the bin for a month, and takes it out when it is wanted again", async () => {
    const file = freshFile();
    const { picture } = await opened(file).add(await grey(120));
    await opened(file, 2).sweep(named);
    expect(await opened(file).removed()).toEqual([]);
    await opened(file).sweep(unnamed);
    expect(await opened(file).find(picture, false)).not.toBeNull();
    await opened(file, 2).sweep(unnamed);
    expect(await opened(file).removed()).toMatchObject([{ picture }]);
    await opened(file, 20).sweep(unnamed);
    const back = (await opened(file).find(picture, false))!;
    expect([existsSync(back), dirname(back)]).toEqual([true, await opened(file).folder()]);
    expect(await opened(file).find(picture, true)).not.toBeNull();
    await opened(file, 60).sweep(unnamed);
    await opened(file, 80).sweep(unnamed);
    expect(await opened(file).removed()).toHaveLength(1);
    await opened(file, 100).sweep(unnamed);
    expect(await opened(file).find(picture, false)).toBeNull();
  });

  it("leaves sub-folders, links and files of others alone, whatever they are called", async () => {
    const file = freshFile();
    const pictures = opened(file, 90);
    await pictures.add(await grey(200));
    const folder = await pictures.folder();
    const name = (letter: string) => join(folder, `${letter.repeat(64)}.webp`);
    mkdirSync(name("a"));
    symlinkSync("/nowhere", name("b"));
    writeFileSync(join(folder, "notes.txt"), "mine");
    await pictures.sweep(unnamed);
    expect(readdirSync(folder).sort()).toEqual([
      ".zanvo-pictures.json",
      `${"a".repeat(64)}.webp`,
      `${"b".repeat(64)}.webp`,
      "bin",
      "notes.txt",
    ]);
    for (const letter of ["a", "b"]) expect(await pictures.find(letter.repeat(64), false)).toBeNull();
    expect(await pictures.find("../../etc/passwd", false)).toBeNull();
  });

  it("takes over from the folder that databases once shared, and removes nothing there", async () => {
    const file = freshFile();
    const { picture } = await opened(file).add(await grey(60));
    const shared = join(dirname(file), "pictures");
    mkdirSync(shared);
    const old = join(shared, `${"e".repeat(64)}.webp`);
    writeFileSync(old, "an old one");
    expect(readFileSync((await opened(file).find("e".repeat(64), false))!, "utf8")).toBe("an old one");
    await opened(file, 90).sweep(unnamed);
    expect([existsSync(old), (await opened(file).find(picture, false)) !== null]).toEqual([true, true]);
  });

  it("is brought in again by whoever has the photo, under the same name", async () => {
    const pictures = opened();
    const bytes = await grey(90);
    const { picture } = await pictures.add(bytes);
    execFileSync("rm", [(await pictures.find(picture, false))!]);
    expect(await pictures.find(picture, false)).toBeNull();
    expect((await pictures.add(bytes)).picture).toBe(picture);
    expect(await pictures.find(picture, false)).not.toBeNull();
  });
});
