/** A fresh seed for anything that is laid by chance. */
export const newSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0];
