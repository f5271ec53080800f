import { visibilityCache } from "@zanvo/core/visibility";

/** A look at worlds that keeps what it saw. It stands by itself, to be fetched when there is something to look at. */
export const newLook = (): ReturnType<typeof visibilityCache> => visibilityCache();
