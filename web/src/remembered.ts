/** A place where short texts are kept by name. Where the browser keeps nothing, nothing is found again. */
export interface Memory {
  readonly get: (key: string) => string | null;
  readonly set: (key: string, text: string) => void;
  readonly remove: (key: string) => void;
}

function memory(name: "localStorage" | "sessionStorage"): Memory {
  const attempt = <T>(work: (storage: Storage) => T, otherwise: T): T => {
    try {
      return work(globalThis[name]);
    } catch {
      // A full or a locked storage, or none at all.
      return otherwise;
    }
  };
  return {
    get: (key) => attempt((storage) => storage.getItem(key), null),
    set: (key, text) => attempt((storage) => storage.setItem(key, text), undefined),
    remove: (key) => attempt((storage) => storage.removeItem(key), undefined),
  };
}

/** What the page remembers: from visit to visit, and for as long as its tab is open. */
export const remembered = { visits: memory("localStorage"), tab: memory("sessionStorage") } as const;
