/** The store cannot be opened; the message says in one sentence what stands in the way and what to do. */
export class CannotOpen extends Error {
  override readonly name = "CannotOpen";
}

/** There is no such scene, version or picture. */
export class NotFound extends Error {
  override readonly name = "NotFound";
}

/** The commit of a change could not be confirmed: nothing may be acknowledged. */
export class NotCommitted extends Error {
  override readonly name = "NotCommitted";
}

/** The code that SQLite or the system gave an error, however deep it was wrapped; empty where it has none. */
export function codeOf(error: unknown): string {
  const { code, driverError } = (error ?? {}) as { code?: unknown; driverError?: unknown };
  return typeof code === "string" ? code : driverError ? codeOf(driverError) : "";
}

/** Whether somebody else holds the database. */
export const isBusy = (error: unknown): boolean => /^SQLITE_(BUSY|LOCKED)/.test(codeOf(error));

/** Whether there is no room for what was to be written. */
export const isFull = (error: unknown): boolean => /^(SQLITE_FULL|ENOSPC|EDQUOT|EFBIG)$/.test(codeOf(error));

/** Whether the disk failed, or refused. */
export const isDiskError = (error: unknown): boolean =>
  isFull(error) || /^(SQLITE_IOERR|SQLITE_CANTOPEN|SQLITE_READONLY|EIO|EROFS)/.test(codeOf(error));

/** Whether the file is not a sound SQLite database. */
export const isDamaged = (error: unknown): boolean => /^SQLITE_(NOTADB|CORRUPT)/.test(codeOf(error));
