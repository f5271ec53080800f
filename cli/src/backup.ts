import { resolve } from "node:path";
import { fileURLToPath } from "node:url";
import { backUp, copyDatabase, restoreBackup } from "@zanvo/store";
import type { Call } from "./io";

/** The database that is meant: the one named, or that of `npm start`. */
const databaseOf = ({ options: { data } }: Call): string =>
  resolve(data ?? process.env.ZANVO_DATA ?? fileURLToPath(new URL("../../data/zanvo.sqlite", import.meta.url)));

/** `zanvo backup`: a copy of the database, as of one moment; without a name it is the backup of today. */
export function backup(call: Call): object {
  const file = databaseOf(call);
  const { out } = call.options;
  if (out === undefined) return { database: file, backup: backUp(file, new Date()) };
  const to = resolve(out);
  copyDatabase(file, to);
  return { database: file, backup: to };
}

/** `zanvo restore`: puts a backup in the place of the database. */
export function restore(call: Call): object {
  const file = databaseOf(call);
  return { database: file, setAside: restoreBackup(file, resolve(call.file), new Date()) };
}
