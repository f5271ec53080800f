import { statSync } from "node:fs";
import Database from "better-sqlite3";
import { CannotOpen } from "./errors";
import { MIGRATION_NAMES } from "./migrations";

/** Up to this size a database is looked through before it is used, in bytes; a larger one when it is backed up. */
const LOOKED_THROUGH = 128 * 2 ** 20;

/**
 * Looks whether a file is a sound database of ours, and not of a newer Zanvo. @throws CannotOpen, or SQLite's own
 * error
 */
export function inspect(file: string): void {
  const database = new Database(file, { timeout: 5000 });
  try {
    const tables = database.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all() as string[];
    if (tables.length && !tables.includes("migrations"))
      throw new CannotOpen(`${file} is a database of another program. Set ZANVO_DATA to another file.`);
    const run = tables.length ? (database.prepare("SELECT name FROM migrations").pluck().all() as string[]) : [];
    if (run.some((name) => !MIGRATION_NAMES.includes(name))) {
      throw new CannotOpen(
        `${file} was written by a newer Zanvo. Bring this Zanvo up to date; the file was not touched.`,
      );
    }
    if (statSync(file).size <= LOOKED_THROUGH) {
      const found = database.pragma("quick_check(1)", { simple: true });
      if (found !== "ok") throw Object.assign(new Error(String(found)), { code: "SQLITE_CORRUPT" });
    }
  } finally {
    database.close();
  }
}
