import type { Picture, RemovedPicture } from "@zanvo/core/answers";
import { createHash, randomUUID } from "node:crypto";
import { copyFile, link, lstat, mkdir, open, readdir, readFile, rename, rm, utimes, writeFile } from "node:fs/promises";
import { dirname, join } from "node:path";
import sharp from "sharp";
import { damaged, openPhoto } from "@zanvo/raster";
import { codeOf } from "./errors";
import { besides } from "./files";
import { isPictureName } from "./names";
import { notedLens } from "./notedLens";

/** The longest side of a preview, px. */
const PREVIEW = 1600;
const DAY = 86_400_000;
/** How long a removed picture lies in the bin, in days. */
const KEPT_REMOVED = 30;

/** The files that are ours: a picture, its preview, or either while it is being written. */
const OURS = /^([0-9a-f]{64})(\.preview)?\.webp(\.[0-9a-f-]{36}\.part)?$/;

/**
 * Whether a file is a plain WebP as this store writes it: one lossy picture and nothing else, so that nothing needs to
 * be taken out of it. One that was saved with a scene is the same picture again when it comes back (WebP container
 * specification: RIFF, its size, WEBP, one chunk VP8).
 */
export function isPlainWebp(bytes: Buffer): boolean {
  const text = (from: number) => bytes.subarray(from, from + 4).toString("latin1");
  if (bytes.length < 20 || text(0) !== "RIFF" || text(8) !== "WEBP" || text(12) !== "VP8 ") return false;
  const chunk = bytes.readUInt32LE(16);
  return bytes.readUInt32LE(4) + 8 === bytes.length && 20 + chunk + (chunk % 2) === bytes.length;
}

/**
 * A picture as it is kept, turned upright and without what else was in the file, and its preview. @throws BadInput for
 * what is no such picture
 */
async function asKept(bytes: Buffer) {
  const made = await (
    await openPhoto(bytes)
  )
    .webp({ quality: 90, effort: 2 })
    .toBuffer({ resolveWithObject: true })
    .catch(damaged);
  const { data, info } = isPlainWebp(bytes) ? { ...made, data: bytes } : made;
  const small = await sharp(data)
    .resize(PREVIEW, PREVIEW, { fit: "inside", withoutEnlargement: true })
    .webp({ quality: 80 })
    .toBuffer();
  return { data, info, small };
}

/** A plain file's size and time; null for what is not there, or is a folder or a link. */
async function plain(path: string): Promise<{ readonly size: number; readonly mtimeMs: number } | null> {
  const found = await lstat(path).catch(() => null);
  return found?.isFile() ? found : null;
}

/** The folder that is marked as that of a database, or could become it: nothing is ever put into anybody else's. */
async function ownFolder(file: string, database: string): Promise<string> {
  const wanted = besides(file, "pictures");
  for (const folder of [wanted, `${wanted}-${database.slice(0, 8)}`, `${wanted}-${database}`]) {
    const mark = await readFile(join(folder, MARK), "utf8").catch((error: unknown) => codeOf(error));
    if (mark === markOf(database) || (mark === "ENOENT" && !(await lstat(folder).catch(() => null)))) return folder;
  }
  throw new Error(`There is no folder for pictures beside ${file} that is Zanvo's own.`);
}

const MARK = ".zanvo-pictures.json";
const markOf = (database: string): string => `${JSON.stringify({ format: "zanvo-pictures", database })}\n`;

/** Writes a file that is there whole or not at all, and is on the disk once this resolves. */
async function write(to: string, bytes: Buffer): Promise<void> {
  // A name of its own: the same picture may be brought in twice at once.
  const part = `${to}.${randomUUID()}.part`;
  try {
    const handle = await open(part, "wx");
    try {
      await handle.writeFile(bytes);
      await handle.sync();
    } finally {
      await handle.close();
    }
    await rename(part, to);
  } catch (error) {
    await rm(part, { force: true });
    throw error;
  }
}

async function syncFolder(folder: string): Promise<void> {
  const handle = await open(folder, "r");
  try {
    await handle.sync();
  } finally {
    await handle.close();
  }
}

export type Pictures = ReturnType<typeof openPictures>;

/**
 * Pictures in a folder of one database alone, beside it, each kept once, however often it is brought in.
 * @param file the database
 * @param database its own name, by which the folder is marked
 */
export function openPictures(file: string, database: string, clock: () => Date = () => new Date()) {
  let known: Promise<string> | null = null;
  const own = () => (known ??= ownFolder(file, database));
  const named = (picture: string, preview: boolean) => `${picture}${preview ? ".preview" : ""}.webp`;
  const bin = async () => join(await own(), "bin");
  /**
   * Where all databases of a folder once shared their pictures: they are taken over from there, and nothing is
   * removed.
   */
  const shared = join(dirname(file), "pictures");

  const ready = async (): Promise<string> => {
    const folder = await own();
    if (await plain(join(folder, MARK))) return folder;
    await mkdir(join(folder, "bin"), { recursive: true });
    await writeFile(join(folder, MARK), markOf(database));
    await syncFolder(dirname(folder));
    return folder;
  };
  /** Brings a file back from the bin or the once shared folder. */
  const bringBack = async (name: string): Promise<string | null> => {
    const removed = join(await bin(), name);
    if (await plain(removed)) {
      const to = join(await own(), name);
      await rename(removed, to);
      return to;
    }
    const old = join(shared, name);
    if (!(await plain(old))) return null;
    const to = join(await ready(), name);
    await link(old, to).catch(() => copyFile(old, to));
    return to;
  };
  /** The file of a picture; null where it is not on this machine. */
  const find = async (picture: string, preview: boolean): Promise<string | null> => {
    if (!isPictureName(picture)) return null;
    const path = join(await own(), named(picture, preview));
    return (await plain(path)) ? path : bringBack(named(picture, preview));
  };
  const inFolder = async (folder: string) => {
    const names = (await readdir(folder).catch(() => [] as string[])).filter((name) => OURS.test(name));
    const files = await Promise.all(
      names.map(async (name) => ({ name, picture: OURS.exec(name)![1], found: await plain(join(folder, name)) })),
    );
    return files.flatMap(({ name, picture, found }) =>
      found ? [{ name, picture, size: found.size, age: clock().getTime() - found.mtimeMs, at: found.mtimeMs }] : [],
    );
  };

  return {
    /** The folder, whether it is there yet or not. */
    folder: own,
    find,
    /**
     * Takes a picture in, turned upright and without what else was in the file. @throws BadInput for what is no such
     * picture
     */
    async add(bytes: Buffer): Promise<Picture> {
      const { data, info, small } = await asKept(bytes);
      const picture = createHash("sha256").update(data).digest("hex");
      const folder = await ready();
      await write(join(folder, named(picture, false)), data);
      await write(join(folder, named(picture, true)), small);
      await syncFolder(folder);
      return { picture, width: info.width, height: info.height, focal35: await notedLens(bytes) };
    },
    /** What lies in the bin, the last removed first. */
    async removed(): Promise<readonly RemovedPicture[]> {
      const whole = (await inFolder(await bin())).filter(({ name }) => !name.includes(".preview"));
      return whole
        .sort((a, b) => b.at - a.at)
        .map(({ picture, size, at }) => ({ picture, bytes: size, removedAt: new Date(at).toISOString() }));
    },
    /**
     * Moves to the bin what no document names any more, and empties the bin of what has lain in it for a month. What
     * was brought in less than a day ago may still be on its way into a document.
     */
    async sweep(isNamed: (picture: string) => Promise<boolean>): Promise<void> {
      const [folder, away] = [await own(), await bin()];
      for (const { name, picture, age } of await inFolder(folder)) {
        if (age < DAY || (!name.endsWith(".part") && (await isNamed(picture)))) continue;
        await mkdir(away, { recursive: true });
        await rename(join(folder, name), join(away, name));
        // The bin counts from the day on which a thing was put into it.
        await utimes(join(away, name), clock(), clock());
      }
      for (const { name, age } of await inFolder(away))
        if (age > KEPT_REMOVED * DAY) await rm(join(away, name), { force: true });
    },
  };
}
