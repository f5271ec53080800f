import { useEffect, useState } from "react";
import type * as loadedLater from "./solids";

type Solids = typeof loadedLater;

let loaded: Solids | null = null;

/**
 * What builds solids on the page, for choosing by hand: it is fetched when it is first wanted, since drawing does
 * without.
 */
export async function solids(): Promise<Solids> {
  return (loaded ??= await import("./solids"));
}
export const solidsNow = (): Solids | null => loaded;

/** What builds solids, once it is there. */
export function useSolids(wanted: boolean): Solids | null {
  const [now, setNow] = useState(loaded);
  useEffect(() => {
    if (wanted && !now) void solids().then(setNow);
  }, [wanted, now]);
  return now;
}
