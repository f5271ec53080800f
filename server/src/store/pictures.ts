import { createHash, randomUUID } from "node:crypto";
import { mkdir, readdir, readFile, rename, rm, stat, writeFile } from "node:fs/promises";
import { join } from "node:path";
import exifr from "exifr";
import sharp from "sharp";
import { damaged, jpegOf, openPhoto } from "@zanvo/raster";

/** The longest side of a preview, px. */
const PREVIEW = 1600;
/** A day, in ms. */
const FRESH = 86_400_000;

/** A picture that was taken in: called by what is in it. */
export interface Picture {
  readonly picture: string;
  readonly width: number;
  readonly height: number;
  /** The lens that the camera noted, as on full frame, mm; null where it noted none. */
  readonly focal35: number | null;
}

/** Whether a text could be a picture's name: nothing else ever becomes a path. */
export const isPictureName = (name: string): boolean => /^[0-9a-f]{64}$/.test(name);

/** What the camera wrote into the file of its lens; it may be missing, or wrong. */
async function focalOf(bytes: Buffer): Promise<number | null> {
  const noted = (await exifr.parse(bytes, ["FocalLengthIn35mmFormat"]).catch(() => undefined)) as { FocalLengthIn35mmFormat?: unknown } | undefined;
  const focal = noted?.FocalLengthIn35mmFormat;
  return typeof focal === "number" && focal >= 4 && focal <= 3000 ? focal : null;
}

export type Pictures = ReturnType<typeof openPictures>;

/** Pictures in a folder of their own, each kept once, however often it is brought in. */
export function openPictures(folder: string) {
  const path = (name: string, preview = false) => join(folder, `${name}${preview ? ".preview" : ""}.webp`);
  const write = async (to: string, bytes: Buffer): Promise<void> => {
    // A name of its own: the same picture may be brought in twice at once.
    const part = `${to}.${randomUUID()}.part`;
    await writeFile(part, bytes);
    await rename(part, to);
  };
  return {
    /** Takes a picture in, turned upright and without what else was in the file. @throws BadInput for what is no such picture */
    async add(bytes: Buffer): Promise<Picture> {
      const image = await openPhoto(bytes);
      const { data, info } = await image.webp({ quality: 90, effort: 2 }).toBuffer({ resolveWithObject: true }).catch(damaged);
      const picture = createHash("sha256").update(data).digest("hex");
      await mkdir(folder, { recursive: true });
      await write(path(picture), data);
      await write(path(picture, true), await sharp(data).resize(PREVIEW, PREVIEW, { fit: "inside", withoutEnlargement: true }).webp({ quality: 80 }).toBuffer());
      return { picture, width: info.width, height: info.height, focal35: await focalOf(bytes) };
    },
    /** The file of a picture; whether it is there is not looked at. */
    file: (name: string, preview: boolean): string => path(name, preview),
    /** Pictures as JPEGs, by what they are called; those that are not there are left out. */
    async jpegs(names: readonly string[]): Promise<ReadonlyMap<string, Buffer>> {
      const kept = await Promise.all([...new Set(names)].map(async (name) => {
        const bytes = await readFile(path(name)).catch(() => null);
        return bytes ? [[name, await jpegOf(bytes)] as const] : [];
      }));
      return new Map(kept.flat());
    },
    /** Removes what no document speaks of any more; what was brought in less than a day ago may still be on its way into one. */
    async keepOnly(named: (picture: string) => Promise<boolean>): Promise<void> {
      for (const file of await readdir(folder).catch(() => [] as string[])) {
        const [name] = file.split(".");
        const { mtimeMs } = await stat(join(folder, file));
        if (Date.now() - mtimeMs > FRESH && (!isPictureName(name) || !(await named(name)))) await rm(join(folder, file), { force: true });
      }
    },
  };
}
