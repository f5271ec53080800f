/** Whether a text could be a picture's name, the SHA-256 of its file: nothing else ever becomes a path. */
export const isPictureName = (name: string): boolean => /^[0-9a-f]{64}$/.test(name);

/**
 * What stands before a name: the field for it, or a key of one's own. Most documents have neither, which is quickly
 * seen.
 */
const BEFORE = ['"picture"', '"x-'];

/** The names of all pictures that a document in UTF-8 speaks of, wherever they stand in it. */
export function picturesNamedIn(document: Uint8Array): readonly string[] {
  const bytes = Buffer.from(document.buffer, document.byteOffset, document.byteLength);
  if (!BEFORE.some((words) => bytes.includes(words))) return [];
  // Names are plain letters and digits, however the text around them is read.
  return [...new Set(bytes.toString("latin1").match(/(?<![0-9a-f])[0-9a-f]{64}(?![0-9a-f])/g) ?? [])];
}
