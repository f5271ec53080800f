/** Whether a text could be a picture's name, the SHA-256 of its file: nothing else ever becomes a path. */
export const isPictureName = (name: string): boolean => /^[0-9a-f]{64}$/.test(name);

/** The names of all pictures that a document speaks of, wherever they stand in it. */
export const picturesNamedIn = (document: string): readonly string[] =>
  // Names stand in quotes or under keys of one's own; most documents have neither, which is quickly seen.
  /"(picture|x-)/.test(document) ? [...new Set(document.match(/(?<![0-9a-f])[0-9a-f]{64}(?![0-9a-f])/g) ?? [])] : [];
