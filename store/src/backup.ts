import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from "node:fs";
import { dirname, join } from "node:path";
import Database from "better-sqlite3";
import { CannotOpen, isDamaged } from "./errors";
import { backupsOf, besides, databaseFile, setAside, syncToDisk } from "./files";
import { inspect } from "./inspect";
import { lock } from "./lock";

/** How many daily backups are kept. */
const KEPT = 7;

/** Puts a finished file in its place, so that it is there whole or not at all. */
function putInPlace(part: string, to: string): void {
  syncToDisk(part);
  renameSync(part, to);
  syncToDisk(dirname(to));
}

/**
 * Copies a database that may be in use, as of one moment, and looks the copy through. It holds up its thread.
 * @throws CannotOpen where there is none, or it is damaged
 */
export function copyDatabase(file: string, to: string): void {
  if (!existsSync(file)) throw new CannotOpen(`There is no database ${file}.`);
  mkdirSync(dirname(to), { recursive: true });
  const part = `${to}.part`;
  rmSync(part, { force: true });
  try {
    const database = new Database(file, { timeout: 5000 });
    try {
      database.prepare("VACUUM INTO ?").run(part);
    } finally {
      database.close();
    }
    inspect(part);
  } catch (error) {
    rmSync(part, { force: true });
    throw isDamaged(error)
      ? new CannotOpen(`${file} is damaged: no backup of it was made, and the earlier ones are kept.`)
      : error;
  }
  putInPlace(part, to);
}

/** The backup of a day, made unless it is there; older ones than the last seven are removed. @returns its file */
export function backUp(file: string, now: Date): string {
  const to = join(besides(file, "backups"), `${now.toISOString().slice(0, 10)}.sqlite`);
  if (!existsSync(to)) copyDatabase(file, to);
  for (const old of backupsOf(file).slice(KEPT)) rmSync(old);
  return to;
}

/**
 * Puts a backup in the place of a database, which is set aside.
 * @returns what the database was set aside as; null where there was none
 * @throws CannotOpen where the backup is none, or a running Zanvo has the database
 */
export function restoreBackup(path: string, backup: string, now: Date): string | null {
  if (!existsSync(backup)) throw new CannotOpen(`There is no backup ${backup}.`);
  const file = databaseFile(path);
  const unlock = lock(file);
  try {
    const part = `${file}.part`;
    copyFileSync(backup, part);
    try {
      inspect(part);
    } catch (error) {
      rmSync(part, { force: true });
      throw isDamaged(error) ? new CannotOpen(`${backup} is damaged, or no backup of Zanvo's.`) : error;
    }
    for (const rest of ["-wal", "-shm"]) rmSync(part + rest, { force: true });
    const aside = existsSync(file) ? setAside(file, "replaced", now) : null;
    putInPlace(part, file);
    return aside;
  } finally {
    unlock();
  }
}
