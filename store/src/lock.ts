import Database from "better-sqlite3";
import { CannotOpen, codeOf, isBusy } from "./errors";

/** How long one that is just ending is waited for, in ms. */
const WAIT = 1500;

/**
 * Keeps a database for this process alone. The lock is one of the operating system's, held through SQLite on a file of
 * its own beside the database: however the process ends, it ends with it.
 * @returns gives the database free
 * @throws CannotOpen where another process has it
 */
export function lock(file: string): () => void {
  const path = `${file}.lock`;
  let database: Database.Database | undefined;
  try {
    database = new Database(path, { timeout: WAIT });
    database.pragma("journal_mode = MEMORY");
    database.pragma("locking_mode = EXCLUSIVE");
    database.exec("BEGIN EXCLUSIVE");
  } catch (error) {
    database?.close();
    if (isBusy(error))
      throw new CannotOpen(
        `${file} is in use by another Zanvo. Stop that one first, or set ZANVO_DATA to another file.`,
      );
    throw new CannotOpen(
      `${path} cannot be made (${codeOf(error) || (error as Error).message}). Is the folder writable?`,
    );
  }
  const held = database;
  return () => held.close();
}
