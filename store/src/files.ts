import {
  closeSync,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  readdirSync,
  realpathSync,
  renameSync,
  statSync,
} from "node:fs";
import { basename, dirname, join, resolve } from "node:path";
import { CannotOpen, codeOf } from "./errors";

/** SQLite keeps its log and index beside the database under these endings. */
export const PARTS = ["", "-wal", "-shm"] as const;

/** A moment as part of a file's name. */
export const stampOf = (now: Date): string => now.toISOString().replace(/[:.]/g, "-");

/** Puts a database out of the way under another name, with all its parts. @returns the name */
export function setAside(file: string, why: "damaged" | "replaced", now: Date): string {
  const to = `${file}.${why}-${stampOf(now)}`;
  for (const part of PARTS) if (existsSync(file + part)) renameSync(file + part, to + part);
  return to;
}

/** The file that a path means, its links followed, with its folder made. @throws CannotOpen */
export function databaseFile(path: string): string {
  const file = resolve(path);
  try {
    mkdirSync(dirname(file), { recursive: true });
    const real = existsSync(file) ? realpathSync(file) : join(realpathSync(dirname(file)), basename(file));
    if (existsSync(real) && !statSync(real).isFile())
      throw new CannotOpen(`${file} is a folder, not a database. Set ZANVO_DATA to a file.`);
    return real;
  } catch (error) {
    if (error instanceof CannotOpen) throw error;
    throw new CannotOpen(
      `The folder ${dirname(file)} cannot be made or read (${codeOf(error)}). Set ZANVO_DATA to a file in a ` +
        "folder of yours.",
    );
  }
}

const BACKUP = /^\d{4}-\d{2}-\d{2}\.sqlite$/;

/** What belongs to a database lies beside it, in folders of its own. */
export const besides = (file: string, what: "backups" | "pictures" | "prints"): string =>
  `${file.replace(/\.sqlite$/, "")}.${what}`;

/** The daily backups of a database, the newest first. */
export function backupsOf(file: string): readonly string[] {
  const folder = besides(file, "backups");
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => BACKUP.test(name))
    .sort()
    .reverse()
    .map((name) => join(folder, name));
}

/** Waits until a file, or the entries of a folder, are on the disk. */
export function syncToDisk(path: string): void {
  const handle = openSync(path, "r");
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}
