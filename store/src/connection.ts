import type Database from "better-sqlite3";
import { DataSource, type EntityManager } from "typeorm";
import { isBusy, isDiskError, NotCommitted } from "./errors";
import { MIGRATIONS } from "./migrations";
import { TABLES } from "./tables";

/** How long a database that somebody else holds is waited for, and how often it is tried, in ms. */
const PATIENCE = 5000;
const EVERY = 25;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Does something that another process may keep from being done, and tries again for up to five seconds. */
export async function patiently<T>(work: () => Promise<T>, patience = PATIENCE): Promise<T> {
  const until = Date.now() + patience;
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!isBusy(error) || Date.now() > until) throw error;
    }
    await pause(EVERY);
  }
}

/** The connection of the driver itself. */
export function driverOf({ driver }: DataSource): Database.Database {
  if (!("databaseConnection" in driver)) throw new Error("This connection is none of SQLite's.");
  return driver.databaseConnection as Database.Database;
}

/**
 * Opens a connection. `timeout` is 0: waiting inside SQLite would hold up the whole thread, so we wait outside of it.
 */
export async function connect(file: string, readonly: boolean): Promise<DataSource> {
  const source = new DataSource({
    type: "better-sqlite3",
    database: file,
    readonly,
    fileMustExist: readonly,
    timeout: 0,
    entities: TABLES,
    migrations: MIGRATIONS,
    prepareDatabase: (database: unknown) => prepare(database as Database.Database, readonly),
  });
  return patiently(() => source.initialize());
}

/** FULL: in WAL mode the log is synced at every commit, so what is acknowledged survives a loss of power. */
function prepare(database: Database.Database, readonly: boolean): void {
  if (!readonly) {
    database.pragma("auto_vacuum = INCREMENTAL");
    database.pragma("journal_mode = WAL");
  }
  database.pragma("synchronous = FULL");
  database.pragma("foreign_keys = ON");
}

/** The one connection through which changes are made. */
export interface Writer {
  /**
   * Makes changes in one transaction, after those that were asked for before. It resolves only once the driver has
   * confirmed the commit; after any failure nothing of it is left, neither in the file nor in the connection.
   */
  readonly transaction: <T>(work: (db: EntityManager) => Promise<T>) => Promise<T>;
  /** The connection as it is now, for pragmas and tests. */
  readonly source: () => DataSource;
  readonly close: () => Promise<void>;
}

/** @param reopen opens the connection anew, after one that is in doubt was closed */
export function writerOf(first: DataSource, reopen: () => Promise<DataSource>): Writer {
  let source: DataSource | null = first;
  let last: Promise<unknown> = Promise.resolve();

  const discard = async () => {
    const old = source;
    source = null;
    await old?.destroy().catch(() => undefined);
  };
  /** A connection without a transaction of anybody's. */
  const sound = async (): Promise<DataSource> => {
    if (source && driverOf(source).inTransaction) await discard();
    source ??= await reopen();
    return source;
  };
  const rollBack = async (on: DataSource, error: unknown) => {
    if (driverOf(on).inTransaction) await on.query("ROLLBACK").catch(() => undefined);
    if (driverOf(on).inTransaction || isDiskError(error) || error instanceof NotCommitted) await discard();
  };
  const once = async <T>(work: (db: EntityManager) => Promise<T>): Promise<T> => {
    const on = await sound();
    await patiently(() => on.query("BEGIN IMMEDIATE"));
    try {
      const result = await work(on.manager);
      await on.query("COMMIT");
      if (driverOf(on).inTransaction) throw new NotCommitted("The database did not commit.");
      return result;
    } catch (error) {
      await rollBack(on, error);
      throw error;
    }
  };

  return {
    transaction: (work) => {
      const run = last.then(() => once(work));
      last = run.catch(() => undefined);
      return run;
    },
    source: () => {
      if (!source) throw new NotCommitted("The connection is being opened anew.");
      return source;
    },
    close: async () => {
      await last;
      await discard();
    },
  };
}
