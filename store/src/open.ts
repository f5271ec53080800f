import { existsSync, readdirSync } from "node:fs";
import { basename, dirname } from "node:path";
import type { DataSource } from "typeorm";
import { connect, driverOf, patiently, writerOf, type Writer } from "./connection";
import { CannotOpen, codeOf, isBusy, isDamaged, isFull } from "./errors";
import { backupsOf, databaseFile, setAside } from "./files";
import { inspect } from "./inspect";
import { lock } from "./lock";

/** What can be done about a database that was set aside, as a sentence. */
function offer(file: string): string {
  const [newest] = backupsOf(file);
  return newest
    ? `The last good backup is ${newest}: bring it back with  npm run zanvo -- restore ${newest} --data ${file}`
    : "There is no backup of it. Move it to another folder to start with an empty shelf.";
}

/** Says why a database cannot be opened; a damaged one is set aside first, so that nothing writes to it any more. */
function refusal(file: string, error: unknown, now: Date): CannotOpen {
  if (error instanceof CannotOpen) return error;
  if (isDamaged(error)) {
    const aside = setAside(file, "damaged", now);
    return new CannotOpen(`The database ${file} is damaged. It was set aside as ${aside}. ${offer(file)}`);
  }
  if (isBusy(error)) return new CannotOpen(`${file} is locked by another program. Close that program first.`);
  if (isFull(error))
    return new CannotOpen(`The disk of ${file} is full. Make room and start again; nothing was changed.`);
  return new CannotOpen(
    `${file} cannot be opened (${codeOf(error) || (error as Error).message}). Is its folder writable?`,
  );
}

/** A database that was set aside as damaged and not replaced since. */
function waiting(file: string): string | undefined {
  const name = `${basename(file)}.damaged-`;
  return existsSync(file)
    ? undefined
    : readdirSync(dirname(file)).find((one) => one.startsWith(name) && !/-(wal|shm)$/.test(one));
}

/** An older file is written anew once, so that room can be given back bit by bit; without room it stays as it is. */
async function allowVacuum(source: DataSource): Promise<void> {
  const [{ auto_vacuum: mode }] = (await source.query("PRAGMA auto_vacuum")) as { auto_vacuum: number }[];
  if (mode === 2) return;
  await source.query("PRAGMA auto_vacuum = INCREMENTAL");
  await source.query("VACUUM").catch(() => undefined);
}

async function openWriter(file: string): Promise<Writer> {
  const first = await connect(file, false);
  await allowVacuum(first);
  await patiently(() => first.runMigrations({ transaction: "each" }));
  return writerOf(first, () => connect(file, false));
}

/** A database that is open for one process alone. */
export interface Opened {
  readonly file: string;
  readonly writer: Writer;
  /** A second connection: it sees what is committed and nothing else. */
  readonly reader: DataSource;
  readonly close: () => Promise<void>;
}

/** Opens a database, or makes it, and brings it up to date. @throws CannotOpen */
export async function openDatabase(path: string, now: Date): Promise<Opened> {
  const file = databaseFile(path);
  const unlock = lock(file);
  try {
    const aside = waiting(file);
    if (aside) throw new CannotOpen(`The database ${file} was damaged and is set aside as ${aside}. ${offer(file)}`);
    if (existsSync(file)) inspect(file);
    const writer = await openWriter(file);
    const reader = await connect(file, true);
    return {
      file,
      writer,
      reader,
      close: async () => {
        // The writer last: whoever closes last folds the log into the file, and the reader may not.
        if (driverOf(reader).open) await reader.destroy();
        await writer.close();
        unlock();
      },
    };
  } catch (error) {
    unlock();
    throw refusal(file, error, now);
  }
}
